import type { Gives } from './tree';

const TEXT: Gives = { of: 'text' };
const NUMBER: Gives = { of: 'number' };
const YES: Gives = { of: 'boolean' };
const DATE: Gives = { of: 'date' };
const TEXTS: Gives = { of: 'text', isList: true };
/** A list of anything. */
const LIST: Gives = { of: 'nothing', isList: true };

/** One way in which a function can be called; `any` takes everything, also nothing. */
export interface Overload {
  readonly takes: readonly (Gives | 'any')[];
  /** Whether the last of what it takes may be given again and again. */
  readonly more?: true;
  readonly gives: Gives;
  /** What it gives; `FAILS` where it cannot say. */
  readonly run: (...given: never[]) => unknown;
}

/** What a function gives that has no answer. */
export const FAILS = Symbol('fails');

function fn<A extends unknown[]>(
  takes: readonly (Gives | 'any')[],
  gives: Gives,
  run: (...given: A) => unknown,
  more?: true,
): Overload {
  return { takes, gives, run, ...(more ? { more } : {}) } as Overload;
}

/** A length in characters as people count them: code points (CEL language definition, `size`). */
function lengthOf(text: string): number {
  let length = 0;
  for (const _ of text) length += 1;
  return length;
}

/** A full-date (RFC 3339, 5.6) that is a day of the calendar. */
function dayOf(words: string): unknown {
  if (!/^\d{4}-\d{2}-\d{2}$/.test(words)) return FAILS;
  const day = new Date(`${words}T00:00:00Z`);
  return !Number.isNaN(day.getTime()) && day.toISOString().startsWith(words) ? words : FAILS;
}

/** Letters A to Z alone (CEL strings extension, `lowerAscii`, `upperAscii`). */
function inCase(text: string, upper: boolean): string {
  return text.replace(upper ? /[a-z]+/g : /[A-Z]+/g, (letters) =>
    upper ? letters.toUpperCase() : letters.toLowerCase(),
  );
}

/** A text as a number; CEL's `double(string)` takes what a floating-point literal may be. */
function numberOf(text: string): unknown {
  const words = text.trim();
  return /^[-+]?(\d+\.?\d*|\.\d+)(e[-+]?\d+)?$/i.test(words) ? Number(words) : FAILS;
}

function unlessNone(numbers: readonly number[], pick: (...all: number[]) => number): unknown {
  return numbers.length === 0 ? FAILS : pick(...numbers);
}

/** Halves away from zero (CEL math extension, `math.round`). */
function round(value: number): number {
  return Math.sign(value) * Math.round(Math.abs(value));
}

/** How a number is written (CEL language definition, `string`): the shortest that reads as it. */
function numberText(value: number): string {
  return String(value);
}

/**
 * All functions there are, by name: those that are called on something begin with a dot. CEL's own, its strings and math
 * extensions, and two of ours: `empty`, which asks whether there is anything, and `date`.
 */
export const FUNCTIONS: Readonly<Record<string, readonly Overload[]>> = {
  empty: [fn(['any'], YES, isEmptyValue)],
  size: [fn([TEXT], NUMBER, lengthOf), fn([LIST], NUMBER, (list: unknown[]) => list.length)],
  '.size': [fn([TEXT], NUMBER, lengthOf), fn([LIST], NUMBER, (list: unknown[]) => list.length)],
  '.contains': [fn([TEXT, TEXT], YES, (text: string, part: string) => text.includes(part))],
  '.startsWith': [fn([TEXT, TEXT], YES, (text: string, part: string) => text.startsWith(part))],
  '.endsWith': [fn([TEXT, TEXT], YES, (text: string, part: string) => text.endsWith(part))],
  '.lowerAscii': [fn([TEXT], TEXT, (text: string) => inCase(text, false))],
  '.upperAscii': [fn([TEXT], TEXT, (text: string) => inCase(text, true))],
  '.trim': [fn([TEXT], TEXT, trimmed)],
  '.replace': [
    fn([TEXT, TEXT, TEXT], TEXT, (text: string, part: string, by: string) =>
      text.split(part).join(by),
    ),
  ],
  '.join': [
    fn([TEXTS], TEXT, (list: string[]) => list.join('')),
    fn([TEXTS, TEXT], TEXT, (list: string[], between: string) => list.join(between)),
  ],
  string: [
    fn([TEXT], TEXT, (text: string) => text),
    fn([NUMBER], TEXT, numberText),
    fn([YES], TEXT, String),
    fn([DATE], TEXT, String),
  ],
  double: [fn([NUMBER], NUMBER, (value: number) => value), fn([TEXT], NUMBER, numberOf)],
  bool: [
    fn([YES], YES, (value: boolean) => value),
    fn([TEXT], YES, (text: string) => {
      if (/^(1|t|true|TRUE|True)$/.test(text)) return true;
      return /^(0|f|false|FALSE|False)$/.test(text) ? false : FAILS;
    }),
  ],
  date: [fn([DATE], DATE, (day: string) => day), fn([TEXT], DATE, dayOf)],
  'math.greatest': [fn([NUMBER], NUMBER, (...all: number[]) => unlessNone(all, Math.max), true)],
  'math.least': [fn([NUMBER], NUMBER, (...all: number[]) => unlessNone(all, Math.min), true)],
  'math.round': [fn([NUMBER], NUMBER, round)],
  'math.floor': [fn([NUMBER], NUMBER, Math.floor)],
  'math.ceil': [fn([NUMBER], NUMBER, Math.ceil)],
  'math.trunc': [fn([NUMBER], NUMBER, Math.trunc)],
  'math.abs': [fn([NUMBER], NUMBER, Math.abs)],
  'math.sign': [fn([NUMBER], NUMBER, Math.sign)],
};

/** Whether there is anything: nothing, no words and no items are empty. */
function isEmptyValue(value: unknown): boolean {
  return value === null || value === '' || (Array.isArray(value) && value.length === 0);
}

/** Without white space at both ends (CEL strings extension, `trim`; Unicode, White_Space). */
function trimmed(text: string): string {
  return text.replace(/^\p{White_Space}+|\p{White_Space}+$/gu, '');
}
