import type { TreeDifference } from './difference';
import type { NodeId } from './ids';
import { byOrder, orderBetween } from './order';
import { own } from './own';
import type { Place, Tree } from './tree';

/** The children of every node of a tree, sorted, by parent and slot. */
export class Children {
  /** By parent, then by slot; `''` is the place without a name. */
  private readonly lists = new Map<NodeId, Map<string, NodeId[]>>();
  /** The nodes without a parent; a sound tree has exactly one. */
  readonly roots: NodeId[] = [];

  constructor(private readonly tree: Tree) {
    for (const id in tree) {
      const { parent, slot = '' } = tree[id]!.place;
      if (parent === null) {
        this.roots.push(id);
        continue;
      }
      let slots = this.lists.get(parent);
      if (!slots) this.lists.set(parent, (slots = new Map()));
      const list = slots.get(slot);
      if (list) list.push(id);
      else slots.set(slot, [id]);
    }
    for (const slots of this.lists.values())
      for (const list of slots.values())
        if (list.length > 1) list.sort((a, b) => byOrder([a, tree[a]!.place], [b, tree[b]!.place]));
  }

  /** The children of a node, in order; with a slot, those that fill it. */
  of(parent: NodeId, slot = ''): readonly NodeId[] {
    return this.lists.get(parent)?.get(slot) ?? NO_NODES;
  }

  /** All children of a node whatever their slot: the unnamed first, then slot by slot by id. */
  all(parent: NodeId): readonly NodeId[] {
    const slots = this.lists.get(parent);
    const kind = own(this.tree, parent)?.kind;
    if (!slots || (kind !== 'instance' && kind !== 'repeat')) return this.of(parent);
    return [...slots.keys()].sort().flatMap((slot) => slots.get(slot)!);
  }
}

const NO_NODES: readonly NodeId[] = Object.freeze([]);

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
  const open = [node];
  for (let id = open.pop(); id !== undefined; id = open.pop()) {
    found.push(id);
    open.push(...[...children.all(id)].reverse());
  }
  return found;
}

/** The nodes above a node, nearest first. */
export function ancestorsOf(tree: Tree, node: NodeId): NodeId[] {
  const found: NodeId[] = [];
  let parent = own(tree, node)?.place.parent ?? null;
  while (parent !== null && found.length < 1000) {
    found.push(parent);
    parent = own(tree, parent)?.place.parent ?? null;
  }
  return found;
}

/**
 * The place of the `index`-th child of a parent (and slot); past the end, the last. Between siblings that
 * two windows gave one order there is no place: then it is the next one behind them.
 */
export function placeAt(tree: Tree, parent: NodeId, index: number, slot?: string): Place {
  const orders = childrenOf(tree)
    .of(parent, slot)
    .map((id) => tree[id]!.place.order);
  const at = Math.max(0, Math.min(index, orders.length));
  const before = at > 0 ? orders[at - 1]! : null;
  const after = orders.slice(at).find((each) => before === null || each > before) ?? null;
  const order = orderBetween(before, after);
  return slot === undefined ? { parent, order } : { parent, slot, order };
}

/** A place and the next ones behind it, for things that come to stand there together, in their order. */
export function placesFrom(tree: Tree, place: Place, count: number): Place[] {
  const { parent, slot, order } = place;
  const after =
    childrenOf(tree)
      .of(parent!, slot)
      .map((id) => tree[id]!.place.order)
      .find((each) => each > order) ?? null;
  const places = [place];
  while (places.length < count)
    places.push({ ...place, order: orderBetween(places.at(-1)!.order, after) });
  return places.slice(0, count);
}
