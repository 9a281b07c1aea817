import fc from 'fast-check';
import {
  claim,
  DATE_FIELDS,
  ENTRY_DATES,
  literal,
  type EntryDate,
  type EntryDates,
  type Source,
} from '../model';
import { say } from '../said';
import { component, contentType, documentsOf, entry, means, page, queryOf, words } from '../test';
import { datesOf } from '../value';
import { compileSite, fileOf, planOf, Release, type CompiledSite } from '.';

const note = contentType('note', { name: 'text' });
const of = (path: readonly string[], from: { repeat: string } | 'page' = 'page'): Source => ({
  is: 'field',
  from,
  path: [...path],
  whenEmpty: 'nothing',
});
const day = (date: EntryDate) => DATE_FIELDS[date];
const slugs = ['ash', 'birch', 'cedar', 'damson'];
const ids = slugs.map((slug) => `note-${slug}`);
const documents = documentsOf(
  note,
  ...slugs.map((slug) => entry('note', slug, { name: words(slug) })),
  component(
    'dated',
    { tag: 'em', text: { is: 'property', property: 'day' } },
    { day: literal({ type: 'date', value: null }) },
  ),
  page('news', '/', {
    tag: 'ul',
    children: [
      {
        id: 'each',
        repeat: queryOf('note', [], [[day('first'), true]]),
        children: [{ tag: 'li', text: of(['name'], { repeat: 'each' }) }],
      },
    ],
  }),
  page(
    'own',
    '/notes/<slug>',
    {
      tag: 'p',
      children: [
        ...ENTRY_DATES.map((date) => ({ tag: 'i', text: of([day(date)]) })),
        { component: 'dated', values: { day: of([day('changed')]) } },
      ],
    },
    'note',
  ),
  page('plain', '/plain/<slug>', { tag: 'h1', text: of(['name']) }, 'note'),
);

const compiled = (dates: EntryDates) =>
  compileSite(documents, { ...means(), at: { today: '2026-12-01', now: '', dates } });
const shown = (site: CompiledSite, path: string, tag: string) =>
  [
    ...site.texts
      .get(site.manifest[fileOf(path)]!.sha256)!
      .matchAll(new RegExp(`<${tag}[^>]*>([^<]*)</${tag}>`, 'g')),
  ].map(([, text]) => text);
/** Days of the entries, any that may be there or not. */
const anyDates: fc.Arbitrary<EntryDates> = fc
  .array(
    fc.record(
      Object.fromEntries(
        ENTRY_DATES.map((date) => [
          date,
          fc.constantFrom('2026-01-02', '2026-03-04', '2026-11-30'),
        ]),
      ) as Record<EntryDate, fc.Arbitrary<string>>,
      { requiredKeys: [] },
    ),
    { minLength: ids.length, maxLength: ids.length },
  )
  .map((days) => Object.fromEntries(ids.map((id, i) => [id, days[i]!])));

test('the days of an entry are fields: shown, handed to a property, sorted by, empty until they come', () => {
  const site = compiled({
    'note-ash': {
      made: '2026-01-02',
      changed: '2026-03-04',
      first: '2026-02-01',
      last: '2026-03-05',
    },
    'note-birch': { made: '2026-01-02', changed: '2026-01-02' },
    'note-cedar': { made: '2026-01-02', first: '2026-04-01' },
  });
  expect(shown(site, '/notes/ash', 'i')).toEqual([
    'January 2, 2026',
    'March 4, 2026',
    'February 1, 2026',
    'March 5, 2026',
  ]);
  expect(shown(site, '/notes/ash', 'em')).toEqual(['March 4, 2026']);
  expect(shown(site, '/notes/birch', 'i')).toEqual(['January 2, 2026', 'January 2, 2026', '', '']);
  // Newest first; what is not published stands last, by id.
  expect(shown(site, '/', 'li')).toEqual(['cedar', 'ash', 'birch', 'damson']);
});

test('whatever days become others, what reads them is made again and nothing else: the same as all anew', () => {
  fc.assert(
    fc.property(anyDates, anyDates, (then, now) => {
      const before = compiled(then);
      const earlier = {
        documents,
        release: new Release(before.manifest),
        at: { today: '2026-12-01', now: '', dates: then },
      };
      const at = { today: '2026-12-01', now: '', dates: now };
      const partial = compileSite(documents, { ...means(), at }, earlier);
      expect(partial.manifest).toEqual(compiled(now).manifest);
      const other = ids.filter((id) => JSON.stringify(then[id]) !== JSON.stringify(now[id]));
      expect(partial.made).toBeLessThanOrEqual(other.length + Math.min(1, other.length));
      for (const { path, reasons } of planOf(partial, documents, earlier, at)) {
        expect(path).not.toContain('/plain/');
        expect(reasons.every(({ code }) => code === 'entry-dates')).toBe(true);
      }
    }),
    { numRuns: 60 },
  );
});

test('which entries’ days were read is noted, and which documents read any is known before', () => {
  const { manifest } = compiled({});
  expect(manifest[fileOf('/notes/ash')]!.depends).toContain(datesOf('note-ash'));
  expect(manifest[fileOf('/plain/ash')]!.depends!.some((each) => each.startsWith('dates:'))).toBe(
    false,
  );
  expect([...documents.claiming(claim.dated)]).toEqual(['news', 'own']);
});

test('a field that somebody declared under the same id is that field', () => {
  const declared = documentsOf(
    contentType('note', { name: 'text', [day('made')]: 'text' }),
    entry('note', 'ash', { [day('made')]: words('by hand') }),
    entry('note', 'birch', {}),
    page('own', '/<slug>', { tag: 'i', text: of([day('made')]) }, 'note'),
  );
  const days = { made: '2026-01-02' };
  const site = compileSite(declared, {
    ...means(),
    at: { today: '', now: '', dates: { 'note-ash': days, 'note-birch': days } },
  });
  expect(shown(site, '/ash', 'i')).toEqual(['by hand']);
  expect(shown(site, '/birch', 'i')).toEqual(['']);
});

test('the plan says of whom the days are', () => {
  const before = compiled({});
  const earlier = { documents, release: new Release(before.manifest), at: { today: '', now: '' } };
  const at = { today: '', now: '', dates: { 'note-ash': { last: '2026-12-01' } } };
  const partial = compileSite(documents, { ...means(), at }, earlier);
  expect(planOf(partial, documents, earlier, at)).toEqual([
    { path: '/notes/ash', what: 'changed', reasons: [say('entry-dates', { slug: 'ash' })] },
  ]);
});
