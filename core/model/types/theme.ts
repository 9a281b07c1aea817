import { Type } from '@sinclair/typebox';
import { ID_PATTERN } from '../ids';
import { own } from '../own';
import { defineKind, specSchema } from './kind';

const Id = Type.String({ pattern: ID_PATTERN });

/** The theme that begins with something, out of those that are allowed; none: as around it. */
export const themeKind = defineKind({
  kind: 'theme',
  spec: specSchema('theme', {
    of: Type.Record(Id, Type.Literal(true), { additionalProperties: false, maxProperties: 50 }),
  }),
  value: Id,
  empty: null,
  within: (value, { of }) => (own(of, value) ? value : null),
  asksSite: false,
});
