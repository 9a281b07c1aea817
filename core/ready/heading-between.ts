import type { DateStyle } from '../locale';
import {
  childrenOf,
  docOf,
  placeAt,
  rootOf,
  type Documents,
  type FieldId,
  type NodeId,
  type Source,
  type Tree,
  type TypeSpec,
} from '../model';
import { plant, type Branch } from './branches';

/** By what headings stand between the items of a repeat: a field of theirs, and how much of a date. */
export interface HeadingBy {
  readonly field: FieldId;
  readonly type: TypeSpec;
  /** Of a date: how it is written; a heading begins where that is another. */
  readonly style?: DateStyle;
  /** The title of what a reference leads to. */
  readonly title?: FieldId;
}

/** Parts of a date that lists are divided by. */
export const DIVIDED_BY = ['year', 'monthAndYear', 'full'] as const satisfies readonly DateStyle[];

/**
 * A heading that stands before each item of a repeat with which another value of a field begins: it says that value, and
 * is shown there alone. In a list it is in an item of that list, as HTML wants it.
 */
export function headingBetween(
  documents: Documents,
  nodes: Tree,
  repeat: NodeId,
  { field, type, style, title }: HeadingBy,
): { root: NodeId; nodes: Tree } {
  const read = (path: FieldId[]): Source => ({ is: 'field', from: { repeat }, path });
  const written: Source =
    style === undefined
      ? read(title === undefined ? [field] : [field, title])
      : {
          is: 'words',
          of: 'text',
          pieces: [{ place: 'of', format: { as: 'date', style } }],
          names: { of: read([field]) },
        };
  // Of two that are called alike each has a heading of its own.
  const of = type.kind === 'entry' ? read([field]) : written;
  // Before what has no such value stands none.
  const shown: Source = { is: 'begins', repeat, of: { ...of, whenEmpty: 'hide' } };
  const heading: Branch = {
    tag: 'h3',
    name: 'Heading between',
    text: written,
  };
  const branch: Branch = isOfList(documents, nodes, repeat)
    ? { tag: 'li', name: 'Heading between', shown, children: [{ ...heading, name: 'Heading' }] }
    : { ...heading, shown };
  return plant(branch, placeAt(nodes, repeat, 0));
}

/** Whether what a repeat repeats are items of a list: it stands in one, or one of them is an item, by the root of its component too. */
function isOfList(documents: Documents, nodes: Tree, repeat: NodeId): boolean {
  const tagOf = (id: NodeId): string => {
    const node = nodes[id]!;
    const component =
      node.kind === 'instance' ? docOf(documents, 'component', node.component) : undefined;
    const element = component ? component.nodes[rootOf(component.nodes)] : node;
    return element?.kind === 'element' ? element.tag : '';
  };
  const { parent } = nodes[repeat]!.place;
  return (
    (parent !== null && ['ul', 'ol'].includes(tagOf(parent))) ||
    childrenOf(nodes)
      .of(repeat)
      .some((child) => tagOf(child) === 'li')
  );
}
