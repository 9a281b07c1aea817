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

/**
 * How a shape is painted, where it has a paint of its own; ink is the colour of the words around (SVG 2, 13). What is left
 * out is as SVG begins.
 */
const Paint = Type.Object(
  {
    fill: Type.Boolean(),
    stroke: Type.Boolean(),
    /** In the measure of the box. */
    width: Type.Optional(Type.Number({ minimum: 0, maximum: 1000 })),
    cap: Type.Optional(Type.Union([Type.Literal('round'), Type.Literal('square')])),
    join: Type.Optional(Type.Union([Type.Literal('round'), Type.Literal('bevel')])),
    rule: Type.Optional(Type.Literal('evenodd')),
    opacity: Type.Optional(Type.Number({ minimum: 0, maximum: 1 })),
    fillOpacity: Type.Optional(Type.Number({ minimum: 0, maximum: 1 })),
    strokeOpacity: Type.Optional(Type.Number({ minimum: 0, maximum: 1 })),
    miter: Type.Optional(Type.Number({ minimum: 1, maximum: 1000 })),
    dashes: Type.Optional(Type.String({ pattern: '^[0-9., ]+$', maxLength: 200 })),
    /** Functions of transform, the outermost first (SVG 2, 8.5). */
    transform: Type.Optional(
      Type.String({
        pattern: '^((matrix|translate|scale|rotate|skewX|skewY)\\([-0-9.,e+ ]*\\) ?)+$',
        maxLength: 500,
      }),
    ),
  },
  { additionalProperties: false },
);
/** How a shape of an icon is painted. */
export type IconPaint = Static<typeof Paint>;

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
    /** Left out where it is painted as all of the drawing is. */
    paint: Type.Optional(Paint),
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
    children: shapes.map(({ tag, geometry, paint: own }) => ({
      tag,
      attributes: {
        ...Object.fromEntries(
          ICON_SHAPES[tag].flatMap((name) => {
            const said = (geometry as Readonly<Record<string, string>>)[name];
            return said === undefined ? [] : [[name, said]];
          }),
        ),
        ...(own ? paintOf(own) : each),
      },
      children: [],
    })),
  };
}

/** What a shape says of its own paint. */
function paintOf(paint: IconPaint): Record<string, string> {
  const said: Readonly<Record<string, string | number | undefined>> = {
    fill: paint.fill ? 'currentColor' : 'none',
    stroke: paint.stroke ? 'currentColor' : 'none',
    'stroke-width': paint.stroke ? (paint.width ?? 1) : undefined,
    'stroke-linecap': paint.stroke ? (paint.cap ?? 'butt') : undefined,
    'stroke-linejoin': paint.stroke ? (paint.join ?? 'miter') : undefined,
    'stroke-miterlimit': paint.miter,
    'stroke-dasharray': paint.dashes,
    'fill-rule': paint.rule,
    opacity: paint.opacity,
    'fill-opacity': paint.fillOpacity,
    'stroke-opacity': paint.strokeOpacity,
    transform: paint.transform,
  };
  return Object.fromEntries(
    Object.entries(said).flatMap(([name, value]) =>
      value === undefined ? [] : [[name, String(value)]],
    ),
  );
}
