import type { DateStyle } from '@sormet/core/locale';

/** What of a date is written, in words, where lists are divided by it. */
const PART_WORDS: Readonly<Partial<Record<DateStyle, string>>> = {
  year: 'year',
  monthAndYear: 'month',
  full: 'day',
};

/** The part of a date that a style writes, in words: `month`; nothing for what is written as a date anyway. */
export function datePartWords(style: DateStyle): string | undefined {
  return PART_WORDS[style];
}
