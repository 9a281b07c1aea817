import {
  canonicalJson,
  inOrder,
  NUMBER,
  queriedType,
  TEXT,
  ENTRY,
  type Condition,
  type ListRecord,
  type Query,
  type Source,
  type TypeSpec,
} from '../model';
import { convert } from './convert';
import { recording, type Data, type Recorded } from './data';
import {
  evaluate,
  fieldOf,
  Later,
  typeAlong,
  typeOf,
  WAITING,
  type Known,
  type Names,
  type Result,
  type Run,
} from './evaluate';
import { itemOf, type Item, type RecordFields } from './items';

/** A query over some items made ready for one state of the data: in order, and by condition what each holds. */
interface Ready {
  readonly items: readonly Item[];
  readonly conditions: readonly ReadyCondition[];
  /** What holds the same as what, along the path of `related`. */
  readonly related: ReadyCondition | undefined;
  /** What making it ready read: noted again whenever it is used. */
  readonly read: Recorded;
  /** Whether something of that is not loaded, so that nobody can tell what it gives. */
  readonly waits: boolean;
}

interface ReadyCondition {
  /** The declared type at the end of the path: both sides are compared as it. */
  readonly type: TypeSpec;
  readonly is: Condition['is'];
  readonly source: Source;
  /** What each item holds, those that hold nothing left out. */
  readonly held: ReadonlyMap<Item, NonNullable<Known>>;
  /** The items in order, by what they hold: answers `equals` without looking at all. */
  readonly byValue: ReadonlyMap<unknown, readonly Item[]>;
}

/** Kept as long as the data is the same object, so that a page of many repeats sorts nothing twice. */
const readied = new WeakMap<Data, WeakMap<object, Map<Query, Ready>>>();

/**
 * @param type what the items are: a content type by id, or the fields of records
 * @param of the items, or the list they come from: what is made ready is kept for
 */
function readyFor(
  query: Query,
  type: Item['type'],
  of: object,
  items: (data: Data) => readonly Item[],
  data: Data,
): Ready {
  let byItems = readied.get(data);
  if (!byItems) readied.set(data, (byItems = new WeakMap()));
  let queries = byItems.get(of);
  if (!queries) byItems.set(of, (queries = new Map()));
  let ready = queries.get(query);
  if (!ready) queries.set(query, (ready = makeReady(query, type, items, data)));
  data.note(ready.read);
  return ready;
}

function makeReady(
  query: Query,
  type: Item['type'],
  items: (data: Data) => readonly Item[],
  data: Data,
): Ready {
  const read: Recorded = new Set();
  const noted = recording(data, () => read);
  const { missed } = data;
  const sorted = sortedItems(query, items(noted), noted);
  const condition = ({ path, is, source }: Condition): ReadyCondition => {
    const held = new Map<Item, NonNullable<Known>>();
    const byValue = new Map<unknown, Item[]>();
    for (const item of sorted) {
      const value = fieldOf(item, path, noted);
      if (value === null) continue;
      held.set(item, value);
      const key = valueKey(value);
      const list = byValue.get(key);
      if (list) list.push(item);
      else byValue.set(key, [item]);
    }
    return { type: typeAlong(type, path, noted) ?? TEXT, is, source, held, byValue };
  };
  const conditions = Object.keys(query.where)
    .sort()
    .filter((id) => !asksNothing(query.where[id]!))
    .map((id) => condition(query.where[id]!));
  const related =
    query.related &&
    condition({ path: query.related.path, is: 'equals', source: query.related.to });
  return { items: sorted, conditions, related, read, waits: data.missed !== missed };
}

/** Whether a condition compares with nothing yet: one that was just added must not empty the list. */
export function asksNothing({ source }: Condition): boolean {
  return source.is === 'value' && (source.value === null || source.value === '');
}

/** What two values of one type have in common exactly when they are equal. */
function valueKey(value: NonNullable<Known>): unknown {
  return typeof value.value === 'object' ? canonicalJson(value.value) : value.value;
}

/** What a query gives where something it asks for is not loaded; told from no items by identity. */
export const WAITED_FOR: readonly Item[] = Object.freeze([]);

/** The items a query gives at a place: at once, or for each page where something in it is known only then. */
export type Queried = readonly Item[] | ((run: Run) => readonly Item[]);

/**
 * The items a query asks for, in order. A condition whose own value is empty lets nothing through; so do a limit
 * and an offset that are no number, except where they are left out.
 */
export function runQuery(query: Query, names: Names): Queried {
  const { data } = names;
  const type = queriedType(query);
  if (type !== undefined) {
    const ready = readyFor(query, type, data, (noted) => noted.entriesOf(type), data);
    return asked(query, ready, names);
  }
  const { list } = query.from as { list: Source };
  const spec = typeOf(list, names);
  if (spec?.kind !== 'list') return NO_ITEMS;
  const value = evaluate(list, spec, names);
  if (value === WAITING) return WAITED_FOR;
  const answer = (known: Known): Queried => {
    const records = known?.type === 'list' ? known.value : null;
    return records === null
      ? NO_ITEMS
      : asked(
          query,
          readyFor(query, spec.fields, records, () => itemsOf(records, spec.fields), data),
          names,
        );
  };
  if (!(value instanceof Later)) return answer(value);
  return (run) => {
    const queried = answer(value.read(run));
    return typeof queried === 'function' ? queried(run) : queried;
  };
}

