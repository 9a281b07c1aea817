import fc from 'fast-check';
import { DATE_STYLES, PLURAL_FORMS } from '../locale';
import {
  LENGTH_UNITS,
  VALUE_KINDS,
  type Format,
  type ListRecord,
  type NumberFormat,
  type RichPiece,
  type Typed,
  type ValueKind,
  type Words,
  type WordsPiece,
} from '../model';

const words = fc.oneof(
  fc.string({ unit: 'grapheme', maxLength: 12 }),
  fc.constantFrom('', 'a & b', '<b>', '"quoted"', '\u00a0', ' ', 'https://a.example/'),
);

const link = fc.oneof(
  fc
    .constantFrom('/about', 'javascript:alert(1)', '', 'mailto:a@b.example')
    .map((href) => ({ to: 'address' as const, href })),
  fc.constantFrom('home', 'gone').map((page) => ({ to: 'page' as const, page })),
  fc.constant({ to: 'page' as const, page: 'home', anchor: 'a&b', newTab: true as const }),
  fc.constant({ to: 'page' as const, page: 'page-shed', entry: 'shed-other' }),
  fc.constant({
    to: 'address' as const,
    href: 'https://a.example/',
    newTab: true as const,
  }),
  fc.constant({ to: 'mail' as const, address: 'a+b@c.example', subject: 'x & y' }),
  fc.constant({ to: 'telephone' as const, number: '+44 (0)20 7946-0018' }),
);

const RICH_TAGS = [
  'strong',
  'em',
  'a',
  'code',
  'small',
  'span',
  'br',
  'p',
  'h2',
  'h3',
  'h4',
  'ul',
  'ol',
  'li',
  'blockquote',
] as const;

const element = <P>(piece: fc.Arbitrary<P>) =>
  fc
    .record({
      tag: fc.constantFrom(...RICH_TAGS),
      link: fc.option(link, { nil: undefined }),
      style: fc.constantFrom(undefined, 'pill', 'pill-wide', 'gone'),
      children: fc.array(piece, { maxLength: 3 }),
    })
    .map(({ tag, link: to, style, children }) => ({
      tag,
      ...(to ? { link: to } : {}),
      ...(style === undefined ? {} : { style }),
      children,
    }));

/** Rich text of any shape that its schema lets through, nesting that no parser keeps included. */
export const rich: fc.Arbitrary<RichPiece[]> = fc
  .letrec<{ piece: RichPiece }>((tie) => ({
    piece: fc.oneof({ depthSize: 'small', withCrossShrink: true }, words, element(tie('piece'))),
  }))
  .piece.chain((first) => fc.array(fc.constant(first), { minLength: 1, maxLength: 2 }));

const digits = fc.option(fc.nat(10), { nil: undefined });
const numberFormat: fc.Arbitrary<NumberFormat> = fc
  .record({
    least: digits,
    most: digits,
    grouped: fc.option(fc.boolean(), { nil: undefined }),
    of: fc.oneof(
      fc.constant(undefined),
      fc.constant({ is: 'percent' as const }),
      fc.constantFrom('EUR', 'JPY', 'XXX').map((currency) => ({ is: 'money' as const, currency })),
      fc
        .tuple(fc.constantFrom('meter', 'year', 'no-unit'), fc.constantFrom({}, { short: true }))
        .map(([unit, short]) => ({ is: 'unit' as const, unit, ...short })),
    ),
  })
  .map((style) => JSON.parse(JSON.stringify({ as: 'number', ...style })) as NumberFormat);

/** Every way in which a value can be written among words. */
export const formats: fc.Arbitrary<Format> = fc.oneof(
  numberFormat,
  fc.constantFrom(...DATE_STYLES).map((style) => ({ as: 'date' as const, style })),
  fc
    .tuple(fc.constantFrom('and' as const, 'or' as const), fc.constantFrom({}, { field: 'name' }))
    .map(([by, field]) => ({ as: 'list' as const, by, ...field })),
  fc
    .tuple(
      fc.dictionary(fc.constantFrom(...PLURAL_FORMS), fc.constantFrom('# year', '##', '', 'years')),
      fc.option(numberFormat, { nil: undefined }),
      fc.constantFrom({}, { none: 'none' }),
    )
    .map(([forms, number, none]) => ({
      as: 'plural' as const,
      forms,
      ...(number ? { number } : {}),
      ...none,
    })),
);

