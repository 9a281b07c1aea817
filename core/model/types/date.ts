import { Type } from '@sinclair/typebox';
import { format } from 'date-fns/format';
import { enGB } from 'date-fns/locale/en-GB';
import { parseISO } from 'date-fns/parseISO';
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
    return /^\d{4}-\d{2}-\d{2}$/.test(date) && dateInWords(date) !== '' ? date : null;
  },
  to: { text: dateInWords },
  fragments: (value) => [dateInWords(value)],
  attribute: (name, value) => [[name, value]],
  asksSite: false,
});

/** A full-date (RFC 3339) in words, British English: `3 December 2026`. Never depends on the time zone. */
export function dateInWords(date: string): string {
  const parsed = parseISO(date);
  return Number.isNaN(parsed.getTime()) ? '' : format(parsed, 'd MMMM yyyy', { locale: enGB });
}
