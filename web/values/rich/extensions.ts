import { Extension, Mark, mergeAttributes, type Editor, type Extensions } from '@tiptap/react';
import { Document } from '@tiptap/extension-document';
import { Heading } from '@tiptap/extension-heading';
import StarterKit from '@tiptap/starter-kit';
import { safeAddress, type LinkValue } from '@sormet/core/model';
import { sharedClassOf } from '@sormet/core/resolve';
import { SelectionAsShown } from './selection-as-shown';

/** A link that leads where links of values do; what is pasted with an address that may not stand in a page is words. */
const Link = Mark.create({
  name: 'link',
  inclusive: false,
  addAttributes() {
    return {
      to: {
        default: null,
        parseHTML: (element) => linkOf(element.getAttribute('href') ?? ''),
        renderHTML: () => ({}),
      },
    };
  },
  parseHTML() {
    return [
      {
        tag: 'a[href]',
        getAttrs: (element) => (linkOf(element.getAttribute('href') ?? '') ? null : false),
      },
    ];
  },
  renderHTML({ HTMLAttributes }) {
    return ['a', mergeAttributes(HTMLAttributes, { class: 'rich-link' }), 0];
  },
});

const Small = Mark.create({
  name: 'small',
  parseHTML: () => [{ tag: 'small' }],
  renderHTML: () => ['small', 0],
});

/** A link to an address, where it may stand in a page. */
function linkOf(href: string): LinkValue | null {
  const address = safeAddress(href);
  return address === '' ? null : { to: 'address', href: address };
}

/** Words with a shared style; what is pasted brings none. */
const Styled = Mark.create({
  name: 'styled',
  addAttributes() {
    return { style: { default: null, renderHTML: () => ({}) } };
  },
  renderHTML({ mark }) {
    return ['span', { class: `rich-styled ${sharedClassOf(String(mark.attrs['style']), 0)}` }, 0];
  },
});

/** What a key of an editor asks for that is chosen beside the words. */
export type Asked = 'link' | 'style';

/** Who hears what the keys of an editor ask for: whoever shows the choices. */
const hearing = new WeakMap<Editor, (asked: Asked) => void>();

/** What was asked for before anybody heard. */
const waiting = new WeakMap<Editor, Asked>();

/** Asks for what is chosen beside the words, as its key does; who shows the choices may come a moment later. */
export function askIn(editor: Editor, asked: Asked): void {
  const hear = hearing.get(editor);
  if (hear) hear(asked);
  else waiting.set(editor, asked);
}

/** The keys of what is chosen beside the words. */
const Asking = Extension.create({
  name: 'asking',
  addKeyboardShortcuts() {
    const ask = (asked: Asked) => () => {
      askIn(this.editor, asked);
      return true;
    };
    return { 'Mod-k': ask('link'), 'Mod-Alt-s': ask('style') };
  },
});

/** Hears what the keys of an editor ask for, until it is told not to. */
export function hearAsked(editor: Editor, hear: (asked: Asked) => void): () => void {
  hearing.set(editor, hear);
  const asked = waiting.get(editor);
  waiting.delete(editor);
  if (asked !== undefined) hear(asked);
  return () => {
    if (hearing.get(editor) === hear) hearing.delete(editor);
  };
}

/** A document that is a line of words itself: nothing stands around them but the element that is typed into. */
const BareLine = Document.extend({ content: 'inline*' });

const HEADINGS = [2, 3, 4] as const;

/**
 * What rich text may hold, for the editor: what is pasted is read by this and by nothing else, so that no other element,
 * attribute or style gets in.
 */
export function richExtensions({
  line,
  bare = false,
  lowered = 0,
  plain = false,
}: {
  /** Whether it is a line of words: no headings, lists and quotations. */
  readonly line: boolean;
  /** Whether such a line has nothing around it, not even a paragraph. */
  readonly bare?: boolean;
  /** By how many levels its headings show lower than they are stored. */
  readonly lowered?: number;
  /** Whether it is words alone: no emphasis, links and styles, and no second line. */
  readonly plain?: boolean;
}): Extensions {
  const LoweredHeading = Heading.extend({
    renderHTML({ node }) {
      return [`h${Math.min(6, Number(node.attrs['level']) + lowered)}`, 0];
    },
  });
  return [
    StarterKit.configure({
      link: false,
      underline: false,
      strike: false,
      codeBlock: false,
      horizontalRule: false,
      trailingNode: false,
      heading: false,
      ...(line
        ? {
            bulletList: false,
            orderedList: false,
            listItem: false,
            listKeymap: false,
            blockquote: false,
          }
        : {}),
      ...(bare ? { document: false, paragraph: false } : {}),
      ...(plain ? { bold: false, italic: false, code: false, hardBreak: false } : {}),
    }),
    ...(bare ? [BareLine] : []),
    ...(line ? [] : [LoweredHeading.configure({ levels: [...HEADINGS] })]),
    ...(plain ? [] : [Link, Styled, Small, Asking]),
    SelectionAsShown,
  ];
}
