import {
  ancestorsOf,
  childrenOf,
  type Documents,
  type NodeId,
  own,
  type Place,
  placeAt,
  placesFrom,
  rootOf,
  type Tree,
  withDescendants,
} from '../../model';
import { holdsWords, placeInto } from './places';

/** Those of some nodes that stand in none of the others, in the order of the document. */
export function topmost(tree: Tree, nodes: readonly NodeId[]): NodeId[] {
  const chosen = new Set(nodes.filter((id) => own(tree, id)));
  const inside = (id: NodeId) => ancestorsOf(tree, id).some((above) => chosen.has(above));
  return withDescendants(tree, rootOf(tree)).filter((id) => chosen.has(id) && !inside(id));
}

/** What goes where, as the edit takes it. */
export interface Move {
  readonly node: NodeId;
  readonly place: Place;
}

/**
 * Several nodes to one place, in the order in which they stand in the document.
 * @param index how many of the children of the place come before them, those that move counted too
 */
export function movesTo(
  tree: Tree,
  chosen: readonly NodeId[],
  parent: NodeId,
  index: number,
  slot?: string,
): Move[] {
  const moving = topmost(tree, chosen);
  const before = childrenOf(tree).of(parent, slot).slice(0, index);
  const staying = before.filter((id) => !moving.includes(id)).length;
  const without = leaving(tree, moving);
  const places = placesFrom(without, placeAt(without, parent, staying, slot), moving.length);
  return moving.map((node, i) => ({ node, place: places[i]! }));
}

/** One step in the tree: before or behind the neighbour, out of what is around, into what stands before. */
export type Step = 'before' | 'behind' | 'out' | 'in';

/**
 * Where some nodes go with one step: all of them together, as far as they stand beside each other.
 * @returns nothing where there is nothing to go to
 */
export function stepMoves(
  documents: Documents,
  tree: Tree,
  chosen: readonly NodeId[],
  step: Step,
): Move[] | undefined {
  const moving = topmost(tree, chosen);
  const [first] = moving;
  const last = moving.at(-1);
  if (first === undefined || last === undefined || moving.includes(rootOf(tree))) return undefined;
  const { parent, slot } = tree[first]!.place;
  const end = tree[last]!.place;
  if (parent === null || end.parent !== parent || end.slot !== slot) return undefined;
  const siblings = childrenOf(tree).of(parent, slot);
  const from = siblings.indexOf(first);
  const to = siblings.indexOf(last);
  switch (step) {
    case 'before':
      return from === 0 ? undefined : movesTo(tree, moving, parent, from - 1, slot);
    case 'behind':
      return to === siblings.length - 1 ? undefined : movesTo(tree, moving, parent, to + 2, slot);
    case 'out': {
      const around = own(tree, parent)!.place;
      if (around.parent === null) return undefined;
      const index = childrenOf(tree).of(around.parent, around.slot).indexOf(parent);
      return movesTo(tree, moving, around.parent, index + 1, around.slot);
    }
    case 'in': {
      const before = siblings[from - 1];
      // By a step nothing lands among words: that is for who says so.
      const place =
        before === undefined || holdsWords(tree, before)
          ? undefined
          : placeInto(documents, tree, before);
      if (!place) return undefined;
      const places = placesFrom(tree, place, moving.length);
      return moving.map((node, i) => ({ node, place: places[i]! }));
    }
  }
}

/** A tree without some of its nodes: what stands beside them closes up. */
function leaving(tree: Tree, nodes: readonly NodeId[]): Tree {
  const rest = { ...tree };
  for (const id of nodes) delete rest[id];
  return rest;
}
