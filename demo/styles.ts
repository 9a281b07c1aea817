import { FORMAT, type SiteDoc, type TagsDoc, type TokensDoc } from '@sormet/core/model';
import { blockOf } from '@sormet/core/style';

const TEXT = "'Atkinson Hyperlegible Next', sans-serif";
const HEADINGS = 'Literata, serif';

/** How Brackenfold looks before any section says otherwise. */
export const tags: TagsDoc = {
  id: 'tags',
  kind: 'tags',
  format: FORMAT,
  tags: {
    body: blockOf({
      'font-family': TEXT,
      'font-size': '1.0625rem',
      'line-height': '1.55',
      color: '#20262b',
      background: '#fffdf8',
    }),
    h1: blockOf(
      {
        'font-family': HEADINGS,
        'font-size': '2.75rem',
        'line-height': '1.1',
        'font-weight': '700',
        'text-wrap': 'balance',
        'overflow-wrap': 'anywhere',
      },
      { w600: { 'font-size': '2rem' } },
    ),
    h2: blockOf(
      {
        'font-family': HEADINGS,
        'font-size': '2rem',
        'line-height': '1.15',
        'font-weight': '700',
        'text-wrap': 'balance',
        'overflow-wrap': 'anywhere',
      },
      { w600: { 'font-size': '1.625rem' } },
    ),
    h3: blockOf({
      'font-family': HEADINGS,
      'font-size': '1.25rem',
      'line-height': '1.25',
      'font-weight': '700',
      'overflow-wrap': 'anywhere',
    }),
    p: blockOf({ 'margin-top': '12px', 'max-width': '62ch' }),
    a: blockOf({ color: '#7d2f12', 'text-underline-offset': '3px' }),
  },
};

/** Names for values that several declarations share: none yet. */
export const tokens: TokensDoc = { id: 'tokens', kind: 'tokens', format: FORMAT, tokens: {} };

/** The fonts that Brackenfold ships with. */
export const fonts: SiteDoc['fonts'] = {
  literata: { family: 'Literata', asset: 'font-literata', weight: '200 900', style: 'normal' },
  text400: {
    family: 'Atkinson Hyperlegible Next',
    asset: 'font-text-400',
    weight: '400',
    style: 'normal',
  },
  text700: {
    family: 'Atkinson Hyperlegible Next',
    asset: 'font-text-700',
    weight: '700',
    style: 'normal',
  },
};
