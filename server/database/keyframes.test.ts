import { canonicalJson, newId, text, type Documents } from '@sormet/core/model';
import type { NamedEdit } from '@sormet/core/edit';
import { startTestServer, type TestServer } from '../test/test-server';
import { HistoryEntity } from './entities';
import { KEYFRAME_EVERY } from './keyframes';
import { SiteStore } from './site-store';

const EDITS = 2 * KEYFRAME_EVERY + 60;

let server: TestServer;
/** By revision, what the site was. */
const states = new Map<number, Documents>();

/** Titles for the most part; now and then a page comes, and one that came before goes. */
function edit(i: number, seen: Documents): NamedEdit {
  const mine = seen.all('page').find(({ path }) => path.startsWith('/made-'));
  if (i % 50 === 7 && mine) return { name: 'removePage', args: { page: mine.id } };
  if (i % 25 === 7) {
    const about = seen.ofKind('page', 'page-about')!;
    const page = { ...about, id: newId(), path: `/made-${i}`, name: `Made ${i}`, former: {} };
    return { name: 'addPage', args: { page } };
  }
  const set = { title: text(`Title ${i}`) };
  return { name: 'setPage', args: { page: i % 3 === 0 ? 'page-about' : 'page-home', set } };
}

beforeAll(async () => {
  server = await startTestServer();
  let documents = await server.documents();
  states.set(1, documents);
  for (let i = 0; i < EDITS; i += 1) {
    await server.send(edit(i, documents), documents).expect(200);
    documents = (await server.store.state((await server.store.site('brackenfold'))!)).documents;
    states.set(i + 2, documents);
  }
}, 120_000);
afterAll(() => server.stop());

test('every revision is read as it was, by a server that has just started', async () => {
  for (const revision of [1, 2, 150, 199, 200, 201, 333, 400, 401, EDITS + 1]) {
    const { documents } = await new SiteStore(server.database).stateAt('brackenfold', revision);
    expect([revision, canonicalJson(documents)]).toEqual([
      revision,
      canonicalJson(states.get(revision)!),
    ]);
  }
});

test('an early state shares with the newest every document that is the same', async () => {
  const store = new SiteStore(server.database);
  const now = await store.state((await store.site('brackenfold'))!);
  const then = await store.stateAt('brackenfold', 120);
  const expected = states
    .get(120)!
    .differenceFrom(states.get(EDITS + 1)!)
    .map(({ id }) => id);
  expect(
    then.documents
      .differenceFrom(now.documents)
      .map(({ id }) => id)
      .sort(),
  ).toEqual(expected.sort());
});

test('a revision is answered with its documents, and one that never was is not found', async () => {
  const { body } = await server.api.get('/api/sites/brackenfold/revisions/150').expect(200);
  expect(canonicalJson((body as { documents: unknown }).documents)).toBe(
    canonicalJson(states.get(150)!),
  );
  for (const none of ['0', String(EDITS + 2), '-1', 'x', '1.5'])
    await server.api
      .get(`/api/sites/brackenfold/revisions/${none}`)
      .expect(/problem|revision/)
      .expect((response) => expect([400, 404]).toContain(response.status));
});

test('no more of the history is read than lies between two keyframes', async () => {
  const history = server.database.getRepository(HistoryEntity);
  await history.delete({ site: 'brackenfold', revision: 3 });
  await history.delete({ site: 'brackenfold', revision: 403 });
  const store = new SiteStore(server.database);
  const { documents } = await store.stateAt('brackenfold', 230);
  expect(canonicalJson(documents)).toBe(canonicalJson(states.get(230)!));
  await expect(new SiteStore(server.database).stateAt('brackenfold', 20)).rejects.toThrow(/holds/);
});
