import {
  ACTION,
  BOOLEAN,
  DATE,
  dayAfter,
  entryDateOf,
  isWide,
  leafPath,
  LINK,
  NUMBER,
  own,
  RICH,
  sameOption,
  TEXT,
  sameJson,
  type Acts,
  type Begins,
  type EntryDoc,
  type Expression,
  type FieldId,
  type LeafAs,
  type LeafSource,
  type NodeId,
  type PositionAs,
  type Query,
  type PropertyId,
  type Source,
  type Typed,
  type TypedOf,
  type TypeSpec,
  type Words,
} from '../model';
import { withValues, writtenAs } from './among-words';
import { convert, passesAsIs } from './convert';
import type { Data } from './data';
import { declaredType, isEntry, type Item } from './items';
import { dotted, Failure, namesOf, partly, running, type KnownValue } from '../expression';
import { typeGiven, workedOut, type WorkedOut } from './worked-out';

/** The result of a value that, being empty, was decided to hide the element that uses it. */
export const HIDE = Object.freeze({ type: 'hide' as const, value: null });
/** That the element which uses a value is hidden. */
export type Hide = typeof HIDE;

/** The result of a value that cannot be told yet, because something it reads is not loaded. It is not empty. */
export const WAITING = Object.freeze({ type: 'waiting' as const, value: null });
/** That a value is not known yet. */
export type Waiting = typeof WAITING;

/** A value that is known: typed, empty (`null`), or one that hides what uses it; or what is waited for. */
export type Known = Typed | Hide | Waiting | null;

/**
 * What is known only when a page is written: the page's entry, and by depth the items of the repeats around, with where they
 * stand; which of the pages it is that its lists are divided over.
 */
export type Run = {
  page: EntryDoc;
  items: Item[];
  positions: Position[];
  readonly leaf: Leaf;
  /** How many pages its lists are divided over: what is written says so as it goes. */
  leaves: number;
  /** What states are held at, by their names; at first what each begins with. */
  held: ReadonlyMap<string, Known>;
  /** Which states were asked for, while somebody wants to know. */
  asked: Set<string> | undefined;
};

/** What is known when a page is written, before anything of it is. */
export function newRun(page: EntryDoc | undefined, leaf = NO_LEAF): Run {
  // Nothing of a page that is not made from entries asks for one.
  return {
    page: page!,
    items: [],
    positions: [],
    leaf,
    leaves: 1,
    held: NOTHING_HELD,
    asked: undefined,
  };
}

const NOTHING_HELD: ReadonlyMap<string, Known> = new Map();

/** Which it is of the pages that lists are divided over, from 1, and where the first of them stands. */
export interface Leaf {
  readonly number: number;
  readonly path: string;
}

/** A list of the document around that is divided over several pages: so many on each of all that it gives. */
export interface Divided {
  /** What it asks for: as long as that is the same, and so is what that reads, it gives the same. */
  readonly query: Query;
  readonly perPage: number;
  readonly items: () => Queried;
}

/** What a query gives at a place: at once, or for each page where something in it is known only then. */
export type Queried = readonly Item[] | ((run: Run) => readonly Item[]);

/** What a query gives where something it asks for is not loaded; told from no items by identity. */
export const WAITED_FOR: readonly Item[] = Object.freeze([]);

/** Where an item stands among those of its repeat on its page: from 1, of how many, and after which. */
export interface Position {
  readonly at: number;
  readonly of: number;
  /** How many of its list stand on the pages before. */
  readonly past?: number;
  /** The item before it; nothing for the first. */
  readonly before: Item | undefined;
}

/** Where each of some items stands. @param past how many of their list stand on the pages before */
export function positionIn(items: readonly Item[], i: number, past = 0): Position {
  return { at: i + 1, of: items.length, past, before: items[i - 1] };
}

