import { Type } from '@sinclair/typebox';
import { languageOf } from '../../locale';
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
  parse: (words, _, site) => (site?.language ?? languageOf('en')).readNumber(words),
  // Years and house numbers are numbers too: thousands stand apart only where somebody asks for it.
  to: { text: (value, site) => site.language.number(value, {}) },
  attribute: (name, value) => [[name, String(value)]],
  css: (value) => String(value),
  asksSite: false,
});
