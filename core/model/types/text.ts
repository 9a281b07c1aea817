import { Type } from '@sinclair/typebox';
import { say } from '../../said';
import { safeAddress } from '../addresses';
import { defineKind, specSchema } from './kind';

/** Plain words on one or several lines. */
export const textKind = defineKind({
  kind: 'text',
  spec: specSchema('text', {
    /** The most characters (UTF-16 code units) that are shown; a longer text counts as empty. */
    longest: Type.Optional(Type.Integer({ minimum: 1, maximum: 20000 })),
  }),
  value: Type.String({ maxLength: 20000 }),
  empty: '',
  isEmpty: (value) => value === '',
  within: (value, { longest }) => (longest === undefined || value.length <= longest ? value : null),
  fault: (value, { longest }) =>
    longest === undefined || value.length <= longest
      ? null
      : say('text-too-long', { many: value.length, most: longest }),
  to: {
    link: (value) => (safeAddress(value) === '' ? null : { to: 'address', href: value }),
  },
  fragments: (value) => [value],
  attribute: (name, value) => [[name, value]],
  asksSite: false,
});
