import { doEdit, isRefusal, type NamedEdit } from '../edit';
import { momentOf, type Documents, type Source } from '../model';
import { say } from '../said';
import { contentType, documentsOf, entry, means, page, queryOf, site, words } from '../test';
import { TODAY } from '../value';
import { compileSite, fileOf, planOf, Release, type CompiledSite } from '.';

const show = contentType('show', { name: 'text', day: 'date' });
const NAME: Source = { is: 'field', from: { repeat: 'each' }, path: ['name'] };
const on = (name: string, day: string, times?: { from?: string; until?: string }) => ({
  ...entry('show', name, { name: words(name), day: { type: 'date', value: day } }),
  ...(times ? { times } : {}),
});
/** A list of what is still to come, in the week, and a page of each. */
const documents = documentsOf(
  { ...site, timeZone: 'Europe/London' },
  show,
  on('opera', '2026-12-03'),
  on('puppets', '2026-12-09'),
  on('circus', '2026-12-05', { from: '2026-12-02T09:00Z', until: '2026-12-04T12:00Z' }),
  page('coming', '/', {
    tag: 'ul',
    children: [
      {
        id: 'each',
        repeat: queryOf('show', [], [['day', false]], {
          where: {
            after: { path: ['day'], is: 'atLeast', source: { is: 'today' } },
            before: { path: ['day'], is: 'atMost', source: { is: 'today', days: 7 } },
          },
        }),
        children: [{ tag: 'li', text: NAME }],
      },
    ],
  }),
  page('all', '/all', {
    tag: 'ul',
    children: [{ id: 'each', repeat: queryOf('show'), children: [{ tag: 'li', text: NAME }] }],
  }),
  page(
    'own',
    '/shows/<slug>',
    { tag: 'h1', text: { is: 'field', from: 'page', path: ['name'] } },
    'show',
  ),
);

const at = (instant: string, of: Documents = documents) => momentOf(of, new Date(instant));
const compiled = (instant: string) => compileSite(documents, { ...means(), at: at(instant) });
const names = (site: CompiledSite, path: string) =>
  [...site.texts.get(site.manifest[fileOf(path)]!.sha256)!.matchAll(/<li>(\w+)<\/li>/g)].map(
    ([, name]) => name,
  );
const paths = (site: CompiledSite) =>
  Object.keys(site.manifest).filter((each) => each.startsWith('/shows/'));

test('a list against today shows what is of these days, and another day others', () => {
  expect(names(compiled('2026-12-01T12:00Z'), '/')).toEqual(['opera']);
  expect(names(compiled('2026-12-02T12:00Z'), '/')).toEqual(['opera', 'circus', 'puppets']);
  expect(names(compiled('2026-12-04T12:00Z'), '/')).toEqual(['puppets']);
});

test('an entry is there from its time on and until its time: in lists, and its page', () => {
  expect(names(compiled('2026-12-02T08:59Z'), '/all')).not.toContain('circus');
  expect(names(compiled('2026-12-02T09:00Z'), '/all')).toContain('circus');
  expect(paths(compiled('2026-12-04T11:59Z'))).toContain('/shows/circus/index.html');
  expect(paths(compiled('2026-12-04T12:00Z'))).not.toContain('/shows/circus/index.html');
});

test('as time goes by, only what goes by it is made again, with its reason: as a release made anew', () => {
  let earlier = {
    documents,
    release: new Release(compiled('2026-12-01T12:00Z').manifest),
    at: at('2026-12-01T12:00Z'),
  };
  const step = (instant: string) => {
    const now = at(instant);
    const partial = compileSite(documents, { ...means(), at: now }, earlier);
    expect(partial.manifest).toEqual(compiled(instant).manifest);
    const plan = planOf(partial, documents, earlier, now);
    earlier = { documents, release: new Release(partial.manifest), at: now };
    return [partial.made, plan.map(({ path, what, reasons }) => [path, what, ...reasons])] as const;
  };
  // Nothing else than the list against today is made again where a day begins.
  expect(step('2026-12-02T00:00Z')).toEqual([1, [['/', 'changed', say('day-changed')]]]);
  expect(step('2026-12-02T09:00Z')).toEqual([
    3,
    [
      ['/', 'changed', say('list-changed', { of: 'shows' })],
      ['/all', 'changed', say('list-changed', { of: 'shows' })],
      ['/shows/circus', 'new', say('page-is-new')],
    ],
  ]);
  expect(step('2026-12-02T09:30Z')).toEqual([0, []]);
  expect(step('2026-12-04T12:00Z')[1].map(([path, what]) => [path, what])).toEqual([
    ['/', 'changed'],
    ['/all', 'changed'],
    ['/shows/circus', 'gone'],
  ]);
});

test('what reads the day says so, and nothing else does', () => {
  const { manifest } = compiled('2026-12-01T12:00Z');
  const reading = Object.keys(manifest).filter((path) => manifest[path]!.depends?.includes(TODAY));
  expect(reading).toEqual(['/index.html']);
});

test('what shows at its time only is something to publish: at that time it is made from what is live', () => {
  const now = at('2026-12-01T12:00Z');
  const earlier = {
    documents,
    release: new Release(compiled('2026-12-01T12:00Z').manifest),
    at: now,
  };
  const planned = (edit: NamedEdit) => {
    const done = doEdit(documents, edit);
    if (isRefusal(done)) throw new Error(done.refused.code);
    const moment = at('2026-12-01T12:00Z', done.documents);
    const site = compileSite(done.documents, { ...means(), at: moment }, earlier);
    return planOf(site, done.documents, earlier, moment).map(({ path, what }) => [path, what]);
  };
  const times = (entry: string, set: { from: string } | { until: string }): NamedEdit => ({
    name: 'setTimes',
    args: { entries: [entry], set },
  });
  expect(planned(times('show-opera', { until: '2026-12-03T12:00Z' }))).toContainEqual([
    '/shows/opera',
    'later',
  ]);
  expect(planned(times('show-circus', { until: '2026-12-05T12:00Z' }))).toContainEqual([
    '/shows/circus',
    'later',
  ]);
  // Of another day than those that the list shows today.
  const field: NamedEdit = {
    name: 'setField',
    args: { entry: 'show-puppets', field: 'name', value: { type: 'text', value: 'Marionettes' } },
  };
  expect(planned(field)).toContainEqual(['/', 'later']);
  expect(planned({ name: 'setPage', args: { page: 'all', set: { name: 'Other' } } })).toEqual([]);
});
