import {
  childrenOf,
  nodeIn,
  rootOf,
  treeDocOf,
  type DocId,
  type Documents,
  type InstanceNode,
  type NodeId,
  type TreeDoc,
} from '../../model';

/** One instance of a component, where it stands. */
export interface RosterRow {
  readonly doc: DocId;
  readonly node: NodeId;
  readonly instance: InstanceNode;
}

const orders = new WeakMap<TreeDoc['nodes'], ReadonlyMap<NodeId, number>>();

/** The place of each node of a tree in the order of the screen; worked out once for each tree. */
function screenOrder(nodes: TreeDoc['nodes']): ReadonlyMap<NodeId, number> {
  let order = orders.get(nodes);
  if (!order) {
    const made = new Map<NodeId, number>();
    const children = childrenOf(nodes);
    const visit = (id: NodeId) => {
      made.set(id, made.size);
      for (const child of children.all(id)) visit(child);
    };
    visit(rootOf(nodes));
    orders.set(nodes, (order = made));
  }
  return order;
}

/**
 * Every instance of a component: pages by their paths, then definitions by their names, in each as they stand on screen.
 * @param places where it is placed, as reach knows
 */
export function rosterOf(
  documents: Documents,
  places: readonly { readonly from: DocId; readonly node: NodeId }[],
): RosterRow[] {
  const word = (doc: TreeDoc) => (doc.kind === 'page' ? `0${doc.path}` : `1${doc.name}`);
  const rows = places.flatMap(({ from, node }) => {
    const doc = treeDocOf(documents, from);
    const instance = nodeIn(documents, from, node);
    if (!doc || instance?.kind !== 'instance') return [];
    return [
      {
        row: { doc: from, node, instance },
        word: word(doc),
        at: screenOrder(doc.nodes).get(node) ?? 0,
      },
    ];
  });
  rows.sort((a, b) => (a.word < b.word ? -1 : a.word > b.word ? 1 : a.at - b.at));
  return rows.map(({ row }) => row);
}
