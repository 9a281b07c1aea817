import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { danglingIn } from '@sormet/core/edit';
import {
  documentFindings,
  FORMAT,
  newId,
  sameJson,
  text,
  type Documents,
  type EntryDoc,
  type PageDoc,
} from '@sormet/core/model';
import { say, type Said } from '@sormet/core/said';
import { HistoryEntity } from './entities';
import { eventually, startTestServer, type TestServer } from '../test/test-server';

/** The demo's database as the first version left it: edits, two releases, a component that is gone but placed, CSS that does not end. */
const STORED = join(import.meta.dirname, '..', 'test', 'first-slice.sql.gz');

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer(gunzipSync(readFileSync(STORED)).toString('utf8'));
});
afterAll(() => server.stop());

const lines = async () => {
  const { body } = await server.api.get('/api/sites/brackenfold/history/lines').expect(200);
  return (body as { lines: { who: string; said: Said; first: number }[] }).lines;
};

const setTitle = (title: string) =>
  ({ name: 'setPage', args: { page: 'page-home', set: { title: text(title) } } }) as const;

test('a database of the first version opens, with everything that was in it', async () => {
  const documents = await server.documents();
  expect(JSON.stringify(documents.get('page-home'))).toContain('Placed before the upgrade, é, 🪛');
  expect((documents.get('page-about') as PageDoc).title).toEqual(text('Who mends here'));
});

test('what it declared is stored as it is stored now, and what no stylesheet can hold is gone', async () => {
  const stored = JSON.stringify(await server.documents());
  expect(stored).toContain('"color":{"css":"RGB(10,20,30)"}');
  expect(stored).toContain('"width":{"css":"calc(10px + 20px)"}');
  expect(stored).not.toContain('red/*');
  expect((await lines())[0]!.said).toEqual(say('tidied'));
});

test('it is brought to this format by a revision of its own, and what it was before can be read', async () => {
  const upgrade = (await lines()).find(({ said }) => said.code === 'upgraded')!;
  expect(upgrade).toMatchObject({
    who: 'Sormet',
    said: say('upgraded', { from: 1, to: FORMAT }),
  });
  const findings = (documents: Documents) => [...documents].flatMap((doc) => documentFindings(doc));
  for (const revision of [1, 2, upgrade.first - 1, upgrade.first]) {
    const { documents } = await server.store.stateAt('brackenfold', revision);
    expect([revision, findings(documents)]).toEqual([revision, []]);
  }
  const before = await server.store.stateAt('brackenfold', upgrade.first - 1);
  const after = await server.store.stateAt('brackenfold', upgrade.first);
  expect(sameJson(before.documents, after.documents)).toBe(true);
  const { id } = await server.database
    .getRepository(HistoryEntity)
    .findOneByOrFail({ revision: upgrade.first })
    .then(({ edit }) => ({ id: edit }));
  await server.api
    .post('/api/sites/brackenfold/edits')
    .send({ id: newId(), who: 'a window', name: 'revert', args: { edits: [id] }, changes: [] })
    .expect(422);
});

test('what points at nothing stands in no way, is said, and is mended', async () => {
  let seen = await server.documents();
  const [dangling, ...more] = danglingIn(seen);
  expect(more).toEqual([]);
  expect(dangling).toMatchObject({ doc: 'page-about', path: '/nodes/passing-1/component' });
  await server
    .send({ name: 'setPath', args: { page: 'page-about', path: '/who' } }, seen)
    .expect(200);
  seen = await server.documents();
  const { doc, path } = dangling!;
  await server.send({ name: 'mend', args: { doc, path } }, seen).expect(200);
  expect(danglingIn(await server.documents())).toEqual([]);
});

test('it publishes every page anew, since what the first version noted of a page was not all', async () => {
  await server.send(setTitle('After the upgrade'), await server.documents()).expect(200);
  const { body } = await server.api.post('/api/sites/brackenfold/releases').expect(202);
  const release = await eventually(async () => {
    const answer = await server.api.get(
      `/api/sites/brackenfold/releases/${(body as { id: string }).id}`,
    );
    const { state, error } = answer.body as { state: string; error: string | null };
    if (state === 'failed') throw new Error(error ?? 'failed');
    return state === 'done' ? (answer.body as { number: number }) : undefined;
  });
  expect(release.number).toBe(3);
  const host = 'brackenfold.localhost:5181';
  await server.sites
    .get('/')
    .set('host', host)
    .expect(200)
    .expect(/After the upgrade/);
  await server.sites.get('/about').set('host', host).expect(308).expect('location', '/who');
});

test('slugs get their redirects from now on', async () => {
  const seen = await server.documents();
  const shed = [...seen].find(
    (doc): doc is EntryDoc => doc.kind === 'entry' && doc.type === 'shed',
  )!;
  await server
    .send({ name: 'setSlug', args: { entry: shed.id, slug: 'another-slug' } }, seen)
    .expect(200);
  const after = (await server.documents()).get(shed.id) as EntryDoc;
  expect(after.former).toEqual({ [shed.slug]: true });
});
