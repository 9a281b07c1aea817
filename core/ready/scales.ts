import type { TokenGroup } from '../model';

/** A token that a scale begins with: its value as CSS, `var(--of)` for the token that it follows. */
export interface ScaleToken {
  readonly name: string;
  readonly css: string;
}

/** How much white or black a step of a colour is mixed with, from the lightest to the darkest; none for the colour itself. */
const MIXED: readonly (readonly ['white' | 'black', number] | null)[] = [
  ['white', 92],
  ['white', 75],
  ['white', 50],
  ['white', 25],
  null,
  ['black', 18],
  ['black', 36],
  ['black', 54],
  ['black', 72],
];

/**
 * Nine steps of a colour in OKLCH, the colour itself in the middle: its lightness goes to white and black, its hue stays
 * (CSS Color 5, 3: color-mix()). All but the middle one follow the token that they are of.
 */
export function colourSteps(name: string): readonly (ScaleToken | null)[] {
  return MIXED.map(
    (mixed, i) =>
      mixed && {
        name: `${name} ${i + 1}`,
        css: `color-mix(in oklch, var(--of), ${mixed[0]} ${mixed[1]}%)`,
      },
  );
}

/** Sizes that grow by a ratio, the same at all widths, or from one to another between two widths. */
export interface SizeScale {
  /** The size of running text, in px, at the narrow width and at the wide one. */
  readonly base: readonly [number, number];
  /** By how much each step is larger than the one before, at both. */
  readonly ratio: readonly [number, number];
  /** How many steps are smaller than running text, and how many larger. */
  readonly below: number;
  readonly above: number;
  /** Between which widths of the window they grow, in px. */
  readonly widths: readonly [number, number];
}

/** Ratios of a scale of sizes, by the intervals of music that they are (common practice, no published source). */
export const RATIOS: readonly (readonly [string, number])[] = [
  ['1.125, a major second', 1.125],
  ['1.2, a minor third', 1.2],
  ['1.25, a major third', 1.25],
  ['1.333, a fourth', 1.333],
  ['1.414, half an octave', 1.414],
  ['1.5, a fifth', 1.5],
  ['1.618, the golden section', 1.618],
];

const ROOT = 16;
const rem = (px: number) => `${Number((px / ROOT).toFixed(4))}rem`;

/**
 * A length that grows evenly with the window from one size to another, and stays beyond the two widths
 * (CSS Values and Units 4, 10.3: clamp()). In rem, so that it grows with the letters that somebody asks for (WCAG 2.2, 1.4.4).
 */
export function fluid(
  [least, most]: readonly [number, number],
  [from, to]: readonly [number, number],
): string {
  if (Math.abs(least - most) < 0.005 || from >= to) return rem(most);
  const slope = (most - least) / (to - from);
  const start = least - slope * from;
  const [low, high] = least < most ? [least, most] : [most, least];
  const sign = slope < 0 ? '-' : '+';
  return `clamp(${rem(low)}, ${rem(start)} ${sign} ${Number(Math.abs(slope * 100).toFixed(4))}vw, ${rem(high)})`;
}

/** Steps of sizes by a ratio, the smallest first. */
export function sizeSteps(name: string, scale: SizeScale): readonly ScaleToken[] {
  const { base, ratio, below, above, widths } = scale;
  return Array.from({ length: below + above + 1 }, (_, i) => {
    const power = i - below;
    const at = (end: 0 | 1) => base[end] * ratio[end] ** power;
    return { name: `${name} ${i + 1}`, css: fluid([at(0), at(1)], widths) };
  });
}

/** By how much the steps of room are larger than one unit (common practice, no published source). */
const ROOMS = [0.25, 0.5, 0.75, 1, 1.5, 2, 3, 4, 6, 8];

/** Steps of room by a unit, in px at the narrow width and at the wide one. */
export function spaceSteps(
  name: string,
  { base, widths }: Pick<SizeScale, 'base' | 'widths'>,
): readonly ScaleToken[] {
  return ROOMS.map((times, i) => ({
    name: `${name} ${i + 1}`,
    css: fluid([base[0] * times, base[1] * times], widths),
  }));
}

/** The kinds of scales, with the group that their tokens belong to. */
export const SCALES = {
  colour: 'colour',
  size: 'size',
  space: 'space',
} as const satisfies Readonly<Record<string, TokenGroup>>;
