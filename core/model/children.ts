import type { TreeDifference } from './difference';
import type { NodeId } from './ids';
import { byOrder, orderBetween } from './order';
import type { Place, Tree } from './tree';

/** The children of every node of a tree, sorted, under the key of parent and slot. */
export class Children {
  private readonly lists = new Map<string, NodeId[]>();
  /** The nodes without a parent; a sound tree has exactly one. */
  readonly roots: NodeId[] = [];

  constructor(private readonly tree: Tree) {
    for (const id in tree) {
      const { parent, slot } = tree[id]!.place;
      if (parent === null) {
        this.roots.push(id);
        continue;
      }
      const key = listKey(parent, slot);
      const list = this.lists.get(key);
      if (list) list.push(id);
      else this.lists.set(key, [id]);
    }
    for (const list of this.lists.values()) {
      if (list.length > 1) list.sort((a, b) => byOrder([a, tree[a]!.place], [b, tree[b]!.place]));
    }
  }

  /** The children of a node, in order; with a slot, those that fill it. */
  of(parent: NodeId, slot?: string): readonly NodeId[] {
    return this.lists.get(listKey(parent, slot)) ?? [];
  }

  /** All children of a node whatever their slot: the unnamed first, then slot by slot by id. */
  all(parent: NodeId): readonly NodeId[] {
    const own = this.of(parent);
    const kind = this.tree[parent]?.kind;
    if (kind !== 'instance' && kind !== 'repeat') return own;
    const named: string[] = [];
    for (const key of this.lists.keys()) {
      if (key.startsWith(parent + '/') && key !== parent + '/') named.push(key);
    }
    return named.sort().reduce<NodeId[]>((all, key) => all.concat(this.lists.get(key)!), [...own]);
  }
}

function listKey(parent: NodeId, slot?: string): string {
  return parent + '/' + (slot ?? '');
}

const cache = new WeakMap<Tree, Children>();

/** The children of a tree, worked out once for each tree. */
export function childrenOf(tree: Tree): Children {
  let children = cache.get(tree);
  if (!children) cache.set(tree, (children = new Children(tree)));
  return children;
}

/** Uses the children of an earlier state again when, by their difference, every node stands where it stood. */
export function shareChildren(before: Tree, now: Tree, difference: TreeDifference): void {
  const earlier = cache.get(before);
  if (!earlier || cache.has(now) || difference.removed.length > 0) return;
  for (const id of difference.changed) {
    const node = now[id]!;
    const old = before[id];
    if (old === undefined || old.kind !== node.kind || old.place !== node.place) return;
  }
  cache.set(now, earlier);
}

/** The root of a tree. @throws when there is none, which no stored tree allows. */
export function rootOf(tree: Tree): NodeId {
  const root = childrenOf(tree).roots[0];
  if (root === undefined) throw new Error('This tree has no root.');
  return root;
}

/** A node and everything below it, parents before children, in document order. */
export function withDescendants(tree: Tree, node: NodeId): NodeId[] {
  const children = childrenOf(tree);
  const found: NodeId[] = [];
  const visit = (id: NodeId) => {
    found.push(id);
    for (const child of children.all(id)) visit(child);
  };
  visit(node);
  return found;
}

/** The nodes above a node, nearest first. */
export function ancestorsOf(tree: Tree, node: NodeId): NodeId[] {
  const found: NodeId[] = [];
  let parent = tree[node]?.place.parent ?? null;
  while (parent !== null && found.length < 1000) {
    found.push(parent);
    parent = tree[parent]?.place.parent ?? null;
  }
  return found;
}

/** The place of the `index`-th child of a parent (and slot); past the end, the last. */
export function placeAt(tree: Tree, parent: NodeId, index: number, slot?: string): Place {
  const siblings = childrenOf(tree).of(parent, slot);
  const at = Math.max(0, Math.min(index, siblings.length));
  const order = orderBetween(
    at > 0 ? tree[siblings[at - 1]!]!.place.order : null,
    at < siblings.length ? tree[siblings[at]!]!.place.order : null,
  );
  return slot === undefined ? { parent, order } : { parent, slot, order };
}
