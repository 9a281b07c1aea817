import fc from 'fast-check';
import { CURRENCIES, DATE_STYLES, KNOWN_LANGUAGES, languageOf, UNITS, type DateStyle } from '.';
import { TAILORINGS } from './tailorings';

/**
 * The second implementation of CLDR is ICU, as Node.js carries it behind the objects of ECMA-402. Both are asked the same and
 * must answer the same. Where this ICU has no data of a language, it is left out, and told.
 */
const asked = KNOWN_LANGUAGES.filter(
  (tag) => Intl.DateTimeFormat.supportedLocalesOf(tag).length > 0,
);

/** ICU and CLDR write some spaces narrow, some not, by the version: they are spaces. */
const spaces = (text: string) => text.replace(/[\u00a0\u202f]/g, ' ');
/** Swiss French has another sign between thousands since CLDR 48.2, which this ICU may not know: it is read as the older one. */
const thousands = (text: string, tag: string) =>
  tag === 'fr-CH' ? spaces(text).replace(/’|'/g, ' ') : spaces(text);

const days = fc
  .integer({ min: Date.UTC(1900, 0, 1) / 86_400_000, max: Date.UTC(2100, 0, 1) / 86_400_000 })
  .map((day) => new Date(day * 86_400_000).toISOString().slice(0, 10));

const FORMATS: Readonly<Record<DateStyle, Intl.DateTimeFormatOptions>> = {
  full: { dateStyle: 'full' },
  long: { dateStyle: 'long' },
  medium: { dateStyle: 'medium' },
  short: { dateStyle: 'short' },
  monthAndYear: { month: 'long', year: 'numeric' },
  dayAndMonth: { month: 'long', day: 'numeric' },
  year: { year: 'numeric' },
};

test('ICU knows nearly all languages that are known here', () => {
  expect(KNOWN_LANGUAGES.length - asked.length).toBeLessThanOrEqual(1);
});

describe.each(asked)('%s as ICU has it', (tag) => {
  const language = languageOf(tag);

  test('dates', () => {
    for (const style of DATE_STYLES) {
      const other = new Intl.DateTimeFormat(tag, {
        ...FORMATS[style],
        timeZone: 'UTC',
        calendar: 'gregory',
        numberingSystem: 'latn',
      });
      fc.assert(
        fc.property(days, (day) => {
          expect(spaces(language.date(day, style))).toBe(
            spaces(other.format(new Date(`${day}T00:00:00Z`))),
          );
        }),
        { numRuns: 12 },
      );
    }
  });

  const numbers = fc.oneof(
    fc.integer({ min: -2_000_000, max: 2_000_000 }),
    fc.integer({ min: -12_000, max: 12_000 }),
    fc.integer({ min: -99_999, max: 99_999 }).map((n) => n / 8),
  );

  test('numbers, shares and amounts', () => {
    const kinds: [Intl.NumberFormatOptions, Parameters<typeof language.number>[1]][] = [
      [{ maximumFractionDigits: 3 }, { most: 3, grouped: true }],
      [{ useGrouping: false, maximumFractionDigits: 3 }, { most: 3 }],
      [
        { minimumFractionDigits: 2, maximumFractionDigits: 2 },
        { least: 2, most: 2, grouped: true },
      ],
      [
        { style: 'percent', maximumFractionDigits: 1 },
        { of: { is: 'percent' }, most: 1, grouped: true },
      ],
      ...CURRENCIES.map((currency): (typeof kinds)[number] => [
        { style: 'currency', currency, maximumFractionDigits: 2, minimumFractionDigits: 2 },
        { of: { is: 'money', currency }, least: 2, most: 2, grouped: true },
      ]),
    ];
    for (const [theirs, ours] of kinds) {
      const other = new Intl.NumberFormat(tag, { ...theirs, numberingSystem: 'latn' });
      fc.assert(
        fc.property(numbers, (value) => {
          // Nothing is left of a number that is rounded to nought, its sign neither.
          const wanted = other.format(value);
          fc.pre(other.formatToParts(value).some(({ value }) => /[1-9]/.test(value)));
          expect(thousands(language.number(value, ours), tag)).toBe(thousands(wanted, tag));
        }),
        { numRuns: theirs.style === 'currency' ? 3 : 15 },
      );
    }
  });

  test('units, and the forms that words have with numbers', () => {
    const rules = new Intl.PluralRules(tag, { maximumFractionDigits: 3 });
    fc.assert(
      fc.property(fc.oneof(numbers, fc.integer({ min: 0, max: 130 })), (value) => {
        expect(language.plural(value, { most: 3 })).toBe(rules.select(value));
      }),
      { numRuns: 50 },
    );
    expect(new Set(language.forms)).toEqual(new Set(rules.resolvedOptions().pluralCategories));
    for (const unit of UNITS)
      for (const short of [false, true]) {
        // ECMA-402 has no name for a metric ton.
        if (unit === 'tonne') continue;
        const other = new Intl.NumberFormat(tag, {
          style: 'unit',
          unit,
          unitDisplay: short ? 'short' : 'long',
          numberingSystem: 'latn',
        });
        for (const value of [0, 1, 2, 5, 11, 21, 1234, 1.5, -3])
          expect(
            thousands(
              language.number(value, { of: { is: 'unit', unit, short }, most: 3, grouped: true }),
              tag,
            ),
          ).toBe(thousands(other.format(value), tag));
      }
  });

  test('lists', () => {
    for (const by of ['and', 'or'] as const) {
      const type = by === 'and' ? 'conjunction' : 'disjunction';
      const other = new Intl.ListFormat(tag, { type });
      for (const items of [[], ['A'], ['A', 'B'], ['A', 'B', 'C'], ['A', 'B', 'C', 'D', 'E']])
        expect(language.list(items, by)).toBe(other.format(items));
    }
  });
});

describe('sorting', () => {
  /** The letters of a language, from what it is written with here, beside those that everybody sorts. */
  const lettersOf = (tag: string) => {
    const words = JSON.stringify(
      DATE_STYLES.flatMap((style) =>
        Array.from({ length: 12 }, (_, i) =>
          languageOf(tag).date(`2026-${String(i + 1).padStart(2, '0')}-1${i % 7}`, style),
        ),
      ),
    );
    const rules = TAILORINGS[tag] ?? '';
    const own = Array.from(`${words}${rules}`).filter((letter) => /\p{L}/u.test(letter));
    return [
      ...new Set([
        ...own,
        ...own.map((letter) => letter.toUpperCase()),
        ...Array.from('aäåbcdhijnoöszy1 -'),
      ]),
    ].filter((letter) => !/\p{Script=Han}|[ǀʒƷ]/u.test(letter) && Array.from(letter).length === 1);
  };

  test.each(
    KNOWN_LANGUAGES.filter(
      (tag) => Intl.Collator.supportedLocalesOf(tag).length > 0 && tag !== 'eu',
    ),
  )('%s, as ICU sorts it', (tag) => {
    const other = new Intl.Collator(tag);
    const language = languageOf(tag);
    const letter = fc.constantFrom(...lettersOf(tag));
    const word = fc.array(letter, { minLength: 1, maxLength: 4 }).map((all) => all.join(''));
    const pair = fc.oneof(
      fc.tuple(word, word),
      fc
        .tuple(word, word, letter)
        .map(([start, end, one]) => [start + end, start + one + end] as const),
      fc
        .tuple(word, word, letter, letter)
        .map(([start, end, one, two]) => [start + one + end, start + two + end] as const),
    );
    fc.assert(
      fc.property(pair, ([a, b]) => {
        const wanted = Math.sign(other.compare(a, b));
        fc.pre(wanted !== 0);
        const [one, two] = [language.sortingKey(a), language.sortingKey(b)];
        expect([a, b, one < two ? -1 : one > two ? 1 : 0]).toEqual([a, b, wanted]);
      }),
      { numRuns: 150 },
    );
  });

  test('what no list has is sorted all the same, and the same text has the same key', () => {
    const sortingKey = (text: string) => languageOf('en').sortingKey(text);
    const order = ['🙂 sign', ' a', '1', 'a', 'Á', 'b', 'я', '漢', '𠀀'];
    expect([...order].reverse().sort((a, b) => (sortingKey(a) < sortingKey(b) ? -1 : 1))).toEqual([
      ' a',
      '🙂 sign',
      '1',
      'a',
      'Á',
      'b',
      'я',
      '漢',
      '𠀀',
    ]);
  });
});

test('a language that nobody knows writes days and digits as standards do', () => {
  const language = languageOf('tlh');
  expect(language.isKnown).toBe(false);
  expect(language.date('2026-12-03', 'long')).toBe('2026-12-03');
  expect(language.number(1234.5, { grouped: true })).toBe('1234.5');
  expect(languageOf('de-LU').date('2026-12-03', 'long')).toBe('3. Dezember 2026');
  expect(languageOf('no').date('2026-12-03', 'long')).toBe('3. desember 2026');
});

test('numbers of any size are written without an exponent, halves away from nought', () => {
  const language = languageOf('en');
  expect(language.number(1e21, { grouped: true })).toBe('1,000,000,000,000,000,000,000');
  expect(language.number(1.005, { most: 2 })).toBe('1.01');
  expect(language.number(1.5e-7, {})).toBe('0.00000015');
});
