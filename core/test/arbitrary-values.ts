import fc from 'fast-check';
import {
  LENGTH_UNITS,
  VALUE_KINDS,
  type ListRecord,
  type RichPiece,
  type Typed,
  type ValueKind,
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

/** Rich text of any shape that its schema lets through, nesting that no parser keeps included. */
export const rich: fc.Arbitrary<RichPiece[]> = fc
  .letrec<{ piece: RichPiece }>((tie) => ({
    piece: fc.oneof(
      { depthSize: 'small', withCrossShrink: true },
      words,
      fc
        .record({
          tag: fc.constantFrom(...RICH_TAGS),
          link: fc.option(link, { nil: undefined }),
          style: fc.constantFrom(undefined, 'pill', 'pill-wide', 'gone'),
          children: fc.array(tie('piece'), { maxLength: 3 }),
        })
        .map(({ tag, link: to, style, children }) => ({
          tag,
          ...(to ? { link: to } : {}),
          ...(style === undefined ? {} : { style }),
          children,
        })),
    ),
  }))
  .piece.chain((first) => fc.array(fc.constant(first), { minLength: 1, maxLength: 2 }));

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
