import { createFontStack } from '@capsizecss/core';
import fc from 'fast-check';
import { doEdit, isRefusal, type NamedEdit } from '../edit';
import { Documents, type Doc, type Font } from '../model';
import { asset, documentsOf, means, page, tags } from '../test';
import { compileSite, FontsInUse, Release } from '.';

/** What the packages @capsizecss/unpack 4 and @capsizecss/metrics 3 say of fonts, read 2026-11-30. */
const NEXT = { unitsPerEm: 1000, ascent: 984, descent: -316, lineGap: 0, widthAverage: 444 };
const LOCAL = {
  'sans-serif': { familyName: 'Arial', xWidthAvg: 913 },
  serif: { familyName: 'Times New Roman', xWidthAvg: 832 },
  monospace: { familyName: 'Courier New', xWidthAvg: 1229 },
};

const file = (id: string): Doc => ({ ...asset(id), mediaType: 'font/woff2' }) as Doc;
const font = (family: string, more: Partial<Font> = {}): Font => ({
  family,
  asset: 'file',
  weight: '400',
  style: 'normal',
  ...more,
});

function withFonts(documents: Documents, fonts: Record<string, Font>): Documents {
  return documents.with({ ...documents.site, fonts });
}

const set = "Own Type, 'Other Type', serif";
const start = documentsOf(
  file('file'),
  file('other'),
  page('home', '/', { tag: 'main', children: [{ tag: 'h1', text: 'Words' }] }),
).with({ ...tags, tags: { h1: { 'font-family': { css: set } } } });
const cssOf = (documents: Documents) => {
  const { manifest, texts } = compileSite(documents, means());
  const [path] = manifest['/index.html']!.loads!.filter((each) => each.endsWith('.css'));
  return { css: texts.get(manifest[path!]!.sha256)!, loads: manifest['/index.html']!.loads! };
};

describe('the fonts of a page', () => {
  test('are those that it names: of others it has no face, and loads no file', () => {
    const { css, loads } = cssOf(
      withFonts(start, { a: font('Own Type'), b: font('Unused', { asset: 'other' }) }),
    );
    expect(css.match(/@font-face/g)).toHaveLength(1);
    expect(css).toContain('@font-face{font-family:"Own Type"');
    expect(loads.filter((each) => each.endsWith('.woff2'))).toHaveLength(1);
  });

  test('are followed by what stands in for them, where their measures are known', () => {
    const { css } = cssOf(
      withFonts(start, { a: font('Own Type', { metrics: NEXT }), b: font('Other Type') }),
    );
    expect(css).toContain('font-family:Own Type, "Own Type as serif", "Other Type", serif');
    expect(css).toContain(
      '@font-face{font-family:"Own Type as serif";src:local("Times New Roman")',
    );
    expect(css).not.toContain('Other Type as');
  });

  test('have stand-ins with the measures that @capsizecss/core gives them', () => {
    const metrics = fc.record({
      unitsPerEm: fc.constantFrom(1000, 2048),
      ascent: fc.integer({ min: 500, max: 2400 }),
      descent: fc.integer({ min: -900, max: -50 }),
      lineGap: fc.oneof(fc.constant(0), fc.integer({ min: 50, max: 200 })),
      widthAverage: fc.integer({ min: 300, max: 1400 }),
    });
    const generics = fc.constantFrom(...(Object.keys(LOCAL) as (keyof typeof LOCAL)[]));
    fc.assert(
      fc.property(metrics, generics, (own, generic) => {
        const fonts = new FontsInUse(withFonts(start, { a: font('Own Type', { metrics: own }) }));
        fonts.list(`Own Type, ${generic}`);
        const face = fonts.faces('').split('@font-face').at(-1)!;
        const number = (name: string) => Number(new RegExp(`${name}:([\\d.]+)%`).exec(face)![1]);
        const { xWidthAvg, familyName } = LOCAL[generic];
        const { fontFaces } = createFontStack(
          [
            {
              familyName: 'Own Type',
              capHeight: 0,
              xHeight: 0,
              ...own,
              xWidthAvg: own.widthAverage,
            },
            {
              familyName,
              xWidthAvg,
              unitsPerEm: 2048,
              ascent: 1,
              descent: 1,
              lineGap: 0,
              capHeight: 0,
              xHeight: 0,
            },
          ] as never,
          { fontFaceFormat: 'styleObject' },
        );
        const theirs = fontFaces[0]!['@font-face'] as Record<string, string>;
        for (const [ours, name] of [
          ['size-adjust', 'sizeAdjust'],
          ['ascent-override', 'ascentOverride'],
          ['descent-override', 'descentOverride'],
          ['line-gap-override', 'lineGapOverride'],
        ] as const)
          expect(number(ours)).toBeCloseTo(
            // What would change nothing is left out there.
            Number.parseFloat(theirs[name] ?? (name === 'sizeAdjust' ? '100' : '0')),
            2,
          );
      }),
      { numRuns: 60 },
    );
  });

  test('are stood in for by the measures of the face that most words are set in', () => {
    const wide = { ...NEXT, widthAverage: 900 };
    const fonts = new FontsInUse(
      withFonts(start, {
        a: font('Own Type', { style: 'italic', metrics: wide }),
        b: font('Own Type', { weight: '900', metrics: wide }),
        c: font('Own Type', { weight: '300 500', metrics: NEXT }),
        d: font('Own Type', { weight: '400', range: 'U+0100-02BA' }),
      }),
    );
    fonts.list('Own Type, serif');
    expect(fonts.faces('')).toContain(`size-adjust:${((44.4 * 2048) / 832).toFixed(4)}%`);
  });

  test('say for which characters each file is, where it is not for all (CSS Fonts Level 4, 4.5)', () => {
    const { css, loads } = cssOf(
      withFonts(start, {
        a: font('Own Type', { range: 'U+0000-00FF' }),
        b: font('Own Type', { range: 'U+0100-02BA,U+1E??' }),
      }),
    );
    expect(css).toContain('font-display:swap;unicode-range:U+0000-00FF}');
    expect(css).toContain('unicode-range:U+0100-02BA,U+1E??}');
    expect(loads.filter((each) => each.endsWith('.woff2'))).toHaveLength(1);
  });

  test('with odd characters in their names are told as strings, and taken along', () => {
    const odd = 'It\'s "7"; }';
    const { css } = cssOf(withFonts(start, { a: font(odd) }));
    expect(css).toContain(`@font-face{font-family:${JSON.stringify(odd)}`);
  });
});

