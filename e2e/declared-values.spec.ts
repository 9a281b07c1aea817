import { expect } from '@playwright/test';
import fc from 'fast-check';
import { isOnEveryScreen, nearestHex, readColour } from '../core/colour';
import { readLine } from '../core/style';
import { expand } from '../core/style/expand';
import { test } from './test';

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

/** A sum of lengths as people type it, and as `calc()` asks for it. */
const sum = fc
  .array(
    fc.record({
      sign: fc.constantFrom('+', '-'),
      value: fc.integer({ min: 0, max: 400 }).map((n) => n / 4),
      unit: fc.constantFrom('px', 'px', 'rem'),
      by: fc.constantFrom(undefined, undefined, ['*', 3], ['/', 4], ['*', 0.5]),
    }),
    { minLength: 1, maxLength: 4 },
  )
  .map((terms) => {
    const typed = terms.map(({ sign, value, unit, by }, i) => {
      const times = by ? by.join('') : '';
      return `${i === 0 ? '' : sign}${value}${unit}${times}`;
    });
    const css = terms.map(({ sign, value, unit, by }, i) => {
      const times = by ? ` ${by.join(' ')}` : '';
      return `${i === 0 ? '' : ` ${sign} `}${value}${unit}${times}`;
    });
    return { typed: typed.join(''), css: `calc(${css.join('')})` };
  });

test('arithmetic in a length comes to what calc() comes to in Chromium (CSS Values and Units 4, 10)', async ({
  page,
}) => {
  await page.setContent('<p>words</p>');
  const cases = fc.sample(sum, { numRuns: 400, seed: 20261126 }).map(({ typed, css }, i) => {
    // As it is typed without spaces, and with them as CSS has them.
    const line = `margin-left ${i % 2 === 0 ? typed : css.slice('calc('.length, -1)}`;
    const read = readLine(line, { tokens: {}, widths: {}, width: 'base', state: undefined });
    return { typed: line, css, worked: read.ok ? read.css : '' };
  });
  const results = await page.evaluate((all) => {
    const words = document.querySelector('p')!;
    const px = (value: string) => {
      words.style.marginLeft = '';
      words.style.marginLeft = value;
      return words.style.marginLeft === '' ? NaN : parseFloat(getComputedStyle(words).marginLeft);
    };
    return all.map(({ css, worked }) => [px(css), px(worked)] as const);
  }, cases);
  const wrong = cases.filter((_, i) => !(Math.abs(results[i]![0] - results[i]![1]) < 0.01));
  expect(wrong).toEqual([]);
  expect(cases.filter(({ worked }) => !worked.startsWith('calc')).length).toBeGreaterThan(100);
});

test('mixed colours are those that Chromium paints (CSS Color 5, 3)', async ({ page }) => {
  await page.setContent('<canvas width="1" height="1"></canvas>');
  const hex = fc
    .integer({ min: 0, max: 0xffffff })
    .map((n) => '#' + n.toString(16).padStart(6, '0'));
  const cases = fc
    .sample(fc.tuple(hex, hex, fc.integer({ min: 0, max: 100 })), { numRuns: 300, seed: 20261126 })
    .map(([a, b, share]) => `color-mix(in oklab, ${a}, ${b} ${share}%)`)
    // How a colour that no screen can show is brought to one that can is the browser's own affair.
    .filter((css) => isOnEveryScreen(readColour(css)!))
    .map((css) => ({ css, worked: nearestHex(readColour(css)!) }));
  const painted = await page.evaluate((all) => {
    const pen = document.querySelector('canvas')!.getContext('2d', { willReadFrequently: true })!;
    return all.map(({ css }) => {
      pen.fillStyle = css;
      pen.fillRect(0, 0, 1, 1);
      return [...pen.getImageData(0, 0, 1, 1).data.slice(0, 3)];
    });
  }, cases);
  const far = cases.filter(({ worked }, i) =>
    painted[i]!.some(
      (value, at) => Math.abs(value - parseInt(worked.slice(1 + 2 * at, 3 + 2 * at), 16)) > 1,
    ),
  );
  expect(far).toEqual([]);
  expect(cases.length).toBeGreaterThan(200);
});
