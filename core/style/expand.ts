import {
  generate,
  lexer,
  parse,
  tokenize,
  tokenTypes,
  walk,
  type CssNode,
  type Value,
} from 'css-tree';
import { BORDER_PARTS, own } from '../model';
import { say, type Said } from '../said';
import { isBorder, partName, placeholderIn, withSamples, type Refs } from './placeholders';

/** A declaration taken apart into longhands, or why it cannot stand. */
export type Expanded =
  { ok: true; longhands: Record<string, string> } | { ok: false; reason: Said };

const SIDES = ['top', 'right', 'bottom', 'left'] as const;
const CORNERS = ['top-left', 'top-right', 'bottom-right', 'bottom-left'] as const;

/** Shorthands whose one to four values go to four sides or corners. */
const FOUR: Record<string, readonly string[]> = {
  margin: SIDES.map((s) => `margin-${s}`),
  padding: SIDES.map((s) => `padding-${s}`),
  inset: [...SIDES],
  'border-width': SIDES.map((s) => `border-${s}-width`),
  'border-style': SIDES.map((s) => `border-${s}-style`),
  'border-color': SIDES.map((s) => `border-${s}-color`),
  'border-radius': CORNERS.map((c) => `border-${c}-radius`),
};

/** Shorthands whose one or two values go to two longhands. */
const TWO: Record<string, readonly [string, string]> = {
  gap: ['row-gap', 'column-gap'],
  overflow: ['overflow-x', 'overflow-y'],
  'margin-block': ['margin-top', 'margin-bottom'],
  'margin-inline': ['margin-left', 'margin-right'],
  'padding-block': ['padding-top', 'padding-bottom'],
  'padding-inline': ['padding-left', 'padding-right'],
  'place-items': ['align-items', 'justify-items'],
  'place-content': ['align-content', 'justify-content'],
  'place-self': ['align-self', 'justify-self'],
};

/** The longhands a shorthand stands for, in order; nothing when the property is none of those taken apart. */
export function longhandsOf(property: string): readonly string[] | undefined {
  return own(FOUR, property) ?? own(TWO, property) ?? own(LINE_SHORTHANDS, property);
}

const BORDERS = SIDES.map((s) => `border-${s}`);
const LINE_SHORTHANDS: Record<string, readonly string[]> = {
  border: BORDERS.flatMap((b) => [`${b}-width`, `${b}-style`, `${b}-color`]),
  outline: ['outline-width', 'outline-style', 'outline-color'],
  flex: ['flex-grow', 'flex-shrink', 'flex-basis'],
  ...Object.fromEntries(BORDERS.map((b) => [b, [`${b}-width`, `${b}-style`, `${b}-color`]])),
};

/** Shorthands that are not taken apart: their longhands are written one by one. */
const REFUSED = new Set([
  'font',
  'transition',
  'animation',
  'grid',
  'grid-area',
  'grid-column',
  'grid-row',
  'grid-template',
  'columns',
  'flex-flow',
  'list-style',
  'all',
] as const);

type Refused = typeof REFUSED extends Set<infer P> ? P : never;

function isRefused(name: string): name is Refused {
  return REFUSED.has(name as Refused);
}

/**
 * Functions that a value may hold: those of CSS Values and Units 4, Color 5, Images 4 (gradients), Transforms
 * 2, Filter Effects 1, Easing 2, Shapes 1, Grid 2. None of them names an address, and what is not listed here
 * (`url`, `src`, `image`, `image-set`, `cross-fade`, `element`, `paint`, those with prefixes) is refused.
 */
const FUNCTIONS = new Set(
  (
    'calc min max clamp round mod rem sin cos tan asin acos atan atan2 pow sqrt hypot log exp abs sign ' +
    'rgb rgba hsl hsla hwb lab lch oklab oklch color color-mix light-dark ' +
    'linear-gradient radial-gradient conic-gradient repeating-linear-gradient repeating-radial-gradient ' +
    'repeating-conic-gradient ' +
    'matrix matrix3d perspective rotate rotate3d rotatex rotatey rotatez scale scale3d scalex scaley scalez ' +
    'skew skewx skewy translate translate3d translatex translatey translatez ' +
    'blur brightness contrast drop-shadow grayscale hue-rotate invert opacity saturate sepia ' +
    'cubic-bezier steps linear inset circle ellipse polygon rect xywh repeat minmax fit-content counter counters'
  ).split(' '),
);

