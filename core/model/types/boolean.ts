import { Type } from '@sinclair/typebox';
import { own } from '../own';
import { defineKind, specSchema } from './kind';

/** Words that people write in tables for yes and no. */
const WORDS: Readonly<Record<string, boolean>> = { yes: true, true: true, no: false, false: false };

/** Yes or no. As an attribute it is there or not (HTML Living Standard, 2.3.2, boolean attributes). */
export const booleanKind = defineKind({
  kind: 'boolean',
  spec: specSchema('boolean', {}),
  value: Type.Boolean(),
  empty: true,
  parse: (words) => own(WORDS, words.trim().toLowerCase()) ?? null,
  spell: (value) => (value ? 'yes' : 'no'),
  attribute: (name, value) => (value ? [[name, '']] : []),
  asksSite: false,
});
