import type { DocId } from './ids';
import type { Tree } from './tree';

const known = new WeakMap<Tree, readonly DocId[]>();

/** The components that a tree places, each once; worked out once for each tree. */
export function componentsIn(nodes: Tree): readonly DocId[] {
  let list = known.get(nodes);
  if (!list) {
    const found = new Set<DocId>();
    for (const id in nodes) {
      const node = nodes[id]!;
      if (node.kind === 'instance') found.add(node.component);
    }
    known.set(nodes, (list = [...found]));
  }
  return list;
}
