import fc from 'fast-check';
import { FreeSlugs, slugOf } from './slugs';

test.each([
  ['Larkhollow & sons', 'larkhollow-sons'],
  ['Über uns', 'uber-uns'],
  ['  --A  b--  ', 'a-b'],
  ['日本', 'page'],
  ['', 'page'],
  ['x'.repeat(80), 'x'.repeat(60)],
])('%s gives the part of an address %s', (name, slug) => {
  expect(slugOf(name, 'page')).toBe(slug);
});

test('a slug that is taken has the first number behind it that is free', () => {
  expect(new FreeSlugs(() => false).take('new-shed')).toBe('new-shed');
  const taken = new Set(['new-shed', 'new-shed-2', 'new-shed-4']);
  expect(new FreeSlugs((slug) => taken.has(slug)).take('new-shed')).toBe('new-shed-3');
});

test('each is given once, in whichever order they are wanted', () => {
  fc.assert(
    fc.property(
      fc.array(fc.constantFrom('a', 'a-2', 'a-2-2', 'a-3', 'b')),
      fc.uniqueArray(fc.constantFrom('a', 'a-2', 'a-3', 'b-2')),
      (wanted, taken) => {
        const slugs = new FreeSlugs((slug) => (taken as string[]).includes(slug));
        const given = [...taken, ...wanted.map((each) => slugs.take(each))];
        expect(new Set(given).size).toBe(given.length);
      },
    ),
  );
});
