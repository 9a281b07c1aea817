import {
  groupOf,
  inOrder,
  TOKEN_GROUPS,
  type Declared,
  type Json,
  type StyleDoc,
  type TokenGroup,
  type TokensDoc,
} from '../model';
import { filled, valueText } from '../style';
import { FORMAT_TYPES, STYLE_TYPES } from './format-types';
import { formatValue } from './values-out';

/** The name under which what only this program knows stands among the extensions of the format. */
export const EXTENSION = 'sormet';

type JsonObject = { [name: string]: Json };

/**
 * The tokens of a site in the Design Tokens Format Module (2025.10): groups, each with its type; aliases where a token is
 * another. What the format cannot hold, as a mixed colour, has the nearest value, and what it was made from as an
 * extension; so has what themes make of tokens. Shared styles that say what a composite type says, and nothing else, are
 * tokens of that type.
 */
export function writeTokens(
  { tokens, themes = {} }: TokensDoc,
  styles: readonly StyleDoc[] = [],
): JsonObject {
  const paths = pathsOfTokens(tokens);
  const out: JsonObject = {};
  for (const [id, token] of inOrder(tokens)) {
    const group = groupOf(token);
    const { about, value } = token;
    const [groupName, name] = paths.get(id)!;
    const holder = (out[groupName] ??= { $type: FORMAT_TYPES[group] }) as JsonObject;
    const written = valueOut(value, group, { tokens, paths });
    const inThemes = inOrder(themes).flatMap(([, theme]): [string, Json][] => {
      const other = theme.values[id];
      return other ? [[theme.name, valueText(other, tokens)]] : [];
    });
    const extension: JsonObject = {
      ...(name === token.name ? {} : { name: token.name }),
      ...(written.exact ? {} : { css: valueText(value, tokens) }),
      ...(inThemes.length > 0 ? { themes: Object.fromEntries(inThemes) } : {}),
    };
    holder[name] = {
      $value: written.value,
      ...(about ? { $description: about } : {}),
      ...(Object.keys(extension).length > 0 ? { $extensions: { [EXTENSION]: extension } } : {}),
    };
  }
  for (const style of styles) {
    const written = styleOut(style, (token) => aliasTo(paths, token));
    if (!written) continue;
    const holder = (out[written.type] ??= { $type: written.type }) as JsonObject;
    holder[freeIn(holder, plainName(style.name))] = { $value: written.value };
  }
  return out;
}

/** A shared style as a token of a composite type; nothing where it says less than one, or more. */
function styleOut(
  { base, style }: StyleDoc,
  aliasOf: (token: string) => string | undefined,
): { type: string; value: Json } | undefined {
  for (const [type, members] of Object.entries(STYLE_TYPES)) {
    const longhands = Object.values(members).map(([longhand]) => longhand);
    if (base !== null || Object.keys(style).sort().join() !== longhands.sort().join()) continue;
    const made = Object.entries(members).map(([name, [longhand, of]]) => [
      name,
      formatValue(of, style[longhand]!, aliasOf),
    ]);
    if (made.every(([, value]) => value !== undefined))
      return { type, value: Object.fromEntries(made) as Json };
  }
  return undefined;
}

function aliasTo(paths: ReadonlyMap<string, readonly string[]>, token: string): string | undefined {
  const path = paths.get(token);
  return path && `{${path.join('.')}}`;
}

/** A name as the format takes it: without `.`, `{`, `}`, and beginning with no `$`. */
function plainName(name: string): string {
  return name.replace(/[.{}]/g, '-').replace(/^\$+/, '') || 'token';
}

function freeIn(holder: JsonObject, name: string): string {
  let free = name;
  for (let i = 2; Object.hasOwn(holder, free); i += 1) free = `${name} ${i}`;
  return free;
}

/** Where each token stands in the file: its group and its name there. */
function pathsOfTokens(tokens: TokensDoc['tokens']): Map<string, [string, string]> {
  const paths = new Map<string, [string, string]>();
  const taken = new Set<string>();
  for (const [id, token] of inOrder(tokens)) {
    const group = TOKEN_GROUPS[groupOf(token)].word.toLowerCase();
    const plain = plainName(token.name);
    let name = plain;
    for (let i = 2; taken.has(`${group}.${name}`); i += 1) name = `${plain} ${i}`;
    taken.add(`${group}.${name}`);
    paths.set(id, [group, name]);
  }
  return paths;
}

function valueOut(
  value: Declared,
  group: TokenGroup,
  { tokens, paths }: { tokens: TokensDoc['tokens']; paths: Map<string, [string, string]> },
): { value: Json; exact: boolean } {
  const type = FORMAT_TYPES[group];
  const made = formatValue(type, value, (token) => aliasTo(paths, token));
  if (made !== undefined) return { value: made, exact: true };
  const css = filled(value, tokens) ?? value.css;
  // The format has no such value: the nearest of its type stands there, and what is meant beside it.
  const near = formatValue(type, { css }, () => undefined) ?? NOTHING_LIKE_IT[type];
  return { value: near ?? null, exact: false };
}

/** A value of each type for where the format has none that says the same. */
const NOTHING_LIKE_IT: Readonly<Record<string, Json>> = {
  color: { colorSpace: 'srgb', components: [0, 0, 0], hex: '#000000' },
  dimension: { value: 0, unit: 'px' },
  duration: { value: 0, unit: 'ms' },
  number: 0,
  fontWeight: 400,
  fontFamily: 'sans-serif',
  cubicBezier: [0, 0, 1, 1],
  strokeStyle: 'solid',
  gradient: [0, 1].map((position) => ({
    color: { colorSpace: 'srgb', components: [0, 0, 0], hex: '#000000' },
    position,
  })),
  border: {
    color: { colorSpace: 'srgb', components: [0, 0, 0], hex: '#000000' },
    width: { value: 0, unit: 'px' },
    style: 'solid',
  },
  shadow: {
    color: { colorSpace: 'srgb', components: [0, 0, 0], alpha: 0, hex: '#000000' },
    offsetX: { value: 0, unit: 'px' },
    offsetY: { value: 0, unit: 'px' },
    blur: { value: 0, unit: 'px' },
    spread: { value: 0, unit: 'px' },
  },
};
