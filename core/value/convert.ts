import { format as formatDate } from 'date-fns/format';
import { enGB } from 'date-fns/locale/en-GB';
import { parseISO } from 'date-fns/parseISO';
import type { LinkValue, Typed, ValueType } from '../model';
import type { Data } from './data';
import { safeAddress } from './data';

/** How a value of one type becomes one of another; `null` when this value does not. */
type Conversion = (value: never, data: Data) => Typed | null;

/**
 * Which type may feed which, and how. Each type feeds itself; what is not listed does not fit and is
 * never offered.
 */
const CONVERSIONS: Record<ValueType, Partial<Record<ValueType, Conversion>>> = {
  text: {
    link: (value: string) =>
      safeAddress(value) === '' ? null : { type: 'link', value: { to: 'address', href: value } },
  },
  boolean: {},
  number: { text: (value: number) => ({ type: 'text', value: String(value) }) },
  date: { text: (value: string) => ({ type: 'text', value: dateInWords(value) }) },
  link: {},
  image: {},
  entry: {
    text: (value: string, data: Data) => {
      const entry = data.entry(value);
      return entry ? { type: 'text', value: data.title(entry) } : null;
    },
    link: (value: string, data: Data) => {
      const entry = data.entry(value);
      const page = entry && data.pageOf(entry.type);
      return page ? { type: 'link', value: { to: 'page', page, entry: value } } : null;
    },
  },
};

/** Whether a value of one type may feed a place of another. */
export function feeds(from: ValueType, to: ValueType): boolean {
  return from === to || CONVERSIONS[from][to] !== undefined;
}

/**
 * A value as the type that a place takes; `null` when it is empty or does not convert. A value that has
 * the type already is returned as the same object, so that identity tells whether it changed.
 */
export function convert(value: Typed, to: ValueType, data: Data): Typed | null {
  if (isEmpty(value, data)) return null;
  if (value.type === to) return value;
  const conversion = CONVERSIONS[value.type][to];
  if (!conversion) return null;
  const converted = conversion(value.value as never, data);
  return converted === null || isEmpty(converted, data) ? null : converted;
}

/** Whether a value counts as empty: null, "", a picture or an entry that is gone, a link that leads nowhere. */
export function isEmpty(value: Typed, data: Data): boolean {
  if (value.value === null || value.value === '') return true;
  if (value.type === 'image') return data.asset(value.value.asset) === undefined;
  if (value.type === 'link') return data.href(value.value as LinkValue) === '';
  if (value.type === 'entry') return data.entry(value.value) === undefined;
  return false;
}

/** A full-date (RFC 3339) in words, British English: `3 December 2026`. Never depends on the time zone. */
export function dateInWords(date: string): string {
  const parsed = parseISO(date);
  return Number.isNaN(parsed.getTime()) ? '' : formatDate(parsed, 'd MMMM yyyy', { locale: enGB });
}
