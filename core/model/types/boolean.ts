import { Type } from '@sinclair/typebox';
import { defineKind, specSchema } from './kind';

/** Yes or no. As an attribute it is there or not (HTML Living Standard, 2.3.2, boolean attributes). */
export const booleanKind = defineKind({
  kind: 'boolean',
  spec: specSchema('boolean', {}),
  value: Type.Boolean(),
  empty: true,
  attribute: (name, value) => (value ? [[name, '']] : []),
  asksSite: false,
});
