import {
  isMade,
  literal,
  own,
  pathOf,
  type DocId,
  type EntryDoc,
  type NodeId,
  type Property,
  type PropertyId,
  type SlotId,
  type TreeDoc,
  type Typed,
} from '../model';
import {
  bareNames,
  evaluate,
  HIDE,
  Later,
  LaterItem,
  mayBeState,
  NO_LEAF,
  runQuery,
  WAITED_FOR,
  type Data,
  type Divided,
  type Item,
  type Known,
  type Leaf,
  type Names,
  type Result,
} from '../value';
import type { Linked, LinkedInstance, LinkedNode, LinkedPart, LinkedRepeat } from './linked';
import { lookAt, NO_LOOK, type CustomAt, type LookAt } from './look-at';
import { variedAt } from './varied';

/**
 * The way from a page down to where something is written: each step an instance, or one entry of a
 * repeat. It is lexical: what fills a slot belongs to the place where the instance stands.
 */
export interface Within {
  readonly parent: Within | null;
  /** The instance or repeat of this step, in the parent's document; `''` for the document that was opened. */
  readonly node: NodeId;
  /** The item, where the step is one round of a repeat. */
  readonly entry?: string;
  /** The document whose tree is written from here on. */
  readonly doc: DocId;
}

/** What was put into a slot, and where its names are looked up. */
export interface Fill {
  readonly nodes: readonly LinkedNode[];
  readonly scope: Scope;
}

/** What the instance around says of a part, with its names looked up where that stands. */
export interface PartAt extends LinkedPart {
  readonly doc: DocId;
  readonly instance: NodeId;
  readonly at: LookAt;
}

/** All that names mean at one place of a document, and what was put into the slots around. */
export interface Scope extends Names {
  readonly slots: Readonly<Record<SlotId, Fill>>;
  /** What the instance around says of parts of the definition that is written, by their nodes. */
  readonly parts: Readonly<Record<NodeId, PartAt>>;
  readonly within: Within;
  /** How many repeats whose entries are known only when writing are around. */
  readonly depth: number;
  /** The elements of its document to which acts do something, each with the repeats that it stands in. */
  readonly targets: Linked['targets'];
  /** The document that is written there. */
  readonly tree: Linked['source'];
  /** The states of instances of its document that are held. */
  readonly held: Holding['instances'];
  /** Whether what a visitor may change is told from what stays: where a page is written that has states. */
  readonly acting: boolean;
}

const NOTHING = Object.freeze({});

/** Options of a definition's axes, by axis: in which of its variants it is looked at. */
export type Picks = Readonly<Record<PropertyId, string>>;

/** States as they are held while a document is looked at: of the definition that is opened, and of instances in its own tree. */
export interface Holding {
  readonly own: Readonly<Record<PropertyId, Typed>>;
  readonly instances: Readonly<Record<NodeId, Readonly<Record<PropertyId, Typed>>>>;
}

/** That nothing is held. */
export const NOTHING_HELD: Holding = Object.freeze({ own: NOTHING, instances: NOTHING });

/** The data of a site as a document reads it: a page may be in a language of its own. */
export function dataFor(doc: TreeDoc, site: Data): Data {
  return doc.kind === 'page' && doc.language !== undefined ? site.inLanguage(doc.language) : site;
}

/**
 * The scope of a document that is opened by itself: a page (with the entry it is made for) or a definition with its defaults.
 * @param picks options that axes have in the place of their defaults
 * @param holding states that are held, its own and those of instances in it
 */
export function rootScope(
  linked: Linked,
  site: Data,
  page: EntryDoc | LaterItem | undefined,
  before?: Scope,
  picks: Picks = NOTHING,
  leaf: Names['leaf'] = leafFor(linked, page),
  acting = false,
  holding = NOTHING_HELD,
): Scope {
  const data = dataFor(linked.source, site);
  const names = bareNames(data);
  const self = () => scope;
  const properties = valuesOf(linked, data, names, self, (id, property, byDefault) => {
    const held = own(holding.own, id);
    if (held) return evaluate(literal(held), property.type, names);
    const option = own(picks, id);
    if (option === undefined) return byDefault;
    return evaluate({ is: 'value', type: 'choice', value: option }, property.type, names);
  });
  const scope: Scope = {
    ...names,
    properties,
    page,
    types: linked.types,
    lists: listsOf(linked, () => scope),
    leaf,
    slots: NOTHING,
    parts: NOTHING,
    within: { parent: null, node: '', doc: linked.doc },
    depth: 0,
    targets: linked.targets,
    tree: linked.source,
    held: holding.instances,
    acting,
  };
  return before ? sameOrNew(before, scope) : scope;
}

