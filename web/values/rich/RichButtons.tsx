import { useEffect, useRef, useState, type ReactNode } from 'react';
import { useEditorState, type Editor } from '@tiptap/react';
import {
  Bold,
  Heading2,
  Heading3,
  Italic,
  Link2,
  List,
  ListOrdered,
  Paintbrush,
  Quote,
} from 'lucide-react';
import { allOf, type LinkValue } from '@sormet/core/model';
import { stylesInOrder } from '@sormet/core/style';
import { useDerived } from '../../site/SiteProvider';
import { LinkEditor } from '../LinkEditor';
import { ChoiceCell } from '../../parts/ChoiceCell';
import { hearAsked, type Asked } from './extensions';

/** The value of no shared style among those that can be chosen. */
const NONE = '';

/** What can be done to the words that are marked in rich text, by buttons: each has its key beside, and both do the same. */
export function RichButtons({
  editor,
  label,
  line,
}: {
  editor: Editor;
  label: string;
  /** Whether it is a line of words: no headings, lists and quotations. */
  line: boolean;
}): ReactNode {
  const { documents } = useDerived();
  const [asked, setAsked] = useState<Asked | null>(null);
  const asking = useRef<HTMLSpanElement>(null);
  // The keys of links and styles ask here, and what is asked for is typed at once.
  useEffect(() => hearAsked(editor, setAsked), [editor]);
  useEffect(() => {
    if (asked) asking.current?.querySelector<HTMLElement>('input, [tabindex]')?.focus();
  }, [asked]);
  const at = useEditorState({
    editor,
    selector: ({ editor: now }) => ({
      bold: now.isActive('bold'),
      italic: now.isActive('italic'),
      link: now.isActive('link'),
      styled: now.isActive('styled'),
      h2: now.isActive('heading', { level: 2 }),
      h3: now.isActive('heading', { level: 3 }),
      bullets: now.isActive('bulletList'),
      numbers: now.isActive('orderedList'),
      quote: now.isActive('blockquote'),
      to: now.getAttributes('link')['to'] as LinkValue | undefined,
      style: now.getAttributes('styled')['style'] as string | undefined,
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
  const styles = allOf(documents, 'style');
  const worn = stylesInOrder(documents).flatMap((id) => {
    const style = styles.find((each) => each.id === id);
    return style?.base === null ? [{ value: id, label: style.name }] : [];
  });
  return (
    <div
      className="rich-buttons"
      role="toolbar"
      aria-label={`${label}, how it looks`}
      onKeyDown={(event) => {
        // Back to the words: what was asked for is given up.
        if (event.key !== 'Escape' || !asked) return;
        event.stopPropagation();
        setAsked(null);
        // At once: the command of the package waits for a frame, and what is typed until then would be lost.
        editor.view.focus();
      }}
    >
      {button('Bold', 'Ctrl+B', <Bold size={13} aria-hidden />, at.bold, () =>
        chain().toggleBold().run(),
      )}
      {button('Italic', 'Ctrl+I', <Italic size={13} aria-hidden />, at.italic, () =>
        chain().toggleItalic().run(),
      )}
      {button('Link', 'Ctrl+K', <Link2 size={13} aria-hidden />, at.link, () =>
        setAsked(asked === 'link' ? null : 'link'),
      )}
      {worn.length > 0
        ? button(
            'Shared style',
            'Ctrl+Alt+S',
            <Paintbrush size={13} aria-hidden />,
            at.styled,
            () => setAsked(asked === 'style' ? null : 'style'),
          )
        : null}
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
      {asked === 'link' ? (
        <span ref={asking} className="rich-linking">
          <Linking label={label} chain={chain} at={at} onDone={() => setAsked(null)} />
        </span>
      ) : null}
      {asked === 'style' ? (
        <span ref={asking} className="rich-linking">
          <Styling label={label} chain={chain} at={at} worn={worn} onDone={() => setAsked(null)} />
        </span>
      ) : null}
    </div>
  );
}

interface Asking {
  label: string;
  chain: () => ReturnType<Editor['chain']>;
  onDone: () => void;
}

/** Where the marked words lead: a link is made, led elsewhere or taken away. */
function Linking({
  label,
  chain,
  at,
  onDone,
}: Asking & { at: { link: boolean; to: LinkValue | undefined } }): ReactNode {
  const unlink = () => chain().extendMarkRange('link').unsetMark('link').run();
  return (
    <>
      <LinkEditor
        type={{ kind: 'link' }}
        label={`${label}, where the link leads`}
        value={at.to ? { type: 'link', value: at.to } : undefined}
        placeholder="where the link leads"
        onChange={(next) => {
          if (next.type !== 'link') return;
          if (next.value === null) unlink();
          else chain().extendMarkRange('link').setMark('link', { to: next.value }).run();
          onDone();
        }}
      />
      {at.link ? (
        <button
          type="button"
          className="as-link"
          onClick={() => {
            unlink();
            onDone();
          }}
        >
          no link
        </button>
      ) : null}
    </>
  );
}

/** Which shared style the marked words have. */
function Styling({
  label,
  chain,
  at,
  worn,
  onDone,
}: Asking & {
  at: { styled: boolean; style: string | undefined };
  worn: readonly { value: string; label: string }[];
}): ReactNode {
  return (
    <ChoiceCell
      label={`${label}, the shared style of these words`}
      chosen={at.style}
      placeholder="a shared style"
      options={[...(at.styled ? [{ value: NONE, label: 'no shared style' }] : []), ...worn]}
      onChoose={(style) => {
        if (style === NONE) chain().extendMarkRange('styled').unsetMark('styled').run();
        else chain().setMark('styled', { style }).run();
        onDone();
      }}
    />
  );
}
