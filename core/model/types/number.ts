import { Type } from '@sinclair/typebox';
import { say } from '../../said';
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
      : say('number-out-of-range', { value, least: least ?? '…', most: most ?? '…' }),
  parse(words) {
    if (!/^\s*-?(\d+\.?\d*|\.\d+)(e[-+]?\d+)?\s*$/i.test(words)) return null;
    const number = Number(words);
    // What is larger than a double holds is no number that could be stored.
    return Number.isFinite(number) ? number : null;
  },
  to: { text: (value) => String(value) },
  fragments: (value) => [String(value)],
  attribute: (name, value) => [[name, String(value)]],
  css: (value) => String(value),
  asksSite: false,
});
