import fc from 'fast-check';
import { changedBetween, compileSite, Release } from '../compile';
import { applyChanges, inverse, isRefusal, runEdit, type NamedEdit } from '../edit';
import type { Documents, GuideLine, PageDoc } from '../model';
import { documentsOf, means, page } from '../test';
import { columnsOf, guidesAt, heldBy, linesAt, NO_GUIDES, placesAlong } from '.';

const start = documentsOf(page('home', '/', { tag: 'main' }));
const does = (documents: Documents, edit: NamedEdit) => {
  const changes = runEdit(documents, edit);
  if (isRefusal(changes)) throw new Error(changes.refused.code);
  return { changes, documents: applyChanges(documents, changes) };
};
const guided = (
  ...sets: (readonly [width: string, set: (NamedEdit & { name: 'setGuides' })['args']['set']])[]
) =>
  sets.reduce(
    (documents, [width, set]) =>
      does(documents, { name: 'setGuides', args: { width, set } }).documents,
    start,
  );
const line = (at: number, axis: GuideLine['axis'] = 'x', width = 'base'): GuideLine => ({
  axis,
  at,
  width,
});

describe('guides', () => {
  test('hold at their width and at narrower ones that say nothing else, member by member', () => {
    const { site } = guided(
      ['base', { columns: 12 }],
      ['base', { gutter: 24 }],
      ['w900', { columns: 6 }],
      ['w500', { columns: 0 }],
      ['w500', { margin: 16 }],
    );
    expect(guidesAt(site, 'base')).toEqual({ ...NO_GUIDES, columns: 12, gutter: 24 });
    expect(guidesAt(site, 'w900')).toEqual({ ...NO_GUIDES, columns: 6, gutter: 24 });
    expect(guidesAt(site, 'w500')).toEqual({ ...NO_GUIDES, gutter: 24, margin: 16 });
  });

  test('go back to the wider width, and all of it by undo', () => {
    const before = guided(['base', { columns: 12 }], ['w900', { columns: 6 }]);
    const { documents, changes } = does(before, {
      name: 'setGuides',
      args: { width: 'w900', set: { columns: null } },
    });
    expect(guidesAt(documents.site, 'w900').columns).toBe(12);
    expect(applyChanges(documents, inverse(changes)).toJSON()).toEqual(before.toJSON());
  });

  test('are refused at a width that is not there, and beyond their limits', () => {
    const refused = (width: string, columns: number) => {
      const done = runEdit(start, { name: 'setGuides', args: { width, set: { columns } } });
      return isRefusal(done) ? done.refused.code : 'done';
    };
    expect(refused('gone', 12)).toBe('gone');
    expect(refused('base', 25)).toBe('member-is');
    expect(refused('base', 1.5)).toBe('member-is');
    expect(refused('base', 24)).toBe('done');
  });
});

describe('columns', () => {
  test('of 12 with gutters of 24 in 1200 of 1280 px are 78 px wide (common practice, no published source)', () => {
    const columns = columnsOf(
      { ...NO_GUIDES, columns: 12, gutter: 24, margin: 24, widest: 1200 },
      1280,
    );
    expect(columns[0]).toEqual({ from: 40, to: 118 });
    expect(columns.at(-1)).toEqual({ from: 1162, to: 1240 });
  });

  test('are as wide as one another, a gutter apart, in the middle, within margins and what is widest', () => {
    const guides = fc.record({
      columns: fc.integer({ min: 1, max: 24 }),
      gutter: fc.integer({ min: 0, max: 60 }),
      margin: fc.integer({ min: 0, max: 200 }),
      widest: fc.integer({ min: 0, max: 1600 }),
      baseline: fc.constant(0),
    });
    fc.assert(
      fc.property(guides, fc.integer({ min: 200, max: 2000 }), (given, width) => {
        const columns = columnsOf(given, width);
        const room = width - 2 * given.margin;
        const all = given.widest > 0 ? Math.min(room, given.widest) : room;
        const fits = all > given.gutter * (given.columns - 1);
        expect(columns).toHaveLength(fits ? given.columns : 0);
        const [first, last] = [columns[0], columns.at(-1)];
        if (!first || !last) return;
        expect(first.from).toBeGreaterThanOrEqual(given.margin - 1e-9);
        expect(first.from).toBeCloseTo(width - last.to, 6);
        expect(last.to - first.from).toBeCloseTo(all, 6);
        for (const [i, { from, to }] of columns.entries()) {
          expect(to - from).toBeCloseTo(first.to - first.from, 6);
          if (i > 0) expect(from - columns[i - 1]!.to).toBeCloseTo(given.gutter, 6);
        }
      }),
    );
  });
});

