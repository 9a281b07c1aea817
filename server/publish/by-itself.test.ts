import type { EntriesStanding, ReleaseSummary } from '@sormet/core/api';
import type { EntryDoc } from '@sormet/core/model';
import { text } from '@sormet/core/model';
import { Compiling } from '../compile/compiling';
import { Timed } from '../compile/timed';
import { ReleaseEntity } from '../database/entities';
import { eventually, startTestServer, type TestServer } from '../test/test-server';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

const host = 'brackenfold.localhost:5181';
const status = async (path: string) => (await server.sites.get(path).set('host', host)).status;
const releases = async () =>
  (
    (await server.api.get('/api/sites/brackenfold/releases').expect(200)).body as {
      releases: ReleaseSummary[];
    }
  ).releases;
const standing = async (type: string) =>
  (await server.api.get(`/api/sites/brackenfold/types/${type}/standing`).expect(200))
    .body as EntriesStanding;
/** Waits for what is published by itself, looked for once. */
const lookOnce = async () => {
  await server.lookAtTime();
  await eventually(async () =>
    (await releases()).some(({ state }) => state === 'waiting' || state === 'making')
      ? undefined
      : true,
  );
};
const millgate = async () =>
  (await server.documents()).all('entry').find(({ slug }) => slug === 'millgate') as EntryDoc;

test('an entry with times is not published before, is by itself at its time, and taken back at its end', async () => {
  server.setClock('2026-12-01T10:00:00Z');
  const { id } = await millgate();
  for (const set of [{ from: '2026-12-02T09:00Z' }, { until: '2026-12-03T09:00Z' }])
    await server
      .send({ name: 'setTimes', args: { entries: [id], set } }, await server.documents())
      .expect(200);
  expect(await server.publish()).toMatchObject({ state: 'done', number: 1, byItself: false });
  expect(await status('/sheds/millgate')).toBe(404);
  expect((await standing('shed')).entries[id]).toMatchObject({ live: 'not', first: null });
  // What somebody works on meanwhile is not published along.
  await server
    .send(
      { name: 'setPage', args: { page: 'page-about', set: { title: text('Half done') } } },
      await server.documents(),
    )
    .expect(200);

  server.setClock('2026-12-02T08:59:59Z');
  await lookOnce();
  expect(await status('/sheds/millgate')).toBe(404);
  expect(await releases()).toHaveLength(1);

  server.setClock('2026-12-02T09:00:10Z');
  await lookOnce();
  expect(await status('/sheds/millgate')).toBe(200);
  const about = await server.sites.get('/about').set('host', host).expect(200);
  expect(about.text).not.toContain('Half done');
  const [second, first] = await releases();
  expect(second).toMatchObject({ number: 2, live: true, byItself: true });
  expect(second!.revision).toBe(first!.revision);
  expect((await standing('shed')).entries[id]).toMatchObject({
    live: 'same',
    first: '2026-12-02T09:00:10.000Z',
    last: '2026-12-02T09:00:10.000Z',
  });

  // Looked at again, there is nothing to do.
  await lookOnce();
  expect(await releases()).toHaveLength(2);

  server.setClock('2026-12-03T09:00:00Z');
  await lookOnce();
  expect(await status('/sheds/millgate')).toBe(404);
  expect(await releases()).toHaveLength(3);
  expect((await standing('shed')).entries[id]).toMatchObject({ live: 'not' });
}, 60_000);

