import { Editor } from '@tiptap/react';
import { Fragment, Slice } from '@tiptap/pm/model';
import { sameJson, type RichPiece } from '@sormet/core/model';
import { beginMarked } from '../values/rich/begin-marked';
import { richExtensions } from '../values/rich/extensions';
import type { Marked } from '../values/rich/marking';
import { fromEditor, toEditor } from '../values/rich/rich-json';

/** What may have the focus while rich text is typed on the page: what the bar above it opens. */
const BESIDE = '.typing-bar, .ant-select-dropdown';

/** The attributes that an editor lends its element; they are as they were when it ends. */
const LENT = ['contenteditable', 'role', 'aria-multiline', 'aria-label', 'translate', 'tabindex'];

/** An editor over an element of the canvas, for as long as somebody types there. */
export interface RichSession {
  readonly editor: Editor;
  readonly line: boolean;
  /** Gives words what was asked for while their text was plain. */
  readonly mark: (marked: Marked) => void;
  /** Told what is stored now: where somebody else has changed it, that is shown. */
  readonly follow: (pieces: readonly RichPiece[]) => void;
  readonly end: () => void;
}

/**
 * Begins typing into rich text where it stands. While it lasts the element belongs to the editor; afterwards it has what
 * the page says of it, and nothing else.
 * @param onType told every change, as it is stored
 * @param onEnd told when it is over
 */
export function beginRich(
  element: HTMLElement,
  { pieces, line, lowered }: { pieces: readonly RichPiece[]; line: boolean; lowered: number },
  onType: (pieces: RichPiece[]) => void,
  onEnd: () => void,
): RichSession {
  const had = new Map(LENT.map((name) => [name, element.getAttribute(name)]));
  let last = pieces;
  element.replaceChildren();
  const editor = new Editor({
    element: { mount: element },
    extensions: richExtensions({ line, bare: line, lowered }),
    content: toEditor(pieces, line),
    injectCSS: false,
    editorProps: {
      attributes: { role: 'textbox', 'aria-multiline': 'true', 'aria-label': 'Rich text' },
      ...(line
        ? {
            // What comes in several lines is one line here, its parts kept apart.
            transformPastedHTML: (html) =>
              html.replace(/<\/(p|div|li|h[1-6]|blockquote|tr|br)>/gi, ' $&'),
            clipboardTextParser: (text, at) =>
              new Slice(
                Fragment.from(at.doc.type.schema.text(text.replace(/\s*\n\s*/g, ' ') || ' ')),
                0,
                0,
              ),
          }
        : {}),
      handleKeyDown: (_, event) => {
        if (event.key !== 'Escape' && !(line && event.key === 'Enter' && !event.shiftKey))
          return false;
        event.preventDefault();
        end();
        return true;
      },
    },
    onUpdate: ({ editor: now }) => {
      const typed = fromEditor(now.getJSON(), line, true);
      last = typed;
      onType(typed);
    },
    onBlur: () => setTimeout(endUnlessBeside),
  });
  // Spaces are kept as they are typed (CSS Text 3, 3).
  element.style.whiteSpace = 'break-spaces';
  const endUnlessBeside = () => {
    if (editor.isDestroyed || editor.isFocused || document.activeElement?.closest(BESIDE)) return;
    end();
  };
  // Leaving what the bar opened, for anything but the text, ends it too.
  const onFocusOut = ({ target: left }: FocusEvent) => {
    if (left instanceof Element && left.closest(BESIDE)) setTimeout(endUnlessBeside);
  };
  const end = () => {
    if (editor.isDestroyed) return;
    document.removeEventListener('focusout', onFocusOut);
    editor.destroy();
    // What else it has may have become another meanwhile: that stays.
    for (const [name, value] of had)
      if (value === null) element.removeAttribute(name);
      else element.setAttribute(name, value);
    element.classList.remove('tiptap', 'ProseMirror', 'ProseMirror-focused');
    element.style.removeProperty('white-space');
    for (const name of ['class', 'style'])
      if (element.getAttribute(name) === '') element.removeAttribute(name);
    element.ownerDocument.getSelection()?.removeAllRanges();
    onEnd();
  };
  document.addEventListener('focusout', onFocusOut);
  return {
    editor,
    line,
    // A line begins with its first character, blocks with that of their first paragraph.
    mark: (marked) => beginMarked(editor, marked, line ? 0 : 1),
    follow(now) {
      if (editor.isDestroyed || sameJson(now, last)) return;
      last = now;
      editor.commands.setContent(toEditor(now, line), { emitUpdate: false });
    },
    end,
  };
}
