import { boundsWords, numberText, readNumber } from './read-number';

// Source: Unicode CLDR, number symbols and grouping, as Intl (ECMA-402) has them.
test.each([
  ['1.5', 'en', 1.5],
  ['1,234.5', 'en', 1234.5],
  ['1,5', 'en', undefined],
  ['1,5', 'de', 1.5],
  ['1.5', 'de', 1.5],
  ['1.234,5', 'de', 1234.5],
  ['1.234', 'de', 1234],
  ['1 234,5', 'fr', 1234.5],
  ['−3', 'en', -3],
  ['.5', 'en', 0.5],
  ['', 'en', undefined],
  ['12 px', 'en', undefined],
  ['1e3', 'en', undefined],
  ['2.5', 'no language at all', 2.5],
])('%s in %s is %s', (typed, language, value) => {
  expect(readNumber(typed, language)).toBe(value);
});

test('what is shown is read as the same', () => {
  for (const language of ['en', 'de', 'fr', 'pl', 'ar'])
    for (const value of [0, 1.5, -1234.25, 1000, 1e6])
      expect(readNumber(numberText(value, language), language)).toBe(value);
});

test.each([
  ['8,5', 'de', { least: 1, most: 9, whole: false }, ''],
  ['8,5', 'de', { least: 1, most: 9, whole: true }, 'It is a whole number.'],
  ['0', 'en', { least: 0.5, most: 9, whole: false }, 'It is 0.5 at least.'],
  ['0', 'fr', { least: 0.5, most: 9, whole: false }, 'It is 0,5 at least.'],
  ['10', 'en', { least: 1, most: 9, whole: true }, 'It is 9 at most.'],
  ['many', 'en', { least: 1, most: 9, whole: true }, '“many” is no number.'],
])('of %s in %s within %j is said: %s', (typed, language, bounds, words) => {
  expect(boundsWords(typed, bounds, language)).toBe(words);
});
