import { lexer, parse, generate, type CssNode, type Value } from 'css-tree';

/** A declaration taken apart into longhands, or why it cannot stand. */
export type Expanded =
  { ok: true; longhands: Record<string, string> } | { ok: false; reason: string };

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
  return FOUR[property] ?? TWO[property] ?? LINE_SHORTHANDS[property];
}

const BORDERS = SIDES.map((s) => `border-${s}`);
const LINE_SHORTHANDS: Record<string, readonly string[]> = {
  border: BORDERS.flatMap((b) => [`${b}-width`, `${b}-style`, `${b}-color`]),
  outline: ['outline-width', 'outline-style', 'outline-color'],
  flex: ['flex-grow', 'flex-shrink', 'flex-basis'],
  ...Object.fromEntries(BORDERS.map((b) => [b, [`${b}-width`, `${b}-style`, `${b}-color`]])),
};

/** Shorthands that are not taken apart: their longhands are written one by one. */
const REFUSED: Record<string, string> = {
  font: 'font-family, font-size, font-weight or line-height',
  transition: 'transition-property and transition-duration',
  animation: 'animation-name and the others',
  grid: 'grid-template-columns and grid-template-rows',
  'grid-area': 'grid-row-start, grid-column-start and the others',
  'grid-column': 'grid-column-start and grid-column-end',
  'grid-row': 'grid-row-start and grid-row-end',
  'grid-template': 'grid-template-columns and grid-template-rows',
  columns: 'column-count and column-width',
  'flex-flow': 'flex-direction and flex-wrap',
  'list-style': 'list-style-type',
  all: 'the properties that are meant',
};

/**
 * Checks a declaration against the syntax of CSS (css-tree, from the specifications' value
 * definitions) and takes shorthands apart. Addresses in values are refused: what a page loads is an asset.
 */
export function expand(property: string, value: string): Expanded {
  const name = property.trim().toLowerCase();
  const css = value.trim();
  if (css === '') return { ok: false, reason: 'There is no value.' };
  if (Object.hasOwn(REFUSED, name))
    return { ok: false, reason: `Write ${REFUSED[name]!} in place of ${name}.` };
  if (/url\(|image-set\(|src\(|[;{}<>@\\]|!/i.test(css))
    return {
      ok: false,
      reason: 'A value holds no address, no “!important” and none of ; { } < > @ \\.',
    };
  if (name === 'text-decoration') return checked('text-decoration-line', css);
  if (name === 'background') return checked('background-color', css);
  const ast = parsed(css);
  if (!ast) return { ok: false, reason: `“${css}” is no CSS value.` };
  const match = lexer.matchProperty(name, ast);
  if (match.error) return { ok: false, reason: reasonOf(name, css, match.error) };
  const words = ast.children.toArray().map((node) => generate(node));
  if (FOUR[name]) return four(name, words);
  if (TWO[name]) return two(TWO[name], words);
  if (name === 'flex') return flex(words);
  if (LINE_SHORTHANDS[name]) return line(name, ast);
  return { ok: true, longhands: { [name]: css } };
}

function checked(name: string, css: string): Expanded {
  const ast = parsed(css);
  const error = ast ? lexer.matchProperty(name, ast).error : true;
  if (error) return { ok: false, reason: `“${css}” does not fit ${name}.` };
  return { ok: true, longhands: { [name]: css } };
}

function parsed(css: string): Value | null {
  try {
    const ast: CssNode = parse(css, { context: 'value' });
    return ast.type === 'Value' ? ast : null;
  } catch {
    // css-tree throws on what is no value at all; the caller says so to whoever typed it.
    return null;
  }
}

function reasonOf(name: string, css: string, error: Error): string {
  return error.message.startsWith('Unknown property')
    ? `There is no property “${name}”.`
    : `“${css}” does not fit ${name}.`;
}

function four(name: string, words: string[]): Expanded {
  if (words.includes('/')) return { ok: false, reason: `Write the corners of ${name} one by one.` };
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
    words.length === 1 && common[words[0]!]
      ? common[words[0]!]!
      : [numbers[0] ?? '1', numbers[1] ?? '1', basis ?? '0%'];
  return { ok: true, longhands: { 'flex-grow': grow, 'flex-shrink': shrink, 'flex-basis': width } };
}

/** Width, style and colour in any order; what is left out is initial, as in CSS. */
function line(name: string, ast: Value): Expanded {
  let width = 'medium';
  let style = 'none';
  let color = 'currentcolor';
  for (const node of ast.children.toArray()) {
    const word = generate(node);
    const value = parsed(word)!;
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
