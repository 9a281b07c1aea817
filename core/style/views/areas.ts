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

/** Where an area lies, in cells: the first column and row, and how many of each. */
export interface AreaPlace {
  readonly name: string;
  readonly x: number;
  readonly y: number;
  readonly wide: number;
  readonly high: number;
}

/** Where the areas of a grid lie, in the order in which they begin; each is a rectangle. */
export function areaPlaces(rows: readonly (readonly string[])[]): AreaPlace[] {
  const names = [...new Set(rows.flat())].filter((name) => name !== NO_AREA);
  return names.map((name) => {
    const y = rows.findIndex((row) => row.includes(name));
    const x = rows[y]!.indexOf(name);
    return {
      name,
      x,
      y,
      wide: rows[y]!.filter((each) => each === name).length,
      high: rows.filter((row) => row.includes(name)).length,
    };
  });
}

/**
 * Areas with one of them reaching as far as a cell: at least its first cell stays its own, what it leaves belongs to none,
 * what it comes over is taken from others. Nothing where another would be no rectangle any more, or would be gone.
 */
export function stretched(
  rows: readonly (readonly string[])[],
  name: string,
  to: { readonly x: number; readonly y: number },
): string[][] | undefined {
  const place = areaPlaces(rows).find((each) => each.name === name);
  if (!place) return undefined;
  const [lastX, lastY] = [Math.max(place.x, to.x), Math.max(place.y, to.y)];
  const next = rows.map((row, y) =>
    row.map((was, x) => {
      if (x >= place.x && x <= lastX && y >= place.y && y <= lastY) return name;
      return was === name ? NO_AREA : was;
    }),
  );
  const isWhole = areaPlaces(rows).every((each) => next.flat().includes(each.name));
  return isWhole && brokenArea(next) === undefined ? next : undefined;
}