/** The type of the items a query gives at a place; nothing when that is not known. */
export function queriedItems(query: Query, names: Names): Item['type'] | undefined {
  if ('type' in query.from) return query.from.type;
  const spec = typeOf(query.from.list, names);
  return spec?.kind === 'list' ? spec.fields : undefined;
}

function itemsOf(records: readonly ListRecord[], fields: RecordFields): readonly Item[] {
  return records.map((record) => itemOf(record, fields));
}

/** What a query made ready gives where it stands. */
function asked(query: Query, ready: Ready, names: Names): Queried {
  if (ready.waits) return WAITED_FOR;
  const wanted: Result[] = ready.conditions.map(({ source, type }) =>
    evaluate(source, type, names),
  );
  const related = ready.related && evaluate(ready.related.source, ENTRY, names);
  const limit = query.limit && evaluate(query.limit, NUMBER, names);
  const offset = query.offset && evaluate(query.offset, NUMBER, names);
  if ([...wanted, related, limit, offset].includes(WAITING)) return WAITED_FOR;
  const select = (known: (result: Result) => Known): readonly Item[] => {
    const { missed } = names.data;
    const found = narrowed(
      ready,
      wanted.map(known),
      related === undefined ? undefined : known(related),
      names.data,
    );
    if (names.data.missed !== missed) return WAITED_FOR;
    const from = offset === undefined ? 0 : count(known(offset), Infinity);
    const most = limit === undefined ? Infinity : count(known(limit), 0);
    return from === 0 && found.length <= most ? found : found.slice(from, from + most);
  };
  if ([...wanted, related, limit, offset].some((value) => value instanceof Later))
    return (run) => select((result) => (result instanceof Later ? result.read(run) : result));
  return select((result) => result as Known);
}

/** A number of items: whole, from 0 on; `otherwise` for what is none. */
function count(value: Known, otherwise: number): number {
  if (value?.type !== 'number' || value.value === null) return otherwise;
  return Math.max(0, Math.floor(value.value));
}

function narrowed(
  { conditions, items, related }: Ready,
  wanted: readonly Known[],
  to: Known | undefined,
  data: Data,
): readonly Item[] {
  let found = items;
  conditions.forEach((condition, i) => {
    found = meeting(condition, wanted[i]!, found, i === 0);
  });
  if (!related) return found;
  const entry = to?.type === 'entry' && to.value !== null ? data.entry(to.value) : undefined;
  const held = entry && related.held.get(entry);
  if (!held) return NO_ITEMS;
  const same = meeting(related, held, found, conditions.length === 0);
  return same.filter((item) => item !== entry);
}

/** Those of some items that meet a condition. */
function meeting(
  { is, held, byValue }: ReadyCondition,
  wanted: Known,
  found: readonly Item[],
  all: boolean,
): readonly Item[] {
  if (wanted === null || wanted.value === null) return NO_ITEMS;
  if (is === 'equals') {
    const equal = byValue.get(valueKey(wanted)) ?? NO_ITEMS;
    if (all) return equal;
    const also = new Set(equal);
    return found.filter((item) => also.has(item));
  }
  const key = valueKey(wanted) as string | number;
  return found.filter((item) => {
    const value = held.get(item);
    if (!value) return is === 'differs';
    const own = valueKey(value) as string | number;
    switch (is) {
      case 'differs':
        return own !== key;
      case 'atLeast':
        return own >= key;
      case 'atMost':
        return own <= key;
      case 'contains':
        return String(own).includes(String(key));
    }
  });
}

const NO_ITEMS: readonly Item[] = Object.freeze([]);

function sortedItems(query: Query, items: readonly Item[], data: Data): readonly Item[] {
  const keys = inOrder(query.order).map(([, key]) => key);
  if (keys.length === 0) return items;
  const byItem = new Map(
    items.map((item) => [item, keys.map(({ path }) => sortKey(fieldOf(item, path, data), data))]),
  );
  return [...items].sort((a, b) => {
    const left = byItem.get(a)!;
    const right = byItem.get(b)!;
    for (let i = 0; i < keys.length; i += 1) {
      const difference = compare(left[i]!, right[i]!, keys[i]!.descending);
      if (difference !== 0) return difference;
    }
    return a.id < b.id ? -1 : 1;
  });
}

function sortKey(value: Known, data: Data): string | number | null {
  if (value === null || value.type === 'hide' || value.type === 'waiting') return null;
  if (value.type === 'number' || value.type === 'date') return value.value;
  if (value.type === 'boolean') return Number(value.value);
  const text = convert(value, TEXT, data);
  return text?.type === 'text' && text.value !== null ? data.language.sortingKey(text.value) : null;
}

/**
 * Empty values come last, upwards and downwards; texts compare by their keys in the language of the page, which
 * come from data that ships, so the order never depends on the machine.
 */
function compare(
  a: string | number | null,
  b: string | number | null,
  descending: boolean,
): number {
  if (a === b) return 0;
  if (a === null) return 1;
  if (b === null) return -1;
  return a < b === descending ? 1 : -1;
}