describe('lines', () => {
  const put = (documents: Documents, id: string, stands: GuideLine | null) =>
    does(documents, { name: 'setLine', args: { doc: 'home', line: id, stands } });

  test('are put, moved and taken away, each one step that undo takes back', () => {
    const one = put(start, 'a', line(320));
    const moved = put(one.documents, 'a', line(300));
    const two = put(moved.documents, 'b', line(80, 'y', 'w500'));
    const home = two.documents.get('home') as PageDoc;
    expect(linesAt(home, 'base')).toEqual([{ id: 'a', line: line(300) }]);
    expect(linesAt(home, 'w500').map(({ id }) => id)).toEqual(['b']);
    const gone = put(two.documents, 'a', null);
    expect(linesAt(gone.documents.get('home') as PageDoc, 'base')).toEqual([]);
    for (const [before, { documents, changes }] of [
      [start, one],
      [one.documents, moved],
      [two.documents, gone],
    ] as const)
      expect(applyChanges(documents, inverse(changes)).toJSON()).toEqual(before.toJSON());
  });

  test('that are gone, or stand in nothing that is drawn, are refused', () => {
    const refused = (doc: string, id: string, stands: GuideLine | null) => {
      const done = runEdit(start, { name: 'setLine', args: { doc, line: id, stands } });
      return isRefusal(done) ? done.refused.code : 'done';
    };
    expect(refused('home', 'a', null)).toBe('gone');
    expect(refused('nothing', 'a', line(1))).toBe('gone');
    expect(refused(start.site.id, 'a', line(1))).toBe('gone');
    expect(refused('home', 'a', line(1, 'x', 'gone'))).toBe('gone');
    expect(refused('home', 'a', line(-1))).toBe('member-is');
  });
});

describe('what is dragged', () => {
  const guides = { ...NO_GUIDES, columns: 2, gutter: 20, margin: 40, baseline: 8 };
  const upright = placesAlong('x', guides, [line(300), line(120, 'y')], 500);

  test('is held by the nearest line, column or margin', () => {
    expect(heldBy(303, upright, 0, 4)?.is).toEqual({ of: 'line' });
    expect(heldBy(238, upright, 0, 4)?.is).toEqual({ of: 'column', number: 1, side: 'end' });
    expect(heldBy(261, upright, 0, 4)?.is).toEqual({ of: 'column', number: 2, side: 'start' });
    expect(heldBy(462, upright, 0, 4)?.is).toMatchObject({ side: 'end' });
    expect(heldBy(280, upright, 0, 4)).toBeUndefined();
  });

  test('is held by the baseline, unless something put there is nearer', () => {
    const level = placesAlong('y', guides, [line(123, 'y')], 500);
    expect(heldBy(41, level, 8, 4)).toEqual({ at: 40, is: { of: 'baseline', number: 5 } });
    expect(heldBy(122.6, level, 8, 4)?.is).toEqual({ of: 'line' });
  });
});

describe('nothing of it is published', () => {
  const designed = does(guided(['base', { columns: 12 }], ['w500', { baseline: 8 }]), {
    name: 'setLine',
    args: { doc: 'home', line: 'a', stands: line(320) },
  }).documents;

  test('a release is the same to the byte with and without', () => {
    const [plain, lined] = [compileSite(start, means()), compileSite(designed, means())];
    expect(lined.manifest).toEqual(plain.manifest);
    expect([...lined.texts]).toEqual([...plain.texts]);
  });

  test('no page is made anew for it', () => {
    expect([...changedBetween(start, designed).things]).toEqual([]);
    const release = new Release(compileSite(start, means()).manifest);
    const again = compileSite(designed, means(), { release, documents: start });
    expect(again.made).toBe(0);
  });
});
