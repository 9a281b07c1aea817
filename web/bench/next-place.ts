import {
  childrenOf,
  docOf,
  placeAt,
  rootOf,
  treeDocOf,
  type Documents,
  type Place,
  own,
} from '@sormet/core/model';
import type { Selection } from '../store/bench-slice';

/** Where something goes that is placed without pointing: after what is selected, else last in the main content. */
export function nextPlace(
  documents: Documents,
  doc: string,
  selection: Selection | null,
): Place | undefined {
  const tree = treeDocOf(documents, doc);
  if (!tree) return undefined;
  const root = rootOf(tree.nodes);
  const selected = selection?.doc === doc ? selection.nodes[0] : undefined;
  const node = selected !== undefined ? own(tree.nodes, selected) : undefined;
  if (selected !== undefined && node && selected !== root && node.place.parent !== null) {
    const { parent, slot } = node.place;
    const index = childrenOf(tree.nodes).of(parent, slot).indexOf(selected);
    return placeAt(tree.nodes, parent, index + 1, slot);
  }
  const rootNode = tree.nodes[root]!;
  if (rootNode.kind !== 'instance') return placeAt(tree.nodes, root, Infinity);
  const component = docOf(documents, 'component', rootNode.component);
  const slot = component && Object.keys(component.slots)[0];
  return slot === undefined ? undefined : placeAt(tree.nodes, root, Infinity, slot);
}
