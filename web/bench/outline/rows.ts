import {
  childrenOf,
  docOf,
  inOrder,
  rootOf,
  type Documents,
  type TreeDoc,
  type TreeNode,
} from '@sormet/core/model';
import { nodeName, shortName } from '@sormet/core/edit';

/** A row of the outline. */
export interface Row {
  readonly id: string;
  readonly name: string;
  readonly note: string;
  readonly icon: 'document' | 'stamp' | 'box' | 'text' | 'picture' | 'repeat' | 'slot' | 'list';
  readonly own: string | null;
  /** The document the row belongs to. */
  readonly doc: string;
  readonly slot?: string;
  readonly parent: string | null;
  readonly children?: Row[];
}

/** The row of the document itself: what it says of itself is always one press away. */
export const WHOLE = 'the document';

/**
 * The tree of a document as rows, the document itself first: an element and its only text are one row, slots stand above
 * what fills them.
 */
export function rowsOf(documents: Documents, doc: TreeDoc): Row[] {
  const children = childrenOf(doc.nodes);
  const row = (id: string): Row => {
    const node = doc.nodes[id]!;
    const parent = node.place.parent;
    const name = nodeName(documents, node, doc);
    if (node.kind === 'instance') {
      const component = docOf(documents, 'component', node.component);
      const slots = component ? inOrder(component.slots) : [];
      return {
        id,
        own: id,
        doc: doc.id,
        parent,
        name: component ? shortName(component.name) : name,
        note: node.name ? `“${node.name}”` : '',
        icon: 'stamp',
        ...(slots.length > 0
          ? {
              children: slots.map(([slot, { label }]) => {
                const filled = children.of(id, slot);
                return {
                  id: `${id}/${slot}`,
                  own: null,
                  doc: doc.id,
                  slot,
                  parent: id,
                  name: label,
                  note: filled.length > 0 ? 'slot' : 'slot, empty',
                  icon: 'slot' as const,
                  children: filled.map(row),
                };
              }),
            }
          : {}),
      };
    }
    const inner = children.all(id);
    const onlyText = inner.length === 1 && doc.nodes[inner[0]!]!.kind === 'text';
    return {
      id,
      own: id,
      doc: doc.id,
      parent,
      name,
      note: noteOf(doc, node, onlyText ? doc.nodes[inner[0]!] : undefined),
      icon: iconOf(node),
      ...(inner.length > 0 && !onlyText ? { children: inner.map(row) } : {}),
    };
  };
  const whole: Row = {
    id: WHOLE,
    own: null,
    doc: doc.id,
    parent: null,
    name: doc.kind === 'page' ? 'page' : 'definition',
    note: doc.kind === 'page' ? doc.path : shortName(doc.name),
    icon: 'document',
  };
  return [whole, row(rootOf(doc.nodes))];
}

function iconOf(node: TreeNode): Row['icon'] {
  if (node.kind === 'text') return 'text';
  if (node.kind === 'repeat') return 'repeat';
  if (node.kind === 'slot') return 'slot';
  if (node.kind === 'element' && (node.tag === 'img' || node.tag === 'video')) return 'picture';
  if (
    node.kind === 'element' &&
    /^(h[1-6]|p|a|span|strong|em|small|time|figcaption)$/.test(node.tag)
  )
    return 'text';
  if (node.kind === 'element' && /^[uo]l$/.test(node.tag)) return 'list';
  return 'box';
}

function noteOf(doc: TreeDoc, node: TreeNode, text: TreeNode | undefined): string {
  if (doc.kind === 'component') {
    const exposed = [
      ...(node.kind === 'element' ? Object.values(node.attributes) : []),
      ...(text?.kind === 'text' ? [text.text] : []),
      ...(node.kind !== 'slot' && node.kind !== 'repeat' && node.shown ? [node.shown] : []),
    ].filter((source) => source.is === 'property').length;
    if (exposed > 0) return exposed === 1 ? 'exposed' : `exposed ${exposed}`;
  }
  return node.kind === 'element' ? node.tag : '';
}
