import fc from 'fast-check';
import { expand } from '../expand';
import {
  areaPlaces,
  brokenArea,
  lineMoved,
  placesOfStops,
  readAreas,
  readGradient,
  readShadows,
  readTracks,
  readTransforms,
  stretched,
  writeAreas,
  writeGradient,
  writeShadows,
  writeTracks,
  writeTransforms,
} from '.';

const amount = fc.constantFrom('0', '1px', '-2px', '0.5rem', 'calc(1px + 1em)');
const colour = fc.constantFrom('red', '#0008', 'rgb(0 0 0/50%)', 'color-mix(in oklab,red,blue)');

describe('what an editor by pictures writes is read as the same, and CSS takes it', () => {
  test('shadows', () => {
    const shadow = fc.record({
      x: amount,
      y: amount,
      blur: fc.constantFrom('0', '8px'),
      spread: fc.constantFrom('0', '2px'),
      colour: fc.option(colour, { nil: undefined }),
      inset: fc.boolean(),
    });
    fc.assert(
      fc.property(fc.array(shadow, { maxLength: 4 }), (shadows) => {
        const css = writeShadows(shadows);
        expect(readShadows(css)).toEqual(shadows);
        expect(expand('box-shadow', css).ok).toBe(true);
      }),
    );
  });

  test('gradients', () => {
    const stop = fc.record({
      colour,
      at: fc.option(fc.constantFrom('0%', '20%', '4px', '100%'), { nil: undefined }),
    });
    const gradient = fc.record({
      shape: fc.constant('linear' as const),
      repeating: fc.boolean(),
      line: fc.constantFrom(undefined, '45deg', 'to top right', 'in oklch'),
      stops: fc.array(stop, { minLength: 2, maxLength: 5 }),
    });
    fc.assert(
      fc.property(gradient, (made) => {
        const css = writeGradient(made);
        expect(readGradient(css)).toEqual(made);
        expect(made.line === 'in oklch' || expand('background-image', css).ok).toBe(true);
      }),
    );
  });

  test('transforms', () => {
    const step = fc.constantFrom(
      { name: 'translate', given: ['1px', '-50%'] },
      { name: 'rotate', given: ['45deg'] },
      { name: 'scale', given: ['1.5'] },
      { name: 'skew', given: ['3deg', '0deg'] },
    );
    fc.assert(
      fc.property(fc.array(step, { maxLength: 5 }), (steps) => {
        const css = writeTransforms(steps);
        expect(readTransforms(css)).toEqual(steps);
        expect(expand('transform', css).ok).toBe(true);
      }),
    );
  });

  test('tracks', () => {
    const track = fc.constantFrom(
      '1fr',
      '2.5fr',
      'auto',
      '120px',
      'minmax(0,1fr)',
      'fit-content(9rem)',
    );
    fc.assert(
      fc.property(fc.array(track, { minLength: 1, maxLength: 12 }), (tracks) => {
        const css = writeTracks(tracks);
        expect(readTracks(css)).toEqual(tracks);
        expect(expand('grid-template-columns', css).ok).toBe(true);
      }),
    );
  });

  test('areas', () => {
    const rows = fc.integer({ min: 1, max: 4 }).chain((wide) =>
      fc.array(fc.array(fc.constantFrom('a', 'b', '.'), { minLength: wide, maxLength: wide }), {
        minLength: 1,
        maxLength: 4,
      }),
    );
    fc.assert(fc.property(rows, (areas) => expect(readAreas(writeAreas(areas))).toEqual(areas)));
  });
});

describe('shadows', () => {
  test.each([
    ['2px 4px', { x: '2px', y: '4px', blur: '0', spread: '0', colour: undefined, inset: false }],
    [
      '#0004 0 1px 2px inset',
      { x: '0', y: '1px', blur: '2px', spread: '0', colour: '#0004', inset: true },
    ],
  ])('%s', (css, shadow) => expect(readShadows(css)).toEqual([shadow]));

  test('a placeholder is a length, or a colour where it stands for one', () => {
    const isColour = (word: string) => word === 'var(--ink)';
    expect(readShadows('0 var(--s) 4px var(--ink)', isColour)?.[0]).toMatchObject({
      y: 'var(--s)',
      colour: 'var(--ink)',
    });
  });

  test.each(['2px', 'var(--s)', '1px 2px 3px 4px 5px', 'red blue 1px 1px'])(
    '%s is no list',
    (css) => expect(readShadows(css)).toBeUndefined(),
  );
});

