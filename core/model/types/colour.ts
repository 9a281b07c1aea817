import { Type } from '@sinclair/typebox';
import { defineKind, specSchema } from './kind';

/** An sRGB colour in hexadecimal notation, with alpha where it has some (CSS Color 4, 5.2). */
export const colourKind = defineKind({
  kind: 'colour',
  spec: specSchema('colour', {}),
  value: Type.String({ pattern: '^#([0-9a-f]{6}|[0-9a-f]{8})$' }),
  empty: null,
  css: (value) => value,
  asksSite: false,
});
