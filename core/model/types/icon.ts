import { Type, type Static } from '@sinclair/typebox';
import { defineKind, specSchema, type Fragment } from './kind';

/** Numbers, letters of path commands and what stands between them: nothing that could end an attribute or name an address. */
const Drawn = Type.String({ pattern: '^[0-9a-zA-Z.,+\\- ]*$', maxLength: 8000 });

/** The shapes of SVG 2 (10, Basic shapes; 9, Paths), each with what its geometry says and nothing else. */
export const ICON_SHAPES = {
  path: ['d'],
  circle: ['cx', 'cy', 'r'],
  ellipse: ['cx', 'cy', 'rx', 'ry'],
  rect: ['x', 'y', 'width', 'height', 'rx', 'ry'],
  line: ['x1', 'y1', 'x2', 'y2'],
  polyline: ['points'],
  polygon: ['points'],
} as const;

const Shape = Type.Object(
  {
    tag: Type.Union(
      (Object.keys(ICON_SHAPES) as (keyof typeof ICON_SHAPES)[]).map((tag) => Type.Literal(tag)),
    ),
    geometry: Type.Record(
      Type.String({ pattern: `^(${[...new Set(Object.values(ICON_SHAPES).flat())].join('|')})$` }),
      Drawn,
      { additionalProperties: false },
    ),
  },
  { additionalProperties: false },
);

/** A small drawing in one colour: its shapes, in a box of its own measure. Never SVG in a string. */
export const IconValue = Type.Object(
  {
    /** What it is of, for whoever chooses; nobody reads it on a page. */
    name: Type.String({ maxLength: 120 }),
    /** Left, top, width and height of its box (SVG 2, 8.6, viewBox). */
    box: Type.Tuple([Type.Number(), Type.Number(), Type.Number(), Type.Number()]),
    /** Whether its shapes are lines or areas; both have the colour of the text around. */
    drawn: Type.Union([Type.Literal('lines'), Type.Literal('areas')]),
    shapes: Type.Array(Shape, { minItems: 1, maxItems: 200 }),
  },
  { additionalProperties: false },
);
export type IconValue = Static<typeof IconValue>;

/** An icon. It is decoration: whatever it stands beside says what is meant (WAI-ARIA 1.2, aria-hidden). */
export const iconKind = defineKind({
  kind: 'icon',
  spec: specSchema('icon', {}),
  value: IconValue,
  empty: null,
  fragments: (value) => [iconFragment(value)],
  asksSite: false,
});

function iconFragment({ box, drawn, shapes }: IconValue): Fragment {
  const paint: Readonly<Record<string, string>> =
    drawn === 'lines'
      ? {
          fill: 'none',
          stroke: 'currentColor',
          'stroke-linecap': 'round',
          'stroke-linejoin': 'round',
        }
      : { fill: 'currentColor' };
  // Lines stay as wide as they are however small the drawing is (SVG 2, 8.13, vector-effect); how wide is inherited.
  const each: Readonly<Record<string, string>> =
    drawn === 'lines' ? { 'vector-effect': 'non-scaling-stroke' } : {};
  return {
    tag: 'svg',
    attributes: {
      viewBox: box.join(' '),
      width: '1em',
      height: '1em',
      ...paint,
      'aria-hidden': 'true',
      focusable: 'false',
    },
    children: shapes.map(({ tag, geometry }) => ({
      tag,
      attributes: {
        ...Object.fromEntries(
          ICON_SHAPES[tag].flatMap((name) => {
            const said = (geometry as Readonly<Record<string, string>>)[name];
            return said === undefined ? [] : [[name, said]];
          }),
        ),
        ...each,
      },
      children: [],
    })),
  };
}