/** Of the pages that lists are divided over a canvas shows the first; where that stands is known of a page alone. */
export function leafFor({ source }: Linked, page: EntryDoc | LaterItem | undefined): Leaf {
  if (source.kind !== 'page' || page instanceof LaterItem) return NO_LEAF;
  return { number: 1, path: pathOf(source, page) };
}

/** The lists of a document that are divided, each asked where it stands. */
function listsOf({ divided }: Linked, scope: () => Names): Names['lists'] {
  const lists: Record<NodeId, Divided> = {};
  for (const id in divided) {
    const query = divided[id]!;
    lists[id] = { query, perPage: query.perPage!, items: () => runQuery(query, scope()) };
  }
  return lists;
}

/** The scope inside an instance: its properties worked out where it stands, its slots filled from there. */
export function instanceScope(node: LinkedInstance, scope: Scope, before?: Scope): Scope {
  const self = () => inner;
  const heldHere = own(scope.held, node.id);
  const properties = valuesOf(
    node.component,
    scope.data,
    scope,
    self,
    (id, property, byDefault) => {
      const held = heldHere && own(heldHere, id);
      if (held) return evaluate(literal(held), property.type, scope);
      const value = own(node.values, id);
      const given = value ? variedAt(value, property.type, scope, byDefault) : byDefault;
      return scope.acting ? changedByVisitors(node.component.doc, id, property, given) : given;
    },
  );
  const slots: Record<string, Fill> = {};
  for (const slot in node.slots) slots[slot] = { nodes: node.slots[slot]!, scope };
  const parts: Record<NodeId, PartAt> = {};
  for (const part in node.parts) {
    const said = node.parts[part]!;
    const at = lookAt(said.look, scope, NO_LOOK);
    parts[part] = { ...said, doc: scope.within.doc, instance: node.id, at };
  }
  const inner: Scope = {
    ...bareNames(scope.data),
    properties,
    types: node.component.types,
    lists: listsOf(node.component, () => inner),
    leaf: scope.leaf,
    slots,
    parts,
    within: { parent: scope.within, node: node.id, doc: node.component.doc },
    depth: scope.depth,
    targets: node.component.targets,
    tree: node.component.source,
    held: NOTHING,
    acting: scope.acting,
  };
  return before ? sameOrNew(before, inner) : inner;
}

/** What a property holds that visitors may change: what it is held at, at first what it is given. */
function changedByVisitors(
  doc: DocId,
  id: PropertyId,
  { state, type }: Property,
  given: Result,
): Result {
  if (!state || !mayBeState(type, state)) return given;
  const name = stateName(doc, id);
  const mayHide = given === HIDE || (given instanceof Later && given.mayHide);
  return new Later((run) => {
    run.asked?.add(name);
    const held = run.held.get(name);
    if (held !== undefined) return held;
    return given instanceof Later ? given.read(run) : given;
  }, mayHide);
}

/** How a state is called while a page is written and in the page: of the instance of this definition that is nearest around. */
export function stateName(doc: DocId, property: PropertyId): string {
  return `${doc}.${property}`;
}

/**
 * The values of a definition's properties: those that begin with a value first, then those that are worked out from others,
 * each after what it reads.
 * @param self what names mean inside: acts that are a default are done there
 * @param valueOf the value that a property has, whose default is this
 */
function valuesOf(
  { properties: list, types, workedOut }: Linked,
  data: Data,
  outside: Names,
  self: () => Names,
  valueOf: (id: PropertyId, property: Property, byDefault: Result) => Result,
): Record<PropertyId, Result> {
  const properties: Record<PropertyId, Result> = {};
  for (const { id, property } of list)
    if (!isMade(property.default))
      properties[id] = valueOf(id, property, byDefault(property, outside, self));
  if (workedOut.length === 0) return properties;
  const inside: Names = { ...bareNames(data), properties, types };
  for (const { id, property } of workedOut)
    properties[id] = valueOf(id, property, evaluate(property.default, property.type, inside));
  return properties;
}

function byDefault({ default: source, type }: Property, outside: Names, self: () => Names): Result {
  if (source.is !== 'acts') return evaluate(source, type, outside);
  const { acts } = source;
  const action = {
    acts,
    get at() {
      return self();
    },
  };
  return { type: 'action', value: action };
}

/**
 * The scope of one round of a repeat.
 * @param position where the item stands among the others; scopes in which nothing asks it are the same wherever that is
 */