/** A value that must be read for each page: the residue of partial evaluation. */
export class Later {
  constructor(
    readonly read: (run: Run) => Known,
    /** Whether reading can ever give `HIDE`; where not, nobody needs to look. */
    readonly mayHide: boolean,
    /** The type of what is read, when it is converted and checked for emptiness already. */
    readonly type?: TypeSpec,
    /** The one field it is read from, when it is: of the page's entry, or of the repeat at a depth, with its declared type. */
    readonly field?: {
      readonly of: 'page' | number;
      readonly id: FieldId;
      readonly declared: TypeSpec;
    },
  ) {}
}

/** An item that is known only when a page is written. */
export class LaterItem {
  constructor(
    readonly read: (run: Run) => Item,
    /** The page's own entry, or the item of the repeat at a depth. */
    readonly of: 'page' | number,
    readonly type: Item['type'],
  ) {}
}

/** What reading a source comes to: known now, or for each page when it is written. */
export type Result = Known | Later;

/** What names mean at one place: lexical, as in HTML. */
export interface Names {
  readonly data: Data;
  /** The values of the properties of the definition around, given by the place where its instance stands. */
  readonly properties: Readonly<Record<PropertyId, Result>>;
  /** The types they are declared with. */
  readonly types: Readonly<Record<PropertyId, TypeSpec>>;
  /** The entry a page is made for. */
  readonly page: EntryDoc | LaterItem | undefined;
  /** The items of the repeats around, by the repeat's node. */
  readonly repeats: Readonly<Record<NodeId, Item | LaterItem>>;
  /** Where those items stand, for the repeats in which something asks it. */
  readonly positions: Readonly<Record<NodeId, Position | ((run: Run) => Position)>>;
  /** The lists of the document around that are divided over several pages, by their repeats. */
  readonly lists: Readonly<Record<NodeId, Divided>>;
  /** Which of the pages it is that lists are divided over. */
  readonly leaf: Leaf | ((run: Run) => Leaf);
}

/** What names mean where nothing around is: the data of a site alone. */
export function bareNames(data: Data): Names {
  return {
    data,
    properties: NOTHING,
    types: NOTHING,
    page: undefined,
    repeats: NOTHING,
    positions: NOTHING,
    lists: NOTHING,
    leaf: NO_LEAF,
  };
}

const NOTHING = Object.freeze({});

/** Where nothing is divided, of a document that stands nowhere. */
export const NO_LEAF: Leaf = Object.freeze({ number: 1, path: '' });

/**
 * The value a source gives at a place that takes one type. This is the only evaluator: with all names
 * known it gives the value, with the entry unknown it gives what is left to do when a page is written.
 * @param fallback what `default` means here: the property's default where an instance's value is read
 */
export function evaluate(
  source: Source,
  type: TypeSpec,
  names: Names,
  fallback: Result = null,
): Result {
  const { whenEmpty } = source;
  const otherwise: Result =
    whenEmpty === undefined || whenEmpty === 'nothing'
      ? null
      : whenEmpty === 'hide'
        ? HIDE
        : whenEmpty === 'default'
          ? fallback
          : evaluate(whenEmpty.use, type, names, fallback);
  const { data } = names;
  const { missed } = data;
  const raw = read(source, names);
  if (!(raw instanceof Later)) {
    const value = as(raw, type, data);
    if (value !== null) return value;
    if (type.kind === 'choice' && raw !== null) {
      const option = optionSoCalled(raw, type, typeOf(source, names));
      if (option !== null) return option;
    }
    return data.missed === missed ? otherwise : WAITING;
  }
  // A value handed on as it is was converted where it came in: nothing is left to do here.
  if (raw.type && passesAsIs(raw.type, type) && otherwise === null) return raw;
  const from = type.kind === 'choice' ? typeOf(source, names) : undefined;
  const mayHide =
    raw.mayHide || otherwise === HIDE || (otherwise instanceof Later && otherwise.mayHide);
  const readAs =
    otherwise instanceof Later
      ? (run: Run) => as(raw.read(run), type, data, from) ?? otherwise.read(run)
      : (run: Run) => as(raw.read(run), type, data, from) ?? otherwise;
  return new Later(readAs, mayHide, type, isAsHeld(raw, type) ? raw.field : undefined);
}

