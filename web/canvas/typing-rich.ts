import { useCallback, useEffect, useRef, useState, type RefObject } from 'react';
import { Editor } from '@tiptap/react';
import { Fragment, Slice } from '@tiptap/pm/model';
import { literal, newId } from '@sormet/core/model';
import { useApp } from '../store/store';
import { useSync } from '../site/SiteProvider';
import { richExtensions } from '../values/rich/extensions';
import { fromEditor, toEditor } from '../values/rich/rich-json';
import { wordsEdit, type TypedTarget } from './words-edit';

/** An editor over an element of the canvas, while somebody types there. */
export interface RichTyping {
  readonly editor: Editor;
  readonly line: boolean;
}

type RichTarget = TypedTarget & { readonly rich: NonNullable<TypedTarget['rich']> };

/** What may have the focus while rich text is typed on the page: what the bar above it opens. */
const BESIDE = '.typing-bar, .ant-select-dropdown, .ant-picker-dropdown';

/**
 * Typing into rich text where it stands, with the keys it has in the ledger: every change is an edit, what is typed in
 * one go is one step. While it lasts the element belongs to the editor.
 * @param onEnd told when it is over, to write what stands there anew
 */
export function useRichTyping({
  frame,
  onEnd,
}: {
  frame: RefObject<HTMLIFrameElement | null>;
  onEnd: (element: HTMLElement) => void;
}): {
  typing: RichTyping | null;
  start: (element: HTMLElement, target: RichTarget) => void;
} {
  const sync = useSync();
  const documents = useApp((state) => state.site.documents);
  const latest = useRef(documents);
  latest.current = documents;
  const [typing, setTyping] = useState<RichTyping | null>(null);
  const stop = useRef<(() => void) | null>(null);
  const ended = useRef(onEnd);
  ended.current = onEnd;

  const start = useCallback(
    (element: HTMLElement, target: RichTarget) => {
      stop.current?.();
      const { line, lowered } = target.rich;
      const kept = [...element.attributes].map(({ name, value }) => [name, value] as const);
      const group = `type ${newId()}`;
      element.replaceChildren();
      const editor = new Editor({
        element: { mount: element },
        extensions: richExtensions({ line, bare: line, lowered }),
        content: toEditor(target.rich.pieces, line),
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
          const value = fromEditor(now.getJSON(), line);
          sync.edit(wordsEdit(latest.current, target, literal({ type: 'rich', value })), { group });
        },
        onBlur: () => setTimeout(endUnlessBeside),
      });
      // Spaces are kept as they are typed (CSS Text 3, 3); what the element had is put back at the end.
      element.style.whiteSpace = 'break-spaces';
      const endUnlessBeside = () => {
        const { activeElement } = document;
        if (editor.isDestroyed || editor.isFocused || activeElement?.closest(BESIDE)) return;
        end();
      };
      const end = () => {
        if (editor.isDestroyed) return;
        stop.current = null;
        document.removeEventListener('focusout', onFocusOut);
        setTyping(null);
        editor.destroy();
        for (const { name } of [...element.attributes]) element.removeAttribute(name);
        for (const [name, value] of kept) element.setAttribute(name, value);
        element.ownerDocument.getSelection()?.removeAllRanges();
        ended.current(element);
        // Whoever went on to something else stays there.
        const { activeElement } = document;
        if (
          activeElement === null ||
          activeElement === document.body ||
          activeElement === frame.current
        )
          frame.current?.parentElement
            ?.querySelector<HTMLElement>('.canvas-over')
            ?.focus({ preventScroll: true });
      };
      // Leaving what the bar opened, for anything but the text, ends it too.
      const onFocusOut = ({ target: left }: FocusEvent) => {
        if (left instanceof Element && left.closest(BESIDE)) setTimeout(endUnlessBeside);
      };
      document.addEventListener('focusout', onFocusOut);
      stop.current = end;
      frame.current?.contentWindow?.focus();
      editor.commands.focus('all');
      setTyping({ editor, line });
    },
    [sync, frame],
  );

  useEffect(() => () => stop.current?.(), []);
  return { typing, start };
}
