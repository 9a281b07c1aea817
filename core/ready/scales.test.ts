import fc from 'fast-check';
import { readColour } from '../colour';
import { expand } from '../style';
import { colourSteps, fluid, sizeSteps, spaceSteps } from '.';

test('steps of a colour go from light to dark and keep its hue', () => {
  const steps = colourSteps('brand').map((step) =>
    readColour((step?.css ?? 'var(--of)').replace('var(--of)', '#0b6b6f'))!,
  );
  const lightness = steps.map(({ l }) => l);
  expect(lightness).toEqual([...lightness].sort((a, b) => b - a));
  for (const { h } of steps) expect(h).toBeCloseTo(steps[4]!.h, 0);
  expect(colourSteps('brand')[4]).toBeNull();
});

test('a fluid length is the one at the narrow width and the other at the wide one, and never beyond', () => {
  const px = fc.double({ min: 8, max: 200, noNaN: true });
  fc.assert(
    fc.property(px, px, (least, most) => {
      const css = fluid([least, most], [360, 1280]);
      expect(expand('font-size', css).ok).toBe(true);
      const [, low, start, sign, vw, high] =
        /^clamp\(([\d.]+)rem, (-?[\d.]+)rem ([+-]) ([\d.]+)vw, ([\d.]+)rem\)$/.exec(css) ?? [];
      if (low === undefined) return expect(Math.abs(least - most)).toBeLessThan(0.006);
      const at = (width: number) =>
        Math.min(
          Number(high) * 16,
          Math.max(
            Number(low) * 16,
            Number(start) * 16 + ((sign === '-' ? -1 : 1) * Number(vw) * width) / 100,
          ),
        );
      expect(at(360)).toBeCloseTo(least, 1);
      expect(at(1280)).toBeCloseTo(most, 1);
      expect(at(200)).toBeCloseTo(least, 1);
      expect(at(3000)).toBeCloseTo(most, 1);
    }),
  );
});

test('sizes grow by their ratio; the same at both widths, they are plain rem', () => {
  const steps = sizeSteps('text', {
    base: [16, 16],
    ratio: [1.25, 1.25],
    below: 1,
    above: 2,
    widths: [360, 1280],
  });
  expect(steps).toEqual([
    { name: 'text 1', css: '0.8rem' },
    { name: 'text 2', css: '1rem' },
    { name: 'text 3', css: '1.25rem' },
    { name: 'text 4', css: '1.5625rem' },
  ]);
});

test('room is in quarters, halves and whole units', () => {
  const steps = spaceSteps('space', { base: [16, 16], widths: [360, 1280] });
  expect(steps.slice(0, 5).map(({ css }) => css)).toEqual([
    '0.25rem',
    '0.5rem',
    '0.75rem',
    '1rem',
    '1.5rem',
  ]);
});
