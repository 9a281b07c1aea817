import {
  EVERY_TAG,
  FORMAT,
  ordersFor,
  type SiteDoc,
  type StyleDoc,
  type TagsDoc,
} from '@sormet/core/model';
import { styled } from './styled';

const HEADING = {
  'font-family': '{heading family}',
  'font-weight': '{bold}',
  'overflow-wrap': 'anywhere',
};

const FOCUS = {
  ':focus-visible': {
    'outline-width': '2px',
    'outline-style': 'solid',
    'outline-color': '{link}',
    'outline-offset': '3px',
  },
};

const CELL = {
  'text-align': 'left',
  'vertical-align': 'top',
  padding: '{space 1} {space 3} {space 1} 0',
  'border-bottom-width': '1px',
  'border-bottom-style': 'solid',
  'border-bottom-color': '{line}',
};

const FIELD = {
  'font-family': 'inherit',
  'font-size': 'inherit',
  color: '{ink}',
  'background-color': '{card}',
  padding: '{space 2} {space 3}',
  'border-width': '1px',
  'border-style': 'solid',
  // A field is seen by its edge (WCAG 2.2, 1.4.11).
  'border-color': 'color-mix(in oklab, {ink}, {card} 40%)',
  'border-radius': '{small round}',
};

/** How Brackenfold looks before any section says otherwise. */
export const tags: TagsDoc = {
  id: 'tags',
  kind: 'tags',
  format: FORMAT,
  tags: {
    [EVERY_TAG]: styled({}, FOCUS),
    body: styled({
      'font-family': '{text family}',
      'font-size': '{text}',
      'line-height': '{roomy}',
      color: '{ink}',
      'background-color': '{paper}',
    }),
    h1: styled(
      {
        ...HEADING,
        'font-size': '{display}',
        'line-height': '{tight}',
        'text-wrap': 'balance',
      },
      { w600: { 'font-size': '{title}' } },
    ),
    h2: styled(
      { ...HEADING, 'font-size': '{title}', 'line-height': '1.15', 'text-wrap': 'balance' },
      { w600: { 'font-size': '{title, narrow}' } },
    ),
    h3: styled({ ...HEADING, 'font-size': '{small title}', 'line-height': '{snug}' }),
    h4: styled({ ...HEADING, 'font-size': '{text}', 'line-height': '{snug}' }),
    p: styled({ 'margin-top': '{space 3}', 'max-width': '62ch' }),
    a: styled({ color: '{link}', 'text-underline-offset': '3px' }),
    li: styled({}, { '::marker': { color: '{brand}' } }),
    blockquote: styled({
      'font-family': '{heading family}',
      'font-size': '{quote}',
      'line-height': '1.35',
    }),
    figcaption: styled({ 'margin-top': '{space 4}' }),
    code: styled({ 'font-size': '0.95em', 'background-color': '{sand}', padding: '0 0.25em' }),
    button: styled({ 'font-family': 'inherit', 'font-size': 'inherit' }),
    input: styled(FIELD, { '::placeholder': { color: 'inherit', opacity: '0.7' } }),
    textarea: styled(FIELD, { '::placeholder': { color: 'inherit', opacity: '0.7' } }),
    select: styled(FIELD),
    summary: styled({ cursor: 'pointer', 'font-weight': '{bold}' }),
    table: styled({ 'margin-top': '{space 3}', 'border-collapse': 'collapse' }),
    caption: styled({ 'text-align': 'left', 'padding-bottom': '{space 1}' }),
    th: styled({ ...CELL, 'font-weight': '{bold}' }),
    td: styled(CELL),
  },
};

type Written = readonly [
  id: string,
  name: string,
  base: string | null,
  ...Parameters<typeof styled>,
];

