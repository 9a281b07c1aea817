import { Type, type Static } from '@sinclair/typebox';
import { ID_PATTERN } from './ids';

/** A measure of guides, in CSS px of the page. */
const px = (maximum: number) => Type.Number({ minimum: 0, maximum });

/**
 * What pages are lined up with while they are designed, at one width; what is left out is as at the next wider one.
 * Nothing of it is ever published.
 */
export const Guides = Type.Object(
  {
    /** How many columns of one width; 0 for none. */
    columns: Type.Optional(Type.Integer({ minimum: 0, maximum: 24 })),
    /** Between two columns. */
    gutter: Type.Optional(px(500)),
    /** At least between the columns and the edges of the page. */
    margin: Type.Optional(px(2000)),
    /** How wide all columns with their gutters are at most; 0 for as wide as there is room. */
    widest: Type.Optional(px(4000)),
    /** The distance of the lines that words stand on; 0 for none. */
    baseline: Type.Optional(px(200)),
  },
  { additionalProperties: false },
);
export type Guides = Static<typeof Guides>;

/** A line that somebody put there to line things up with, while a page or a definition is designed. */
export const GuideLine = Type.Object(
  {
    /** Across which axis it stands: `x` is an upright one, by its distance from the left. */
    axis: Type.Union([Type.Literal('x'), Type.Literal('y')]),
    /** Its distance from the left or the top, in CSS px. */
    at: Type.Number({ minimum: 0, maximum: 100_000 }),
    /** The width that it is for, or `base`. */
    width: Type.String({ pattern: ID_PATTERN }),
  },
  { additionalProperties: false },
);
export type GuideLine = Static<typeof GuideLine>;

/** The lines of a document, each under its id. */
export const GuideLines = Type.Record(Type.String({ pattern: ID_PATTERN }), GuideLine, {
  additionalProperties: false,
});
export type GuideLines = Static<typeof GuideLines>;
