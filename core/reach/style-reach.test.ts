import { brackenfold } from '@sormet/demo';
import { allOf } from '../model';
import { Reach, reachOfStyle, reachOfToken, tokensMadeFrom, unusedStyles } from '.';

const { documents } = brackenfold();
const reach = new Reach(documents);
const pages = allOf(documents, 'page').length;

test('a token reaches what is declared with it and with the tokens made from it', () => {
  expect(tokensMadeFrom(documents, 'brand')).toEqual(['brand-dark']);
  expect(tokensMadeFrom(documents, 'brand-dark')).toEqual([]);
  const brand = reachOfToken(documents, reach, 'brand');
  const alone = reachOfToken(documents, reach, 'brand-dark');
  expect(brand.declarations).toBeGreaterThan(alone.declarations);
  expect(alone.pages.every((page) => brand.pages.includes(page))).toBe(true);
});

test('a token of a tag’s style reaches every page', () => {
  expect(reachOfToken(documents, reach, 'family-text').pages).toHaveLength(pages);
});

test('an element of a definition counts as often as the definition stands on pages', () => {
  // Every page has one surround, and that one bar that is wide.
  expect(reachOfStyle(documents, reach, 'style-plain-list').elements).toBeGreaterThanOrEqual(pages);
  expect(reachOfStyle(documents, reach, 'style-wide').pages).toBe(pages);
  expect(reach.standing('surround')).toBe(pages);
  expect(reach.standing('button')).toBe(reach.standing('opening') + reach.standing('join-band'));
});

test('what nothing has on is unused, but not what a style in use modifies', () => {
  const unused = unusedStyles(documents, reach);
  expect(unused).toContain('style-display');
  // A rule puts it on.
  expect(unused).not.toContain('style-button-large');
  expect(unused).not.toContain('style-button');
});
