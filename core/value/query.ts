import {
  inOrder,
  NUMBER,
  queriedType,
  TEXT,
  ENTRY,
  type Condition,
  type ListRecord,
  type Query,
  type SortKey,
  type Source,
} from '../model';
import {
  conditionsAsked,
  itemsWanted,
  readyCondition,
  wantedBy,
  type ReadyCondition,
} from './conditions';
import { recording, type Data, type Recorded } from './data';
import {
  evaluate,
  fieldOf,
  Later,
  typeAlong,
  typeOf,
  WAITED_FOR,
  WAITING,
  type Known,
  type Names,
  type Queried,
  type Result,
} from './evaluate';
import { itemOf, type Item, type RecordFields } from './items';
import { orderKey } from './order-key';

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
  const keys = inOrder(query.order).map(([, key]) => key);
  const sorted = sortedItems(items(noted), keys, type, noted);
  const condition = (id: string, asked: Condition) =>
    readyCondition(id, asked, sorted, type, noted);
  const conditions = conditionsAsked(query).map(([id, asked]) => condition(id, asked));
  // Of what refers to many, those are related that share one.
  const isList = query.related && typeAlong(type, query.related.path, noted)?.kind === 'entries';
  const related =
    query.related &&
    condition('', {
      path: query.related.path,
      is: isList ? 'contains' : 'equals',
      source: query.related.to,
    });
  return { items: sorted, conditions, related, read, waits: data.missed !== missed };
}

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
  if (spec?.kind !== 'list' && spec?.kind !== 'entries') return NO_ITEMS;
  const value = evaluate(list, spec, names);
  if (value === WAITING) return WAITED_FOR;
  const answer = (known: Known): Queried => {
    if (known?.type === 'entries' && known.value !== null && spec.kind === 'entries') {
      const ids = known.value;
      const entries = (noted: Data) => ids.flatMap((id) => noted.entry(id) ?? []);
      return asked(query, readyFor(query, spec.of ?? '', ids, entries, data), names);
    }
    if (known?.type !== 'list' || known.value === null || spec.kind !== 'list') return NO_ITEMS;
    const records = known.value;
    const items = () => itemsOf(records, spec.fields);
    return asked(query, readyFor(query, spec.fields, records, items, data), names);
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
  return spec?.kind === 'list' ? spec.fields : spec?.kind === 'entries' ? spec.of : undefined;
}

function itemsOf(records: readonly ListRecord[], fields: RecordFields): readonly Item[] {
  return records.map((record) => itemOf(record, fields));
}

/** What a query made ready gives where it stands. */
function asked(query: Query, ready: Ready, names: Names): Queried {
  if (ready.waits) return WAITED_FOR;
  const wanted = wantedBy(ready.conditions, names);
  const related = ready.related && evaluate(ready.related.sources[0]!, ENTRY, names);
  const limit = query.limit && evaluate(query.limit, NUMBER, names);
  const offset = query.offset && evaluate(query.offset, NUMBER, names);
  const all: (Result | undefined)[] = [...wanted.flat(), related, limit, offset];
  if (all.includes(WAITING)) return WAITED_FOR;
  const select = (known: (result: Result) => Known): readonly Item[] => {
    const { missed } = names.data;
    const found = narrowed(
      query,
      ready,
      wanted.map((each) => each.map(known)),
      related === undefined ? undefined : known(related),
      names.data,
    );
    if (names.data.missed !== missed) return WAITED_FOR;
    const from = offset === undefined ? 0 : count(known(offset), Infinity);
    const most = limit === undefined ? Infinity : count(known(limit), 0);
    return from === 0 && found.length <= most ? found : found.slice(from, from + most);
  };
  if (all.some((value) => value instanceof Later))
    return (run) => select((result) => (result instanceof Later ? result.read(run) : result));
  return select((result) => result as Known);
}

/** A number of items: whole, from 0 on; `otherwise` for what is none. */
function count(value: Known, otherwise: number): number {
  if (value?.type !== 'number' || value.value === null) return otherwise;
  return Math.max(0, Math.floor(value.value));
}

/** No groups: what stands there must hold. */
const ALL = { where: {} };

function narrowed(
  query: Query,
  { conditions, items, related }: Ready,
  wanted: readonly (readonly Known[])[],
  to: Known | undefined,
  data: Data,
): readonly Item[] {
  const found = itemsWanted(items, query, conditions, wanted, data);
  if (!related) return found;
  const entry = to?.type === 'entry' && to.value !== null ? data.entry(to.value) : undefined;
  const held = entry && related.held.get(entry);
  if (!held) return NO_ITEMS;
  const same = new Set(itemsWanted(items, ALL, [related], [[held]], data));
  return found.filter((item) => item !== entry && same.has(item));
}

const NO_ITEMS: readonly Item[] = Object.freeze([]);

/** Items by several keys, the first of which counts first; ties by id. */
export function sortedItems(
  items: readonly Item[],
  keys: readonly Pick<SortKey, 'path' | 'descending'>[],
  type: Item['type'],
  data: Data,
): readonly Item[] {
  if (keys.length === 0) return items;
  const types = keys.map(({ path }) => typeAlong(type, path, data) ?? TEXT);
  const byItem = new Map(
    items.map((item) => [
      item,
      keys.map(({ path }, i) => orderKey(fieldOf(item, path, data), types[i]!, data)),
    ]),
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
