/**
 * Whether somebody is typing into a field that has gone from under them: then the next letters are none for the bench. It is
 * over when they turn to something: by the pointer, by the focus, or by a key that ends typing.
 */
export function isFieldLost(): boolean {
  return (
    typedInto !== null &&
    !typedInto.isConnected &&
    (document.activeElement === document.body || document.activeElement === null)
  );
}

/** The field that had the focus last; nothing when it was left by somebody. */
let typedInto: Element | null = null;

function isField(target: EventTarget | null): target is Element {
  return (
    target instanceof Element &&
    target.matches('input:not([type=checkbox], [type=radio]), textarea, [contenteditable=true]')
  );
}

/** Follows the focus of a document from now on. */
export function watchFields(of: Document): void {
  of.addEventListener('focusin', ({ target }) => {
    typedInto = isField(target) ? target : null;
  });
  const leaves = () => {
    typedInto = null;
  };
  of.addEventListener('pointerdown', leaves, true);
  of.addEventListener(
    'keydown',
    ({ key }) => {
      if (key === 'Enter' || key === 'Escape' || key === 'Tab') leaves();
    },
    true,
  );
}
