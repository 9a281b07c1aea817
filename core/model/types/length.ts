import { Type, type Static } from '@sinclair/typebox';
import { defineKind, specSchema } from './kind';

/** A dimension as the Design Tokens format writes it, with the units of CSS Values and Units 4 that pages use. */
export const LengthValue = Type.Object(
  {
    value: Type.Number(),
    unit: Type.Union(
      (['px', 'rem', 'em', 'ch', 'vw', 'vh', '%'] as const).map((unit) => Type.Literal(unit)),
    ),
  },
  { additionalProperties: false },
);
export type LengthValue = Static<typeof LengthValue>;

/** A length: a number with its unit. */
export const lengthKind = defineKind({
  kind: 'length',
  spec: specSchema('length', {}),
  value: LengthValue,
  empty: null,
  css: ({ value, unit }) => `${value}${unit}`,
  asksSite: false,
});
