import type { DocId, FieldId } from './ids';
import { own } from './own';

/** What is known of every entry without anybody typing it: the days on which it was made, changed, published first and last. */
export const ENTRY_DATES = ['made', 'changed', 'first', 'last'] as const;
/** One of the days that every entry has. */
export type EntryDate = (typeof ENTRY_DATES)[number];

/** The days of an entry, as full-dates (RFC 3339, 5.6) where its site is; one that has not come yet is not there. */
export type DatesOfEntry = { readonly [D in EntryDate]?: string };

/** The days of entries, by their ids. */
export type EntryDates = Readonly<Record<DocId, DatesOfEntry>>;

/**
 * The fields that every entry has beside those of its type, by what they say. They stand at the end of a path of fields, as
 * others do; where a type has declared a field of the same id, that one is meant.
 */
export const DATE_FIELDS: Readonly<Record<EntryDate, FieldId>> = Object.freeze({
  made: 'entry-made',
  changed: 'entry-changed',
  first: 'entry-first',
  last: 'entry-last',
});

const BY_FIELD: Readonly<Record<FieldId, EntryDate>> = Object.fromEntries(
  ENTRY_DATES.map((date) => [DATE_FIELDS[date], date]),
);

/** Which day of an entry a field is; nothing for one that somebody declared. */
export function entryDateOf(field: FieldId): EntryDate | undefined {
  return own(BY_FIELD, field);
}