const place = fc
  .tuple(fc.constantFrom('n0', 'n1', 'n2'), fc.option(formats, { nil: undefined }))
  .map(([name, format]) => ({ place: name, ...(format ? { format } : {}) }));

/** Words around values of any shape, plain and rich: their places are called n0, n1 and n2. */
export const wordsAround: fc.Arbitrary<Pick<Words, 'of' | 'pieces'>> = fc.oneof(
  fc
    .array(fc.oneof(words, place), { maxLength: 5 })
    .map((pieces) => ({ of: 'text' as const, pieces })),
  fc
    .array(
      fc.letrec<{ piece: WordsPiece }>((tie) => ({
        piece: fc.oneof({ depthSize: 'small' }, words, place, element(tie('piece'))),
      })).piece,
      { maxLength: 3 },
    )
    .map((pieces) => ({ of: 'rich' as const, pieces })),
) as fc.Arbitrary<Pick<Words, 'of' | 'pieces'>>;

const plain = {
  text: words,
  rich,
  link,
  image: fc.oneof(
    fc.constantFrom('pic', 'gone').map((asset) => ({ asset })),
    fc.constant({ asset: 'pic', alt: 'A "shed"', lazy: true as const }),
    fc.constant({ asset: 'pic', decorative: true as const }),
  ),
  boolean: fc.boolean(),
  number: fc.oneof(fc.integer(), fc.double({ noNaN: true, noDefaultInfinity: true })),
  length: fc.oneof(
    fc.record({ value: fc.integer(), unit: fc.constantFrom(...LENGTH_UNITS) }),
    fc.constantFrom('calc(1rem + 2vw)', 'clamp(1rem,2.5vw,40px)').map((css) => ({ css })),
    fc.constant({ token: 'step' }),
  ),
  colour: fc.oneof(
    fc.constantFrom('#a1b2c3', '#a1b2c3d4'),
    fc.constantFrom('ink', 'soft').map((token) => ({ token })),
  ),
  choice: fc.constantFrom('one', 'two', 'other'),
  date: fc.constantFrom('2026-12-03', '2024-02-29', ''),
  entry: fc.constantFrom('shed-other', 'shed-gone'),
  entries: fc.uniqueArray(fc.constantFrom('shed-other', 'shed-gone', 'shed-b', 'shed-a')),
  icon: fc.record({
    name: fc.constantFrom('mark', ''),
    box: fc.constant([0, 0, 24, 24] as [number, number, number, number]),
    drawn: fc.constantFrom('lines' as const, 'areas' as const),
    shapes: fc.array(
      fc.constantFrom(
        { tag: 'path' as const, geometry: { d: 'M4 4 L20 20' } },
        { tag: 'circle' as const, geometry: { cx: '12', cy: '12', r: '9' } },
        {
          tag: 'path' as const,
          geometry: { d: 'M4 4 L20 20' },
          paint: { fill: true, stroke: true, width: 2, transform: 'rotate(45 12 12)' },
        },
      ),
      { minLength: 1, maxLength: 3 },
    ),
  }),
  video: fc.constantFrom({ asset: 'pic', poster: 'pic' }, { asset: 'gone' }),
  tag: fc.constantFrom('h2', 'h3', 'script'),
  theme: fc.constantFrom('night', 'plain'),
  style: fc.constantFrom('wide', 'gone'),
  action: fc.constant(null),
} satisfies Record<Exclude<ValueKind, 'list'>, fc.Arbitrary<unknown>>;

const records: fc.Arbitrary<ListRecord[]> = fc
  .array(fc.record({ name: words, count: fc.integer({ min: -3, max: 3 }) }), { maxLength: 5 })
  .map((list) =>
    list.map(({ name, count }, i) => ({
      id: `r${i}`,
      values: {
        name: { type: 'text', value: name },
        count: { type: 'number', value: count },
      },
    })),
  );

/** Values of a kind, as its schema lets them through. */
export function valuesOf(kind: ValueKind): fc.Arbitrary<Typed> {
  const value: fc.Arbitrary<unknown> = kind === 'list' ? records : plain[kind];
  return fc
    .oneof({ weight: 9, arbitrary: value }, { weight: 1, arbitrary: fc.constant(null) })
    .map((each) => ({ type: kind, value: each }) as Typed);
}

/** Values of every kind there is. */
export const anyValue: fc.Arbitrary<Typed> = fc.oneof(
  ...VALUE_KINDS.map(({ kind }) => valuesOf(kind)),
);
