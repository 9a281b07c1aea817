import type { ByPart } from './by-part';

const SIDES = ['top', 'right', 'bottom', 'left'] as const;
const CORNERS = ['top-left', 'top-right', 'bottom-right', 'bottom-left'] as const;
const LINE = { width: 'medium', style: 'none', color: 'currentcolor' } as const;

/** How a shorthand is taken apart, and put together. */
export type Shorthand =
  | {
      readonly by: 'sides' | 'corners' | 'lines';
      readonly longhands: readonly string[];
      /** What the second is where the first is a baseline and alone (CSS Box Alignment 3, 5.1.3). */
      readonly baseline?: string;
    }
  | { readonly by: 'template' | 'grid' | 'flex'; readonly longhands: readonly string[] }
  | ({ readonly by: 'parts' } & ByPart)
  /** A width, a style and a colour for one side or for all of them. */
  | ({ readonly by: 'border'; readonly sides: readonly string[] } & ByPart);

const sides = (...longhands: string[]): Shorthand => ({ by: 'sides', longhands });

/** A line: its parts in any order (CSS Backgrounds and Borders 3, 3.4). */
function line(...names: string[]): Shorthand {
  const [first = ''] = names;
  return {
    by: 'border',
    sides: names,
    longhands: Object.fromEntries(
      Object.entries(LINE).map(([part, initial]) => [`${first}-${part}`, initial]),
    ),
    parts: {
      'line-width': `${first}-width`,
      'line-style': `${first}-style`,
      color: `${first}-color`,
      'outline-width': `${first}-width`,
      'outline-style': `${first}-style`,
      'outline-color': `${first}-color`,
    },
  };
}

const GRID_TEMPLATE = ['grid-template-rows', 'grid-template-columns', 'grid-template-areas'];

/**
 * The shorthands that are taken apart. Those that CSS lets reset what they cannot say (`border` its pictures, `font` its
 * kerning) reset only what they say. Others are kept whole, as longhands are: nothing but them is declared where they are.
 */
