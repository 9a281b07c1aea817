import { Type } from '@sinclair/typebox';
import { own } from '../own';
import { defineKind, specSchema } from './kind';

const Tag = Type.String({ pattern: '^[a-z][a-z0-9]*$', maxLength: 20 });

/** Which HTML element something is, out of those that are allowed: the level of a heading, a section or an aside. */
export const tagKind = defineKind({
  kind: 'tag',
  spec: specSchema('tag', {
    of: Type.Record(Tag, Type.Literal(true), { additionalProperties: false, maxProperties: 40 }),
  }),
  value: Tag,
  empty: null,
  within: (value, { of }) => (own(of, value) ? value : null),
  asksSite: false,
});