/** Whether what is handed on is still what its field holds: a type on the way that is another, or narrower, may have taken it away. */
function isAsHeld({ type: between }: Later, type: TypeSpec): boolean {
  return (
    between === undefined || between === type || (between.kind === type.kind && isWide(between))
  );
}

/** What is known as the type that a place takes. @param from the type that it was read as, where that is known */
function as(value: Known, type: TypeSpec, data: Data, from?: TypeSpec): Known {
  if (value === null || value.type === 'hide' || value.type === 'waiting') return value;
  return convert(value, type, data) ?? optionSoCalled(value, type, from);
}

/**
 * An option of one choice as that of another which is called the same: content and components that were made apart have
 * options of their own, and people tell them by their words.
 */
function optionSoCalled(
  value: NonNullable<Known>,
  type: TypeSpec,
  from: TypeSpec | undefined,
): Typed | null {
  if (value.type !== 'choice' || type.kind !== 'choice' || from?.kind !== 'choice') return null;
  const option = sameOption(value.value, from, type);
  return option === null ? null : { type: 'choice', value: option };
}

function read(source: Source, names: Names): Result {
  switch (source.is) {
    case 'value':
      return source;
    case 'property': {
      const value = own(names.properties, source.property) ?? null;
      return source.path === undefined || source.path.length === 0
        ? value
        : alongPath(value, source.path, names.data);
    }
    case 'field': {
      const entry = source.from === 'page' ? names.page : own(names.repeats, source.from.repeat);
      if (entry === undefined) return null;
      if (!(entry instanceof LaterItem)) return fieldOf(entry, source.path, names.data);
      const { path } = source;
      const { data } = names;
      if (path.length === 1) {
        const id = path[0]!;
        const declared = declaredType(entry.type, id, data);
        if (declared === undefined) return null;
        if (entryDateOf(id)) return new Later((run) => fieldOf(entry.read(run), path, data), false);
        return new Later(
          (run) => as(own(entry.read(run).values, id) ?? null, declared, data),
          false,
          undefined,
          { of: entry.of, id, declared },
        );
      }
      return new Later((run) => fieldOf(entry.read(run), path, data), false);
    }
    case 'position': {
      const position = own(names.positions, source.repeat);
      if (position === undefined) return null;
      if (typeof position !== 'function') return positionAs(source.as, position);
      return new Later((run) => positionAs(source.as, position(run)), false, typeOf(source, names));
    }
    case 'begins':
      return begins(source, names);
    case 'leaf':
      return ofLeaf(source, names);
    case 'today':
      return { type: 'date', value: dayAfter(names.data.today(), source.days ?? 0) };
    case 'expression':
      return reckoned(source, names);
    case 'words':
      return amongWords(source, names);
    case 'acts':
      return actionAt(source.acts, names);
  }
}

/** Acts with the place where they are written: whoever does them reads them there. */
export function actionAt(acts: Acts, at: Names): TypedOf<'action'> {
  return { type: 'action', value: { acts, at } };
}

/**
 * Whether something begins with an item: with the first of a list always, else where a source gives another value than at the
 * item before. Where what it gives hides what uses it, so does this.
 */
function begins({ repeat, of }: Begins, names: Names): Result {
  const position = own(names.positions, repeat);
  const here = own(names.repeats, repeat);
  if (position === undefined || here === undefined) return null;
  // What is compared is of the item, wherever that stands.
  const { [repeat]: _, ...positions } = names.positions;
  const given = (item: Item | LaterItem) =>
    givenBy(of, { ...names, positions, repeats: { ...names.repeats, [repeat]: item } });
  const now = given(here);
  if (typeof position !== 'function') {
    const then = position.before && given(position.before);
    return sooner([now, ...(then === undefined ? [] : [then])], ([a, ...b]) => isOther(a!, b));
  }
  const { of: depth } = here as LaterItem & { of: number };
  const read = (run: Run) => (now instanceof Later ? now.read(run) : now);
  return new Later(
    (run) => {
      const { before } = position(run);
      if (before === undefined) return isOther(read(run), []);
      const items = [...run.items];
      items[depth] = before;
      return isOther(read(run), [read({ ...run, items })]);
    },
    now === HIDE || (now instanceof Later && now.mayHide),
    BOOLEAN,
  );
}