const NO_REFS: Refs = Object.freeze({});

/** Placeholders are written as `var()`; whether there is one of that name is looked at when they are filled. */
function mayBeUsed(name: string, refs: Refs): boolean {
  return FUNCTIONS.has(name) || (name === 'var' && Object.keys(refs).length > 0);
}

/** What closes each token that opens something (CSS Syntax 3, 5.4.8). */
const CLOSES = new Map<number, number>([
  [tokenTypes.Function, tokenTypes.RightParenthesis],
  [tokenTypes.LeftParenthesis, tokenTypes.RightParenthesis],
  [tokenTypes.LeftSquareBracket, tokenTypes.RightSquareBracket],
]);

/**
 * Why a value could mean something else among other declarations than by itself; nothing when it cannot. A CSS
 * parser forgives what does not end (CSS Syntax 3, 4.3.5 and 5.4.8), at the cost of all that comes behind it.
 */
function unboundedReason(css: string, refs: Refs): Said | undefined {
  if (/[;{}<>@\\!]/.test(css)) return say('no-important');
  const open: number[] = [];
  let reason: Said | undefined;
  tokenize(css, (type, start, end) => {
    if (reason !== undefined) return;
    const token = css.slice(start, end);
    const closing = CLOSES.get(type);
    if (type === tokenTypes.Comment) reason = say('no-comment');
    else if (type === tokenTypes.Url || type === tokenTypes.BadUrl) reason = say('no-address');
    else if (type === tokenTypes.Function && !mayBeUsed(token.slice(0, -1).toLowerCase(), refs))
      reason = say('not-usable', { what: token });
    else if (
      type === tokenTypes.BadString ||
      (type === tokenTypes.String && (token.length < 2 || token[0] !== token.at(-1)))
    )
      reason = say('string-open', { text: token, sign: token[0]! });
    else if (closing !== undefined) open.push(closing);
    else if ([...CLOSES.values()].includes(type) && open.pop() !== type)
      reason = say('closes-nothing', { sign: token });
  });
  return reason ?? (open.length > 0 ? say('bracket-open', { css }) : undefined);
}

/**
 * Checks a declaration against the syntax of CSS (css-tree, from the specifications' value definitions) and
 * takes shorthands apart. What comes out is written as css-tree writes it, never as it was typed, so that what
 * was checked is what is stored. Addresses in values are refused: what a page loads is an asset.
 * @param refs what `var(--NAME)` stands for: it is checked with a value of that type in its place
 */
export function expand(property: string, value: string, refs: Refs = NO_REFS): Expanded {
  const name = property.trim().toLowerCase();
  const css = value.trim();
  if (css === '') return { ok: false, reason: say('no-value') };
  if (isRefused(name))
    return {
      ok: false,
      reason: say('write-instead', { instead: say(`instead-of-${name}`), name }),
    };
  const unbounded = unboundedReason(css, refs);
  if (unbounded !== undefined) return { ok: false, reason: unbounded };
  const ast = parsed(css);
  if (!ast) return { ok: false, reason: say('no-css', { css }) };
  const longhand = own(ONE_LONGHAND, name) ?? name;
  const checked = withSamples(ast, refs);
  if ('unknown' in checked)
    return { ok: false, reason: say('stands-for-nothing', { name: checked.unknown }) };
  const match = lexer.matchProperty(longhand, checked);
  if (match.error) return { ok: false, reason: reasonOf(longhand, css, match.error) };
  const words = ast.children.toArray().map((node) => generate(node));
  if (own(FOUR, name)) return four(name, words);
  const pair = own(TWO, name);
  if (pair) return two(pair, words);
  if (name === 'flex') return flex(words);
  if (own(LINE_SHORTHANDS, name)) return line(name, ast, refs);
  const written = generate(ast);
  if (written.length > LONGEST_VALUE)
    return { ok: false, reason: say('value-too-long', { most: LONGEST_VALUE }) };
  return { ok: true, longhands: { [longhand]: written } };
}

