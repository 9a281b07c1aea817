import {
  own,
  placesFrom,
  queriedType,
  repeatsAround,
  treeDocOf,
  type Block,
  type Documents,
  type NodeId,
  type Place,
  type Token,
  type Tree,
  type TreeDoc,
  type TreeNode,
} from '../model';
import { saidText, type Said } from '../said';
import { Along, type Brought } from './along';
import type { Carrying } from './carrying';
import type { Choices } from './choices';
import type { Clip } from './clip';
import { Counterparts } from './counterparts';
import { leftOut } from './left-out';
import { NamesThere } from './names-there';

/** A clip as it can be pasted at a place, and what of it means nothing there. */
export interface Fitted {
  readonly doc: string;
  readonly roots: readonly NodeId[];
  readonly nodes: Tree;
  /** Definitions, shared styles and files that the site does not have yet. */
  readonly bring: readonly Brought[];
  /** What shared styles of the site say from then on, where theirs was chosen in the place of ours. */
  readonly restyle: Readonly<Record<string, Block>>;
  /** Tokens of the site that are otherwise from then on, and new ones. */
  readonly tokens: Readonly<Record<string, Token>>;
  readonly left: readonly Said[];
}

/**
 * What of a clip still means something where it is pasted: values stay; what is bound stays bound where the same can be
 * read; else it holds what it held. What the site does not know is left out and said.
 * @param makeId gives a new id at each call
 * @param choices which is taken where two are called the same and look otherwise
 * @returns nothing when the place is not there
 */
export function fitClip(
  documents: Documents,
  clip: Clip,
  doc: string,
  place: Place,
  makeId: () => string,
  choices: Choices = {},
): Fitted | undefined {
  const target = treeDocOf(documents, doc);
  if (!target || place.parent === null || !own(target.nodes, place.parent)) return undefined;
  const left = new Map<string, Said>();
  const lost = (what: Said): undefined => void left.set(saidText(what), what);
  const there = new Counterparts(documents, clip, makeId, choices);
  const out = leftOut(clip, target, there, lost);
  const ids = new Map<NodeId, NodeId>();
  for (const id in clip.nodes) if (!out.has(id)) ids.set(id, makeId());
  const repeats = repeatsAt(target, place);
  const carrying: Carrying = { documents, clip, choices, target, repeats, there, ids, lost };
  const names = new NamesThere(carrying);
  const along = new Along(carrying, names);
  const { roots, nodes } = nodesThere(carrying, names, place);
  const bring = along.documents();
  const restyle = along.restyled();
  // Last: what comes along and what is restyled may name further ones.
  const tokens = along.tokens();
  return { doc: target.id, roots, nodes, bring, restyle, tokens, left: [...left.values()] };
}

/** The repeats around a place of a tree that go over content, nearest first. */
function repeatsAt(doc: TreeDoc, place: Place): Carrying['repeats'] {
  const at = 'place-asked-for';
  const nodes: Tree = { ...doc.nodes, [at]: { kind: 'slot', place, slot: at } };
  return repeatsAround({ ...doc, nodes }, at).flatMap((repeat) => {
    const node = doc.nodes[repeat]!;
    const type = node.kind === 'repeat' ? queriedType(node.query) : undefined;
    return type === undefined ? [] : [{ repeat, type }];
  });
}

/** The nodes that come along, as they stand there. */
function nodesThere(
  carrying: Carrying,
  names: NamesThere,
  place: Place,
): { roots: NodeId[]; nodes: Record<NodeId, TreeNode> } {
  const { clip, ids, target } = carrying;
  const nodes: Record<NodeId, TreeNode> = {};
  const roots: NodeId[] = [];
  const places = placesFrom(target.nodes, place, clip.roots.length);
  for (const root of clip.roots) {
    const id = ids.get(root);
    if (id === undefined) continue;
    const node = names.node(clip.nodes[root]!, 'here');
    nodes[id] = { ...toldApart(node, target.nodes), place: places[roots.length]! };
    roots.push(id);
  }
  for (const [from, id] of ids) {
    if (nodes[id]) continue;
    const stored = clip.nodes[from]!;
    nodes[id] = { ...names.node(stored, 'here'), place: placeInside(carrying, stored) };
  }
  return { roots, nodes };
}

/** An instance whose name is taken where it comes to stand gets a number behind it. */
function toldApart(node: TreeNode, tree: Tree): TreeNode {
  if (node.kind !== 'instance' || node.name === undefined) return node;
  const taken = new Set(Object.values(tree).map(({ name }) => name));
  const base = node.name.replace(/ \d+$/, '').slice(0, 110);
  let { name } = node;
  for (let n = 2; taken.has(name); n += 1) name = `${base} ${n}`;
  return { ...node, name };
}

/** Where a node stands in what comes along with it. */
function placeInside(
  { clip, ids, there }: Carrying,
  { place: { parent, slot, order } }: TreeNode,
): Place {
  const inside = ids.get(parent!)!;
  if (slot === undefined) return { parent: inside, order };
  const around = clip.nodes[parent!]!;
  const named = around.kind === 'instance' ? there.slot(around.component, slot)! : slot;
  return { parent: inside, slot: named, order };
}
