import Color from 'colorjs.io';
import fc from 'fast-check';
import { contrast, derivedFrom, isOnEveryScreen, nearestHex, readColour, writeOklch } from '.';

const colour = (css: string) => readColour(css)!;
const of = (css: string) => {
  const [l, c, h] = new Color(css).to('oklch').coords;
  return { l: l ?? 0, c: c ?? 0, h: h ?? 0 };
};
const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => '#' + n.toString(16).padStart(6, '0'));

describe('a colour is what another library says (colorjs.io), and what CSS Color 4 says in its samples', () => {
  test('every colour of sRGB in OKLCH', () => {
    fc.assert(
      fc.property(hex, (css) => {
        const [mine, theirs] = [colour(css), of(css)];
        expect(mine.l).toBeCloseTo(theirs.l, 3);
        expect(mine.c).toBeCloseTo(theirs.c, 3);
        if (theirs.c > 0.01)
          expect(Math.abs(((mine.h - theirs.h + 540) % 360) - 180)).toBeLessThan(0.5);
      }),
    );
  });

  test('mixing in OKLab, with any shares', () => {
    fc.assert(
      fc.property(hex, hex, fc.integer({ min: 0, max: 100 }), (a, b, share) => {
        const mine = colour(`color-mix(in oklab, ${a} ${100 - share}%, ${b})`);
        const theirs = Color.mix(a, b, share / 100, { space: 'oklab', outputSpace: 'oklch' });
        expect(mine.l).toBeCloseTo(theirs.coords[0] ?? 0, 3);
        expect(mine.c).toBeCloseTo(theirs.coords[1] ?? 0, 3);
      }),
    );
  });

  // CSS Color Module Level 4, 9.4, examples of oklch().
  test.each([
    ['oklch(40.1% 0.123 21.57)', '#7d2329'],
    ['oklch(59.69% 0.156 49.77)', '#c65d07'],
    ['oklch(0.6597 0.156 130.05)', '#6ea01f'],
  ])('%s is %s', (css, like) => {
    const [mine, theirs] = [new Color(nearestHex(colour(css))), new Color(like)];
    expect(mine.deltaE(theirs, '2000')).toBeLessThan(4);
  });

  test('what is darker, lighter or quieter follows what it is made from', () => {
    fc.assert(
      fc.property(hex, (from) => {
        const made = (how: 'darker' | 'lighter' | 'quieter') =>
          colour(derivedFrom('x', how).css.replace('var(--of)', from));
        const { l, c } = colour(from);
        expect(made('darker').l).toBeLessThanOrEqual(l);
        expect(made('lighter').l).toBeGreaterThanOrEqual(l - 1e-9);
        expect(made('quieter').c).toBeLessThanOrEqual(c + 1e-6);
      }),
    );
  });

  test.each(['currentcolor', 'var(--x)', 'no colour', 'color-mix(in oklab, red)'])(
    '%s is none that can be worked out here',
    (css) => expect(readColour(css)).toBeUndefined(),
  );
});

describe('contrast (WCAG 2.2, definitions of contrast ratio and relative luminance)', () => {
  const ratio = (a: string, b: string) => contrast(colour(a), colour(b));

  // Black on white is the greatest there is, and equal colours have none: both follow from the definition.
  test.each([
    ['#000', '#fff', 21],
    ['#fff', '#fff', 1],
    ['#767676', '#fff', 4.54],
    ['#777', '#fff', 4.48],
    ['#949494', '#fff', 3.03],
  ])('%s on %s is %d', (a, b, is) => expect(ratio(a, b)).toBeCloseTo(is, 2));

  test('it is the same as another library says, either way round', () => {
    fc.assert(
      fc.property(hex, hex, (a, b) => {
        expect(ratio(a, b)).toBeCloseTo(new Color(a).contrast(b, 'WCAG21'), 2);
        expect(ratio(a, b)).toBeCloseTo(ratio(b, a), 6);
      }),
    );
  });

  test('what shines through is blended with its ground', () => {
    expect(ratio('rgb(0 0 0 / 50%)', '#fff')).toBeCloseTo(ratio('#7f7f7f', '#fff'), 0);
  });
});

test('a colour is written so that reading it gives no visible difference', () => {
  fc.assert(
    fc.property(hex, (css) => {
      const again = new Color(nearestHex(colour(writeOklch(colour(css)))));
      expect(again.deltaE(new Color(css), '2000')).toBeLessThan(2);
    }),
  );
});

test('a colour of sRGB is itself in hexadecimal digits, also at the edge of what screens show', () => {
  for (const css of ['#0000ff', '#ff00ff', '#00ff00', '#ffff00', '#ff0000', '#00ffff'])
    expect(nearestHex(colour(css))).toBe(css);
  fc.assert(fc.property(hex, (css) => expect(nearestHex(colour(css))).toBe(css)));
});

test('a colour that not every screen can show is told, and brought to the nearest that is', () => {
  const strong = colour('oklch(70% 0.35 150)');
  expect(isOnEveryScreen(strong)).toBe(false);
  expect(isOnEveryScreen(colour(nearestHex(strong)))).toBe(true);
});
