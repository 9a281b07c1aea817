import { parse, rgb, type Color } from 'culori';
import { readColour, nearestHex } from '../colour';
import type { Json, PlaceholderType, TokenGroup } from '../model';
import { borderParts, splitAtSpaces, written } from '../style';

/**
 * Values of tokens in the Design Tokens Format Module (2025.10, 8 Types and 9 Composite types; read from memory of its
 * text) and as CSS. What a type of the format cannot hold has none: it is written beside, as an extension.
 */

/** The type of the format for each group of tokens. */
export const FORMAT_TYPES: Readonly<Record<TokenGroup, string>> = {
  colour: 'color',
  space: 'dimension',
  size: 'dimension',
  family: 'fontFamily',
  weight: 'fontWeight',
  lineHeight: 'number',
  radius: 'dimension',
  border: 'border',
  shadow: 'shadow',
  duration: 'duration',
  easing: 'cubicBezier',
  stroke: 'strokeStyle',
};

/** The weights that have names (8.4 Font weight), with their numbers. */
const WEIGHTS: Readonly<Record<string, number>> = {
  thin: 100,
  hairline: 100,
  'extra-light': 200,
  'ultra-light': 200,
  light: 300,
  normal: 400,
  regular: 400,
  book: 400,
  medium: 500,
  'semi-bold': 600,
  'demi-bold': 600,
  bold: 700,
  'extra-bold': 800,
  'ultra-bold': 800,
  black: 900,
  heavy: 900,
  'extra-black': 950,
  'ultra-black': 950,
};

/** The keywords of easing as the curves they stand for (CSS Easing Functions Level 1, 2.2.1). */
const EASINGS: Readonly<Record<string, readonly number[]>> = {
  ease: [0.25, 0.1, 0.25, 1],
  'ease-in': [0.42, 0, 1, 1],
  'ease-out': [0, 0, 0.58, 1],
  'ease-in-out': [0.42, 0, 0.58, 1],
  linear: [0, 0, 1, 1],
};

/** The colour spaces of the Color Module, as CSS names them in `color()` or as functions. */
const SPACES = new Set([
  'srgb',
  'srgb-linear',
  'display-p3',
  'a98-rgb',
  'prophoto-rgb',
  'rec2020',
  'xyz-d50',
  'xyz-d65',
]);
const FUNCTIONS = new Set(['oklab', 'oklch', 'lab', 'lch', 'hsl', 'hwb']);

/** A value of the format for some CSS; nothing where the format has none that says the same. */
export function formatValue(
  type: PlaceholderType,
  group: TokenGroup,
  css: string,
): Json | undefined {
  switch (type) {
    case 'colour':
      return colourOut(css);
    case 'length':
      return dimensionOut(css, ['px', 'rem']);
    case 'duration':
      return dimensionOut(css, ['ms', 's']);
    case 'number':
      return numberOut(css, group);
    case 'font': {
      const families = familiesOf(css);
      return families.length === 1 ? families[0]! : families;
    }
    case 'easing':
      return curveOf(css);
    case 'line':
      return css;
    case 'border': {
      const parts = borderParts({ css });
      if (!parts) return undefined;
      const [color, width] = [colourOut(parts.color), dimensionOut(parts.width, ['px', 'rem'])];
      return color === undefined || width === undefined
        ? undefined
        : { color, width, style: parts.style };
    }
    case 'shadow':
      return shadowOut(css);
  }
}

function colourOut(css: string): Json | undefined {
  const read: Color | undefined = parse(css);
  const known = read && readColour(css);
  const value = read && rgb(read);
  if (!value || !known || read.mode !== 'rgb') return undefined;
  const components = [value.r, value.g, value.b].map((each) => Number(each.toFixed(6)));
  return {
    colorSpace: 'srgb',
    components,
    ...(known.alpha < 1 ? { alpha: Number(known.alpha.toFixed(4)) } : {}),
    hex: nearestHex(known),
  };
}

function dimensionOut(css: string, units: readonly string[]): Json | undefined {
  if (css === '0' && units.includes('px')) return { value: 0, unit: 'px' };
  const [, value, unit] = /^(-?(?:\d+\.?\d*|\.\d+))([a-z]+)$/.exec(css) ?? [];
  return unit !== undefined && units.includes(unit) ? { value: Number(value), unit } : undefined;
}

