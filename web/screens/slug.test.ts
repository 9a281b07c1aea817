import { slugOf } from './slug';

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
