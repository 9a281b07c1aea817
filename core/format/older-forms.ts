import { pointer, type Finding, type Json } from '../model';
import { say } from '../said';
import { isObject, type JsonObject } from './extended-groups';
import { FORMAT_TYPES, STYLE_TYPES } from './format-types';

/**
 * Files of tokens as they are met, brought into the Design Tokens Format Module (2025.10): members without a sign before
 * them, types by the names that were used before there was a format, values without a type that show what they are, plain
 * values where a token stands. Common practice, no published source.
 */

/** What types were called before, as the format calls them. */
const OLDER_TYPES: Readonly<Record<string, string>> = {
  sizing: 'dimension',
  size: 'dimension',
  spacing: 'dimension',
  space: 'dimension',
  borderradius: 'dimension',
  borderwidth: 'dimension',
  fontsize: 'dimension',
  fontsizes: 'dimension',
  letterspacing: 'dimension',
  paragraphspacing: 'dimension',
  radius: 'dimension',
  lineheight: 'number',
  lineheights: 'number',
  opacity: 'number',
  fontfamily: 'fontFamily',
  fontfamilies: 'fontFamily',
  fontweight: 'fontWeight',
  fontweights: 'fontWeight',
  boxshadow: 'shadow',
  time: 'duration',
  colour: 'color',
  colors: 'color',
  easing: 'cubicBezier',
};

/** The types of the format (8 Types, 9 Composite types). */
const TYPES: ReadonlySet<string> = new Set([
  ...Object.values(FORMAT_TYPES),
  ...Object.keys(STYLE_TYPES),
]);

/** Members of the format; what else begins with its sign is for the program that wrote it. */
const KNOWN = new Set([
  '$value',
  '$ref',
  '$type',
  '$description',
  '$extends',
  '$extensions',
  '$deprecated',
  '$root',
]);

/** A file in the format's form; what is neither token nor group is told and left. */
export function inFormat(file: JsonObject, findings: Finding[]): JsonObject {
  return groupIn(file, [], undefined, findings);
}

function groupIn(
  group: JsonObject,
  path: readonly string[],
  around: string | undefined,
  findings: Finding[],
): JsonObject {
  const made: Record<string, Json> = {};
  const own = group['$type'];
  const type = typeof own === 'string' ? own : around;
  for (const [name, inner] of Object.entries(group)) {
    const at = [...path, name];
    if (name.startsWith('$') && name !== '$root') {
      if (KNOWN.has(name)) made[name] = name === '$type' ? typeNow(inner) : inner;
    } else if (isObject(inner))
      made[name] = isToken(inner)
        ? tokenIn(inner, at, type, findings)
        : groupIn(inner, at, type, findings);
    else {
      // A plain value where a token stands: taken where it shows what it is.
      const shown = type ?? typeShown(inner);
      const isPlain = typeof inner === 'string' || typeof inner === 'number';
      if (isPlain && shown !== undefined) made[name] = { $type: typeNow(shown), $value: inner };
      else findings.push({ path: pointer(...at), reason: say('token-or-group') });
    }
  }
  return made;
}

function isToken(value: JsonObject): boolean {
  if ('$value' in value || '$ref' in value) return true;
  const older = value['value'];
  if (older === undefined) return false;
  // A group may be called `value` too.
  return !isObject(older) || typeof value['type'] === 'string';
}

function tokenIn(
  token: JsonObject,
  path: readonly string[],
  around: string | undefined,
  findings: Finding[],
): Json {
  const made: Record<string, Json> = {};
  const older = {
    value: '$value',
    type: '$type',
    description: '$description',
    comment: '$description',
  };
  for (const [name, value] of Object.entries(token)) {
    const now = (older as Record<string, string>)[name] ?? name;
    if (KNOWN.has(now)) made[now] ??= value;
    else if (!name.startsWith('$') && isObject(value))
      findings.push({ path: pointer(...path, name), reason: say('nothing-in-token') });
  }
  const said = typeNow(made['$type'] ?? around ?? '');
  const isKnown = typeof said === 'string' && TYPES.has(said);
  // A type that nobody knows says less than a value that shows what it is.
  const shown = isKnown ? undefined : typeShown(made['$value'] ?? null);
  if (shown !== undefined) made['$type'] = shown;
  else if (made['$type'] !== undefined) made['$type'] = said;
  return made;
}

function typeNow(type: Json): Json {
  return typeof type === 'string' ? (OLDER_TYPES[type.toLowerCase()] ?? type) : type;
}

const DIMENSION = /^-?(\d+\.?\d*|\.\d+)(px|rem|em|ch|vw|vh|%)$|^(clamp|calc|min|max)\(/i;

/** The type of a value that shows what it is. */
function typeShown(value: Json): string | undefined {
  if (typeof value === 'number') return 'number';
  if (Array.isArray(value) && value.length === 4 && value.every((each) => typeof each === 'number'))
    return 'cubicBezier';
  if (typeof value !== 'string') return undefined;
  const text = value.trim();
  if (isColour(text)) return 'color';
  if (DIMENSION.test(text)) return 'dimension';
  if (/^-?(\d+\.?\d*|\.\d+)m?s$/i.test(text)) return 'duration';
  if (/^cubic-bezier\(/i.test(text)) return 'cubicBezier';
  if (/^(linear|radial|conic)-gradient\(/i.test(text)) return 'gradient';
  return /^-?(\d+\.?\d*|\.\d+)$/.test(text) ? 'number' : undefined;
}

/** Whether words are a colour of CSS by how they begin (CSS Color Module Level 4). */
export function isColour(text: string): boolean {
  return /^#([0-9a-f]{3,4}|[0-9a-f]{6}|[0-9a-f]{8})$|^(rgba?|hsla?|hwb|lab|lch|oklab|oklch|color)\(/i.test(
    text.trim(),
  );
}

/** Whether words are a length or share as CSS writes it. */
export function isDimension(text: string): boolean {
  return DIMENSION.test(text.trim()) || /^-?0$/.test(text.trim());
}
