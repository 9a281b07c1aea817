import type { EntryDoc, EntryDates, Source } from '@sormet/core/model';
import { DATE_FIELDS } from '@sormet/core/model';
import { startTestServer, type TestServer } from '../test/test-server';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

const shed = async (slug: string) =>
  (await server.documents()).all('entry').find((entry) => entry.slug === slug) as EntryDoc;
const edit = async (edit: Parameters<TestServer['send']>[0]) =>
  server.send(edit, await server.documents()).expect(200);
/** What a page of a shed says of itself: the day that it shows. */
const shown = async (slug: string, host: string) => {
  const { text } = await server.sites.get(`/sheds/${slug}`).set('host', `${host}:5181`).expect(200);
  return /<meta name="description" content="([^"]*)"/.exec(text)?.[1];
};
const live = (slug: string) => shown(slug, 'brackenfold.localhost');
const preview = (slug: string) => shown(slug, 'brackenfold.preview.localhost');
const dates = async () =>
  (await server.api.get('/api/sites/brackenfold/dates').expect(200)).body as EntryDates;
const of = (field: string): Source => ({
  is: 'field',
  from: 'page',
  path: [field],
  whenEmpty: 'nothing',
});

test('the day on which an entry was published last is shown, changes with what is published of it, and with nothing else', async () => {
  server.setClock('2026-12-01T12:00:00Z');
  expect(await dates()).toEqual({});
  expect(await server.publish()).toMatchObject({ state: 'done' });
  await edit({
    name: 'setPage',
    args: { page: 'page-shed', set: { description: of(DATE_FIELDS.last) } },
  });
  server.setClock('2026-12-02T12:00:00Z');
  expect(await preview('millgate')).toBe('1 December 2026');
  await server.publish();
  // The pages are others now, the entries are not.
  expect(await live('millgate')).toBe('1 December 2026');
  expect(await live('alderhithe')).toBe('1 December 2026');

  const { id } = await shed('millgate');
  await edit({
    name: 'setField',
    args: { entry: id, field: 'shed-name', value: { type: 'text', value: 'Millgate again' } },
  });
  server.setClock('2026-12-03T12:00:00Z');
  expect(await preview('millgate')).toBe('3 December 2026');
  expect((await dates())[id]).toMatchObject({ first: '2026-12-01', last: '2026-12-03' });
  expect(await server.publish()).toMatchObject({ state: 'done' });
  expect(await live('millgate')).toBe('3 December 2026');
  expect(await live('alderhithe')).toBe('1 December 2026');

  // A day later nothing has become another by itself.
  server.setClock('2026-12-04T12:00:00Z');
  await server.lookAtTime();
  expect(
    await server.database.query(`SELECT id FROM compilations WHERE at_today = '2026-12-04'`),
  ).toEqual([]);
  expect((await dates())[id]).toMatchObject({ last: '2026-12-03' });
  await server.api.post('/api/sites/brackenfold/releases').expect(409);
}, 60_000);

test('made and changed are days where the site is; an entry that is new is published on the day it is', async () => {
  server.setClock('2026-12-05T12:00:00Z');
  await edit({ name: 'setSite', args: { set: { timeZone: 'Pacific/Auckland' } } });
  await edit({
    name: 'setPage',
    args: { page: 'page-shed', set: { description: of(DATE_FIELDS.first) } },
  });
  const { id } = await shed('cobbler-yard');
  const day = (instant: Date) =>
    // The browser's and Node's own writer of days in a time zone (ECMA-402), in the locale that writes them as RFC 3339 does.
    new Intl.DateTimeFormat('sv-SE', { timeZone: 'Pacific/Auckland' }).format(instant);
  const [{ made }] = (await server.database.query(
    'SELECT made FROM documents WHERE site = (SELECT id FROM sites WHERE slug = $1) AND id = $2',
    ['brackenfold', id],
  )) as [{ made: Date }];
  expect((await dates())[id]!.made).toBe(day(made));
  await edit({ name: 'setDrafts', args: { entries: [id], draft: true } });
  await server.publish();
  await server.database.query('DELETE FROM published_entries WHERE entry = $1', [id]);
  await edit({ name: 'setDrafts', args: { entries: [id], draft: false } });
  expect((await dates())[id]).toMatchObject({ changed: day(new Date()), first: '2026-12-06' });
  await server.publish();
  expect(await live('cobbler-yard')).toBe('6 December 2026');
}, 60_000);
