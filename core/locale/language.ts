import { dateInWords, isDay } from './date-in-words';
import { numberInWords, type NumberStyle } from './number-in-words';
import { formsOf, pluralForm, type PluralForm } from './plural-form';
import { sortingKey } from './sorting';
import { knownTag, writtenWith, type DateStyle, type WrittenWith } from './written-with';

/**
 * How a language writes dates, numbers and lists, counts and sorts. Everything comes from data that ships here (CLDR), so that
 * two machines never write the same page otherwise.
 */
export interface Language {
  /** As it was asked for (BCP 47). */
  readonly tag: string;
  /** Whether it is one whose words are known; the others write dates as numbers (RFC 3339), and digits alone. */
  readonly isKnown: boolean;
  /** A full-date (RFC 3339, 5.6) in words; `''` for what is no day. */
  date(day: string, style: DateStyle): string;
  /** A number as it is written. */
  number(value: number, style: NumberStyle): string;
  /** What digits mean that were written without anything else, with the decimal sign of the language or a dot. */
  readNumber(words: string): number | null;
  /** Which month a word names, as a number from 1: whole or short, as it stands in a date or by itself. */
  month(word: string): number | null;
  /** Several things in one line: the last joined by “and” or “or”. */
  list(items: readonly string[], by: 'and' | 'or'): string;
  /** The form of words that goes with a number written in a style. */
  plural(value: number, style: NumberStyle): PluralForm;
  /** All forms it tells apart. */
  readonly forms: readonly PluralForm[];
  /** A key of a text: keys stand in the order of their code units as texts do in that of the language. */
  sortingKey(text: string): string;
}

const kept = new Map<string, Language>();

/** How many keys are kept, so that a list that is sorted again after each edit costs comparing alone. */
const MOST_KEYS = 50_000;

/** The language of a tag (BCP 47); the same object for the same tag. */
export function languageOf(tag: string): Language {
  let found = kept.get(tag);
  if (!found) kept.set(tag, (found = make(tag)));
  return found;
}

function make(tag: string): Language {
  const known = knownTag(tag);
  const keys = new Map<string, string>();
  const shared = {
    tag,
    isKnown: known !== undefined,
    get forms() {
      return formsOf(known ?? tag);
    },
    sortingKey(text: string) {
      let key = keys.get(text);
      if (key === undefined) {
        if (keys.size >= MOST_KEYS) keys.clear();
        keys.set(text, (key = sortingKey(text, known ?? tag)));
      }
      return key;
    },
  };
  const digitsOf = (value: number, style: NumberStyle) =>
    numberInWords(value, { least: style.least, most: style.most }, PLAIN_DIGITS, () => 'other');
  const plural = (value: number, style: NumberStyle) =>
    pluralForm(digitsOf(value, style), known ?? tag);
  if (known === undefined)
    return {
      ...shared,
      plural,
      date: (day) => (isDay(day) ? day : ''),
      number: (value, style) => numberInWords(value, style, PLAIN_DIGITS, () => 'other'),
      readNumber: (words) => readNumber(words, PLAIN_DIGITS),
      month: () => null,
      list: (items) => items.join(', '),
    };
  const written = writtenWith(known);
  return {
    ...shared,
    plural,
    date: (day, style) => dateInWords(day, style, written),
    number: (value, style) =>
      numberInWords(value, style, written, (digits) => pluralForm(digits, known)),
    readNumber: (words) => readNumber(words, written),
    month: (word) => monthNamed(word, written),
    list: (items, by) => joined(items, written[by]),
  };
}

/** The other way round of writing a number by itself; `null` where words are none. */
function readNumber(words: string, { decimal, minus }: WrittenWith): number | null {
  const plain = words.trim().replace(minus, '-').replace(decimal, '.');
  if (!/^-?(\d+\.?\d*|\.\d+)(e[-+]?\d+)?$/i.test(plain)) return null;
  const number = Number(plain);
  // What is larger than a double holds is no number that could be stored.
  return Number.isFinite(number) ? number : null;
}

/** The month of a name, whatever the size of its letters and with or without the dot of what is short. */
function monthNamed(word: string, { months, monthsShort }: WrittenWith): number | null {
  const bare = (name: string) => name.toLowerCase().replace(/\.$/, '');
  const wanted = bare(word.trim());
  for (const names of [...months, ...monthsShort]) {
    const at = (names ?? []).findIndex((name) => bare(name) === wanted);
    if (at >= 0) return at + 1;
  }
  return null;
}

/** How numbers are written where nobody knows the language: digits, with a dot. */
const PLAIN_DIGITS = {
  ...writtenWith('en'),
  number: '0',
  money: '0.00 ¤',
  moneyDecimal: '.',
  moneySigns: {},
  units: {},
};

/** A list in its patterns (UTS 35, part 2: list patterns). */
function joined(
  items: readonly string[],
  [two, start, middle, end]: readonly [string, string, string, string],
): string {
  const put = (pattern: string, one: string, other: string) =>
    pattern.replace(/\{([01])\}/g, (_, which: string) => (which === '0' ? one : other));
  if (items.length <= 1) return items[0] ?? '';
  if (items.length === 2) return put(two, items[0]!, items[1]!);
  let text = put(end, items.at(-2)!, items.at(-1)!);
  for (let i = items.length - 3; i > 0; i -= 1) text = put(middle, items[i]!, text);
  return put(start, items[0]!, text);
}
