import type { ReactNode } from 'react';

/** Where somebody goes once done with a cell: stays there, on to the one below, or to one beside. */
export type Leaving = 'stays' | 'down' | 'right' | 'left';

/** The place of the editor of the cell that somebody is in: Enter goes on below, Tab beside, Escape leaves it. */
export function GridEditor({
  isOneLine,
  onEnd,
  children,
}: {
  /** Whether Enter is for nothing else in it. */
  isOneLine: boolean;
  onEnd: (leaving: Leaving) => void;
  children: ReactNode;
}): ReactNode {
  const focus = (place: HTMLDivElement | null) => {
    if (!place || place.contains(document.activeElement)) return;
    const field = place.querySelector<HTMLElement>('input, textarea, button, [contenteditable]');
    field?.focus();
    // What is typed stands in the place of what there was, as in any table of this kind.
    if (field instanceof HTMLInputElement || field instanceof HTMLTextAreaElement) field.select();
  };
  return (
    <div
      ref={focus}
      className="grid-editor"
      onKeyDown={(event) => {
        const done = (leaving: Leaving) => {
          event.preventDefault();
          event.stopPropagation();
          onEnd(leaving);
        };
        if (event.key === 'Escape') {
          event.stopPropagation();
          onEnd('stays');
        }
        if (event.key === 'Enter' && isOneLine && !event.shiftKey) done('down');
        if (event.key === 'Tab') done(event.shiftKey ? 'left' : 'right');
      }}
    >
      {children}
    </div>
  );
}
