import fc from 'fast-check';
import { languageOf } from '../../locale';
import { readDay } from './read-day';
import { readDecimal } from './read-decimal';

const english = languageOf('en');

test.each([
  ['1,234.5', '.', 1234.5],
  ['1.234,5', ',', 1234.5],
  ['1 234,5', ',', 1234.5],
  ["1'234.5", '.', 1234.5],
  ['-0,75', ',', -0.75],
  ['−3', '.', -3],
  ['1e3', '.', 1000],
  ['12', ',', 12],
] as const)('%s, with %s before the decimals, is %d', (words, decimal, value) => {
  expect(readDecimal(words, decimal)).toBe(value);
});

test.each([
  ['1.234.5', '.'],
  ['12,34', '.'],
  ['1,2,3', ','],
  ['twelve', '.'],
  ['', '.'],
  ['0x10', '.'],
  ['1e999', '.'],
] as const)('%s, with %s before the decimals, is no number', (words, decimal) => {
  expect(readDecimal(words, decimal)).toBeNull();
});

test('whatever a double is written as by JavaScript, it is read as the same', () => {
  fc.assert(
    fc.property(fc.double({ noNaN: true, noDefaultInfinity: true }), (value) => {
      expect(readDecimal(String(value), '.')).toBe(value === 0 ? Number(String(value)) : value);
    }),
  );
});

test.each([
  ['2026-12-03', 'ymd', '2026-12-03'],
  // RFC 3339, 5.8: the first of its examples.
  ['1985-04-12T23:20:50.52Z', 'ymd', '1985-04-12'],
  ['3.12.2026', 'dmy', '2026-12-03'],
  ['3/12/2026', 'mdy', '2026-03-12'],
  ['2026/12/3', 'dmy', '2026-12-03'],
  ['3 December 2026', 'ymd', '2026-12-03'],
  ['Dec 3, 2026', 'ymd', '2026-12-03'],
  ['3rd of December 2026', 'ymd', '2026-12-03'],
] as const)('%s in the order %s is %s', (words, order, day) => {
  expect(readDay(words, order, english)).toBe(day);
});

test('months are read in the language of the site', () => {
  expect(readDay('3. Dezember 2026', 'dmy', languageOf('de'))).toBe('2026-12-03');
  expect(readDay('3 décembre 2026', 'dmy', languageOf('fr'))).toBe('2026-12-03');
});

test.each([
  ['31.11.2026', 'dmy'],
  ['13/13/2026', 'mdy'],
  ['3.12.26', 'dmy'],
  ['December', 'dmy'],
  ['3 Smarch 2026', 'dmy'],
] as const)('%s in the order %s is no day', (words, order) => {
  expect(readDay(words, order, english)).toBeNull();
});
