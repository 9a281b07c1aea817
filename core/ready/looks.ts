import {
  EVERY_TAG,
  FORMAT,
  ordersFor,
  type StyleDoc,
  type TagsDoc,
  type Token,
  type TokenGroup,
  TOKEN_GROUPS,
} from '../model';
import { readBlock, TAKES } from '../style';
import { sizeSteps, spaceSteps } from './scales';

/** How a new site looks: each has its own tokens, tags and shared styles, and all of them can be changed. */
export type LookName = 'quiet' | 'reading' | 'signal';

/** What a look is made from. */
export interface Look {
  readonly colours: {
    readonly ink: string;
    readonly paper: string;
    readonly tint: string;
    readonly line: string;
    readonly brand: string;
    readonly 'on brand': string;
  };
  readonly text: string;
  readonly heading: string;
  readonly weight: string;
  readonly radius: string;
  /** Running text, in px, narrow and wide. */
  readonly size: readonly [number, number];
  /** One unit of room, in px. */
  readonly room: number;
  /** By how much each size is larger than the one before, narrow and wide. */
  readonly ratio: readonly [number, number];
}

const SANS = "system-ui, 'Segoe UI', Roboto, sans-serif";
const SERIF = "Charter, 'Bitstream Charter', 'Sitka Text', Cambria, serif";

/** The looks that a site may begin with, each readable on its own ground (WCAG 2.2, 1.4.3). */
export const LOOKS: Readonly<Record<LookName, Look>> = {
  quiet: {
    colours: {
      ink: '#20262b',
      paper: '#ffffff',
      tint: '#f1f3f5',
      line: '#d5dade',
      brand: '#1d4f91',
      'on brand': '#ffffff',
    },
    text: SANS,
    heading: SANS,
    weight: '650',
    radius: '6px',
    size: [16, 17],
    room: 16,
    ratio: [1.18, 1.22],
  },
  reading: {
    colours: {
      ink: '#2b2118',
      paper: '#fdfaf3',
      tint: '#f3ebdc',
      line: '#dccfb8',
      brand: '#8a3418',
      'on brand': '#ffffff',
    },
    text: SERIF,
    heading: SERIF,
    weight: '600',
    radius: '0px',
    size: [17, 20],
    room: 18,
    ratio: [1.2, 1.28],
  },
  signal: {
    colours: {
      ink: '#101418',
      paper: '#ffffff',
      tint: '#ffe45c',
      line: '#101418',
      brand: '#101418',
      'on brand': '#ffe45c',
    },
    text: SANS,
    heading: "'Arial Black', 'Helvetica Neue', Arial, sans-serif",
    weight: '900',
    radius: '24px',
    size: [16, 18],
    room: 20,
    ratio: [1.25, 1.42],
  },
};

/** Between which widths of the window sizes and room grow, in px (common practice, no published source). */
const WIDTHS = [360, 1280] as const;

type Tokens = Readonly<Record<string, Token>>;

/** The tokens of a look, by id. */
export function tokensOf(look: Look): Tokens {
  const { colours, text, heading, weight, radius, size, room, ratio } = look;
  const plain = (group: TokenGroup, name: string, css: string) => ({ group, name, css });
  const all = [
    ...Object.entries(colours).map(([name, css]) => plain('colour', name, css)),
    ...spaceSteps('space', { base: [room, room], widths: WIDTHS }).map(({ name, css }) =>
      plain('space', name, css),
    ),
    ...sizeSteps('text', { base: size, ratio, below: 1, above: 6, widths: WIDTHS }).map(
      ({ name, css }) => plain('size', name, css),
    ),
    plain('family', 'text family', text),
    plain('family', 'heading family', heading),
    plain('weight', 'heading weight', weight),
    plain('radius', 'round', radius),
  ];
  const orders = ordersFor(all.length);
  return Object.fromEntries(
    all.map(({ group, name, css }, i) => [
      `look-${name.replaceAll(' ', '-')}`,
      {
        name,
        group,
        type: TOKEN_GROUPS[group].type,
        order: orders[i]!,
        value: { css: asStored(TAKES[TOKEN_GROUPS[group].type], css) },
      },
    ]),
  );
}

/** A value as it is stored: as the parser of CSS writes it. */
function asStored(property: string, css: string): string {
  return readBlock({}, { [property]: css })[property]!.css;
}

/** The look of the tags of a site, made of its tokens. */
export function tagsOf(tokens: Tokens): TagsDoc['tags'] {
  const heading = { 'font-family': '{heading family}', 'font-weight': '{heading weight}' };
  return {
    body: readBlock(tokens, {
      'font-family': '{text family}',
      'font-size': '{text 2}',
      'line-height': '1.55',
      color: '{ink}',
      'background-color': '{paper}',
    }),
    h1: readBlock(tokens, { ...heading, 'font-size': '{text 7}', 'line-height': '1.1' }),
    h2: readBlock(tokens, { ...heading, 'font-size': '{text 5}', 'line-height': '1.2' }),
    h3: readBlock(tokens, { ...heading, 'font-size': '{text 3}', 'line-height': '1.3' }),
    p: readBlock(tokens, { 'margin-top': '{space 3}', 'max-width': '65ch' }),
    a: readBlock(tokens, { color: '{brand}', 'text-underline-offset': '3px' }),
    [EVERY_TAG]: readBlock(
      tokens,
      {},
      { ':focus-visible': { outline: '2px solid {brand}', 'outline-offset': '2px' } },
    ),
  };
}

/** The shared styles that a site begins with, made of its tokens: a button, a card, what keeps to the middle. */
export function stylesOf(tokens: Tokens): StyleDoc[] {
  const made: readonly (readonly [
    string,
    Record<string, string>,
    Readonly<Record<string, Record<string, string>>>,
  ])[] = [
    [
      'Button',
      {
        display: 'inline-block',
        padding: '{space 3} {space 5}',
        'font-weight': '600',
        'text-decoration': 'none',
        color: '{on brand}',
        'background-color': '{brand}',
        'border-radius': '{round}',
      },
      { ':hover': { 'background-color': 'color-mix(in oklab, {brand}, black 18%)' } },
    ],
    [
      'Card',
      {
        padding: '{space 5}',
        'background-color': '{tint}',
        color: '{ink}',
        'border-radius': '{round}',
      },
      {},
    ],
    ['Wide', { width: '100%', 'max-width': '72rem', 'margin-inline': 'auto' }, {}],
    ['Section room', { 'padding-block': '{space 8}', 'padding-inline': '{space 6}' }, {}],
  ];
  const orders = ordersFor(made.length);
  return made.map(([name, base, others], i) => ({
    id: `look-style-${name.toLowerCase().replaceAll(' ', '-')}`,
    kind: 'style',
    format: FORMAT,
    name,
    order: orders[i]!,
    base: null,
    origin: null,
    style: readBlock(tokens, base, others),
  }));
}
