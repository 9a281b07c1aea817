import type { Json } from '../model';
import { saidText, say, type Said } from '../said';
import { written } from '../style';
import { WEIGHTS } from './format-types';
import { isColour, isDimension } from './older-forms';

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

/** A value that is none of its type, with where in it. */
export class WrongValue extends Error {
  constructor(
    readonly where: readonly string[],
    readonly said: Said,
  ) {
    super(saidText(said));
  }
}

/** What a value may name: other tokens of the file. */
export interface Named {
  /** What a token is called here, by its path in the file; nothing for one that is not there. */
  name(alias: string): string | undefined;
  /** What it holds. */
  value(alias: string): Json | undefined;
}

/** The path that a value names, where it is an alias and nothing more (`{group.token}`). */
export function aliasOf(value: Json | undefined): string | undefined {
  return typeof value === 'string' ? /^\{([^{}]+)\}$/.exec(value)?.[1] : undefined;
}

/** How many aliases may lead to each other. */
const LONGEST_WAY = 40;

/** Values of the format as CSS. What is an alias in one stays one: another token's name in braces. */
export class ValuesIn {
  constructor(private readonly named: Named) {}

  /** The CSS of a value. @throws WrongValue where it is none of its type */
  css(type: string, value: Json): string {
    const alias = aliasOf(value);
    if (alias !== undefined) {
      const name = this.named.name(alias);
      if (name === undefined) throw new WrongValue([], say('names-not-there', { name: alias }));
      return `{${name}}`;
    }
    switch (type) {
      case 'color':
        return colourIn(value);
      case 'dimension':
        return dimensionIn(value, ['px', 'rem']);
      case 'duration':
        return dimensionIn(value, ['ms', 's']);
      case 'number':
        return numberIn(value);
      case 'fontWeight':
        return weightIn(value);
      case 'fontFamily':
        return this.family(value);
      case 'cubicBezier':
        return curveIn(this.plain(value));
      case 'strokeStyle':
        if (typeof value === 'string' && LINES.has(value)) return value;
        throw new WrongValue([], say('stroke-kinds'));
      case 'border':
        if (isCss(value)) return value;
        return this.parts(value, { width: 'dimension', style: 'strokeStyle', color: 'color' });
      case 'shadow':
        if (isCss(value)) return value;
        return Array.isArray(value)
          ? value.map((each, i) => at(String(i), () => this.shadow(each))).join(',')
          : this.shadow(value);
      case 'gradient':
        return this.gradient(value);
      default:
        throw new WrongValue([], say('type-not-kept', { type }));
    }
  }

  /** The CSS of each member of a composite value. @param partly whether some may be missing @throws WrongValue */
  members(
    value: Json,
    types: Readonly<Record<string, string>>,
    partly = false,
  ): Record<string, string> {
    const names = Object.keys(types);
    const found = members(value, partly ? [] : names);
    const there = names.filter((name) => found[name] !== undefined);
    if (there.length === 0) throw new WrongValue([], say('object-with', { members: names }));
    return Object.fromEntries(
      there.map((name) => [name, at(name, () => this.css(types[name]!, found[name]!))]),
    );
  }

  private parts(value: Json, types: Readonly<Record<string, string>>): string {
    return Object.values(this.members(value, types)).join(' ');
  }

  private shadow(value: Json): string {
    const { color, ...lengths } = this.members(olderShadow(value), {
      offsetX: 'dimension',
      offsetY: 'dimension',
      blur: 'dimension',
      spread: 'dimension',
      color: 'color',
    });
    const { inset: isInset, type } = value as Members;
    const inset = isInset === true || type === 'innerShadow' ? 'inset ' : '';
    return `${inset}${Object.values(lengths).join(' ')} ${color}`;
  }

  private gradient(value: Json): string {
    if (isCss(value)) return value;
    if (!Array.isArray(value) || value.length < 2) throw new WrongValue([], say('gradient-list'));
    const stops = value.map((stop, i) =>
      at(String(i), () => {
        const { color, position } = members(stop, ['color', 'position']);
        const place = this.plain(position!);
        if (typeof place !== 'number') throw new WrongValue(['position'], say('place-in-gradient'));
        // What lies outside is the nearest that is inside (9.6, Gradient).
        const percent = written(Math.min(1, Math.max(0, place)) * 100);
        return `${at('color', () => this.css('color', color!))} ${percent}%`;
      }),
    );
    return `linear-gradient(${stops.join(',')})`;
  }

  private family(value: Json): string {
    // As CSS writes it: several names in one text.
    const apart =
      typeof value === 'string' && aliasOf(value) === undefined ? namesIn(value) : value;
    const list = Array.isArray(apart) ? apart : [apart];
    if (list.length === 0 || !list.every((each) => typeof each === 'string' && each !== ''))
      throw new WrongValue([], say('family-is-name'));
    return (list as string[])
      .map((name) => {
        if (aliasOf(name) !== undefined) return this.css('fontFamily', name);
        return /^[a-z-]+$/i.test(name) ? name : JSON.stringify(name);
      })
      .join(', ');
  }

