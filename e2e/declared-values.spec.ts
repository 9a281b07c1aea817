import { expect, test } from '@playwright/test';
import fc from 'fast-check';
import { expand } from '../core/style/expand';

/** Pieces of which values are made, those that break things among them. */
const PIECES = [
  'red',
  '#fff',
  'rgb(1,2,3',
  'rgb(1 2 3)',
  ')',
  '(',
  '/*',
  '*/',
  '"abc',
  '"abc"',
  "'x",
  "'",
  'calc(1px + (2px',
  'calc(1px + 2px)',
  'url(x)',
  'url(',
  'image("x.png")',
  'image-set("x" 1x)',
  'cross-fade(a,b)',
  '1px',
  '2%',
  ',',
  ' ',
  ';',
  '}',
  '{',
  '!important',
  '\\',
  '<!--',
  '-->',
  '@',
  'var(--x)',
  'env(x)',
  'attr(y)',
  'min(1px, 2px)',
  'inherit',
  'solid',
  'linear-gradient(red, blue)',
  '\n',
  '[',
  ']',
  'u+1',
  '/',
  '0',
  '-',
];
const PROPERTIES = [
  'color',
  'width',
  'background-image',
  'font-family',
  'content',
  'grid-template-columns',
  'transform',
  'border',
  'padding',
  'filter',
  'quotes',
];

test('any value that is accepted, written between two others, leaves both standing in Chromium', async ({
  page,
}) => {
  const accepted: { property: string; css: string }[] = [];
  fc.assert(
    fc.property(
      fc.constantFrom(...PROPERTIES),
      fc.array(fc.oneof(fc.constantFrom(...PIECES), fc.string({ maxLength: 3 })), {
        minLength: 1,
        maxLength: 5,
      }),
      (property, pieces) => {
        const expanded = expand(property, pieces.join(''));
        if (expanded.ok)
          for (const [longhand, css] of Object.entries(expanded.longhands))
            accepted.push({ property: longhand, css });
      },
    ),
    { numRuns: 20_000, seed: 20261125 },
  );
  expect(accepted.length).toBeGreaterThan(500);
  await page.goto('about:blank');
  const broken = await page.evaluate((values) => {
    const style = document.createElement('style');
    document.head.append(style);
    return values.filter(({ property, css }, i) => {
      style.textContent = `.a${i}{order:7;${property}:${css};opacity:0.25}.b${i}{order:8}`;
      const [first, second] = [...style.sheet!.cssRules] as CSSStyleRule[];
      return !(
        style.sheet!.cssRules.length === 2 &&
        first!.style.getPropertyValue('order') === '7' &&
        first!.style.getPropertyValue('opacity') === '0.25' &&
        second!.style.getPropertyValue('order') === '8'
      );
    });
  }, accepted);
  expect(broken).toEqual([]);
});

test('what does not end, comments, and every way to name an address are refused', () => {
  for (const css of [
    'red/*',
    'red/**/',
    'rgb(1,2,3',
    '"abc',
    "'abc",
    'calc(1px + (2px',
    '#fff)',
    'url(x)',
    'URL("x")',
  ])
    expect([css, expand('color', css).ok]).toEqual([css, false]);
  for (const css of [
    'image("x.png")',
    'image-set("x.png" 1x)',
    '-webkit-image-set(url(x) 1x)',
    'cross-fade("a", "b")',
    'element(#a)',
    'paint(a)',
    'src("x")',
  ])
    expect([css, expand('background-image', css).ok]).toEqual([css, false]);
});

test('a value is stored as the parser writes it, and is the same when it is given again', () => {
  const once = expand('width', 'CALC( 1px   +  2px )');
  expect(once).toEqual({ ok: true, longhands: { width: 'CALC(1px + 2px)' } });
  const { longhands } = once as { longhands: Record<string, string> };
  expect(expand('width', longhands['width']!)).toEqual(once);
});
