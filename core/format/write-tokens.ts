import {
  groupOf,
  inOrder,
  TOKEN_GROUPS,
  type Declared,
  type Json,
  type TokenGroup,
  type TokensDoc,
} from '../model';
import { filled, placeholdersIn, valueText } from '../style';
import { FORMAT_TYPES, formatValue } from './token-values';

/** The name under which what only this program knows stands among the extensions of the format. */
export const EXTENSION = 'sormet';

type JsonObject = { [name: string]: Json };

/**
 * The tokens of a site in the Design Tokens Format Module (2025.10): groups, each with its type; aliases where a token is
 * another. What the format cannot hold, as a mixed colour, has the nearest value, and what it was made from as an
 * extension; so has what themes make of tokens.
 */
export function writeTokens({ tokens, themes = {} }: TokensDoc): JsonObject {
  const paths = pathsOfTokens(tokens);
  const out: JsonObject = {};
  for (const [id, token] of inOrder(tokens)) {
    const group = groupOf(token);
    const { type, about, value } = token;
    const [groupName, name] = paths.get(id)!;
    const holder = (out[groupName!] ??= { $type: FORMAT_TYPES[group] }) as JsonObject;
    const written = valueOut(value, type, group, { tokens, paths });
    const inThemes = inOrder(themes).flatMap(([, theme]): [string, Json][] => {
      const other = theme.values[id];
      return other ? [[theme.name, valueText(other, tokens)]] : [];
    });
    const extension: JsonObject = {
      ...(name === token.name ? {} : { name: token.name }),
      ...(written.exact ? {} : { css: valueText(value, tokens) }),
      ...(inThemes.length > 0 ? { themes: Object.fromEntries(inThemes) } : {}),
    };
    holder[name!] = {
      $value: written.value,
      ...(about ? { $description: about } : {}),
      ...(Object.keys(extension).length > 0 ? { $extensions: { [EXTENSION]: extension } } : {}),
    };
  }
  return out;
}

/** Where each token stands in the file: its group and its name there, which holds no `.`, `{`, `}` and begins with no `$`. */
function pathsOfTokens(tokens: TokensDoc['tokens']): Map<string, [string, string]> {
  const paths = new Map<string, [string, string]>();
  const taken = new Set<string>();
  for (const [id, token] of inOrder(tokens)) {
    const group = TOKEN_GROUPS[groupOf(token)].word.toLowerCase();
    const plain = token.name.replace(/[.{}]/g, '-').replace(/^\$+/, '') || 'token';
    let name = plain;
    for (let i = 2; taken.has(`${group}.${name}`); i += 1) name = `${plain} ${i}`;
    taken.add(`${group}.${name}`);
    paths.set(id, [group, name]);
  }
  return paths;
}

function valueOut(
  value: Declared,
  type: TokensDoc['tokens'][string]['type'],
  group: TokenGroup,
  { tokens, paths }: { tokens: TokensDoc['tokens']; paths: Map<string, [string, string]> },
): { value: Json; exact: boolean } {
  const [whole] = placeholdersIn(value.css);
  const ref =
    whole !== undefined && value.css === `var(--${whole})` ? value.refs?.[whole] : undefined;
  if (ref && 'token' in ref && paths.has(ref.token))
    return { value: `{${paths.get(ref.token)!.join('.')}}`, exact: true };
  const css = filled(value, tokens) ?? value.css;
  const made = formatValue(type, group, css);
  if (made !== undefined) return { value: made, exact: !value.refs };
  // The format has no such value: one of its type stands there, and what is meant beside it.
  return { value: NOTHING_LIKE_IT[FORMAT_TYPES[group]] ?? null, exact: false };
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
