import {
  groupOf,
  inOrder,
  TOKEN_GROUPS,
  type Block,
  type Documents,
  type PlaceholderType,
  type Token,
  type TokenGroup,
} from '../model';
import type { Branch } from '../ready';
import { blockOf, expand, refsIn, withParts } from '../style';
import { caption, row } from './pieces';
import type { As } from './stands';

/** Every token of a site in its group, as it is used best. */
export function tokensShown(documents: Documents, as: As): Branch[] {
  const { tokens } = documents.tokens;
  const groups = (Object.keys(TOKEN_GROUPS) as TokenGroup[]).flatMap((group) => {
    const rows = inOrder(tokens).filter(([, token]) => groupOf(token) === group);
    return rows.length > 0 ? [{ group, rows }] : [];
  });
  return groups.flatMap(({ group, rows }) => [
    caption(TOKEN_GROUPS[group].word),
    row(...rows.map(([id, token]) => tokenShown(id, token, group, as))),
  ]);
}

function tokenShown(id: string, { name, type }: Token, group: TokenGroup, as: As): Branch {
  const small = {
    'font-family': 'sans-serif',
    'font-size': '12px',
    'line-height': '16px',
    'margin-top': '4px',
  };
  const shows = SHOWS[group];
  const box: Branch = {
    id: as({ is: 'token', token: id }),
    tag: 'div',
    ...(shows.words ? { text: shows.words } : {}),
    style: {
      ...blockOf({ 'min-height': '18px', ...shows.beside }),
      ...withToken(shows.property, id, type),
    },
  };
  return {
    tag: 'div',
    style: blockOf({ 'min-width': '92px' }),
    children: [box, { tag: 'p', text: name, style: blockOf(small) }],
  };
}

/** Of each group of tokens, what shows one best. */
const SHOWS: Readonly<
  Record<TokenGroup, { property: string; words?: string; beside: Record<string, string> }>
> = {
  colour: { property: 'background-color', beside: { height: '44px', border: '1px solid #8884' } },
  space: { property: 'width', beside: { 'background-color': '#888', 'max-width': '100%' } },
  size: { property: 'font-size', words: 'Aa', beside: { 'line-height': '1.2' } },
  family: { property: 'font-family', words: 'Words in it', beside: { 'font-size': '20px' } },
  weight: { property: 'font-weight', words: 'Words in it', beside: {} },
  lineHeight: {
    property: 'line-height',
    words: 'Words in it',
    beside: { outline: '1px solid #8884' },
  },
  radius: { property: 'border-radius', beside: { height: '44px', border: '1px solid #888' } },
  border: { property: 'border', beside: { height: '44px' } },
  shadow: { property: 'box-shadow', beside: { height: '44px' } },
  duration: {
    property: 'transition-duration',
    words: '↝',
    beside: { 'transition-property': 'opacity' },
  },
  easing: {
    property: 'transition-timing-function',
    words: '↝',
    beside: { 'transition-property': 'opacity' },
  },
  gradient: { property: 'background-image', beside: { height: '44px' } },
  stroke: {
    property: 'border-top-style',
    beside: { 'border-top-width': '3px', 'border-top-color': 'currentcolor' },
  },
};

function withToken(property: string, token: string, type: PlaceholderType): Block {
  const refs = withParts({ t: { token, type } });
  const expanded = expand(property, 'var(--t)', refs);
  if (!expanded.ok) return {};
  return Object.fromEntries(
    Object.entries(expanded.longhands).map(([longhand, css]) => {
      const used = refsIn(css, refs);
      return [longhand, used ? { css, refs: used } : { css }];
    }),
  );
}
