import type { NodeId } from './ids';
import { own } from './own';
import type { Tree } from './tree';

/** What differs between two states of a tree, told by identity: nodes are never changed in place. */
export interface TreeDifference {
  /** Nodes that are new or another object. */
  readonly changed: readonly NodeId[];
  /** Nodes that are no longer there. */
  readonly removed: readonly NodeId[];
}

const NONE: TreeDifference = { changed: [], removed: [] };

/** The difference between a tree and an earlier state of it, in one pass over the nodes. */
export function treeDifference(before: Tree, now: Tree): TreeDifference {
  if (before === now) return NONE;
  const changed: NodeId[] = [];
  const removed: NodeId[] = [];
  let fresh = 0;
  const ids = Object.keys(now);
  for (const id of ids) {
    const old = own(before, id);
    if (old === now[id]) continue;
    changed.push(id);
    if (old === undefined) fresh += 1;
  }
  const earlier = Object.keys(before);
  if (earlier.length !== ids.length - fresh)
    for (const id of earlier) if (!Object.hasOwn(now, id)) removed.push(id);
  return { changed, removed };
}
