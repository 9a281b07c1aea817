import { ICON_SHAPES, own, type IconPaint, type IconValue } from '../model';
import { say, type Said } from '../said';
import type { DrawnElement } from './drawn-element';
import {
  coloursOf,
  iconPaint,
  paintedIn,
  transformIn,
  UNPAINTED,
  type Painting,
} from './icon-paint';
import { styleOf } from './svg-style';

/** An icon that was read, or why the drawing is none. */
export type ReadIcon =
  | {
      readonly ok: true;
      readonly icon: IconValue;
      /** How many colours the drawing has; an icon has the one of the words around it. */
      readonly colours: number;
    }
  | { readonly ok: false; readonly reason: Said };

/** How deep groups may stand in each other. */
const DEEPEST = 100;

/** What says something of a drawing and is drawn nowhere (SVG 2, 5.7 and 5.8); left out. */
const SAYS_NOTHING = new Set(['title', 'desc', 'metadata', 'defs', 'style']);

/** What changes how all that is in an element looks, and no shape can say of itself. */
const BEYOND = ['clip-path', 'mask', 'filter'];

/**
 * An icon of a drawing: its shapes, how each is painted, and nothing else of it; all in one colour, which is that of the words
 * around. What an icon cannot hold (words, pictures, what moves or runs, gradients, masks) is told, so that nothing looks
 * otherwise than it did unnoticed.
 */
export function readIcon(root: DrawnElement, name: string): ReadIcon {
  if (root.tag !== 'svg') return { ok: false, reason: say('icon-no-svg') };
  const box = boxOf(root.attributes);
  if (!box) return { ok: false, reason: say('icon-no-size') };
  const shapes: IconValue['shapes'] = [];
  const colours = new Set<string>();
  let reason: Said | undefined;
  const saidOf = styleOf(root);
  const visit = (element: DrawnElement, around: Painting, depth: number): void => {
    if (depth > DEEPEST) {
      reason ??= say('icon-too-deep', { most: DEEPEST });
      return;
    }
    const { tag, attributes, children } = element;
    const said = saidOf(element);
    if (SAYS_NOTHING.has(tag) || said['display'] === 'none') return;
    const beyond = BEYOND.find((each) => said[each] !== undefined && said[each] !== 'none');
    if (beyond !== undefined) reason ??= say('icon-beyond', { what: beyond });
    const moved = said['transform'] && transformIn(said['transform']);
    if (said['transform'] && !moved) reason ??= say('icon-transforms');
    const painting = paintedIn(around, { ...said, ...(moved ? { transform: moved } : {}) });
    if (Object.values(painting.said).some((value) => value.startsWith('url(')))
      reason ??= say('icon-gradient');
    if (tag === 'svg' || tag === 'g') {
      for (const child of children) visit(child, painting, depth + 1);
      return;
    }
    const geometry = own(ICON_SHAPES as Readonly<Record<string, readonly string[]>>, tag);
    if (!geometry) {
      reason ??= say('icon-holds', { tag });
      return;
    }
    const paint = iconPaint(painting);
    if (!paint) return;
    for (const colour of coloursOf(painting, paint)) colours.add(colour);
    const drawn = Object.fromEntries(
      geometry.flatMap((each) => {
        const value = attributes[each]?.trim().replace(/\s+/g, ' ');
        return value === undefined ? [] : [[each, value]];
      }),
    );
    if (Object.values(drawn).some((value) => !/^[0-9a-zA-Z.,+\- ]*$/.test(value)))
      reason ??= say('icon-geometry', { tag });
    shapes.push({ tag: tag as IconValue['shapes'][number]['tag'], geometry: drawn, paint });
  };
  visit(root, UNPAINTED, 0);
  if (reason !== undefined) return { ok: false, reason };
  if (shapes.length === 0) return { ok: false, reason: say('icon-no-shape') };
  if (shapes.length > 200) return { ok: false, reason: say('icon-too-many') };
  const drawn = shapes.some(({ paint }) => paint?.fill) ? 'areas' : 'lines';
  // What is painted as every area is has nothing of its own to say.
  const plain = shapes.map(({ paint, ...shape }) =>
    drawn === 'areas' && paint && isPlainArea(paint)
      ? shape
      : { ...shape, ...(paint ? { paint } : {}) },
  );
  return {
    ok: true,
    icon: { name: name.slice(0, 120), box, drawn, shapes: plain },
    colours: colours.size,
  };
}

function isPlainArea({ fill, stroke, ...more }: IconPaint): boolean {
  return fill && !stroke && Object.keys(more).length === 0;
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
