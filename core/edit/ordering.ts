import { byOrder, orderBetween, ordersFor } from '../model';

interface Ordered {
  readonly order: string;
}

/**
 * The orders that put one of several ordered things before another, or last when that is `null` or gone: its own alone,
 * or all of them where two windows gave the same order to two, between which there is no place.
 * @param others the things it stands among, itself left out
 * @returns order keys by id
 */
export function ordersPutting(
  moved: string,
  before: string | null,
  others: readonly (readonly [string, Ordered])[],
): Readonly<Record<string, string>> {
  const sorted = [...others].sort(([a, x], [b, y]) => byOrder([a, x], [b, y]));
  const found = before === null ? -1 : sorted.findIndex(([id]) => id === before);
  const at = found < 0 ? sorted.length : found;
  const near = sorted[at - 1]?.[1].order ?? null;
  const far = sorted[at]?.[1].order ?? null;
  if (near === null || far === null || near < far) return { [moved]: orderBetween(near, far) };
  const ids = sorted.map(([id]) => id);
  ids.splice(at, 0, moved);
  const orders = ordersFor(ids.length);
  return Object.fromEntries(ids.map((id, i) => [id, orders[i]!]));
}
