import { Type } from '@sinclair/typebox';
import { generateKeyBetween, generateNKeysBetween } from 'fractional-indexing';

/** A fractional index, as the library that makes them can continue: checked by `isOrderKey`. */
export const OrderKey = Type.String({ format: 'order-key', maxLength: 200 });

/** Whether a text is an order that another can be put before and behind. */
export function isOrderKey(text: string): boolean {
  if (!/^[0-9A-Za-z]+$/.test(text)) return false;
  try {
    generateKeyBetween(text, null);
    generateKeyBetween(null, text);
    return true;
  } catch {
    // The library throws on what is no key of its; that is the answer.
    return false;
  }
}

/**
 * An order between two others; `null` means the open end.
 * @throws when `before` is not before `after`: between equal orders there is no place, see `placeAt`
 */
export function orderBetween(before: string | null, after: string | null): string {
  return generateKeyBetween(before, after);
}

/** An order after those of all that is given. */
export function orderAfterAll(ordered: Iterable<{ readonly order: string }>): string {
  let last: string | null = null;
  for (const { order } of ordered) if (last === null || order > last) last = order;
  return orderBetween(last, null);
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
