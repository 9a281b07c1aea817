import { say, type Said } from '../said';
import type { Box } from './box-of';

/** Why a declaration changes nothing where it stands, and what would make it do so. */
export interface NoEffect {
  readonly reason: Said;
  /** What else would have to be declared there; nothing where that is said elsewhere. */
  readonly mend: { readonly property: string; readonly css: string } | undefined;
}

interface Need {
  /** The properties that need it. */
  readonly of: RegExp;
  /** Whether it is there, or nobody can tell. */
  readonly isMet: (box: Box, property: string) => boolean;
  readonly code:
    | 'needs-grid'
    | 'needs-flex'
    | 'needs-flex-or-grid'
    | 'needs-gaps'
    | 'needs-grid-around'
    | 'needs-flex-around'
    | 'needs-items-around'
    | 'needs-position'
    | 'needs-layer'
    | 'needs-box'
    | 'needs-line'
    | 'needs-picture-in-it'
    | 'needs-ground'
    | 'needs-clipping';
  readonly mend?: (
    property: string,
    box: Box,
  ) => { readonly property: string; readonly css: string };
}

const GRID = /^(inline-)?grid$/;
const FLEX = /^(inline-)?flex$/;
const ITEMS = /^(inline-)?(flex|grid)$/;
const OUT = /^(absolute|fixed)$/;
const REPLACED = /^(img|video|iframe|canvas|object|embed|svg|input)$/;
/** Boxes of their own, whatever is said of how they are laid out. */
const CONTROLS = /^(button|select|textarea)$/;
/** Elements that have lines of their own (HTML, 15.3 and 15.5). */
const LINED = /^(button|select|textarea|input|fieldset|hr|iframe)$/;

const display = (css: string) => () => ({ property: 'display', css });
/** In what is not known it may well have an effect. */
const around = (box: Box, what: RegExp) => box.around === undefined || what.test(box.around);
const isIn = (box: Box) => OUT.test(box.said('position') ?? '');
const isPlaced = (box: Box) =>
  /^(relative|absolute|fixed|sticky)$/.test(box.said('position') ?? '');
const isNone = (css: string | undefined) =>
  css === undefined || /^(none|hidden|initial)$/.test(css);

/** The first of them that is not met is told. */
const NEEDS: readonly Need[] = [
  {
    of: /^grid-(template|auto)-|^justify-items$/,
    isMet: (box) => GRID.test(box.display),
    code: 'needs-grid',
    mend: display('grid'),
  },
  {
    of: /^flex-(direction|wrap)$/,
    isMet: (box) => FLEX.test(box.display),
    code: 'needs-flex',
    mend: display('flex'),
  },
  {
    of: /^(justify-content|align-items)$/,
    isMet: (box) => ITEMS.test(box.display),
    code: 'needs-flex-or-grid',
    mend: display('flex'),
  },
  {
    of: /^(row|column)-gap$/,
    isMet: (box, property) =>
      ITEMS.test(box.display) || (property === 'column-gap' && hasColumns(box)),
    code: 'needs-gaps',
    mend: display('flex'),
  },
  {
    of: /^grid-(row|column)-(start|end)$/,
    isMet: (box) => around(box, GRID) || isIn(box),
    code: 'needs-grid-around',
  },
  {
    of: /^flex-(grow|shrink|basis)$/,
    isMet: (box) => around(box, FLEX) && !isIn(box),
    code: 'needs-flex-around',
  },
  {
    of: /^(order|align-self)$/,
    isMet: (box, property) => around(box, ITEMS) || (property === 'align-self' && isIn(box)),
    code: 'needs-items-around',
  },
  {
    of: /^(top|right|bottom|left)$/,
    isMet: isPlaced,
    code: 'needs-position',
    mend: () => ({ property: 'position', css: 'relative' }),
  },
  {
    of: /^z-index$/,
    isMet: (box) => isPlaced(box) || around(box, ITEMS),
    code: 'needs-layer',
    mend: () => ({ property: 'position', css: 'relative' }),
  },
  {
    of: /^((min-|max-)?(width|height)|aspect-ratio|margin-(top|bottom)|overflow-[xy]|transform|rotate|scale|translate|text-align|text-indent|column-(count|width))$/,
    isMet: (box) => box.display !== 'inline' || REPLACED.test(box.tag) || CONTROLS.test(box.tag),
    code: 'needs-box',
    mend: display('inline-block'),
  },
  {
    of: /^border-(top|right|bottom|left)-(width|color)$/,
    isMet: (box, property) => LINED.test(box.tag) || !isNone(box.said(lineOf(property))),
    code: 'needs-line',
    mend: (property) => ({ property: lineOf(property), css: 'solid' }),
  },
  {
    of: /^outline-(width|color|offset)$/,
    isMet: (box) => !isNone(box.said('outline-style')),
    code: 'needs-line',
    mend: () => ({ property: 'outline-style', css: 'solid' }),
  },
  {
    of: /^object-(fit|position)$/,
    isMet: (box) => REPLACED.test(box.tag),
    code: 'needs-picture-in-it',
  },
  {
    of: /^background-(size|position|repeat|attachment|origin)$/,
    isMet: (box) => !isNone(box.said('background-image')),
    code: 'needs-ground',
  },
  {
    of: /^text-overflow$/,
    isMet: (box) => !/^(visible|initial)$/.test(box.said('overflow-x') ?? 'visible'),
    code: 'needs-clipping',
    mend: () => ({ property: 'overflow-x', css: 'hidden' }),
  },
];

function lineOf(property: string): string {
  return property.replace(/(width|color)$/, 'style');
}

function hasColumns(box: Box): boolean {
  const says = (property: string) => (box.said(property) ?? 'auto') !== 'auto';
  return says('column-count') || says('column-width');
}

/**
 * Why a declaration of a longhand can have no effect on an element; nothing where it may have one. What each needs is in its
 * specification: CSS Grid 2, 7 and 8; Flexbox 1, 5 and 7; Box Alignment 3, 4 to 8; Positioned Layout 3, 3; CSS 2, 8.3, 9.9
 * and 10.2; Backgrounds and Borders 3, 2 and 3; Basic UI 4, 3; Images 3, 5; Overflow 3, 4.
 */
export function noEffect(property: string, box: Box): NoEffect | undefined {
  const need = NEEDS.find(({ of, isMet }) => of.test(property) && !isMet(box, property));
  return need && { reason: say(need.code), mend: need.mend?.(property, box) };
}
