import {
  clone,
  generate,
  parse,
  tokenize,
  tokenTypes,
  walk,
  type CssNode,
  type Value,
} from 'css-tree';
import { say, type Said } from '../said';
import { withSamples, type Refs } from './placeholders';
import { longhandsOf, takeApart } from './shorthands';
import { readSums } from './sums';
import { lexer } from './syntax';

/** A declaration taken apart into longhands, or why it cannot stand. */
export type Expanded =
  | { ok: true; longhands: Readonly<Record<string, string>> }
  | { ok: false; reason: Said };

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
  if (css.length > LONGEST_VALUE) return readAnew(name, css, refs);
  const key = keyOf(name, css, refs);
  let expanded = known.get(key);
  if (!expanded) {
    expanded = readAnew(name, css, refs);
    if (expanded.ok) Object.freeze(expanded.longhands);
    if (known.size >= MOST_KNOWN) known.clear();
    known.set(key, Object.freeze(expanded));
  }
  return expanded;
}

/**
 * What was read already: a site says the same few things over and over, and to match one with the syntax of its property is
 * most of the work. It follows from the texts alone, so that it is never stale.
 */
const known = new Map<string, Expanded>();
const MOST_KNOWN = 5_000;

/** All that a reading follows from: of what placeholders stand for only of which kind it is. */
function keyOf(name: string, css: string, refs: Refs): string {
  const kinds = Object.entries(refs).map(([placeholder, ref]) => [
    placeholder,
    ref.type,
    'part' in ref ? ref.part : undefined,
  ]);
  return JSON.stringify([name, css, ...kinds]);
}

function readAnew(name: string, css: string, refs: Refs): Expanded {
  if (css === '') return { ok: false, reason: say('no-value') };
  if (name === 'all') return { ok: false, reason: say('not-all') };
  const unbounded = unboundedReason(css, refs);
  if (unbounded !== undefined) return { ok: false, reason: unbounded };
  const ast = parsed(css);
  if (!ast) return { ok: false, reason: say('no-css', { css }) };
  const checked = withSamples(ast, refs);
  if ('unknown' in checked)
    return { ok: false, reason: say('stands-for-nothing', { name: checked.unknown }) };
  const reason = reasonNot(name, css, checked);
  if (reason) return { ok: false, reason };
  const longhands = longhandsOf(name) ? takeApart(name, ast, refs) : { [name]: generate(ast) };
  if (!longhands) return { ok: false, reason: say('not-apart', { css, name }) };
  if (Object.values(longhands).some(({ length }) => length > LONGEST_VALUE))
    return { ok: false, reason: say('value-too-long', { most: LONGEST_VALUE }) };
  return { ok: true, longhands };
}

/** How long a value may be, as schemas hold it too. */
const LONGEST_VALUE = 500;

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

/** Why a value is none of a property, its sums read as what they come to. */
function reasonNot(name: string, css: string, value: Value): Said | undefined {
  if (!css.includes('(')) return reasonOf(name, css, lexer.matchProperty(name, value).error);
  // Where lengths and percentages are added, both have to fit.
  const kinds = css.includes('%') ? (['length', 'percentage'] as const) : (['length'] as const);
  for (const kind of kinds) {
    const read = clone(value) as Value;
    const isSound = readSums(read, kind);
    const reason = reasonOf(name, css, lexer.matchProperty(name, read).error);
    if (reason) return reason;
    if (!isSound) return say('css-does-not-fit', { css, property: name });
  }
  return undefined;
}

function reasonOf(name: string, css: string, error: Error | null): Said | undefined {
  if (!error) return undefined;
  return error.name === 'SyntaxReferenceError'
    ? say('no-css-property', { name })
    : say('css-does-not-fit', { css, property: name });
}
