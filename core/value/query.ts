import { canonicalJson, type EntryDoc, type Query, type Source, type ValueType } from '../model';
import { convert } from './convert';
import { recording, type Data, type Recorded } from './data';
import {
  declaredType,
  declaredValue,
  evaluate,
  Later,
  type Known,
  type Names,
  type Run,
} from './evaluate';

/** A query made ready for one state of the data: its entries in order, and by condition what each holds. */
interface Ready {
  readonly sorted: readonly EntryDoc[];
  readonly conditions: readonly Condition[];
  /** What making it ready read: noted again whenever it is used. */
  readonly read: Recorded;
}

interface Condition {
  /** The declared type of the field: both sides are compared as it. */
  readonly type: ValueType;
  readonly equals: Source;
  /** The entries in order, by the value they hold; those that hold none are in none. */
  readonly byValue: ReadonlyMap<unknown, readonly EntryDoc[]>;
}

/** Kept as long as the data is the same object, so that a page of many repeats sorts nothing twice. */
const readied = new WeakMap<Data, Map<Query, Ready>>();

function readyFor(query: Query, data: Data): Ready {
  let queries = readied.get(data);
  if (!queries) readied.set(data, (queries = new Map()));
  let ready = queries.get(query);
  if (!ready) queries.set(query, (ready = makeReady(query, data)));
  data.note(ready.read);
  return ready;
}

function makeReady(query: Query, data: Data): Ready {
  const read: Recorded = new Set();
  const noted = recording(data, () => read);
  const sorted = sortedEntries(query, noted);
  const conditions = query.where.map(({ field, equals }): Condition => {
    const byValue = new Map<unknown, EntryDoc[]>();
    for (const entry of sorted) {
      const held = declaredValue(entry, field, noted);
      if (held === null) continue;
      const key = valueKey(held);
      const list = byValue.get(key);
      if (list) list.push(entry);
      else byValue.set(key, [entry]);
    }
    return { type: declaredType(query.type, field, noted) ?? 'text', equals, byValue };
  });
  return { sorted, conditions, read };
}

/** What two values of one type have in common exactly when they are equal. */
function valueKey(value: NonNullable<Known>): unknown {
  return typeof value.value === 'object' ? canonicalJson(value.value) : value.value;
}

/**
 * The entries a query asks for, in order, ties by id. When a condition is known only at writing, the
 * answer is a function of the run. A condition whose own value is empty lets nothing through.
 */
export function runQuery(
  query: Query,
  names: Names,
): readonly EntryDoc[] | ((run: Run) => readonly EntryDoc[]) {
  const ready = readyFor(query, names.data);
  const wanted = ready.conditions.map(({ equals, type }) => evaluate(equals, type, names));
  if (!wanted.some((value) => value instanceof Later))
    return select(ready, wanted as Known[], query.limit);
  return (run) =>
    select(
      ready,
      wanted.map((value) => (value instanceof Later ? value.read(run) : value)),
      query.limit,
    );
}

function select(
  { conditions, sorted }: Ready,
  wanted: readonly Known[],
  limit: number | undefined,
): readonly EntryDoc[] {
  let found = sorted;
  for (let i = 0; i < conditions.length; i += 1) {
    const value = wanted[i]!;
    const equal =
      value === null || value.value === null
        ? NO_ENTRIES
        : (conditions[i]!.byValue.get(valueKey(value)) ?? NO_ENTRIES);
    if (i === 0) found = equal;
    else {
      const also = new Set(equal);
      found = found.filter((entry) => also.has(entry));
    }
  }
  return limit === undefined || found.length <= limit ? found : found.slice(0, limit);
}

const NO_ENTRIES: readonly EntryDoc[] = Object.freeze([]);

function sortedEntries(query: Query, data: Data): readonly EntryDoc[] {
  const entries = data.entriesOf(query.type);
  if (query.order.length === 0) return entries;
  const keys = new Map(
    entries.map((entry) => [entry, query.order.map(({ field }) => sortKey(entry, field, data))]),
  );
  return [...entries].sort((a, b) => {
    const left = keys.get(a)!;
    const right = keys.get(b)!;
    for (let i = 0; i < query.order.length; i += 1) {
      const difference = compare(left[i]!, right[i]!, query.order[i]!.descending);
      if (difference !== 0) return difference;
    }
    return a.id < b.id ? -1 : 1;
  });
}

function sortKey(entry: EntryDoc, field: string, data: Data): string | number | null {
  const value = declaredValue(entry, field, data);
  if (value === null) return null;
  if (value.type === 'number' || value.type === 'date') return value.value;
  if (value.type === 'boolean') return Number(value.value);
  const text = convert(value, 'text', data);
  return text?.type === 'text' ? text.value : null;
}

/**
 * Empty values come last, upwards and downwards; texts compare by code unit, so the order never depends on
 * the machine.
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