test('what reads the day is made again when another begins where the site is, and nothing else is', async () => {
  server.setClock('2026-12-10T12:00:00Z');
  await server
    .send(
      { name: 'setSite', args: { set: { timeZone: 'Pacific/Auckland' } } },
      await server.documents(),
    )
    .expect(200);
  await server
    .send(
      {
        name: 'setQuery',
        args: {
          doc: 'page-sessions',
          node: 'all-sessions',
          set: {
            where: 'coming',
            condition: { path: ['session-date'], is: 'atLeast', source: { is: 'today' } },
          },
        },
      },
      await server.documents(),
    )
    .expect(200);
  expect(await server.publish()).toMatchObject({ state: 'done', byItself: false });
  const first = async () =>
    /<time datetime="([^"]*)"/.exec(
      (await server.sites.get('/sessions').set('host', host).expect(200)).text,
    )![1]!;
  // It is the eleventh there already (UTC+13 in December, tz database).
  expect((await first()) >= '2026-12-11').toBe(true);
  const before = await releases();

  server.setClock('2026-12-20T10:30:00Z');
  await lookOnce();
  const [latest, ...rest] = await releases();
  expect(rest).toEqual(before.map((each) => ({ ...each, live: false })));
  expect(latest).toMatchObject({ byItself: true, live: true });
  expect(latest!.pages.map(({ path }) => path)).toEqual(expect.arrayContaining(['/sessions']));
  expect(latest!.pages.every(({ path }) => path.startsWith('/sessions'))).toBe(true);
  expect((await first()) >= '2026-12-20').toBe(true);
  // A day later by the clock of the site.
  expect((await first()) < '2026-12-31').toBe(true);
}, 60_000);

test('a moment at which nothing of what is live would be another makes no release, and is not looked at again', async () => {
  const live = async () => {
    const row = (await server.store.site('brackenfold'))!;
    return server.database.getRepository(ReleaseEntity).findOneByOrFail({ id: row.liveRelease! });
  };
  const { id } = await millgate();
  const documents = await server.documents();
  await server.send({ name: 'removePage', args: { page: 'page-sessions' } }, documents).expect(200);
  await server
    .send(
      { name: 'setTimes', args: { entries: [id], set: { until: null } } },
      await server.documents(),
    )
    .expect(200);
  await server.publish();
  const count = (await releases()).length;
  server.setClock('2027-03-01T12:00:00Z');
  await lookOnce();
  expect(await releases()).toHaveLength(count);
  expect(await live()).toMatchObject({ today: '2027-03-02' });
}, 60_000);

test('an entry that is changed after it was published says so, and when it was made, changed and published', async () => {
  server.setClock('2027-03-02T12:00:00Z');
  const { id } = await millgate();
  expect((await standing('shed')).entries[id]).toMatchObject({ live: 'same' });
  await server
    .send(
      {
        name: 'setField',
        args: { entry: id, field: 'shed-summary', value: { type: 'text', value: 'Another' } },
      },
      await server.documents(),
    )
    .expect(200);
  expect((await standing('shed')).entries[id]).toMatchObject({ live: 'other' });
  await server.publish();
  const { live, entries } = await standing('shed');
  expect(entries[id]).toMatchObject({
    live: 'same',
    first: '2026-12-02T09:00:10.000Z',
    last: '2027-03-02T12:00:00.000Z',
  });
  expect(live).toBe('2027-03-02T12:00:00.000Z');
  expect(entries[id]!.changed).not.toBeNull();
  await server.api.get('/api/sites/brackenfold/types/no-type/standing').expect(200);
  const one = await server.api
    .get(`/api/sites/brackenfold/types/shed/standing?entry=${id}`)
    .expect(200);
  expect((one.body as EntriesStanding).entries).toEqual({ [id]: entries[id] });
}, 60_000);

test('until a time comes nothing of what is live is read again', async () => {
  server.setClock('2027-03-05T12:00:00Z');
  const { id } = await millgate();
  await server
    .send(
      { name: 'setTimes', args: { entries: [id], set: { until: '2027-03-06T08:00Z' } } },
      await server.documents(),
    )
    .expect(200);
  await server.publish();
  const compiling = new Compiling(server.store, server.queue);
  const timed = new Timed(server.store, compiling, server.compilations);
  const read = jest.spyOn(compiling, 'liveOf');
  await timed.look();
  expect(read).toHaveBeenCalledTimes(1);
  server.setClock('2027-03-05T18:00:00Z');
  await timed.look();
  expect(read).toHaveBeenCalledTimes(1);
  // In Auckland it is the sixth all the while (UTC+13): no day begins, but the time comes.
  server.setClock('2027-03-06T08:00:00Z');
  await timed.look();
  expect(read.mock.calls.length).toBeGreaterThan(1);
  await eventually(async () => ((await status('/sheds/millgate')) === 404 ? true : undefined));
}, 60_000);