/** Chosen parts of a look, weakest first. */
const WRITTEN: readonly Written[] = [
  ['style-wide', 'Wide', null, { 'max-width': '{wide}', 'margin-inline': 'auto', width: '100%' }],
  [
    'style-room',
    'Section room',
    null,
    { padding: '{space 11} {space 7}' },
    { w960: { 'padding-block': '{space 10}' }, w600: { padding: '{space 8} {space 5}' } },
  ],
  ['style-room-less', 'Less room', 'style-room', { 'padding-block': '{space 10}' }],
  [
    'style-columns',
    'Two columns',
    null,
    {
      display: 'grid',
      'grid-template-columns': 'minmax(0, 1fr) minmax(0, 1fr)',
      gap: '{space 9}',
      'align-items': 'center',
    },
    { w960: { gap: '{space 7}' }, w600: { 'grid-template-columns': 'minmax(0, 1fr)' } },
  ],
  [
    'style-cards',
    'Cards in a row',
    null,
    {
      display: 'grid',
      'grid-template-columns': 'repeat(3, minmax(0, 1fr))',
      gap: '{space 6}',
      'margin-top': '{space 6}',
    },
    {
      w960: { 'grid-template-columns': 'repeat(2, minmax(0, 1fr))' },
      w600: { 'grid-template-columns': 'minmax(0, 1fr)' },
    },
  ],
  [
    'style-spread',
    'Spread',
    null,
    {
      display: 'flex',
      'flex-wrap': 'wrap',
      'align-items': 'center',
      'justify-content': 'space-between',
      gap: '{space 6}',
    },
  ],
  [
    'style-card',
    'Card',
    null,
    {
      display: 'flex',
      'flex-direction': 'column',
      height: '100%',
      'background-color': '{card}',
      border: '{fine line}',
      'border-radius': '{medium round}',
      'overflow-x': 'hidden',
      'overflow-y': 'hidden',
    },
  ],
  ['style-lead', 'Lead', null, { 'font-size': '{lead}', 'margin-bottom': '{space 6}' }],
  [
    'style-display',
    'Largest look',
    null,
    { 'font-family': '{heading family}', 'font-size': '{display}', 'line-height': '{tight}' },
    { w600: { 'font-size': '{title}' } },
  ],
  [
    'style-quiet-heading',
    'Quiet heading',
    null,
    {
      'font-family': '{text family}',
      'font-size': '{small text}',
      'font-weight': '{plain weight}',
      'line-height': '{roomy}',
    },
  ],
  [
    'style-skip',
    'Skip link',
    null,
    {
      position: 'absolute',
      left: '-100vw',
      top: '0',
      padding: '{space 2} {space 4}',
      'background-color': '{paper}',
      color: '{link}',
      'z-index': '10',
    },
    { ':focus-visible': { left: '0' } },
  ],
  ['style-plain-list', 'Plain list', null, { 'list-style-type': 'none' }],
  [
    'style-quiet-link',
    'Quiet link',
    null,
    { color: '{ink}', 'text-decoration': 'none' },
    { ':hover': { 'text-decoration': 'underline' } },
  ],
  [
    'style-button',
    'Button',
    null,
    {
      display: 'inline-flex',
      'align-items': 'center',
      'justify-content': 'center',
      'border-radius': '{small round}',
      'font-weight': '{bold}',
      'line-height': '{tight}',
      'text-decoration': 'none',
      'transition-property': 'color, background-color, border-color',
      'transition-duration': '{quick}',
      'transition-timing-function': '{gentle}',
    },
  ],
  [
    'style-button-main',
    'Main look',
    'style-button',
    {
      'background-color': '{brand}',
      color: '{on brand}',
      'border-width': '2px',
      'border-style': 'solid',
      'border-color': '{brand}',
    },
    { ':hover': { 'background-color': '{brand dark}', 'border-color': '{brand dark}' } },
  ],
  [
    'style-button-quiet',
    'Quiet look',
    'style-button',
    {
      'background-color': 'transparent',
      color: '{brand}',
      'border-width': '2px',
      'border-style': 'solid',
      'border-color': '{brand}',
    },
    { ':hover': { 'background-color': '{sand deep}', color: '{brand dark}' } },
  ],
  [
    'style-button-small',
    'Small size',
    'style-button',
    { 'min-height': '40px', 'padding-inline': '{space 4}', 'font-size': '{small text}' },
  ],
  [
    'style-button-usual',
    'Usual size',
    'style-button',
    { 'min-height': '50px', 'padding-inline': '{space 5}', 'font-size': '{text}' },
  ],
  [
    'style-button-large',
    'Large size',
    'style-button',
    { 'min-height': '70px', 'padding-inline': '{space 7}', 'font-size': '{small title}' },
  ],
];

const orders = ordersFor(WRITTEN.length);

/** The shared styles of Brackenfold: rooms and rows, a card, and a button of two looks and three sizes. */
export const styles: readonly StyleDoc[] = WRITTEN.map(([id, name, base, ...block], i) => ({
  id,
  kind: 'style',
  format: FORMAT,
  name,
  order: orders[i]!,
  base,
  origin: null,
  style: styled(...block),
}));

/** How high the lines of a font are and how wide its letters, as the server reads it from the file. */
const measures = (ascent: number, descent: number, widthAverage: number) => ({
  metrics: { unitsPerEm: 1000, ascent, descent, lineGap: 0, widthAverage },
});

/** The fonts that Brackenfold ships with. */
export const fonts: SiteDoc['fonts'] = {
  literata: {
    family: 'Literata',
    asset: 'font-literata',
    weight: '200 900',
    style: 'normal',
    ...measures(1177, -308, 480),
  },
  text400: {
    family: 'Atkinson Hyperlegible Next',
    asset: 'font-text-400',
    weight: '400',
    style: 'normal',
    ...measures(984, -316, 444),
  },
  text700: {
    family: 'Atkinson Hyperlegible Next',
    asset: 'font-text-700',
    weight: '700',
    style: 'normal',
    ...measures(984, -316, 478),
  },
};
