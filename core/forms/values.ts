import type { FieldType } from './fields';

/** Lines end as in what a script reads of a field (HTML Living Standard, 4.10.11 and 4.10.21.4: sent as CRLF). */
export function asTyped(type: FieldType, sent: string): string {
  const lines = sent.replace(/\r\n?/g, '\n');
  switch (type) {
    case 'textarea':
    case 'select':
    case 'checkbox':
    case 'radio':
    case 'hidden':
      return lines;
    case 'url':
    case 'email':
      return trimmed(lines.replaceAll('\n', ''));
    default:
      return lines.replaceAll('\n', '');
  }
}

/** Without ASCII whitespace at both ends (Infra Standard, 4.6). */
function trimmed(text: string): string {
  return text.replace(/^[\t\n\f\r ]+|[\t\n\f\r ]+$/g, '');
}

/** An address of mail as browsers take it (HTML Living Standard, 4.10.5.1.5). */
const MAIL =
  /^[a-zA-Z0-9.!#$%&'*+/=?^_`{|}~-]+@[a-zA-Z0-9](?:[a-zA-Z0-9-]{0,61}[a-zA-Z0-9])?(?:\.[a-zA-Z0-9](?:[a-zA-Z0-9-]{0,61}[a-zA-Z0-9])?)*$/;

/** Whether a value is one of those that a type takes; those that take any text take it. */
export function isOfType(type: FieldType, value: string): boolean {
  switch (type) {
    case 'email':
      return MAIL.test(value);
    case 'url':
      return URL.canParse(value);
    case 'number':
    case 'range':
    case 'date':
    case 'time':
      return numberOf(type, value) !== undefined;
    default:
      return true;
  }
}

/** A valid floating-point number (HTML Living Standard, 2.3.4.3). */
const FLOAT = /^-?(?:\d+|\d*\.\d+)(?:[eE][+-]?\d+)?$/;
const DATE = /^(\d{4,})-(\d\d)-(\d\d)$/;
const TIME = /^([01]\d|2[0-3]):([0-5]\d)(?::([0-5]\d)(?:\.(\d{1,3}))?)?$/;

/** The number that a value stands for (4.10.5.1: each type's algorithm to convert a string to a number): days and times in ms. */
export function numberOf(type: FieldType, value: string): number | undefined {
  switch (type) {
    case 'number':
    case 'range': {
      const number = FLOAT.test(value) ? Number(value) : NaN;
      return Number.isFinite(number) ? number : undefined;
    }
    case 'date': {
      const [, year, month, day] = DATE.exec(value) ?? [];
      if (year === undefined || Number(year) === 0) return undefined;
      const date = new Date(0);
      date.setUTCFullYear(Number(year), Number(month) - 1, Number(day));
      const isThere = date.getUTCMonth() === Number(month) - 1 && date.getUTCDate() === Number(day);
      return isThere ? date.getTime() : undefined;
    }
    case 'time': {
      const [, hour, minute, second = '0', part = '0'] = TIME.exec(value) ?? [];
      if (hour === undefined) return undefined;
      const seconds = (Number(hour) * 60 + Number(minute)) * 60 + Number(second);
      return seconds * 1000 + Number(part.padEnd(3, '0'));
    }
    default:
      return undefined;
  }
}

/** By how much values of a type go on where nothing says so, and what one step of an attribute is (4.10.5.3.8). */
const STEPS: Partial<Record<FieldType, readonly [first: number, scale: number]>> = {
  number: [1, 1],
  range: [1, 1],
  date: [1, 86_400_000],
  time: [60, 1000],
};

/** By how much the values of a field go on, as numbers; nothing where any may stand. */
export function stepOf(type: FieldType, step: string | undefined): number | undefined {
  const known = STEPS[type];
  if (!known || step?.toLowerCase() === 'any') return undefined;
  const [first, scale] = known;
  const said = step !== undefined && FLOAT.test(step) ? Number(step) : 0;
  return (said > 0 ? said : first) * scale;
}

/** Whether limits and steps mean something for a type. */
export function isCounted(type: FieldType): boolean {
  return STEPS[type] !== undefined;
}

/** Whether how long it is, and a pattern, mean something for a type (4.10.5.3.1, 4.10.5.3.6). */
export function isWritten(type: FieldType): boolean {
  return WRITTEN.has(type);
}

const WRITTEN: ReadonlySet<FieldType> = new Set([
  'text',
  'search',
  'tel',
  'url',
  'email',
  'password',
  'textarea',
]);
