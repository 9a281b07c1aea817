import { useEffect, useRef, type ReactNode } from 'react';
import { EditorContent, useEditor } from '@tiptap/react';
import { newId, sameJson, type RichPiece } from '@sormet/core/model';
import { useLatest } from '../../parts/use-latest';
import type { EditorProps } from '../editor-props';
import { beginMarked } from './begin-marked';
import { richExtensions } from './extensions';
import { RichButtons } from './RichButtons';
import { fromEditor, toEditor } from './rich-json';
import './rich.css';

/** Where the first character of the first paragraph stands. */
const FIRST = 1;

/** Whether a piece is a paragraph: then one that is left alone stays one. */
function isParagraph(piece: RichPiece): boolean {
  return typeof piece !== 'string' && piece.tag === 'p';
}

/** Rich text: bold, italic, links, lists, headings and quotations by keys or buttons; stored as data, never as HTML. */
export function RichEditor({
  value,
  begin,
  label,
  onChange,
  marked,
  onPlace,
  line = false,
}: EditorProps & { line?: boolean }): ReactNode {
  const shown = value ?? begin;
  const given = shown?.type === 'rich' ? shown.value : null;
  const last = useRef(given);
  const session = useRef(newId());
  const tell = useLatest(onChange);
  const placing = useLatest(onPlace);
  const editor = useEditor({
    extensions: richExtensions({ line }),
    content: toEditor(given ?? []),
    injectCSS: false,
    editorProps: {
      attributes: {
        'aria-label': label,
        role: 'textbox',
        'aria-multiline': 'true',
        class: 'rich-text',
      },
      handleTextInput: (view, _from, _to, typed) => {
        if (typed !== '{' || !placing.current) return false;
        placing.current(view.state.selection.from - FIRST);
        return true;
      },
    },
    onFocus: () => {
      session.current = newId();
    },
    onUpdate: ({ editor: now }) => {
      const pieces = fromEditor(now.getJSON(), line, last.current?.some(isParagraph));
      last.current = pieces;
      tell.current({ type: 'rich', value: pieces }, session.current);
    },
  });
  // Somebody else, or a step back, has changed it: what is shown follows.
  useEffect(() => {
    if (!editor || sameJson(given, last.current)) return;
    last.current = given;
    editor.commands.setContent(toEditor(given ?? []), { emitUpdate: false });
  }, [editor, given]);
  // What was marked while it was plain is marked again, and has what was asked for: once.
  const waiting = useRef(marked);
  useEffect(() => {
    if (!editor || !waiting.current) return;
    editor.view.focus();
    beginMarked(editor, waiting.current, FIRST);
    waiting.current = undefined;
  }, [editor]);
  if (!editor) return null;
  return (
    <div className="rich-editor">
      <RichButtons editor={editor} label={label} line={line} />
      <EditorContent editor={editor} />
    </div>
  );
}
