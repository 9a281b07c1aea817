import { useEffect, useRef, useState, type ReactNode } from 'react';
import { EditorContent, useEditor, useEditorState, type Editor } from '@tiptap/react';
import { Bold, Heading2, Heading3, Italic, Link2, List, ListOrdered, Quote } from 'lucide-react';
import { newId, sameJson, type LinkValue, type RichPiece, type Typed } from '@sormet/core/model';
import type { EditorProps } from '../editor-props';
import { LinkEditor } from '../LinkEditor';
import { richExtensions } from './extensions';
import { fromEditor, toEditor } from './rich-json';
import './rich.css';

const HEADINGS = [2, 3, 4] as const;

/** Rich text: bold, italic, links, lists, headings and quotations by keys or buttons; stored as data, never as HTML. */
export function RichEditor({
  value,
  begin,
  label,
  onChange,
  line = false,
}: EditorProps & { line?: boolean }): ReactNode {
  const shown = value ?? begin;
  const given = shown?.type === 'rich' ? (shown.value as RichPiece[] | null) : null;
  const last = useRef(given);
  const session = useRef(newId());
  const tell = useRef(onChange);
  tell.current = onChange;
  const editor = useEditor({
    extensions: richExtensions(line ? [] : HEADINGS, line),
    content: toEditor(given ?? []),
    injectCSS: false,
    editorProps: {
      attributes: {
        'aria-label': label,
        role: 'textbox',
        'aria-multiline': 'true',
        class: 'rich-text',
      },
    },
    onFocus: () => {
      session.current = newId();
    },
    onUpdate: ({ editor: now }) => {
      const pieces = fromEditor(now.getJSON(), line);
      last.current = pieces;
      tell.current({ type: 'rich', value: pieces } as Typed, session.current);
    },
  });
  // Somebody else, or a step back, has changed it: what is shown follows.
  useEffect(() => {
    if (!editor || sameJson(given as never, last.current as never)) return;
    last.current = given;
    editor.commands.setContent(toEditor(given ?? []), { emitUpdate: false });
  }, [editor, given]);
  if (!editor) return null;
  return (
    <div className="rich-editor">
      <Buttons editor={editor} label={label} line={line} />
      <EditorContent editor={editor} />
    </div>
  );
}

function Buttons({
  editor,
  label,
  line,
}: {
  editor: Editor;
  label: string;
  line: boolean;
}): ReactNode {
  const [linking, setLinking] = useState(false);
  const at = useEditorState({
    editor,
    selector: ({ editor: now }) => ({
      bold: now.isActive('bold'),
      italic: now.isActive('italic'),
      link: now.isActive('link'),
      h2: now.isActive('heading', { level: 2 }),
      h3: now.isActive('heading', { level: 3 }),
      bullets: now.isActive('bulletList'),
      numbers: now.isActive('orderedList'),
      quote: now.isActive('blockquote'),
      to: now.getAttributes('link')['to'] as LinkValue | undefined,
    }),
  });
  const chain = () => editor.chain().focus();
  const button = (name: string, keys: string, icon: ReactNode, on: boolean, run: () => void) => (
    <button
      key={name}
      type="button"
      className="icon-button"
      aria-label={name}
      aria-pressed={on}
      title={keys ? `${name} (${keys})` : name}
      onMouseDown={(event) => event.preventDefault()}
      onClick={run}
    >
      {icon}
    </button>
  );
  return (
    <div className="rich-buttons" role="toolbar" aria-label={`${label}, how it looks`}>
      {button('Bold', 'Ctrl+B', <Bold size={13} aria-hidden />, at.bold, () =>
        chain().toggleBold().run(),
      )}
      {button('Italic', 'Ctrl+I', <Italic size={13} aria-hidden />, at.italic, () =>
        chain().toggleItalic().run(),
      )}
      {button('Link', '', <Link2 size={13} aria-hidden />, at.link, () => setLinking(!linking))}
      {line
        ? null
        : [
            button('Heading', 'Ctrl+Alt+2', <Heading2 size={13} aria-hidden />, at.h2, () =>
              chain().toggleHeading({ level: 2 }).run(),
            ),
            button('Smaller heading', 'Ctrl+Alt+3', <Heading3 size={13} aria-hidden />, at.h3, () =>
              chain().toggleHeading({ level: 3 }).run(),
            ),
            button('List', 'Ctrl+Shift+8', <List size={13} aria-hidden />, at.bullets, () =>
              chain().toggleBulletList().run(),
            ),
            button(
              'Numbered list',
              'Ctrl+Shift+7',
              <ListOrdered size={13} aria-hidden />,
              at.numbers,
              () => chain().toggleOrderedList().run(),
            ),
            button('Quotation', 'Ctrl+Shift+B', <Quote size={13} aria-hidden />, at.quote, () =>
              chain().toggleBlockquote().run(),
            ),
          ]}
      {linking ? (
        <span className="rich-linking">
          <LinkEditor
            type={{ kind: 'link' }}
            label={`${label}, where the link leads`}
            value={at.to ? { type: 'link', value: at.to } : undefined}
            placeholder="where the link leads"
            onChange={(next) => {
              if (next.type !== 'link') return;
              if (next.value === null) chain().extendMarkRange('link').unsetMark('link').run();
              else chain().extendMarkRange('link').setMark('link', { to: next.value }).run();
              setLinking(false);
            }}
          />
          {at.link ? (
            <button
              type="button"
              className="as-link"
              onClick={() => {
                chain().extendMarkRange('link').unsetMark('link').run();
                setLinking(false);
              }}
            >
              no link
            </button>
          ) : null}
        </span>
      ) : null}
    </div>
  );
}
