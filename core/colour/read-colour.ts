import {
  converter,
  interpolateWithPremultipliedAlpha,
  oklch,
  parse,
  type Color,
  type Oklch,
} from 'culori';
import { splitAt } from '../style';

/**
 * Colours worked out as a browser does (CSS Color Module Level 4, and of Level 5 `color-mix()`), to
 * show them, and to say what can be read on what.
 */

/** A colour in OKLCH (CSS Color 4, 9): lightness 0 to 1, chroma from 0, hue in degrees, opacity 0 to 1. */
export interface Colour {
  readonly l: number;
  readonly c: number;
  readonly h: number;
  readonly alpha: number;
}

/** The colour that some CSS is; nothing where it depends on where it stands, or is none. */
export function readColour(css: string): Colour | undefined {
  const read = colourOf(css.trim());
  const at = read && (oklch(read) as Oklch | undefined);
  if (!at) return undefined;
  return { l: at.l, c: at.c, h: at.h ?? 0, alpha: at.alpha ?? 1 };
}

/** A colour of the library that reads most of CSS, mixed ones worked out before. */
function colourOf(css: string): Color | undefined {
  const [, name, inner] = /^([a-z-]+)\((.*)\)$/is.exec(css) ?? [];
  if (name === 'color-mix') return mixed(inner!);
  return parse(css);
}

/** Parts at the commas that stand in no bracket. */
function splitAtCommas(text: string): string[] {
  const parts = [''];
  let depth = 0;
  for (const sign of text) {
    if (sign === '(') depth += 1;
    if (sign === ')') depth -= 1;
    if (sign === ',' && depth === 0) parts.push('');
    else parts[parts.length - 1] += sign;
  }
  return parts.map((part) => part.trim());
}

const SPACES: Readonly<Record<string, 'rgb' | 'lrgb' | 'oklab' | 'oklch' | 'lab' | 'lch' | 'hsl'>> =
  {
    srgb: 'rgb',
    'srgb-linear': 'lrgb',
    oklab: 'oklab',
    oklch: 'oklch',
    lab: 'lab',
    lch: 'lch',
    hsl: 'hsl',
  };

/** `color-mix()` with the shares made to add up to one (CSS Color 5, 3.1 and 3.2); less than one is transparency. */
function mixed(inner: string): Color | undefined {
  const [how = '', first = '', second = '', ...more] = splitAtCommas(inner);
  const space = SPACES[/^in\s+([a-z0-9-]+)$/.exec(how)?.[1] ?? ''];
  const [left, right] = [shareOf(first), shareOf(second)];
  if (!space || !left || !right || more.length > 0) return undefined;
  const a = left.share ?? (right.share === undefined ? 0.5 : 1 - right.share);
  const b = right.share ?? 1 - a;
  if (a + b <= 0) return undefined;
  const ends = hued(left.colour, right.colour, space);
  const made = interpolateWithPremultipliedAlpha(ends, space)(b / (a + b));
  return { ...made, alpha: (made.alpha ?? 1) * Math.min(1, a + b) };
}

/** Less chroma than this is none: what is left of grey by rounding (CSS Color 4, 4.4: powerless components). */
const NO_CHROMA = 0.00001;

/** Two colours in a space; where one has no chroma there it has no hue either, and takes that of the other (CSS Color 4, 12.2). */
function hued(left: Color, right: Color, space: (typeof SPACES)[string]): [Color, Color] {
  const ends = [left, right].map(
    (colour) => converter(space)(colour) as Color & { c?: number; s?: number; h?: number },
  );
  const lacks = ends.map(
    ({ c, s, h }) => h === undefined || (c ?? 1) < NO_CHROMA || (s ?? 1) < NO_CHROMA,
  );
  ends.forEach((end, i) => {
    const other = ends[1 - i]!;
    if (lacks[i] && !lacks[1 - i] && other.h !== undefined) end.h = other.h;
  });
  return ends as [Color, Color];
}

function shareOf(text: string): { colour: Color; share: number | undefined } | undefined {
  const words = splitAt(text, ' ');
  const share = words.find((word) => /^[\d.]+%$/.test(word));
  const colour = colourOf(words.filter((word) => word !== share).join(' '));
  return colour && { colour, share: share === undefined ? undefined : parseFloat(share) / 100 };
}
