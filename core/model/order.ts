import { generateKeyBetween, generateNKeysBetween } from 'fractional-indexing';

/** An order between two others; `null` means the open end. Equal neighbours count as one place. */
export function orderBetween(before: string | null, after: string | null): string {
  if (before !== null && after !== null && before >= after) return generateKeyBetween(before, null);
  return generateKeyBetween(before, after);
}

/** The first `count` orders of an empty list. */
export function ordersFor(count: number): string[] {
  return generateNKeysBetween(null, null, count);
}

/** Compares by order, ties by id: the one way in which siblings are sorted. */
export function byOrder(a: [string, { order: string }], b: [string, { order: string }]): number {
  if (a[1].order !== b[1].order) return a[1].order < b[1].order ? -1 : 1;
  return a[0] < b[0] ? -1 : a[0] > b[0] ? 1 : 0;
}

/** The entries of a record of ordered things, sorted. */
export function inOrder<T extends { order: string }>(
  record: Readonly<Record<string, T>>,
): [string, T][] {
  return Object.entries(record).sort(byOrder);
}