/** Whether a value is another than the one before it, where there is one. */
function isOther(now: Known, [then]: readonly Known[]): Known {
  if (now === HIDE) return HIDE;
  if (now === WAITING || then === WAITING) return WAITING;
  return { type: 'boolean', value: then === undefined || !sameJson(now, then) };
}

/** How many pages so many items are divided over: one, where there is nothing to divide. */
export function leavesFor(items: number, perPage: number): number {
  return Math.max(1, Math.ceil(items / perPage));
}

/** What is asked of the pages that a list is divided over. A list that is gone or not divided is on one. */
function ofLeaf({ repeat, as }: LeafSource, names: Names): Result {
  const divided = own(names.lists, repeat);
  if (!divided) return leafAs(as, { number: 1, path: '' }, 1);
  const { perPage } = divided;
  const items = divided.items();
  const { leaf } = names;
  if (typeof items !== 'function' && typeof leaf !== 'function')
    return items === WAITED_FOR ? WAITING : leafAs(as, leaf, leavesFor(items.length, perPage));
  return new Later(
    (run) => {
      const found = typeof items === 'function' ? items(run) : items;
      if (found === WAITED_FOR) return WAITING;
      const count = leavesFor(found.length, perPage);
      run.leaves = Math.max(run.leaves, count);
      return leafAs(as, typeof leaf === 'function' ? leaf(run) : leaf, count);
    },
    false,
    as === 'number' || as === 'count' ? NUMBER : LINK,
  );
}

function leafAs(as: LeafAs, { number, path }: Leaf, count: number): Typed | null {
  const to = (other: number): Typed => ({
    type: 'link',
    value: { to: 'address', href: leafPath(path, other) },
  });
  switch (as) {
    case 'number':
      return { type: 'number', value: number };
    case 'count':
      return { type: 'number', value: count };
    case 'before':
      return number > 1 ? to(number - 1) : null;
    case 'next':
      return number < count ? to(number + 1) : null;
  }
}

/** What is asked of where an item stands: its number in the whole list, or whether it is one of some on its page. */
export function positionAs(
  as: PositionAs,
  { at, of, past = 0 }: Pick<Position, 'at' | 'of' | 'past'>,
): Extract<Typed, { type: 'number' | 'boolean' }> {
  switch (as) {
    case 'number':
      return { type: 'number', value: past + at };
    case 'first':
      return { type: 'boolean', value: at === 1 };
    case 'last':
      return { type: 'boolean', value: at === of };
    case 'even':
      return { type: 'boolean', value: at % 2 === 0 };
    case 'odd':
      return { type: 'boolean', value: at % 2 === 1 };
  }
}

/**
 * Words around values: all of them are there, or it was decided what stands for one that is not; else they are empty as a
 * whole. What stands in may be words, whatever the value would have been.
 */
function amongWords(source: Words, names: Names): Result {
  const { data } = names;
  const order = Object.keys(source.names).sort();
  const places = order.map((name) => {
    const { whenEmpty, ...alone } = source.names[name]!;
    const standIn =
      typeof whenEmpty === 'object'
        ? evaluate(whenEmpty.use, TEXT, names)
        : HOW_EMPTY[whenEmpty ?? 'default'];
    return {
      value: givenBy(alone as Source, names),
      type: typeOf(alone as Source, names),
      standIn,
    };
  });
  const given = [...places.map(({ value }) => value), ...places.map(({ standIn }) => standIn)];
  return sooner(given, (values) => {
    // The first value without which they cannot be decides what they are.
    let outcome: Hide | Waiting | typeof EMPTY | undefined;
    const words = withValues(source, (name, format) => {
      const at = order.indexOf(name);
      const value = values[at] ?? null;
      if (value === HIDE || value === WAITING) {
        outcome ??= value;
        return '';
      }
      const written =
        value === null || value.value === null
          ? null
          : writtenAs(value as Typed, places[at]!.type, format, data);
      if (written !== null) return written;
      const other = values[order.length + at] ?? null;
      if (other?.type === 'text' && other.value !== null) return other.value;
      outcome ??= other === HIDE || other === WAITING ? other : EMPTY;
      return '';
    });
    return outcome === undefined ? words : outcome === EMPTY ? null : outcome;
  });
}

