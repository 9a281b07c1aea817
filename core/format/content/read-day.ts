import { isDay, languageOf, type Language } from '../../locale';

/** In which order the parts of a date stand where it is written in digits. */
export const DATE_ORDERS = ['ymd', 'dmy', 'mdy'] as const;
/** One of these orders: year, month, day; day, month, year; month, day, year. */
export type DateOrder = (typeof DATE_ORDERS)[number];

/**
 * A day as tables write it, as a full-date (RFC 3339, 5.6): so, also with a time behind it; in digits between dots, strokes
 * or hyphens; with the month as a word of the language, or in English.
 * @returns nothing for what is no day of the calendar, also in the other order
 */
export function readDay(words: string, order: DateOrder, language: Language): string | null {
  const text = words.trim();
  const full =
    /^(\d{4})-(\d{2})-(\d{2})(?:[T ]\d{2}:\d{2}(?::\d{2}(?:\.\d+)?)?(?:Z|[+-]\d{2}:?\d{2})?)?$/i.exec(
      text,
    );
  if (full) return dayOf(full[1]!, full[2]!, full[3]!);
  const digits = /^(\d{1,4})\s?[./-]\s?(\d{1,2})\s?[./-]\s?(\d{1,4})\.?$/.exec(text);
  if (digits) {
    const [one, two, three] = digits.slice(1) as [string, string, string];
    // Four digits can only be the year.
    if (one.length === 4) return three.length <= 2 ? dayOf(one, two, three) : null;
    if (three.length !== 4 || one.length > 2) return null;
    return order === 'mdy' ? dayOf(three, one, two) : dayOf(three, two, one);
  }
  const [day, month, year] = withWord(text) ?? [];
  if (day === undefined) return null;
  const number = language.month(month!) ?? languageOf('en').month(month!);
  return number === null ? null : dayOf(year!, String(number), day);
}

/** Day, month and year of a date with a word in it: `3 December 2026`, `3. Dezember 2026`, `December 3, 2026`. */
function withWord(text: string): [string, string, string] | undefined {
  const first =
    /^(\d{1,2})(?:\.|st|nd|rd|th)?\s+(?:of\s+|de\s+)?(\p{L}+\.?),?\s+(?:de\s+)?(\d{4})$/iu.exec(
      text,
    );
  if (first) return [first[1]!, first[2]!, first[3]!];
  const second = /^(\p{L}+\.?)\s+(\d{1,2})(?:st|nd|rd|th)?,?\s+(\d{4})$/iu.exec(text);
  return second ? [second[2]!, second[1]!, second[3]!] : undefined;
}

function dayOf(year: string, month: string, day: string): string | null {
  const date = `${year}-${month.padStart(2, '0')}-${day.padStart(2, '0')}`;
  return isDay(date) ? date : null;
}