describe('gradients', () => {
  test('a stop of two places is two stops (CSS Images 4, 3.5.1)', () => {
    expect(readGradient('linear-gradient(red 10% 30%, blue)')?.stops).toEqual([
      { colour: 'red', at: '10%' },
      { colour: 'red', at: '30%' },
      { colour: 'blue', at: undefined },
    ]);
  });

  // CSS Images Module Level 4, 3.5.3, examples 28 and 29.
  test.each([
    ['linear-gradient(red, white 20%, blue)', [0, 0.2, 1]],
    ['linear-gradient(red 40%, white, black, blue)', [0.4, 0.6, 0.8, 1]],
    ['linear-gradient(red -50%, white, blue)', [-0.5, 0.25, 1]],
    ['linear-gradient(red 80px, white 0px, black, blue)', [0, 0.333, 0.667, 1]],
    ['linear-gradient(red 80%, white 0%, black, blue)', [0.8, 0.8, 0.9, 1]],
  ])('%s: each stop has its place', (css, places) => {
    placesOfStops(readGradient(css)!.stops).forEach((place, i) =>
      expect(place).toBeCloseTo(places[i]!, 2),
    );
  });

  test.each([
    'none',
    'url(a.png)',
    'linear-gradient(red, 30%, blue)',
    'linear-gradient(red,blue),linear-gradient(red,blue)',
  ])('%s is none that is edited by a picture', (css) => expect(readGradient(css)).toBeUndefined());
});

describe('tracks', () => {
  test('repeated ones are told one by one', () =>
    expect(readTracks('repeat(2, 1fr 2fr) auto')).toEqual(['1fr', '2fr', '1fr', '2fr', 'auto']));

  test.each([
    'repeat(auto-fit, minmax(10rem, 1fr))',
    '[a] 1fr',
    'none',
    'subgrid',
    'repeat(99, 1fr)',
  ])('%s has no number that is told', (css) => expect(readTracks(css)).toBeUndefined());

  test.each([
    [['1fr', '1fr'], 0, [300, 300], 150, ['1.5fr', '0.5fr']],
    [['200px', '1fr'], 0, [200, 400], 33.4, ['233px', '1fr']],
    [['1fr', '200px'], 0, [400, 200], 50, ['1fr', '150px']],
    [['auto', 'auto'], 0, [100, 100], 900, ['200px', 'auto']],
    [['1fr', '1fr'], 0, [300, 300], -900, ['0fr', '2fr']],
  ])('%j, the line moved', (tracks, line, sizes, by, moved) =>
    expect(lineMoved(tracks, line, sizes, by)).toEqual(moved),
  );
});

describe('areas', () => {
  test('what is no rectangle is named (CSS Grid Layout 2, 7.3)', () => {
    expect(
      brokenArea([
        ['a', 'a'],
        ['b', 'b'],
      ]),
    ).toBeUndefined();
    expect(
      brokenArea([
        ['a', 'b'],
        ['b', 'a'],
      ]),
    ).toBe('a');
    expect(brokenArea([['a', '.', 'a']])).toBe('a');
  });

  test('one that is stretched stays a rectangle, and so do all others, or it does not reach there', () => {
    const size = fc.integer({ min: 1, max: 5 });
    const all = fc.tuple(size, size).chain(([wide, high]) =>
      fc.record({
        start: fc.constant(Array.from({ length: high }, () => Array<string>(wide).fill('a'))),
        steps: fc.array(
          fc.record({
            name: fc.constantFrom('a', 'b', 'c'),
            x: fc.integer({ min: 0, max: wide - 1 }),
            y: fc.integer({ min: 0, max: high - 1 }),
          }),
          { maxLength: 8 },
        ),
      }),
    );
    fc.assert(
      fc.property(all, ({ start, steps }) => {
        let areas: string[][] = start;
        for (const { name, x, y } of steps) {
          // Where a name is not there yet, it begins in a cell that is nobody's.
          const isNew = !areas.flat().includes(name);
          if (isNew && areas[y]![x] === '.') areas[y]![x] = name;
          const before = new Set(areas.flat().filter((each) => each !== '.'));
          const next = stretched(areas, name, { x, y });
          if (!next) continue;
          expect(brokenArea(next)).toBeUndefined();
          expect(new Set(next.flat().filter((each) => each !== '.'))).toEqual(before);
          const place = areaPlaces(next).find((each) => each.name === name)!;
          const was = areaPlaces(areas).find((each) => each.name === name)!;
          expect([place.x, place.y]).toEqual([was.x, was.y]);
          expect(place.x + place.wide - 1).toBe(Math.max(place.x, x));
          expect(place.y + place.high - 1).toBe(Math.max(place.y, y));
          areas = next;
        }
      }),
    );
  });

  test('one that would cut another, or cover it, does not reach there', () => {
    const areas = [
      ['a', 'b', 'b'],
      ['.', 'c', 'c'],
    ];
    expect(stretched(areas, 'a', { x: 1, y: 0 })).toEqual([
      ['a', 'a', 'b'],
      ['.', 'c', 'c'],
    ]);
    expect(stretched(areas, 'a', { x: 2, y: 0 })).toBeUndefined();
    expect(stretched(areas, 'b', { x: 1, y: 1 })).toEqual([
      ['a', 'b', '.'],
      ['.', 'b', 'c'],
    ]);
    expect(stretched([['a', 'a', 'b']], 'a', { x: 0, y: 0 })).toEqual([['a', '.', 'b']]);
  });
});
