import type { EntryDoc, Query, Typed } from '../model';
import { evaluate, Later, type Names, type Run } from './evaluate';
import { convert } from './convert';

/**
 * The entries a query asks for, in order, ties by id. When a condition is known only at writing, the
 * answer is a function of the run. A condition whose own value is empty lets nothing through.
 */
export function runQuery(
  query: Query,
  names: Names,
): readonly EntryDoc[] | ((run: Run) => readonly EntryDoc[]) {
  const { data } = names;
  const type = data.type(query.type);
  const conditions = query.where.map(({ field, equals }) => {
    const wanted = type?.fields[field]?.type ?? 'text';
    return { field, value: evaluate(equals, wanted, names) };
  });
  const sorted = sortedEntries(query, names);
  const select = (known: { field: string; value: Typed | null }[]) => {
    const found: EntryDoc[] = [];
    for (const entry of sorted) {
      if (known.every(({ field, value }) => value !== null && same(entry.values[field], value)))
        found.push(entry);
      if (found.length === query.limit) break;
    }
    return found;
  };
  if (!conditions.some(({ value }) => value instanceof Later))
    return select(conditions.map(({ field, value }) => ({ field, value: known(value) })));
  return (run) =>
    select(
      conditions.map(({ field, value }) => ({
        field,
        value: known(value instanceof Later ? value.read(run) : value),
      })),
    );
}

function known(value: unknown): Typed | null {
  const typed = value as Typed | { type: 'hide' } | null;
  return typed === null || typed.type === 'hide' ? null : typed;
}

function same(value: Typed | undefined, wanted: Typed): boolean {
  return value !== undefined && value.type === wanted.type && value.value === wanted.value;
}

function sortedEntries(query: Query, { data }: Names): readonly EntryDoc[] {
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
