import { Type, type Static } from '@sinclair/typebox';
import { tokenCss, TokenOf } from './token-of';
import { defineKind, specSchema } from './kind';

/** The units of CSS Values and Units 4 that pages use. */
export const LENGTH_UNITS = ['px', 'rem', 'em', 'ch', 'vw', 'vh', '%'] as const;

const SUM = /^(calc|min|max|clamp)\((calc|min|max|clamp|px|rem|em|ch|vw|vh|%|[0-9.+*/(), -])*\)$/;

/**
 * A dimension as the Design Tokens format writes it; or a sum of several, as CSS writes it (Values and Units 4, 10, math
 * functions): names of functions, numbers with their units, signs and brackets, and nothing else.
 */
export const LengthValue = Type.Union([
  Type.Object(
    {
      value: Type.Number(),
      unit: Type.Union(LENGTH_UNITS.map((unit) => Type.Literal(unit))),
    },
    { additionalProperties: false },
  ),
  Type.Object(
    {
      css: Type.String({
        pattern: SUM.source,
        maxLength: 200,
      }),
    },
    { additionalProperties: false },
  ),
  TokenOf,
]);
export type LengthValue = Static<typeof LengthValue>;

const SINGLE = new RegExp(
  `^(-?(?:\\d+\\.?\\d*|\\.\\d+)(?:e[-+]?\\d+)?)(${LENGTH_UNITS.join('|')})$`,
);

/** A length as CSS. */
export function lengthCss(length: LengthValue): string {
  if ('token' in length) return tokenCss(length);
  return 'css' in length ? length.css : `${length.value}${length.unit}`;
}

/** A length: a number with its unit, or a sum of several. */
export const lengthKind = defineKind({
  kind: 'length',
  spec: specSchema('length', {}),
  value: LengthValue,
  empty: null,
  parse(words) {
    const [, value, unit] = SINGLE.exec(words.trim().toLowerCase()) ?? [];
    if (unit !== undefined) return { value: Number(value), unit: unit as 'px' };
    const css = words.trim().toLowerCase();
    return SUM.test(css) && css.length <= 200 ? { css } : null;
  },
  spell: lengthCss,
  css: lengthCss,
  asksSite: false,
});
