import { Type } from '@sinclair/typebox';
import { ID_PATTERN } from '../ids';
import { own } from '../own';
import { defineKind, specSchema } from './kind';

const Id = Type.String({ pattern: ID_PATTERN });

/** One shared style out of those that are allowed; none is a value, too. */
export const styleKind = defineKind({
  kind: 'style',
  spec: specSchema('style', {
    of: Type.Record(Id, Type.Literal(true), { additionalProperties: false, maxProperties: 100 }),
  }),
  value: Id,
  empty: null,
  within: (value, { of }) => (own(of, value) ? value : null),
  asksSite: false,
});
