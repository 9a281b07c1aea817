/** How many rows one statement writes at the most. */
const ROWS = 500;

/** Rows in the portions in which statements write them. */
export function* portions<T>(rows: readonly T[]): Iterable<readonly T[]> {
  for (let at = 0; at < rows.length; at += ROWS) yield rows.slice(at, at + ROWS);
}
