import { definitionSyntax, fork, lexer as plain, type CssNode } from 'css-tree';

/** What a lexer of css-tree tells, of which its types leave out a part. */
interface Lexer {
  matchProperty(name: string, value: CssNode): Match;
  match(syntax: string, value: string | CssNode): Match;
  readonly properties: Readonly<Record<string, { readonly syntax: unknown }>>;
  readonly types: Readonly<Record<string, { readonly syntax: unknown }>>;
}

/** What a value is by a value definition. */
export interface Match {
  readonly error: Error | null;
  /** What a part of the value stands for, the outermost first. */
  getTrace(node: CssNode): readonly { readonly type: string; readonly name?: string }[] | null;
}

const known = plain as unknown as Lexer;

/** Properties and types whose numbers and lengths are none below 0, which their value definitions in css-tree leave open. */
const NOT_NEGATIVE = {
  properties: (
    'animation-iteration-count border-spacing column-gap row-gap contain-intrinsic-block-size ' +
    'contain-intrinsic-height contain-intrinsic-inline-size contain-intrinsic-size contain-intrinsic-width flex ' +
    'flex-grow flex-shrink font-size-adjust gap grid-auto-columns grid-auto-rows line-height outline-width ' +
    'perspective r scroll-padding scroll-padding-block scroll-padding-block-end scroll-padding-block-start ' +
    'scroll-padding-bottom scroll-padding-inline scroll-padding-inline-end scroll-padding-inline-start ' +
    'scroll-padding-left scroll-padding-right scroll-padding-top shape-margin stroke-dasharray stroke-width'
  ).split(' '),
  types:
    'line-width track-breadth inflexible-breadth fixed-breadth single-animation-iteration-count'.split(
      ' ',
    ),
};

function notNegative(of: 'properties' | 'types'): Record<string, string> {
  return Object.fromEntries(
    NOT_NEGATIVE[of].map((name) => [
      name,
      definitionSyntax
        .generate(known[of][name]!.syntax as Parameters<typeof definitionSyntax.generate>[0])
        .replaceAll(
          /<(length|length-percentage|number|number-percentage|percentage)>/g,
          '<$1 [0,∞]>',
        ),
    ]),
  );
}

/** CSS Gaps 1: what stands between rows is said like what stands between columns. */
function gapRules(): Record<string, string> {
  const inset = '<length-percentage> | overlap-join';
  const insets = `[ ${inset} ]{1,2} [ / [ ${inset} ]{1,2} ]?`;
  const made: Record<string, string> = {
    rule: '<line-width> || <line-style> || <color>',
    'rule-width': '<line-width>',
    'rule-style': '<line-style>',
    'rule-color': '<color>',
    'rule-break': 'none | normal | intersection',
    'rule-inset': insets,
    'rule-overlap': 'row-over-column | column-over-row',
    'rule-visibility-items': 'normal | all | around | between',
    'row-rule': '<line-width> || <line-style> || <color>',
    'column-rule': '<line-width> || <line-style> || <color>',
    'column-rule-width': '<line-width>',
    'row-rule-width': '<line-width>',
    'row-rule-style': '<line-style>',
    'row-rule-color': '<color>',
  };
  for (const way of ['row', 'column']) {
    made[`${way}-rule-break`] = made['rule-break']!;
    made[`${way}-rule-visibility-items`] = made['rule-visibility-items']!;
    made[`${way}-rule-inset`] = made['rule-inset']!;
  }
  return made;
}

/**
 * The value definitions of CSS: those of css-tree, with what it lacks or has otherwise than the specifications.
 * `e2e/every-property.spec.ts` compares them with what Chromium takes.
 */
export const { lexer } = fork({
  properties: {
    ...notNegative('properties'),
    ...gapRules(),
    // CSS Text 4, 6.1; CSS Text 4, 8.1; CSS Basic UI 4, 4.1; CSS Box Alignment 3, 8.1 and its older names.
    'tab-size': '<number [0,∞]> | <length [0,∞]>',
    'word-spacing': 'normal | <length-percentage>',
    resize: 'none | auto | both | horizontal | vertical | block | inline',
    'grid-gap': "<'gap'>",
    'grid-row-gap': "<'row-gap'>",
    'grid-column-gap': "<'column-gap'>",
    // Fill and Stroke, and geometry, of SVG 2: 13.5.2, 13.5.6, 7.2 to 7.4.
    'fill-opacity': '<number> | <percentage>',
    'stroke-miterlimit': '<number [0,∞]>',
    rx: 'auto | <length-percentage [0,∞]>',
    ry: 'auto | <length-percentage [0,∞]>',
    'color-interpolation': 'auto | sRGB | linearRGB',
    'color-rendering': 'auto | optimizeSpeed | optimizeQuality',
    // CSS Images 3, 6.1; CSS Flexbox 2; CSS Multi-column 1, 3.2; CSS Speech 1, 4.1; CSS Anchor Positioning 1, 3.2.
    'image-orientation': 'none | from-image',
    'flex-wrap': 'nowrap | [ wrap | wrap-reverse ] || balance',
    'column-count': 'auto | <integer [1,∞]>',
    speak: 'auto | never | always | none | normal',
    'position-anchor': 'normal | auto | none | <anchor-name>',
    orphans: '<integer [1,∞]>',
    widows: '<integer [1,∞]>',
    // Filter Effects 1, 5; CSS Basic UI 4, 3.4, as far as a browser takes it; CSS Will Change 1, 2; CSS Overflow 3, 4.1.
    filter: 'none | <filter-value-list>',
    'outline-color': '<color>',
    'text-overflow': '[ clip | ellipsis ]{1,2}',
    // View Transitions 2, 3.
    'view-transition-group': 'normal | contain | nearest | <custom-ident>',
    'view-transition-scope': 'none | all',
  },
  types: {
    ...notNegative('types'),
    // A ground may be clipped to words in the shorthand, too (CSS Backgrounds 4, 2.11).
    'bg-layer':
      '<bg-image> || <bg-position> [ / <bg-size> ]? || <repeat-style> || <attachment> || <visual-box> || <visual-box> || [ text | border-area ]',
    'final-bg-layer':
      "<bg-image> || <bg-position> [ / <bg-size> ]? || <repeat-style> || <attachment> || <visual-box> || <visual-box> || [ text | border-area ] || <'background-color'>",
    // A radius may be a percentage (CSS Shapes 1, 3.1), a range of scrolling all of it (Scroll-driven Animations 1, 2.2).
    'circle()':
      'circle( [ closest-side | farthest-side | <length-percentage [0,∞]> ]? [ at <position> ]? )',
    'ellipse()':
      'ellipse( [ closest-side | farthest-side | <length-percentage [0,∞]> ]{0,2} [ at <position> ]? )',
    // No line has the number 0 (CSS Grid 2, 8.3).
    'grid-line':
      'auto | <custom-ident> | [ [ <integer [1,∞]> | <integer [-∞,-1]> ] && <custom-ident>? ] | [ span && [ <integer [1,∞]> || <custom-ident> ] ]',
    'timeline-range-name':
      'cover | contain | entry | exit | entry-crossing | exit-crossing | scroll',
  },
}) as unknown as { readonly lexer: Lexer };