const EMPTY = Symbol('empty');

/** What is there in the place of an empty value: words, none of the words around it, or not even the element. */
const HOW_EMPTY: Readonly<Record<'default' | 'nothing' | 'hide', Known>> = {
  default: null,
  nothing: { type: 'text', value: '' },
  hide: HIDE,
};

/** What is made from others: at once where all of them are known, else when a page is written. */
function sooner(given: readonly Result[], make: (values: readonly Known[]) => Known): Result {
  if (!given.some((each) => each instanceof Later)) return make(given as Known[]);
  const mayHide = given.some((each) => each === HIDE || (each instanceof Later && each.mayHide));
  return new Later(
    (run) => make(given.map((each) => (each instanceof Later ? each.read(run) : each))),
    mayHide,
  );
}

/** What an expression gives at a place: at once where all its names are known, else when a page is written. */
function reckoned(source: Expression, names: Names): Result {
  const made = workedOutAt(source, names);
  if (!made.ok) return null;
  const given = made.names.map((name) => givenBy(source.names[name]!, names));
  return leftOf(made, given) ?? sooner(given, (values) => resultOf(made, values));
}

/**
 * An expression of which only some names are known, as what is left to do for each page; nothing where all of them are, or
 * where one hides what fails with it, or is waited for.
 */
function leftOf(
  made: Extract<WorkedOut, { ok: true }>,
  given: readonly Result[],
): Result | undefined {
  let isLater = false;
  for (const each of given) {
    if (each === HIDE || each === WAITING) return undefined;
    if (each instanceof Later) isLater = true;
  }
  if (!isLater) return undefined;
  const { names, gives } = made;
  const tree = partly(made.tree, (name) => {
    const each = given[names.indexOf(name)];
    if (each === undefined || each instanceof Later) return undefined;
    return each === null ? null : writtenOut(each.value);
  });
  const at = names.indexOf(dotted(tree) ?? '');
  if (at >= 0) return given[at];
  const read = namesOf(tree);
  const left = names.filter((name) => read.has(name));
  const run = running(tree, left);
  const of = left.map((name) => given[names.indexOf(name)]!);
  return sooner(of, (values) => resultOf({ run, gives }, values));
}

function writtenOut(value: unknown): KnownValue | undefined {
  return value === null || ['string', 'number', 'boolean'].includes(typeof value)
    ? (value as KnownValue)
    : undefined;
}

/** What stands behind a name: a value as it was written, else what is read, as it is declared. */
export function givenBy(source: Source, names: Names): Result {
  if (source.is === 'value' && source.whenEmpty === undefined) return source;
  const type = typeOf(source, names);
  return type ? evaluate(source, type, names) : null;
}

/** What an expression gives for known values. What hides hides what it fails without. */
function resultOf(
  { run, gives }: Pick<Extract<WorkedOut, { ok: true }>, 'run' | 'gives'>,
  given: readonly Known[],
): Known {
  let hides = false;
  const values: unknown[] = [];
  for (const each of given) {
    if (each === WAITING) return WAITING;
    if (each === HIDE) hides = true;
    values.push(each === null || each === HIDE ? null : each.value);
  }
  const result = run(values);
  if (result === null || result instanceof Failure || gives.of === 'nothing' || gives.isList)
    return hides ? HIDE : null;
  return { type: gives.of, value: result } as Typed;
}

