import { compileSite } from '@sormet/core/compile';
import { text, type Documents, type PageDoc, newId, placeAt, rootOf } from '@sormet/core/model';
import type { NamedEdit } from '@sormet/core/edit';
import { plant } from '@sormet/core/ready';
import { saidText } from '@sormet/core/said';
import { means } from '@sormet/core/test';
import { HistoryEntity, ReleaseEntity } from '../database/entities';
import { SiteStore } from '../database/site-store';
import { eventually, startTestServer, type TestServer } from '../test/test-server';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

/** One of two windows that type, add and remove pages without a pause until they are told to stop. */
async function steadily(name: string, page: string, going: () => boolean): Promise<number> {
  let count = 0;
  let seen = await server.documents();
  while (going()) {
    count += 1;
    const added = `${name}-${count}`;
    const edits: NamedEdit[] = [
      { name: 'setPage', args: { page, set: { title: text(`${name} ${count}`) } } },
      placing(seen, page, `${name} ${count}`),
      {
        name: 'addPage',
        args: {
          page: {
            ...(seen.get('page-about') as PageDoc),
            id: added,
            path: `/${added}`,
            former: {},
          },
        },
      },
      { name: 'removePage', args: { page: added } },
    ];
    for (const edit of edits) {
      await server.send(edit, seen).expect(200);
      seen = await server.documents();
    }
  }
  return count;
}

function placing(documents: Documents, page: string, words: string): NamedEdit {
  const { nodes } = documents.get(page) as PageDoc;
  const planted = plant({ tag: 'p', text: words }, placeAt(nodes, rootOf(nodes), 0, 'main'), newId);
  return { name: 'place', args: { doc: page, root: planted.root, nodes: planted.nodes } };
}

/** What keeps a read from being whole: the site's own documents, and every page that the demo begins with. */
async function lacksSomething(): Promise<string[]> {
  const documents = await server.documents();
  return ['site', 'tags', 'page-home', 'page-about', 'page-shed'].filter(
    (id) => documents.get(id) === undefined && ![...documents].some((doc) => doc.kind === id),
  );
}

test('four releases while two windows type: each is its revision compiled anew, and every read is whole', async () => {
  let going = true;
  const windows = [
    steadily('one', 'page-home', () => going),
    steadily('two', 'page-about', () => going),
  ];
  const lacking: string[] = [];
  const reading = (async () => {
    while (going) lacking.push(...(await lacksSomething()));
  })();
  const host = 'brackenfold.localhost:5181';
  for (let i = 0; i < 4; i += 1) {
    const id = await eventually(async () => {
      const answer = await server.api.post('/api/sites/brackenfold/releases');
      return answer.status === 202 ? (answer.body as { id: string }).id : undefined;
    });
    await eventually(async () => {
      const row = await server.database.getRepository(ReleaseEntity).findOneByOrFail({ id });
      if (row.state === 'failed') throw new Error(row.error ? saidText(row.error) : 'failed');
      return row.state === 'done' ? true : undefined;
    });
    await server.sites.get('/about').set('host', host).expect(200);
    await server.api.get('/api/sites/brackenfold/plan').expect(200);
  }
  going = false;
  const counts = await Promise.all(windows);
  await reading;
  expect(lacking).toEqual([]);
  expect(Math.min(...counts)).toBeGreaterThan(2);
  // A store of another server, which knows nothing yet, and a compiler that kept nothing.
  const store = new SiteStore(server.database);
  const releases = await server.database.getRepository(ReleaseEntity).find();
  expect(releases).toHaveLength(4);
  for (const { revision, manifest } of releases) {
    const { documents } = await store.stateAt('brackenfold', revision);
    const fresh = compileSite(documents, means()).manifest;
    expect(hashesOf(manifest)).toEqual(hashesOf(fresh));
  }
}, 240_000);

function hashesOf(manifest: Readonly<Record<string, { sha256: string }>>) {
  return Object.fromEntries(Object.entries(manifest).map(([path, { sha256 }]) => [path, sha256]));
}

test('thirty who ask to publish at once get one release, and the server goes on', async () => {
  await server
    .send(
      { name: 'setPage', args: { page: 'page-home', set: { title: text('Many ask') } } },
      await server.documents(),
    )
    .expect(200);
  const answers = await Promise.all(
    Array.from({ length: 30 }, () => server.api.post('/api/sites/brackenfold/releases')),
  );
  const statuses = answers.map(({ status }) => status);
  expect(statuses.filter((status) => status === 202)).toHaveLength(1);
  expect(new Set(statuses)).toEqual(new Set([202, 409]));
  await eventually(async () =>
    (await server.database.getRepository(ReleaseEntity).existsBy({ state: 'done', number: 5 }))
      ? true
      : undefined,
  );
  await server.api.get('/api/health').expect(200);
});

test('a row that somebody holds is waited for only so long, and that is said', async () => {
  const seen = await server.documents();
  const runner = server.database.createQueryRunner();
  await runner.startTransaction();
  await runner.query(`SELECT * FROM sites WHERE id = 'brackenfold' FOR UPDATE`);
  const answer = await server
    .send({ name: 'setPage', args: { page: 'page-home', set: { name: 'Held' } } }, seen)
    .expect(503);
  expect(answer.headers['retry-after']).toBe('1');
  expect(answer.headers['content-type']).toContain('problem+json');
  await runner.rollbackTransaction();
  await runner.release();
}, 30_000);

test('a state that lacks a document is refused, and nothing is published from it', async () => {
  const live = () => server.database.query(`SELECT live_release FROM sites`);
  const before = await live();
  await server
    .send(
      { name: 'setPage', args: { page: 'page-home', set: { title: text('Half a site') } } },
      await server.documents(),
    )
    .expect(200);
  await server.database.query(`DELETE FROM documents WHERE id = 'page-about'`);
  const store = new SiteStore(server.database);
  const site = (await store.site('brackenfold'))!;
  await expect(store.state(site)).rejects.toThrow(/should hold \d+ documents/);
  expect(await live()).toEqual(before);
  await expect(store.stateAt('brackenfold', site.revision + 5)).rejects.toThrow();
  await server.database.getRepository(HistoryEntity).count();
});
