import {
  FORMAT,
  ordersFor,
  TOKEN_GROUPS,
  type TokenGroup,
  type TokensDoc,
} from '@sormet/core/model';
import { saidText } from '@sormet/core/said';
import { readTokenText, readTokenValue } from '@sormet/core/style';

/** The tokens of Brackenfold by group: the id, the name, the value; names in braces stand for other tokens. */
const WRITTEN: Readonly<Partial<Record<TokenGroup, readonly [string, string, string][]>>> = {
  colour: [
    ['ink', 'ink', '#20262b'],
    ['paper', 'paper', '#fffdf8'],
    ['sand', 'sand', '#faf4e6'],
    ['sand-deep', 'sand deep', '#f3e6d3'],
    ['line', 'line', '#e4d8bf'],
    ['card', 'card', '#ffffff'],
    ['link', 'link', '#7d2f12'],
    ['brand', 'brand', '#9a3b17'],
    ['brand-dark', 'brand dark', 'color-mix(in oklab, {brand}, black 18%)'],
    ['on-brand', 'on brand', '#ffffff'],
    ['pine', 'pine', '#2f5d62'],
  ],
  space: [
    ['space-1', 'space 1', '0.25rem'],
    ['space-2', 'space 2', '0.5rem'],
    ['space-3', 'space 3', '0.75rem'],
    ['space-4', 'space 4', '1rem'],
    ['space-5', 'space 5', '1.25rem'],
    ['space-6', 'space 6', '1.5rem'],
    ['space-7', 'space 7', '2rem'],
    ['space-8', 'space 8', '2.5rem'],
    ['space-9', 'space 9', '3rem'],
    ['space-10', 'space 10', '3.5rem'],
    ['space-11', 'space 11', '4rem'],
    ['space-12', 'space 12', '4.5rem'],
    ['wide', 'wide', '70rem'],
  ],
  size: [
    ['size-small', 'small text', '1rem'],
    ['size-text', 'text', '1.0625rem'],
    ['size-lead', 'lead', '1.1875rem'],
    ['size-small-title', 'small title', '1.25rem'],
    ['size-quote', 'quote', '1.5rem'],
    ['size-title-narrow', 'title, narrow', '1.625rem'],
    ['size-title', 'title', '2rem'],
    ['size-display', 'display', '2.75rem'],
  ],
  family: [
    ['family-text', 'text family', "'Atkinson Hyperlegible Next', sans-serif"],
    ['family-heading', 'heading family', 'Literata, serif'],
  ],
  weight: [
    ['weight-text', 'plain weight', '400'],
    ['weight-bold', 'bold', '700'],
  ],
  lineHeight: [
    ['line-tight', 'tight', '1.1'],
    ['line-snug', 'snug', '1.25'],
    ['line-text', 'roomy', '1.55'],
  ],
  radius: [
    ['radius-small', 'small round', '4px'],
    ['radius-medium', 'medium round', '6px'],
  ],
  border: [['fine-line', 'fine line', '1px solid {line}']],
  shadow: [['lifted', 'lifted', '0px 2px 10px 0px rgb(32 38 43 / 0.14)']],
  duration: [['quick', 'quick', '160ms']],
  easing: [['gentle', 'gentle', 'cubic-bezier(0.2, 0, 0, 1)']],
  stroke: [['solid-line', 'solid line', 'solid']],
};

/** The same colours when the light is out: on a section of the home page, and at the bottom of every page. */
const NIGHT: Readonly<Record<string, string>> = {
  ink: '#f3e6d3',
  paper: '#20262b',
  sand: '#262d32',
  'sand-deep': '#2c353a',
  line: '#49555b',
  card: '#2a3237',
  link: '#f0b48f',
  brand: '#f0b48f',
  pine: '#9cc7c9',
  'on-brand': '#20262b',
};

function made(): TokensDoc['tokens'] {
  const tokens: TokensDoc['tokens'] = {};
  const orders = ordersFor(Object.values(WRITTEN).flat().length);
  let at = 0;
  for (const group of Object.keys(WRITTEN) as TokenGroup[])
    for (const [id, name, css] of WRITTEN[group]!) {
      const { type } = TOKEN_GROUPS[group];
      // Only what was written before it can stand in a token.
      const named = css.includes('{') ? readTokenText(type, css, tokens) : undefined;
      if (named && !named.ok) throw new Error(`${name}: ${saidText(named.reason)}`);
      const refs = Object.fromEntries(
        Object.entries(named?.tokens ?? {}).map(([ref, token]) => [
          ref,
          { token, type: tokens[token]!.type },
        ]),
      );
      const read = readTokenValue(type, named?.css ?? css, refs);
      if (!read.ok) throw new Error(`${name}: ${saidText(read.reason)}`);
      tokens[id] = { name, order: orders[at]!, type, group, value: read.value };
      at += 1;
    }
  return tokens;
}

/** Names for the values that the site is made of, and the theme in which it is dark. */
export const tokens: TokensDoc = {
  id: 'tokens',
  kind: 'tokens',
  format: FORMAT,
  tokens: made(),
  themes: {
    night: {
      name: 'Night',
      order: 'a0',
      values: Object.fromEntries(Object.entries(NIGHT).map(([id, css]) => [id, { css }])),
    },
  },
};
