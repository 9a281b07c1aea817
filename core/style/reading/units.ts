import { written } from './arithmetic';

/** A number with its unit and nothing else. */
const ONE = /^(-?(?:\d+\.?\d*|\.\d+))(%|[a-z]+)$/i;

/** Units in which lengths are written by hand, the usual ones first (CSS Values and Units Level 4, 6). */
const LENGTHS = ['px', 'rem', 'em', '%', 'ch', 'vw', 'vh'] as const;

/** Units of other kinds that go into each other: angles, times. */
const OTHERS: readonly Readonly<Record<string, number>>[] = [
  { deg: 1, turn: 360, grad: 0.9 },
  { ms: 1, s: 1000 },
];

/** A value in another unit. */
export interface InUnit {
  readonly unit: string;
  readonly css: string;
  /** Whether it is as much as before; else the number is kept, since how much it is depends on where it stands. */
  readonly same: boolean;
}

/**
 * A single number with its unit in every other unit that people write it in: the same length where that is known (at the
 * size of the root, and for `vw` at the width that is looked at), else the number as it is.
 * @param width the width of the page that is looked at, in px
 * @returns nothing where it is no number with a unit
 */
export function inUnits(css: string, { root = 16, width = 1280 } = {}): readonly InUnit[] {
  const [, number, unit = ''] = ONE.exec(css) ?? [];
  if (number === undefined) return [];
  const value = Number(number);
  const from = unit.toLowerCase();
  const scale: Readonly<Record<string, number>> = { px: 1, rem: root, vw: width / 100 };
  const table = OTHERS.find((each) => Object.hasOwn(each, from)) ?? scale;
  const units = table === scale ? LENGTHS : Object.keys(table);
  if (table === scale && !(LENGTHS as readonly string[]).includes(from)) return [];
  return units
    .filter((each) => each !== from)
    .map((each) => {
      const [was, is] = [table[from], table[each]];
      const same = was !== undefined && is !== undefined;
      const now = same ? Number(((value * was) / is).toFixed(3)) : value;
      return { unit: each, css: written(now) + each, same };
    });
}

/** A length in px at the size of the root, or the other way round: `20px` and `1.25rem` say the same at 16 px. */
export function inOtherUnit(css: string, rootSize = 16): string | undefined {
  const found = /^(-?(?:\d+\.?\d*|\.\d+))(px|rem)$/.exec(css);
  if (!found) return undefined;
  const value = Number(found[1]);
  return found[2] === 'px' ? `${written(value / rootSize)}rem` : `${written(value * rootSize)}px`;
}
