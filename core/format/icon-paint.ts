import { formatHex8 } from 'culori';
import type { IconPaint } from '../model';

/** What a shape is painted with, as SVG says it: what is inherited, and what is gathered on the way down to it. */
export interface Painting {
  /** By property: what the shape has, or what is around it says (SVG 2, 13, "Inherited: yes"). */
  readonly said: Readonly<Record<string, string>>;
  /** Of all groups around it and its own, multiplied: those do not inherit, and each lies over the other. */
  readonly opacity: number;
  /** Of all groups around it and its own, the outermost first. */
  readonly transform: string;
}

/** As SVG begins: black, and no line. */
export const UNPAINTED: Painting = { said: {}, opacity: 1, transform: '' };

const INHERITED = [
  'fill',
  'stroke',
  'stroke-width',
  'stroke-linecap',
  'stroke-linejoin',
  'stroke-miterlimit',
  'stroke-dasharray',
  'fill-rule',
  'fill-opacity',
  'stroke-opacity',
  'visibility',
] as const;

/** What an element in a painting is painted with. */
export function paintedIn(around: Painting, own: Readonly<Record<string, string>>): Painting {
  const said: Record<string, string> = { ...around.said };
  for (const name of INHERITED) {
    const value = own[name]?.trim();
    if (value !== undefined && value !== 'inherit') said[name] = value;
  }
  const transform = own['transform']?.trim() ?? '';
  return {
    said,
    opacity: around.opacity * share(own['opacity'], 1),
    transform: [around.transform, transform].filter(Boolean).join(' '),
  };
}

/** Whether a paint is none: said to be, or wholly clear. */
const isNone = (paint: string) => /^(none|transparent)$/i.test(paint);

/** A transform as attributes of SVG write it, and an icon holds it; nothing where it is written in another way. */
export function transformIn(written: string): string | undefined {
  const spaced = written
    .replace(/\s+/g, ' ')
    .replace(/ ?\( ?/g, '(')
    .replace(/ ?\)/g, ')')
    .trim();
  return /^((matrix|translate|scale|rotate|skewX|skewY)\([-0-9.,e+ ]*\)[, ]*)+$/.test(spaced)
    ? spaced.replace(/\)[, ]*/g, ') ').trim()
    : undefined;
}

/** The colours that a shape is painted with, each written in one way. */
export function coloursOf({ said }: Painting, { fill, stroke }: IconPaint): string[] {
  return [
    ...(fill ? [said['fill'] ?? 'black'] : []),
    ...(stroke ? [said['stroke'] ?? 'black'] : []),
  ].map((colour) => formatHex8(colour) ?? colour.toLowerCase());
}

/** The paint of a shape; nothing where it is not seen. */
export function iconPaint({ said, opacity, transform }: Painting): IconPaint | undefined {
  const fill = !isNone(said['fill'] ?? 'black');
  const width = numberOf(said['stroke-width']) ?? 1;
  const stroke = !isNone(said['stroke'] ?? 'none') && width > 0;
  if ((!fill && !stroke) || opacity === 0 || /^(hidden|collapse)$/.test(said['visibility'] ?? ''))
    return undefined;
  const cap = said['stroke-linecap'];
  const join = said['stroke-linejoin'];
  const miter = numberOf(said['stroke-miterlimit']);
  const dashes = said['stroke-dasharray'];
  const paint: { -readonly [K in keyof IconPaint]: IconPaint[K] } = { fill, stroke };
  if (stroke) {
    if (width !== 1) paint.width = width;
    if (cap === 'round' || cap === 'square') paint.cap = cap;
    if (join === 'round' || join === 'bevel') paint.join = join;
    if (miter !== undefined && miter >= 1) paint.miter = miter;
    if (dashes !== undefined && /^[0-9., ]+$/.test(dashes)) paint.dashes = dashes;
    const clear = share(said['stroke-opacity'], 1);
    if (clear !== 1) paint.strokeOpacity = clear;
  }
  if (fill) {
    if (said['fill-rule'] === 'evenodd') paint.rule = 'evenodd';
    const clear = share(said['fill-opacity'], 1);
    if (clear !== 1) paint.fillOpacity = clear;
  }
  if (opacity !== 1) paint.opacity = opacity;
  if (transform !== '') paint.transform = transform;
  return paint;
}

function numberOf(written: string | undefined): number | undefined {
  const [, number] = /^(\d+\.?\d*|\.\d+)(px)?$/.exec(written ?? '') ?? [];
  return number === undefined ? undefined : Number(number);
}

/** A share of one, also as percent (CSS Color 4, 15: opacity). */
function share(written: string | undefined, otherwise: number): number {
  const [, number, percent] = /^(\d+\.?\d*|\.\d+)(%)?$/.exec(written?.trim() ?? '') ?? [];
  if (number === undefined) return otherwise;
  return Math.min(1, Number(number) / (percent ? 100 : 1));
}
