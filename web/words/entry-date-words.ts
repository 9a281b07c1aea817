import type { EntryDate } from '@sormet/core/model';

/** How the days are called that every entry has. */
export const ENTRY_DATE_WORDS: Readonly<Record<EntryDate, string>> = {
  made: 'made',
  changed: 'changed',
  first: 'first published',
  last: 'last published',
};
