import {
  childrenOf,
  docOf,
  nodeIn,
  own,
  placeAt,
  rootOf,
  treeDocOf,
  type Documents,
  type Place,
  type Slot,
} from '@sormet/core/model';
import { placeInto } from '@sormet/core/edit';
import { reasonAgainst, type Placeable } from '../../canvas/placing';
import type { Selection } from '../../store/bench-slice';

/** Where something may go that is placed without pointing, as seen from what is selected. */
export type Where = 'into' | 'before' | 'after';

/** The places there are, in the order in which one goes through them: the first is where one most likely means. */
export type Places = readonly { readonly where: Where; readonly place: Place }[];

const NO_PLACES: Places = [];

/** What is a mark beside words, and goes where they stand. */
function isMark(placeable: Placeable | undefined): boolean {
  return placeable?.is === 'starter' && placeable.key === 'icon';
}

/** Elements that are words with marks: they are pressed. */
const PRESSED = new Set(['a', 'button', 'summary', 'label']);

/**
 * Where something would go: into what is selected when that is empty and can hold it, else after it; a mark into what is
 * pressed; with nothing selected last in the main content. Whether it may stand there says the edit.
 */
export function placesFor(
  documents: Documents,
  doc: string,
  selection: Selection | null,
  placeable?: Placeable,
): Places {
  const tree = treeDocOf(documents, doc);
  if (!tree) return NO_PLACES;
  const { nodes } = tree;
  const root = rootOf(nodes);
  const selected = selection?.doc === doc ? selection.nodes[0] : undefined;
  const node = selected === undefined ? undefined : own(nodes, selected);
  const at = selected !== undefined && node ? selected : root;
  const slotAsked = node?.kind === 'instance' ? selection?.slot : undefined;
  if (slotAsked !== undefined)
    return [{ where: 'into', place: placeAt(nodes, at, Infinity, slotAsked) }];
  const into = placeInto(documents, nodes, at);
  const inside = into ? [{ where: 'into' as const, place: into }] : [];
  const { parent, slot } = nodes[at]!.place;
  if (at === root || parent === null) return inside;
  const index = childrenOf(nodes).of(parent, slot).indexOf(at);
  const beside: Places = [
    { where: 'after', place: placeAt(nodes, parent, index + 1, slot) },
    { where: 'before', place: placeAt(nodes, parent, index, slot) },
  ];
  const isEmpty = into !== undefined && childrenOf(nodes).of(at, into.slot).length === 0;
  const takesMark = isMark(placeable) && node?.kind === 'element' && PRESSED.has(node.tag);
  return isEmpty || takesMark ? [...inside, ...beside] : [...beside, ...inside];
}

/** The first of the places where something may stand; where it may stand at none, the first, which says why. */
export function nextPlace(
  documents: Documents,
  doc: string,
  selection: Selection | null,
  placeable?: Placeable,
): Place | undefined {
  const places = placesFor(documents, doc, selection, placeable);
  const may = places.find(
    ({ place }) => !placeable || reasonAgainst(documents, doc, placeable, place) === undefined,
  );
  return (may ?? places[0])?.place;
}

/** The slot that is selected, where one is. */
export function slotSelected(
  documents: Documents,
  doc: string,
  selection: Selection | null,
): Slot | undefined {
  const [id] = selection?.nodes ?? [];
  if (selection?.doc !== doc || selection.slot === undefined || id === undefined) return undefined;
  const node = nodeIn(documents, doc, id);
  const component =
    node?.kind === 'instance' ? docOf(documents, 'component', node.component) : undefined;
  return component && own(component.slots, selection.slot);
}
