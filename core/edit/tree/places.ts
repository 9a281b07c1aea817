import {
  childrenOf,
  docOf,
  type Documents,
  inOrder,
  isVoid,
  type NodeId,
  own,
  type Place,
  placeAt,
  takesText,
  type Tree,
} from '../../model';

/**
 * The last place in a node, of an instance in its first slot; nothing where it holds nothing. Whether something may stand
 * there says the edit that puts it there.
 */
export function placeInto(documents: Documents, nodes: Tree, id: NodeId): Place | undefined {
  const node = own(nodes, id);
  switch (node?.kind) {
    case 'element':
      return isVoid(node.tag) ? undefined : placeAt(nodes, id, Infinity);
    case 'slot':
    case 'repeat':
      return placeAt(nodes, id, Infinity);
    case 'instance': {
      const component = docOf(documents, 'component', node.component);
      const slot = component && inOrder(component.slots)[0]?.[0];
      return slot === undefined ? undefined : placeAt(nodes, id, Infinity, slot);
    }
    default:
      return undefined;
  }
}

/** Whether an element holds words of its own: then it is a piece of text, with whatever marks stand in it. */
export function holdsWords(nodes: Tree, id: NodeId): boolean {
  const node = own(nodes, id);
  if (node?.kind !== 'element' || !takesText(node.tag)) return false;
  return childrenOf(nodes)
    .of(id)
    .some((child) => nodes[child]!.kind === 'text');
}
