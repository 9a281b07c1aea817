import {
  newId,
  ordersFor,
  text,
  type Block,
  type Literal,
  type NodeId,
  type Place,
  type Source,
  type Tree,
  type TreeNode,
} from '../model';
import { blockOf } from '../style';

/** A branch of a tree before it has ids: what ready sections, elements and the demo are written as. */
export interface Branch {
  readonly id?: NodeId;
  readonly name?: string;
  readonly tag?: string;
  readonly component?: string;
  readonly slot?: string;
  readonly repeat?: Extract<TreeNode, { kind: 'repeat' }>['query'];
  readonly attributes?: Record<string, Source>;
  readonly values?: Record<string, Source>;
  readonly style?: Block;
  /** The shared styles put on it. */
  readonly shared?: Readonly<Record<string, true>>;
  /** The theme that begins with it. */
  readonly theme?: string;
  readonly shown?: Source;
  readonly text?: string | Source;
  /** A text that is rich: in a line of words, or with blocks of its own. */
  readonly rich?: 'line' | 'blocks';
  readonly children?: readonly Branch[];
  /** What fills the slots of an instance, or what a repeat shows for no entries (`none`). */
  readonly slots?: Record<string, readonly Branch[]>;
}

/** The nodes of a branch, with new ids where it names none, standing at a place. */
export function plant(
  branch: Branch,
  at: Place,
  makeId: () => NodeId = newId,
): { root: NodeId; nodes: Tree } {
  const nodes: Record<string, TreeNode> = {};
  const grow = (from: Branch, where: Place): NodeId => {
    const id = from.id ?? makeId();
    nodes[id] = nodeOf(from, where);
    const own = from.text !== undefined && from.tag ? [{ text: from.text }] : [];
    const inner = [...own, ...(from.children ?? [])];
    ordersFor(inner.length).forEach((order, i) => grow(inner[i]!, { parent: id, order }));
    for (const [slot, list] of Object.entries(from.slots ?? {}))
      ordersFor(list.length).forEach((order, i) => grow(list[i]!, { parent: id, slot, order }));
    return id;
  };
  const root = grow(branch, at);
  return { root, nodes };
}

function nodeOf(from: Branch, place: Place): TreeNode {
  const common = from.name === undefined ? { place } : { place, name: from.name };
  const shown = from.shown === undefined ? {} : { shown: from.shown };
  if (from.tag)
    return {
      kind: 'element',
      ...common,
      tag: from.tag,
      attributes: from.attributes ?? {},
      style: from.style ?? {},
      ...(from.shared ? { shared: from.shared } : {}),
      ...(from.theme === undefined ? {} : { theme: from.theme }),
      ...shown,
    };
  if (from.component)
    return {
      kind: 'instance',
      ...common,
      component: from.component,
      values: from.values ?? {},
      style: from.style ?? {},
      ...(from.shared ? { shared: from.shared } : {}),
      ...(from.theme === undefined ? {} : { theme: from.theme }),
      ...shown,
    };
  if (from.slot) return { kind: 'slot', ...common, slot: from.slot };
  if (from.repeat) return { kind: 'repeat', ...common, query: from.repeat };
  const source = from.text ?? '';
  return {
    kind: 'text',
    ...common,
    text: typeof source === 'string' ? text(source) : source,
    ...(from.rich ? { rich: from.rich } : {}),
    ...shown,
  };
}

const address = (href: string): Literal => ({
  is: 'value',
  type: 'link',
  value: { to: 'address', href },
});

/** Something the shelf offers to begin from. */
export interface Starter {
  readonly key: string;
  readonly label: string;
  readonly folder: 'Ready sections' | 'Elements';
  readonly branch: () => Branch;
}

const PLAIN_SECTION = { 'padding-block': '64px', 'padding-inline': '32px' };

/** The ready sections and elements that every site begins with. */
export const STARTERS: readonly Starter[] = [
  {
    key: 'words-and-picture',
    label: 'Words and picture',
    folder: 'Ready sections',
    branch: () => ({
      tag: 'section',
      name: 'Words and picture',
      style: blockOf({
        ...PLAIN_SECTION,
        display: 'grid',
        'grid-template-columns': 'minmax(0, 1fr) minmax(0, 1fr)',
        'column-gap': '48px',
        'row-gap': '32px',
        'align-items': 'center',
      }),
      children: [
        {
          tag: 'div',
          name: 'Words',
          children: [
            { tag: 'h2', name: 'Heading', text: 'A heading for this section' },
            {
              tag: 'p',
              name: 'Text',
              text: 'Two or three sentences that say what this is about and why somebody would want it.',
            },
            {
              tag: 'a',
              name: 'Button',
              attributes: { href: address('/') },
              text: 'Find out more',
              style: blockOf({
                display: 'inline-block',
                'margin-top': '12px',
                padding: '12px 20px',
                'border-radius': '4px',
                background: '#20262b',
                color: '#ffffff',
                'text-decoration': 'none',
              }),
            },
          ],
        },
        {
          tag: 'img',
          name: 'Picture',
          attributes: { src: { is: 'value', type: 'image', value: null }, alt: text('') },
          style: blockOf({ width: '100%', height: 'auto', 'border-radius': '6px' }),
        },
      ],
    }),
  },
  {
    key: 'words',
    label: 'Words only',
    folder: 'Ready sections',
    branch: () => ({
      tag: 'section',
      name: 'Words',
      style: blockOf(PLAIN_SECTION),
      children: [
        { tag: 'h2', name: 'Heading', text: 'A heading for this section' },
        { tag: 'p', name: 'Text', text: 'A paragraph to begin with.' },
      ],
    }),
  },
  element('heading', 'Heading', { tag: 'h2', text: 'Heading' }),
  element('text', 'Text', { tag: 'p', text: 'Text' }),
  element('link', 'Link', { tag: 'a', text: 'Link', attributes: { href: address('/') } }),
  element('picture', 'Picture', {
    tag: 'img',
    attributes: { src: { is: 'value', type: 'image', value: null }, alt: text('') },
  }),
  element('box', 'Box', { tag: 'div' }),
  element('section', 'Section', { tag: 'section', style: blockOf(PLAIN_SECTION) }),
  element('list', 'List', {
    tag: 'ul',
    children: [
      { tag: 'li', text: 'First' },
      { tag: 'li', text: 'Second' },
    ],
  }),
];

function element(key: string, label: string, branch: Branch): Starter {
  return { key, label, folder: 'Elements', branch: () => branch };
}
