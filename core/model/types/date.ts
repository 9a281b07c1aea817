import { Type } from '@sinclair/typebox';
import { isDay } from '../../locale';
import { defineKind, specSchema } from './kind';

/** A full-date (RFC 3339, 5.6); `''` for none. */
export const dateKind = defineKind({
  kind: 'date',
  spec: specSchema('date', {}),
  value: Type.String({
    pattern: '^\\d{4}-\\d{2}-\\d{2}$|^$',
    says: 'date-form',
  }),
  empty: null,
  isEmpty: (value) => value === '',
  parse(words) {
    const date = words.trim();
    return isDay(date) ? date : null;
  },
  to: { text: (value, site) => site.language.date(value, 'long') },
  attribute: (name, value) => [[name, value]],
  asksSite: false,
});