test('a list that ends with a name every object has is a list like any other', () => {
  const fonts = new FontsInUse(withFonts(start, { a: font('Own Type', { metrics: NEXT }) }));
  expect(fonts.list('Own Type, constructor')).toBe(
    'Own Type, "Own Type as sans-serif", constructor',
  );
  expect(fonts.faces('')).toContain('local("Arial")');
});

test('a file that comes back is in the release again, built in part as built whole', () => {
  const there = withFonts(start, { a: font('Own Type') });
  const gone = Documents.from([...there].filter(({ id }) => id !== 'file'));
  const before = compileSite(gone, means());
  const release = new Release(before.manifest);
  const again = compileSite(there, means(), { release, documents: gone });
  expect(again.manifest).toEqual(compileSite(there, means()).manifest);
  expect(again.manifest).not.toEqual(before.manifest);
});

describe('fonts of a site', () => {
  const done = (documents: Documents, edit: NamedEdit) => {
    const made = doEdit(documents, edit);
    return isRefusal(made) ? made.refused.code : made.documents;
  };
  const add = (given: Font): NamedEdit => ({ name: 'addFont', args: { id: 'new', font: given } });

  test('come and go, each one step', () => {
    const there = done(start, add(font('Own Type')));
    expect(there).toBeInstanceOf(Documents);
    expect((there as Documents).site.fonts['new']).toEqual(font('Own Type'));
    const gone = done(there as Documents, { name: 'removeFont', args: { id: 'new' } });
    expect((gone as Documents).site.fonts).toEqual({});
  });

  test('are refused with a reason: a file that is gone or none, a face that is there', () => {
    const there = withFonts(start, { a: font('Own Type') });
    expect(done(start, add(font('X', { asset: 'nothing' })))).toBe('gone');
    expect(done(start.with(asset('pic')), add(font('X', { asset: 'pic' })))).toBe(
      'file-is-no-font',
    );
    expect(done(there, add(font('own type')))).toBe('font-is-there');
    expect(done(there, { name: 'removeFont', args: { id: 'gone' } })).toBe('gone');
    expect(done(start, add(font('X', { weight: 'bold' })))).toBe('member-is');
  });
});
