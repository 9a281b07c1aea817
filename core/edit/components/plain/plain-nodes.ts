import {
  childrenOf,
  mapReferred,
  NONE,
  orderBetween,
  own,
  repeatsAround,
  rootOf,
  sameJson,
  sourcesOf,
  treeDocOf,
  type NodeId,
  type Place,
  type RepeatNode,
  type SlotNode,
  type Source,
  type TreeDoc,
  type TreeNode,
} from '../../../model';
import { say } from '../../../said';
import { positionIn } from '../../../value';
import { withSourceAt } from '../making';
import { CannotBePlain } from './cannot-be-plain';
import { GivenValues } from './given-values';
import { NO_ROUND, type InstanceHere, type Round } from './instance-here';
import { plainLook } from './plain-look';
import { recordsShown } from './records-shown';
import { withRules } from './rules-that-hold';

/** What an instance becomes: the nodes of its definition with what it gives them, and what filled its slots, moved. */
export class PlainNodes {
  readonly grown: Record<NodeId, TreeNode> = {};
  /** What filled its slots, and goes on standing. */
  readonly moved: Record<NodeId, TreeNode> = {};
  private readonly tree: TreeDoc;
  private readonly given: GivenValues;

  /**
   * @param newIdFor the new id of a node, by its way through lists and its id in the definition
   * @throws CannotBePlain where plain elements cannot say what it is
   */
  constructor(
    private readonly here: InstanceHere,
    private readonly newIdFor: (copy: string) => string | undefined,
  ) {
    this.tree = treeDocOf(here.documents, here.doc)!;
    this.given = new GivenValues(here, (id, round) => this.idOf(id, round));
    this.grow(rootOf(here.component.nodes), here.instance.place, NO_ROUND);
  }

  /** What the root of the definition became. */
  get root(): TreeNode | undefined {
    return this.grown[this.idOf(rootOf(this.here.component.nodes), NO_ROUND)];
  }

  /** Makes a node of the definition and what stands in it, at a place; a list is written out record by record. */
  private grow(id: NodeId, place: Place, round: Round): void {
    const { nodes } = this.here.component;
    const from = nodes[id]!;
    if (from.kind === 'slot') return this.fill(id, from, place, round);
    if (from.kind === 'repeat' && 'list' in from.query.from)
      return this.unroll(id, from, place, round);
    const parent = this.idOf(id, round);
    this.grown[parent] = { ...this.plain(id, from, round), place };
    for (const child of childrenOf(nodes).all(id))
      this.grow(child, { ...nodes[child]!.place, parent }, round);
  }

  /** What fills a slot stands where the slot stood; nothing in it: what the definition shows then. */
  private fill(id: NodeId, from: SlotNode, place: Place, round: Round): void {
    const { nodes } = this.tree;
    const next = this.placesFrom(id, place);
    const { shown } = this.plain(id, from, round) as SlotNode;
    const inside = childrenOf(nodes).of(this.here.node, from.slot);
    for (const each of inside)
      this.moved[each] = { ...shownWith(nodes[each]!, shown), place: next() };
    if (inside.length > 0) return;
    for (const each of childrenOf(this.here.component.nodes).of(id)) {
      this.grow(each, next(), round);
      const made = this.idOf(each, round);
      if (this.grown[made]) this.grown[made] = shownWith(this.grown[made], shown);
    }
  }

  /** Puts what a list shows in the place of the repeat: what stands in it once for each record, with what that holds. */
  private unroll(id: NodeId, { query }: RepeatNode, place: Place, round: Round): void {
    const items = recordsShown(query, this.here, this.given, round);
    const children = childrenOf(this.here.component.nodes);
    const next = this.placesFrom(id, place);
    if (items.length === 0)
      for (const each of children.of(id, NONE)) this.grow(each, next(), round);
    for (const [i, item] of items.entries()) {
      const inside = {
        way: `${round.way}${item.id}/`,
        items: { ...round.items, [id]: item },
        positions: { ...round.positions, [id]: positionIn(items, i) },
      };
      for (const each of children.of(id)) this.grow(each, next(), inside);
    }
  }

  /** Places one after the other where one thing stood, before what follows it in the definition. */
  private placesFrom(id: NodeId, place: Place): () => Place {
    const { nodes } = this.here.component;
    const { parent, slot } = nodes[id]!.place;
    const beside = parent === null ? [] : childrenOf(nodes).of(parent, slot);
    const follows = beside[beside.indexOf(id) + 1];
    const end = follows === undefined ? null : nodes[follows]!.place.order;
    let { order } = place;
    return () => {
      const at = { ...place, order };
      order = orderBetween(order, end !== null && end > order ? end : null);
      return at;
    };
  }

  private idOf(id: NodeId, round: Round): NodeId {
    const given = this.newIdFor(round.way + id);
    if (given === undefined || own(this.tree.nodes, given))
      throw new CannotBePlain(say('ids-taken-or-few'));
    return given;
  }

  /** A node of the definition with what the instance gives it, its place apart. */
  private plain(id: NodeId, from: TreeNode, round: Round): TreeNode {
    let node = withRules(id, from, this.here, this.given);
    for (const [path, source] of sourcesOf(node)) {
      if (path[0] === 'style' || path[0] === 'chosen') continue;
      const now = this.given.source(source, round);
      if (now !== source) node = withSourceAt(node, path, now);
    }
    if (node.kind === 'element') node = mapReferred(node, (each) => this.referred(each, round));
    return node.kind === 'element' || node.kind === 'instance'
      ? plainLook(id, node, this.here, this.given, round)
      : node;
  }

  /** The new id of an element that an attribute names: of the copy in the same rounds, or of the same item in a list like that one. */
  private referred(id: NodeId, round: Round): NodeId | undefined {
    const { component } = this.here;
    if (!own(component.nodes, id)) return undefined;
    let way = '';
    for (const repeat of repeatsAround(component, id).toReversed()) {
      const { query } = component.nodes[repeat] as RepeatNode;
      // Others stay repeats.
      if (!('list' in query.from)) continue;
      const twin = Object.keys(round.items).find((each) =>
        sameJson((component.nodes[each] as RepeatNode).query, query),
      );
      const item = own(round.items, repeat) ?? (twin === undefined ? undefined : round.items[twin]);
      if (!item) return undefined;
      way += `${item.id}/`;
    }
    return this.newIdFor(way + id);
  }
}

/** What stood in a slot shows where the slot did. @throws CannotBePlain where it says of itself whether it shows, too */
function shownWith(node: TreeNode, shown: Source | undefined): TreeNode {
  if (!shown || (shown.is === 'value' && shown.value === true)) return node;
  if (node.kind === 'repeat' || (node.shown && shown.is !== 'value'))
    throw new CannotBePlain(say('plain-slot-shown'));
  return { ...node, shown };
}