function numberOut(css: string, group: TokenGroup): Json | undefined {
  if (group === 'weight' && Object.hasOwn(WEIGHTS, css)) return css;
  const value = Number(css);
  return Number.isFinite(value) ? value : undefined;
}

function familiesOf(css: string): string[] {
  return css.split(',').map((each) => each.trim().replace(/^(['"])(.*)\1$/, '$2'));
}

function curveOf(css: string): Json | undefined {
  if (Object.hasOwn(EASINGS, css)) return [...EASINGS[css]!];
  const [, inner] = /^cubic-bezier\(([^()]*)\)$/.exec(css) ?? [];
  const numbers = inner?.split(',').map(Number) ?? [];
  return numbers.length === 4 && numbers.every(Number.isFinite) ? numbers : undefined;
}

function shadowOut(css: string): Json | undefined {
  if (/,(?![^()]*\))/.test(css)) return undefined;
  const words = splitAtSpaces(css);
  const inset = words.includes('inset');
  const lengths = words.filter((word) => /^-?[\d.]/.test(word));
  const [colour, ...more] = words.filter((word) => word !== 'inset' && !lengths.includes(word));
  const color = colour === undefined ? undefined : colourOut(colour);
  const sizes = lengths.map((each) => dimensionOut(each, ['px', 'rem']));
  if (color === undefined || more.length > 0 || sizes.length < 2 || sizes.includes(undefined))
    return undefined;
  const none = { value: 0, unit: 'px' };
  const [offsetX, offsetY, blur = none, spread = none] = sizes as Json[];
  return { color, offsetX: offsetX!, offsetY: offsetY!, blur, spread, ...(inset ? { inset } : {}) };
}

/** A value that is none of its type, with where in it. */
export class WrongValue extends Error {
  constructor(
    readonly where: readonly string[],
    reason: string,
  ) {
    super(reason);
  }
}

/** The CSS of a value of the format. @throws WrongValue where it is none of its type */
export function cssOfValue(formatType: string, value: Json): string {
  switch (formatType) {
    case 'color':
      return colourIn(value);
    case 'dimension':
      return dimensionIn(value, ['px', 'rem']);
    case 'duration':
      return dimensionIn(value, ['ms', 's']);
    case 'number':
      if (typeof value !== 'number') throw new WrongValue([], 'a number is a JSON number');
      return written(value);
    case 'fontWeight':
      return weightIn(value);
    case 'fontFamily':
      return familyIn(value);
    case 'cubicBezier':
      return curveIn(value);
    case 'strokeStyle':
      if (typeof value === 'string' && LINES.has(value)) return value;
      throw new WrongValue([], 'a stroke style is one of the kinds of line that CSS has');
    case 'border': {
      const { color, width, style } = members(value, ['color', 'width', 'style']);
      return `${at('width', () => dimensionIn(width!, ['px', 'rem']))} ${at('style', () => cssOfValue('strokeStyle', style!))} ${at('color', () => colourIn(color!))}`;
    }
    case 'shadow':
      return Array.isArray(value)
        ? value.map((each, i) => at(String(i), () => shadowIn(each))).join(',')
        : shadowIn(value);
    default:
      throw new WrongValue([], `tokens of the type ${formatType} are not kept here`);
  }
}

const LINES = new Set([
  'solid',
  'dashed',
  'dotted',
  'double',
  'groove',
  'ridge',
  'outset',
  'inset',
]);

function at<T>(member: string, read: () => T): T {
  try {
    return read();
  } catch (error) {
    if (error instanceof WrongValue) throw new WrongValue([member, ...error.where], error.message);
    throw error;
  }
}

type Members = Readonly<Record<string, Json | undefined>>;

function members(value: Json, needed: readonly string[]): Members {
  if (value === null || typeof value !== 'object' || Array.isArray(value))
    throw new WrongValue([], `an object with ${needed.join(', ')} stands here`);
  const found = value as Members;
  for (const name of needed)
    if (found[name] === undefined) throw new WrongValue([], `${name} is missing`);
  return found;
}

function colourIn(value: Json): string {
  const { colorSpace, components, alpha, hex } = members(value, ['colorSpace', 'components']);
  if (typeof colorSpace !== 'string' || !(SPACES.has(colorSpace) || FUNCTIONS.has(colorSpace)))
    throw new WrongValue(['colorSpace'], 'is no colour space of the format');
  const isComponent = (each: Json) => typeof each === 'number' || each === 'none';
  if (!Array.isArray(components) || components.length !== 3 || !components.every(isComponent))
    throw new WrongValue(['components'], 'three numbers stand here, or "none"');
  if (alpha !== undefined && (typeof alpha !== 'number' || alpha < 0 || alpha > 1))
    throw new WrongValue(['alpha'], 'an opacity is a number from 0 to 1');
  if (hex !== undefined && (typeof hex !== 'string' || !/^#[0-9a-f]{6}$/i.test(hex)))
    throw new WrongValue(['hex'], 'a colour in hexadecimal digits is # and six of them');
  const numbers = components as (number | 'none')[];
  const opacity = typeof alpha === 'number' && alpha < 1 ? ` / ${written(alpha)}` : '';
  const isHex = numbers.every((each) => typeof each === 'number' && isByte(each));
  if (colorSpace === 'srgb' && isHex) {
    const bytes = (numbers as number[]).map((each) => Math.round(each * 255));
    if (opacity) return `rgb(${bytes.join(' ')}${opacity})`;
    return '#' + bytes.map((each) => each.toString(16).padStart(2, '0')).join('');
  }
  const words = numbers.map((each) => (each === 'none' ? each : written(each)));
  const percent = ['hsl', 'hwb'].includes(colorSpace)
    ? words.map((word, i) => (i === 0 || word === 'none' ? word : word + '%'))
    : words;
  return FUNCTIONS.has(colorSpace)
    ? `${colorSpace}(${percent.join(' ')}${opacity})`
    : `color(${colorSpace} ${words.join(' ')}${opacity})`;
}

/** Whether a share is one of the 256 steps that six hexadecimal digits tell. */
function isByte(share: number): boolean {
  return share >= 0 && share <= 1 && Math.abs(share * 255 - Math.round(share * 255)) < 1e-3;
}

function dimensionIn(value: Json, units: readonly string[]): string {
  const { value: number, unit } = members(value, ['value', 'unit']);
  if (typeof number !== 'number') throw new WrongValue(['value'], 'a number stands here');
  if (typeof unit !== 'string' || !units.includes(unit))
    throw new WrongValue(['unit'], `the unit is ${units.join(' or ')}`);
  return `${written(number)}${unit}`;
}

function weightIn(value: Json): string {
  if (typeof value === 'number' && value >= 1 && value <= 1000) return String(value);
  if (typeof value === 'string' && Object.hasOwn(WEIGHTS, value)) return String(WEIGHTS[value]);
  throw new WrongValue([], 'a weight is a number from 1 to 1000 or one of the names of weights');
}

function familyIn(value: Json): string {
  const list = Array.isArray(value) ? value : [value];
  if (list.length === 0 || !list.every((each) => typeof each === 'string' && each !== ''))
    throw new WrongValue([], 'a family is a name, or a list of names');
  return (list as string[])
    .map((name) => (/^[a-z-]+$/i.test(name) ? name : JSON.stringify(name)))
    .join(', ');
}

function curveIn(value: Json): string {
  const numbers = Array.isArray(value) ? value : [];
  if (numbers.length !== 4 || !numbers.every((each) => typeof each === 'number'))
    throw new WrongValue([], 'a curve is four numbers');
  const [x1, , x2] = numbers as number[];
  if (x1! < 0 || x1! > 1 || x2! < 0 || x2! > 1)
    throw new WrongValue([], 'the first and third number of a curve lie between 0 and 1');
  return `cubic-bezier(${(numbers as number[]).map(written).join(',')})`;
}

function shadowIn(value: Json): string {
  const names = ['color', 'offsetX', 'offsetY', 'blur', 'spread'];
  const found = members(value, names);
  const lengths = names
    .slice(1)
    .map((name) => at(name, () => dimensionIn(found[name]!, ['px', 'rem'])));
  const inset = found['inset'] === true ? 'inset ' : '';
  return `${inset}${lengths.join(' ')} ${at('color', () => colourIn(found['color']!))}`;
}