/** An expression as it is read at a place, or why it gives nothing there. */
export function workedOutAt(source: Expression, names: Names): WorkedOut {
  return workedOut(source, (name) => {
    const held = source.names[name]!;
    if (held.is === 'value') return held.value === null ? 'nothing' : held.type;
    return typeOf(held, names)?.kind;
  });
}

function alongPath(value: Result, path: readonly FieldId[], data: Data): Result {
  const follow = (known: Known): Known => {
    if (known === null || known.type !== 'entry' || known.value === null)
      return known === HIDE || known === WAITING ? known : null;
    const entry = data.entry(known.value);
    return entry ? fieldOf(entry, path, data) : null;
  };
  return value instanceof Later
    ? new Later((run) => follow(value.read(run)), value.mayHide)
    : follow(value);
}

/** What an item holds in a field, as the field's declared type; nothing when it is empty, does not convert, or the field is gone. */
function declaredValue(item: Item, field: FieldId, data: Data): Typed | null {
  const declared = declaredType(item.type, field, data);
  const held = own(item.values, field) ?? dayOf(item, field, data);
  return declared === undefined || held === undefined ? null : convert(held, declared, data);
}

/** One of the days that every entry has, where a field is that and its type has none of the kind itself. */
function dayOf(item: Item, field: FieldId, data: Data): Typed | undefined {
  const date = isEntry(item) ? entryDateOf(field) : undefined;
  if (!date || own(data.type(item.type as string)?.fields ?? {}, field)) return undefined;
  const value = data.dated(item.id, date);
  return value ? { type: 'date', value } : undefined;
}

/** The value of an item's field, crossing references along the path; an empty path is the entry itself. */
export function fieldOf(item: Item, path: readonly FieldId[], data: Data): Typed | null {
  const last = path.at(-1);
  if (last === undefined) return isEntry(item) ? { type: 'entry', value: item.id } : null;
  let at: Item = item;
  for (const step of path.slice(0, -1)) {
    const reference = declaredValue(at, step, data);
    const next =
      reference?.type === 'entry' && reference.value !== null
        ? data.entry(reference.value)
        : undefined;
    if (!next) return null;
    at = next;
  }
  return declaredValue(at, last, data);
}

/** The type of what a path leads to from items of a type, where every reference on the way says its own. */
export function typeAlong(
  type: Item['type'],
  path: readonly FieldId[],
  data: Data,
): TypeSpec | undefined {
  let at: Item['type'] | undefined = type;
  for (const [i, field] of path.entries()) {
    const declared: TypeSpec | undefined =
      at === undefined ? undefined : declaredType(at, field, data);
    if (i === path.length - 1) return declared;
    at = declared?.kind === 'entry' ? declared.of : undefined;
  }
  return undefined;
}

/** The type of what a source gives where it stands, before any conversion; nothing when it is not known. */
export function typeOf(source: Source, names: Names): TypeSpec | undefined {
  switch (source.is) {
    case 'expression': {
      const made = workedOutAt(source, names);
      return made.ok ? typeGiven(made.gives) : undefined;
    }
    case 'words':
      return source.of === 'rich' ? RICH : TEXT;
    case 'position':
      return source.as === 'number' ? NUMBER : BOOLEAN;
    case 'begins':
      return BOOLEAN;
    case 'leaf':
      return source.as === 'number' || source.as === 'count' ? NUMBER : LINK;
    case 'today':
      return DATE;
    case 'acts':
      return ACTION;
    case 'value':
      return undefined;
    case 'property': {
      const type = own(names.types, source.property);
      if (!source.path?.length) return type;
      return type?.kind === 'entry' && type.of !== undefined
        ? typeAlong(type.of, source.path, names.data)
        : undefined;
    }
    case 'field': {
      const item = source.from === 'page' ? names.page : own(names.repeats, source.from.repeat);
      return item && typeAlong(item.type, source.path, names.data);
    }
  }
}
