import { Type, type Static } from '@sinclair/typebox';
import { tokenCss, TokenOf } from './token-of';
import { defineKind, specSchema } from './kind';

const HEX = /^#([0-9a-f]{6}|[0-9a-f]{8})$/;

/** A colour in hexadecimal notation, or the token of the site that is one. */
export const ColourValue = Type.Union([
  Type.String({
    pattern: HEX.source,
    says: 'colour-form',
  }),
  TokenOf,
]);
export type ColourValue = Static<typeof ColourValue>;

/** An sRGB colour in hexadecimal notation, with alpha where it has some (CSS Color 4, 5.2). */
export const colourKind = defineKind({
  kind: 'colour',
  spec: specSchema('colour', {}),
  value: ColourValue,
  empty: null,
  parse: (words) => (HEX.test(words.trim().toLowerCase()) ? words.trim().toLowerCase() : null),
  spell: (value) => (typeof value === 'string' ? value : tokenCss(value)),
  css: (value) => (typeof value === 'string' ? value : tokenCss(value)),
  asksSite: false,
});