  /** A value with what its aliases name in their place. */
  private plain(value: Json, way = 0): Json {
    if (Array.isArray(value)) return value.map((each) => this.plain(each, way));
    const alias = aliasOf(value);
    const other = alias === undefined ? undefined : this.named.value(alias);
    return other === undefined || way > LONGEST_WAY ? value : this.plain(other, way + 1);
  }
}

function at<T>(member: string, read: () => T): T {
  try {
    return read();
  } catch (error) {
    if (error instanceof WrongValue) throw new WrongValue([member, ...error.where], error.said);
    throw error;
  }
}

type Members = Readonly<Record<string, Json | undefined>>;

function members(value: Json, needed: readonly string[]): Members {
  if (value === null || typeof value !== 'object' || Array.isArray(value))
    throw new WrongValue([], say('object-with', { members: needed }));
  const found = value as Members;
  for (const name of needed)
    if (found[name] === undefined) throw new WrongValue([], say('member-missing', { name }));
  return found;
}

/** Whether a value is written as CSS writes it: read as that afterwards. What is worked out in the file is not. */
function isCss(value: Json): value is string {
  return typeof value === 'string' && !/[{}]|var\(/.test(value) && value.trim() !== '';
}

/** A shadow by the names that were used before. */
function olderShadow(value: Json): Json {
  if (value === null || typeof value !== 'object' || Array.isArray(value)) return value;
  const { x, y, offsetX = x, offsetY = y, spread = '0px', ...rest } = value as Record<string, Json>;
  return {
    ...rest,
    spread,
    ...(offsetX === undefined ? {} : { offsetX }),
    ...(offsetY === undefined ? {} : { offsetY }),
  };
}

/** The names of a font stack as CSS writes it. */
function namesIn(stack: string): string[] {
  return (stack.match(/"[^"]*"|'[^']*'|[^,]+/g) ?? [])
    .map((name) => name.trim().replace(/^["']|["']$/g, ''))
    .filter(Boolean);
}

function numberIn(value: Json): string {
  if (typeof value === 'number') return written(value);
  const [, number, percent] =
    /^(-?(?:\d+\.?\d*|\.\d+))(%?)$/.exec(typeof value === 'string' ? value.trim() : '') ?? [];
  if (number === undefined) throw new WrongValue([], say('number-is-json'));
  return written(Number(number) / (percent ? 100 : 1));
}

function colourIn(value: Json): string {
  if (isCss(value) && (isColour(value) || /^[a-z]+$/i.test(value))) return value;
  const { colorSpace, components, alpha, hex } = members(value, ['colorSpace', 'components']);
  if (typeof colorSpace !== 'string' || !(SPACES.has(colorSpace) || FUNCTIONS.has(colorSpace)))
    throw new WrongValue(['colorSpace'], say('no-colour-space'));
  const isComponent = (each: Json) => typeof each === 'number' || each === 'none';
  if (!Array.isArray(components) || components.length !== 3 || !components.every(isComponent))
    throw new WrongValue(['components'], say('three-numbers'));
  if (alpha !== undefined && (typeof alpha !== 'number' || alpha < 0 || alpha > 1))
    throw new WrongValue(['alpha'], say('opacity-range'));
  if (hex !== undefined && (typeof hex !== 'string' || !/^#[0-9a-f]{6}$/i.test(hex)))
    throw new WrongValue(['hex'], say('hex-colour'));
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
  if (typeof value === 'number')
    return value === 0 ? `0${units[0]}` : `${written(value)}${units[0]}`;
  if (isCss(value) && units.includes('px') && isDimension(value))
    return /^-?0$/.test(value.trim()) ? '0px' : value.trim();
  if (isCss(value) && units.includes('ms') && /^-?(\d+\.?\d*|\.\d+)m?s$/i.test(value.trim()))
    return value.trim();
  const { value: number, unit } = members(value, ['value', 'unit']);
  if (typeof number !== 'number') throw new WrongValue(['value'], say('number-here'));
  if (typeof unit !== 'string' || !units.includes(unit))
    throw new WrongValue(['unit'], say('unit-is', { units }));
  return `${written(number)}${unit}`;
}

function weightIn(value: Json): string {
  if (typeof value === 'number' && value >= 1 && value <= 1000) return String(value);
  if (typeof value === 'string') {
    const name = value.trim().toLowerCase().replace(/[ _]+/g, '-');
    const weight =
      WEIGHTS[name] ?? WEIGHTS[name.replace(/^(semi|demi|extra|ultra)(?=[a-z])/, '$1-')];
    if (Object.hasOwn(WEIGHTS, name) || weight !== undefined) return String(weight);
    if (/^[1-9]\d{0,3}$/.test(name) && Number(name) <= 1000) return name;
  }
  throw new WrongValue([], say('weight-range'));
}

function curveIn(value: Json): string {
  if (isCss(value) && /^(cubic-bezier\(|ease|linear|step)/i.test(value.trim())) return value.trim();
  const numbers = Array.isArray(value) ? value : [];
  if (numbers.length !== 4 || !numbers.every((each) => typeof each === 'number'))
    throw new WrongValue([], say('curve-four'));
  const [x1, , x2] = numbers;
  if (x1! < 0 || x1! > 1 || x2! < 0 || x2! > 1) throw new WrongValue([], say('curve-range'));
  return `cubic-bezier(${numbers.map(written).join(',')})`;
}