export function itemScope(
  { id: repeat, asksPosition }: LinkedRepeat,
  item: Item | LaterItem,
  position: Names['positions'][NodeId],
  scope: Scope,
  before?: Scope,
): Scope {
  const within: Within = {
    parent: scope.within,
    node: repeat,
    entry: item instanceof LaterItem ? '' : item.id,
    doc: scope.within.doc,
  };
  const inner: Scope = {
    ...scope,
    repeats: { ...scope.repeats, [repeat]: item },
    positions: asksPosition ? { ...scope.positions, [repeat]: position } : scope.positions,
    within,
    depth: item instanceof LaterItem ? scope.depth + 1 : scope.depth,
  };
  return before ? sameOrNew(before, inner) : inner;
}

/** Keeps the old scope when nothing in it changed, and the old way down when that did not. */
function sameOrNew(before: Scope, now: Scope): Scope {
  const within = sameWithin(before.within, now.within) ? before.within : now.within;
  const same =
    within === before.within &&
    before.data === now.data &&
    before.page === now.page &&
    before.types === now.types &&
    sameLeaf(before.leaf, now.leaf) &&
    sameRecord(before.lists, now.lists, (a, b) => a.query === b.query) &&
    sameRecord(before.properties, now.properties, sameResult) &&
    sameRecord(before.repeats, now.repeats, (a, b) => a === b) &&
    sameRecord(before.positions, now.positions, samePosition) &&
    sameRecord(before.slots, now.slots, sameFill) &&
    sameParts(before.parts, now.parts);
  return same ? before : within === now.within ? now : { ...now, within };
}

/** Whether two positions are the same, known ones by what they say. */
export function samePosition(
  a: Names['positions'][NodeId] | undefined,
  b: Names['positions'][NodeId] | undefined,
): boolean {
  if (a === b) return true;
  if (typeof a !== 'object' || typeof b !== 'object') return false;
  return a.at === b.at && a.of === b.of && a.past === b.past && a.before === b.before;
}

/** Whether two are the same of the pages that lists are divided over. */
export function sameLeaf(a: Names['leaf'], b: Names['leaf']): boolean {
  if (a === b) return true;
  if (typeof a === 'function' || typeof b === 'function') return false;
  return a.number === b.number && a.path === b.path;
}

/** What of a list stands on one of the pages that it is divided over, and how many stand on those before. */
export function onLeaf(
  found: readonly Item[],
  perPage: number | undefined,
  leaf: Leaf,
): { items: readonly Item[]; past: number } {
  if (perPage === undefined || found === WAITED_FOR) return { items: found, past: 0 };
  const past = (leaf.number - 1) * perPage;
  return { items: found.slice(past, past + perPage), past };
}

function sameWithin(a: Within, b: Within): boolean {
  return a.parent === b.parent && a.node === b.node && a.entry === b.entry && a.doc === b.doc;
}

function sameRecord<T>(
  a: Readonly<Record<string, T>>,
  b: Readonly<Record<string, T>>,
  same: (a: T, b: T) => boolean,
): boolean {
  if (a === b) return true;
  let count = 0;
  for (const key in b) {
    count += 1;
    if (!Object.hasOwn(a, key) || !same(a[key]!, b[key]!)) return false;
  }
  return count === Object.keys(a).length;
}

/** Whether two scopes say the same of parts. */
export function sameParts(a: Scope['parts'], b: Scope['parts']): boolean {
  return a === b || sameRecord(a, b, samePart);
}

function samePart(a: PartAt, b: PartAt): boolean {
  return (
    a.look === b.look &&
    a.at.customs.every(({ name, value }, i) => {
      const other: CustomAt | undefined = b.at.customs[i];
      return other?.name === name && sameResult(value, other.value);
    })
  );
}

/** Whether two put the same into a slot: the same objects, so that what was resolved of one stands for the other. */
export function sameFill(a: Fill | undefined, b: Fill | undefined): boolean {
  return a === b || (a?.nodes === b?.nodes && a?.scope === b?.scope);
}

/** Whether two results show the same: the same object, or equal plain values of one type. */
export function sameResult(a: Result | undefined, b: Result | undefined): boolean {
  if (a === b) return true;
  if (!a || !b || a instanceof Later || b instanceof Later) return false;
  return a.type === b.type && sameValue(a, b);
}

function sameValue(a: NonNullable<Known>, b: NonNullable<Known>): boolean {
  if (a.value === b.value) return true;
  if (a.type === 'action' && b.type === 'action') return a.value?.acts === b.value?.acts;
  if (typeof a.value !== 'object' || typeof b.value !== 'object') return false;
  return JSON.stringify(a.value) === JSON.stringify(b.value);
}

/** The names of a way down, outermost first, as one string: equal for equal addresses. */
export function withinKey(within: Within): string {
  const own = within.entry === undefined ? within.node : `${within.node}@${within.entry}`;
  return within.parent ? `${withinKey(within.parent)}/${own}` : within.doc;
}
