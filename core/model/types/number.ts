import { Type } from '@sinclair/typebox';
import { defineKind, specSchema } from './kind';

/** A double. */
export const numberKind = defineKind({
  kind: 'number',
  spec: specSchema('number', {
    /** Numbers below or above count as empty. */
    least: Type.Optional(Type.Number()),
    most: Type.Optional(Type.Number()),
  }),
  value: Type.Number(),
  empty: null,
  within: (value, { least = -Infinity, most = Infinity }) =>
    value >= least && value <= most ? value : null,
  fault: (value, { least, most }) =>
    value >= (least ?? -Infinity) && value <= (most ?? Infinity)
      ? null
      : `${value} is not from ${least ?? '…'} to ${most ?? '…'}.`,
  parse: (words) => (/^\s*-?(\d+\.?\d*|\.\d+)(e[-+]?\d+)?\s*$/i.test(words) ? Number(words) : null),
  to: { text: (value) => String(value) },
  fragments: (value) => [String(value)],
  attribute: (name, value) => [[name, String(value)]],
  css: (value) => String(value),
  asksSite: false,
});
