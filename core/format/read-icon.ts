import { ICON_SHAPES, own, type IconValue } from '../model';
import { say, type Said } from '../said';

/** An element of a drawing as it was read from SVG: whoever reads the file knows nothing else of it. */
export interface DrawnElement {
  readonly tag: string;
  readonly attributes: Readonly<Record<string, string>>;
  readonly children: readonly DrawnElement[];
}

/** An icon that was read, or why the drawing is none. */
export type ReadIcon =
  { readonly ok: true; readonly icon: IconValue } | { readonly ok: false; readonly reason: Said };

/** How deep groups may stand in each other. */
const DEEPEST = 100;

/** What says something of a drawing and is drawn nowhere (SVG 2, 5.7 and 5.8); left out. */
const SAYS_NOTHING = new Set(['title', 'desc', 'metadata', 'defs']);

/**
 * An icon of a drawing: its shapes and nothing else of it. Lines where it strokes and fills nothing, else areas; what an
 * icon cannot hold (words, pictures, what moves or runs, transformed shapes) is told, so that nothing looks otherwise
 * than it did unnoticed.
 */
export function readIcon(root: DrawnElement, name: string): ReadIcon {
  if (root.tag !== 'svg') return { ok: false, reason: say('icon-no-svg') };
  const box = boxOf(root.attributes);
  if (!box) return { ok: false, reason: say('icon-no-size') };
  const shapes: IconValue['shapes'] = [];
  const fills = new Set<string>();
  const strokes = new Set<string>();
  let reason: Said | undefined;
  const visit = (element: DrawnElement, fill: string, stroke: string, depth: number): void => {
    if (depth > DEEPEST) {
      reason ??= say('icon-too-deep', { most: DEEPEST });
      return;
    }
    const { tag, attributes } = element;
    const paint = {
      fill: paintOf(attributes, 'fill') ?? fill,
      stroke: paintOf(attributes, 'stroke') ?? stroke,
    };
    if (SAYS_NOTHING.has(tag) || attributes['display'] === 'none') return;
    if (attributes['transform']) reason ??= say('icon-transforms');
    if (tag === 'svg' || tag === 'g') {
      for (const child of element.children) visit(child, paint.fill, paint.stroke, depth + 1);
      return;
    }
    const geometry = own(ICON_SHAPES as Readonly<Record<string, readonly string[]>>, tag);
    if (!geometry) {
      reason ??= say('icon-holds', { tag });
      return;
    }
    if (paint.fill === 'none' && paint.stroke === 'none') return;
    fills.add(paint.fill === 'none' ? 'none' : 'some');
    strokes.add(paint.stroke === 'none' ? 'none' : 'some');
    const said = Object.fromEntries(
      geometry.flatMap((each) => {
        const value = attributes[each]?.trim().replace(/\s+/g, ' ');
        return value === undefined ? [] : [[each, value]];
      }),
    );
    if (Object.values(said).some((value) => !/^[0-9a-zA-Z.,+\- ]*$/.test(value)))
      reason ??= say('icon-geometry', { tag });
    shapes.push({ tag: tag as IconValue['shapes'][number]['tag'], geometry: said });
  };
  visit(root, 'black', 'none', 0);
  if (reason !== undefined) return { ok: false, reason };
  if (shapes.length === 0) return { ok: false, reason: say('icon-no-shape') };
  if (shapes.length > 200) return { ok: false, reason: say('icon-too-many') };
  const drawn = fills.has('some') ? 'areas' : 'lines';
  if (drawn === 'areas' && strokes.has('some') && !strokes.has('none') && !fills.has('none'))
    return { ok: false, reason: say('icon-both') };
  return { ok: true, icon: { name: name.slice(0, 120), box, drawn, shapes } };
}

/** What paints an element: its attribute, or the same in its style (SVG 2, 6.6 and 13.2). */
function paintOf(attributes: Readonly<Record<string, string>>, name: string): string | undefined {
  const styled = new RegExp(`(?:^|;)\\s*${name}\\s*:\\s*([^;]+)`).exec(
    attributes['style'] ?? '',
  )?.[1];
  return (styled ?? attributes[name])?.trim();
}

function boxOf(attributes: Readonly<Record<string, string>>): IconValue['box'] | undefined {
  const numbers = (attributes['viewBox'] ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  if (numbers.length === 4 && numbers.every(Number.isFinite) && numbers[2]! > 0 && numbers[3]! > 0)
    return numbers as [number, number, number, number];
  const [width, height] = ['width', 'height'].map((name) => parseFloat(attributes[name] ?? ''));
  return width! > 0 && height! > 0 ? [0, 0, width!, height!] : undefined;
}
