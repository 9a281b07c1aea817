import type { EntryDoc, Query, Source, Typed, ValueType } from '../model';
import { convert } from './convert';
import type { Data } from './data';
import { evaluate, Later, type Known, type Names, type Run } from './evaluate';

/** A query made ready for one state of the data: its entries in order, found by the value of the first condition. */
interface Ready {
  readonly sorted: readonly EntryDoc[];
  readonly byValue: ReadonlyMap<unknown, readonly EntryDoc[]> | undefined;
  readonly conditions: readonly { field: string; type: ValueType; equals: Source }[];
}

/** Kept as long as the data is the same object, so that a page of many repeats sorts nothing twice. */
const readied = new WeakMap<Data, Map<Query, Ready>>();

function readyFor(query: Query, data: Data): Ready {
  let queries = readied.get(data);
  if (!queries) readied.set(data, (queries = new Map()));
  let ready = queries.get(query);
  if (!ready) queries.set(query, (ready = makeReady(query, data)));
  return ready;
}

function makeReady(query: Query, data: Data): Ready {
  const type = data.type(query.type);
  const sorted = sortedEntries(query, data);
  const conditions = query.where.map(({ field, equals }) => ({
    field,
    type: type?.fields[field]?.type ?? ('text' as const),
    equals,
  }));
  const [first] = conditions;
  if (!first) return { sorted, byValue: undefined, conditions };
  const byValue = new Map<unknown, EntryDoc[]>();
  for (const entry of sorted) {
    const held = entry.values[first.field];
    if (!held || held.type !== first.type) continue;
    const list = byValue.get(held.value);
    if (list) list.push(entry);
    else byValue.set(held.value, [entry]);
  }
  return { sorted, byValue, conditions };
}

/**
 * The entries a query asks for, in order, ties by id. When a condition is known only at writing, the
 * answer is a function of the run. A condition whose own value is empty lets nothing through.
 */
export function runQuery(
  query: Query,
  names: Names,
): readonly EntryDoc[] | ((run: Run) => readonly EntryDoc[]) {
  // Asked for in any case, so that whoever records what is read hears of it.
  names.data.entriesOf(query.type);
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
  ready: Ready,
  wanted: readonly Known[],
  limit: number | undefined,
): readonly EntryDoc[] {
  const { conditions, byValue, sorted } = ready;
  let found = sorted;
  if (byValue) {
    const first = wanted[0]!;
    found = (first !== null && first.value !== null && byValue.get(first.value)) || NO_ENTRIES;
  }
  for (let i = 1; i < conditions.length; i += 1) {
    const { field } = conditions[i]!;
    const value = wanted[i]!;
    found =
      value === null || value.type === 'hide'
        ? NO_ENTRIES
        : found.filter((entry) => same(entry.values[field], value));
  }
  return limit === undefined || found.length <= limit ? found : found.slice(0, limit);
}

const NO_ENTRIES: readonly EntryDoc[] = Object.freeze([]);

function same(value: Typed | undefined, wanted: Typed): boolean {
  return value !== undefined && value.type === wanted.type && value.value === wanted.value;
}

function sortedEntries(query: Query, data: Data): readonly EntryDoc[] {
  const entries = data.entriesOf(query.type);
  if (query.order.length === 0) return entries;
  return [...entries].sort((a, b) => {
    for (const { field, descending } of query.order) {
      const difference = compare(sortKey(a.values[field]), sortKey(b.values[field]));
      if (difference !== 0) return descending ? -difference : difference;
    }
    return a.id < b.id ? -1 : 1;
  });

  function sortKey(value: Typed | undefined): string | number | null {
    if (value === undefined) return null;
    if (value.type === 'number' || value.type === 'date') return value.value;
    const text = convert(value, 'text', data);
    return text?.type === 'text' ? text.value : null;
  }
}

/** Empty values come last; texts compare by code unit, so the order never depends on the machine. */
function compare(a: string | number | null, b: string | number | null): number {
  if (a === b) return 0;
  if (a === null) return 1;
  if (b === null) return -1;
  return a < b ? -1 : 1;
}