/** How long a value may be, as schemas hold it too. */
const LONGEST_VALUE = 500;

/** Shorthands of which one longhand is meant where people write them. */
const ONE_LONGHAND: Record<string, string> = {
  'text-decoration': 'text-decoration-line',
  background: 'background-color',
};

function parsed(css: string): Value | null {
  try {
    const ast: CssNode = parse(css, { context: 'value' });
    if (ast.type !== 'Value') return null;
    let raw = false;
    // What the parser could not read it keeps as it was typed: that is no value.
    walk(ast, (node) => {
      if (node.type === 'Raw') raw = true;
    });
    return raw ? null : ast;
  } catch {
    // css-tree throws on what is no value at all; the caller says so to whoever typed it.
    return null;
  }
}

function reasonOf(name: string, css: string, error: Error): Said {
  return error.name === 'SyntaxReferenceError'
    ? say('no-css-property', { name })
    : say('css-does-not-fit', { css, property: name });
}

function four(name: string, words: string[]): Expanded {
  if (words.includes('/')) return { ok: false, reason: say('corners-one-by-one', { name }) };
  const [a, b = a, c = a, d = b] = words;
  const values = [a, b, c, d];
  return {
    ok: true,
    longhands: Object.fromEntries(FOUR[name]!.map((longhand, i) => [longhand, values[i]!])),
  };
}

function two([first, second]: readonly [string, string], words: string[]): Expanded {
  const [a, b = a] = words;
  return { ok: true, longhands: { [first]: a!, [second]: b! } };
}

/** `flex` as in CSS Flexible Box Layout, 7.1.1: one number sets the basis to 0. */
function flex(words: string[]): Expanded {
  const common: Record<string, [string, string, string]> = {
    none: ['0', '0', 'auto'],
    auto: ['1', '1', 'auto'],
    initial: ['0', '1', 'auto'],
  };
  const numbers = words.filter((word) => /^[\d.]+$/.test(word));
  const basis = words.find((word) => !/^[\d.]+$/.test(word));
  const [grow, shrink, width] =
    words.length === 1 && own(common, words[0]!)
      ? own(common, words[0]!)!
      : [numbers[0] ?? '1', numbers[1] ?? '1', basis ?? '0%'];
  return { ok: true, longhands: { 'flex-grow': grow, 'flex-shrink': shrink, 'flex-basis': width } };
}

/** Width, style and colour in any order; what is left out is initial, as in CSS. */
function line(name: string, ast: Value, refs: Refs): Expanded {
  let width = 'medium';
  let style = 'none';
  let color = 'currentcolor';
  for (const node of ast.children.toArray()) {
    const word = generate(node);
    const placeholder = placeholderIn(node);
    if (placeholder !== undefined && isBorder(own(refs, placeholder))) {
      [width, style, color] = BORDER_PARTS.map(
        (part) => `var(--${partName(placeholder, part)})`,
      ) as [string, string, string];
      continue;
    }
    const value = withSamples(parsed(word)!, refs) as Value;
    const fits = (property: string) => lexer.matchProperty(property, value).error === null;
    if (fits('border-top-width')) width = word;
    else if (fits('border-top-style')) style = word;
    else color = word;
  }
  const values = [width, style, color];
  return {
    ok: true,
    longhands: Object.fromEntries(
      LINE_SHORTHANDS[name]!.map((longhand, i) => [longhand, values[i % 3]!]),
    ),
  };
}

/**
 * One value for a shorthand of four or two longhands, as short as CSS allows; nothing when one is missing.
 * The opposite of `expand`, for showing.
 */
export function together(values: readonly (string | undefined)[]): string | undefined {
  if (values.some((value) => value === undefined)) return undefined;
  const [a, b, c, d] = values as string[];
  if (values.length === 2) return a === b ? a : `${a} ${b}`;
  if (b === d) {
    if (a === c) return a === b ? a : `${a} ${b}`;
    return `${a} ${b} ${c}`;
  }
  return `${a} ${b} ${c} ${d}`;
}