export const SHORTHANDS: Readonly<Record<string, Shorthand>> = {
  margin: sides(...SIDES.map((side) => `margin-${side}`)),
  padding: sides(...SIDES.map((side) => `padding-${side}`)),
  inset: sides(...SIDES),
  'border-width': sides(...SIDES.map((side) => `border-${side}-width`)),
  'border-style': sides(...SIDES.map((side) => `border-${side}-style`)),
  'border-color': sides(...SIDES.map((side) => `border-${side}-color`)),
  'border-radius': { by: 'corners', longhands: CORNERS.map((corner) => `border-${corner}-radius`) },
  gap: sides('row-gap', 'column-gap'),
  overflow: sides('overflow-x', 'overflow-y'),
  // In horizontal writing, left to right, block is what is above and below (CSS Writing Modes 4, 6.4): one value for both
  // sides is the same in every direction of it.
  'margin-block': sides('margin-top', 'margin-bottom'),
  'margin-inline': sides('margin-left', 'margin-right'),
  'padding-block': sides('padding-top', 'padding-bottom'),
  'padding-inline': sides('padding-left', 'padding-right'),
  'place-items': sides('align-items', 'justify-items'),
  'place-content': {
    by: 'sides',
    longhands: ['align-content', 'justify-content'],
    baseline: 'start',
  },
  'place-self': sides('align-self', 'justify-self'),
  border: line(...SIDES.map((side) => `border-${side}`)),
  ...Object.fromEntries(SIDES.map((side) => [`border-${side}`, line(`border-${side}`)])),
  outline: line('outline'),
  flex: { by: 'flex', longhands: ['flex-grow', 'flex-shrink', 'flex-basis'] },
  'flex-flow': {
    by: 'parts',
    longhands: { 'flex-direction': 'row', 'flex-wrap': 'nowrap' },
    parts: { 'flex-direction': 'flex-direction', 'flex-wrap': 'flex-wrap' },
  },
  columns: {
    by: 'parts',
    longhands: { 'column-width': 'auto', 'column-count': 'auto', 'column-height': 'auto' },
    parts: {
      'column-width': 'column-width',
      'column-count': 'column-count',
      'column-height': 'column-height',
    },
    slashed: ['column-height'],
  },
  'list-style': {
    by: 'parts',
    longhands: {
      'list-style-type': 'disc',
      'list-style-position': 'outside',
      'list-style-image': 'none',
    },
    parts: {
      'list-style-type': 'list-style-type',
      'list-style-position': 'list-style-position',
      'list-style-image': 'list-style-image',
    },
  },
  'text-decoration': {
    by: 'parts',
    longhands: {
      'text-decoration-line': 'none',
      'text-decoration-style': 'solid',
      'text-decoration-color': 'currentcolor',
      'text-decoration-thickness': 'auto',
    },
    parts: {
      'text-decoration-line': 'text-decoration-line',
      'text-decoration-style': 'text-decoration-style',
      'text-decoration-color': 'text-decoration-color',
      'text-decoration-thickness': 'text-decoration-thickness',
    },
  },
  /** CSS Fonts 4, 2.8. */
  font: {
    by: 'parts',
    longhands: {
      'font-style': 'normal',
      'font-variant-caps': 'normal',
      'font-weight': 'normal',
      'font-stretch': 'normal',
      'font-size': 'medium',
      'line-height': 'normal',
      'font-family': '',
    },
    parts: {
      'font-style': 'font-style',
      'font-variant-css2': 'font-variant-caps',
      'font-weight': 'font-weight',
      'font-width-css3': 'font-stretch',
      'font-size': 'font-size',
      'line-height': 'line-height',
      'font-family': 'font-family',
    },
    needs: { 'font-family': ['font-size'] },
    slashed: ['line-height'],
  },
  /** CSS Transitions 2, 2.5. */
  transition: {
    by: 'parts',
    isLayered: true,
    longhands: {
      'transition-property': 'all',
      'transition-duration': '0s',
      'transition-timing-function': 'ease',
      'transition-delay': '0s',
      'transition-behavior': 'normal',
    },
    parts: {
      'single-transition-property': 'transition-property',
      none: 'transition-property',
      time: ['transition-duration', 'transition-delay'],
      'easing-function': 'transition-timing-function',
      'transition-behavior-value': 'transition-behavior',
    },
    needs: { 'transition-delay': ['transition-duration'] },
  },
  /** CSS Animations 1, 4.11. */
  animation: {
    by: 'parts',
    isLayered: true,
    longhands: {
      'animation-name': 'none',
      'animation-duration': '0s',
      'animation-timing-function': 'ease',
      'animation-delay': '0s',
      'animation-iteration-count': '1',
      'animation-direction': 'normal',
      'animation-fill-mode': 'none',
      'animation-play-state': 'running',
    },
    parts: {
      'keyframes-name': 'animation-name',
      'animation-duration': 'animation-duration',
      'easing-function': 'animation-timing-function',
      'animation-delay': 'animation-delay',
      'single-animation-iteration-count': 'animation-iteration-count',
      'single-animation-direction': 'animation-direction',
      'single-animation-fill-mode': 'animation-fill-mode',
      'single-animation-play-state': 'animation-play-state',
      none: 'animation-name',
    },
    needs: { 'animation-delay': ['animation-duration'] },
  },
  /** CSS Backgrounds and Borders 3, 2.10. */
  background: {
    by: 'parts',
    isLayered: true,
    onlyInLast: 'background-color',
    longhands: {
      'background-image': 'none',
      'background-position': '0% 0%',
      'background-size': 'auto',
      'background-repeat': 'repeat',
      'background-attachment': 'scroll',
      'background-origin': 'padding-box',
      'background-clip': 'border-box',
      'background-color': 'transparent',
    },
    parts: {
      'bg-image': 'background-image',
      'bg-position': 'background-position',
      'bg-size': 'background-size',
      'repeat-style': 'background-repeat',
      attachment: 'background-attachment',
      'visual-box': ['background-origin', 'background-clip'],
      text: 'background-clip',
      'border-area': 'background-clip',
      'background-color': 'background-color',
    },
    forAll: 'visual-box',
    needs: {
      'background-size': ['background-position'],
      'background-origin': ['background-clip'],
      'background-clip': ['background-origin'],
    },
    slashed: ['background-size'],
  },
  'grid-row': { by: 'lines', longhands: ['grid-row-start', 'grid-row-end'] },
  'grid-column': { by: 'lines', longhands: ['grid-column-start', 'grid-column-end'] },
  'grid-area': {
    by: 'lines',
    longhands: ['grid-row-start', 'grid-column-start', 'grid-row-end', 'grid-column-end'],
  },
  'grid-template': { by: 'template', longhands: GRID_TEMPLATE },
  grid: {
    by: 'grid',
    longhands: [...GRID_TEMPLATE, 'grid-auto-flow', 'grid-auto-rows', 'grid-auto-columns'],
  },
};
