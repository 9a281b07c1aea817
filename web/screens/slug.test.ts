import { freeSlug, slugOf } from './slug';

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
  expect(freeSlug('new-shed', [])).toBe('new-shed');
  expect(freeSlug('new-shed', ['new-shed', 'new-shed-2', 'new-shed-4'])).toBe('new-shed-3');
});
