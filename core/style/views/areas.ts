/** What stands for a cell that belongs to no area (CSS Grid Layout 2, 7.3). */
export const NO_AREA = '.';

/** The areas of a grid, row by row, cell by cell; nothing where there are none, or rows are not of one length. */
export function readAreas(css: string): string[][] | undefined {
  const rows = [...css.matchAll(/"([^"]*)"|'([^']*)'/g)].map(([, double, single]) =>
    (double ?? single ?? '')
      .trim()
      .split(/\s+/)
      .map((cell) => (/^\.+$/.test(cell) ? NO_AREA : cell)),
  );
  const [first] = rows;
  return first && rows.every((row) => row.length === first.length) ? rows : undefined;
}

/** Areas as CSS. */
export function writeAreas(rows: readonly (readonly string[])[]): string {
  return rows.map((row) => `"${row.join(' ')}"`).join(' ');
}

/** The name of an area that is no rectangle, which makes the whole of them hold nothing (CSS Grid Layout 2, 7.3). */
export function brokenArea(rows: readonly (readonly string[])[]): string | undefined {
  const names = new Set(rows.flat().filter((name) => name !== NO_AREA));
  for (const name of names) {
    const at = rows.flatMap((row, y) =>
      row.flatMap((cell, x) => (cell === name ? [{ x, y }] : [])),
    );
    const [xs, ys] = [at.map(({ x }) => x), at.map(({ y }) => y)];
    const room = (Math.max(...xs) - Math.min(...xs) + 1) * (Math.max(...ys) - Math.min(...ys) + 1);
    if (room !== at.length) return name;
  }
  return undefined;
}
