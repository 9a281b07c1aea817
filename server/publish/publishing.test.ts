import { PageCompiler } from '@sormet/core/compile';
import { addressesOf, text } from '@sormet/core/model';
import { say, type Said } from '@sormet/core/said';
import { means } from '@sormet/core/test';
import { Client } from 'pg';
import { Compiling } from '../compile/compiling';
import { Releasing } from '../compile/releasing';
import { FileEntity, ReleaseEntity } from '../database/entities';
import { eventually, startTestServer, type TestServer } from '../test/test-server';

interface Release {
  id: string;
  number: number;
  state: string;
  live: boolean;
  done: number;
  of: number;
  pages: { path: string; what: string; reasons: Said[] }[];
}

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

async function publish(): Promise<Release> {
  const { body } = await server.api.post('/api/sites/brackenfold/releases').expect(202);
  return eventually(async () => {
    const release = (
      await server.api.get(`/api/sites/brackenfold/releases/${(body as Release).id}`).expect(200)
    ).body as Release;
    return release.state === 'done' || release.state === 'failed' ? release : undefined;
  });
}

const setTitle = async (title: string) =>
  server
    .send(
      { name: 'setPage', args: { page: 'page-about', set: { title: text(title) } } },
      await server.documents(),
    )
    .expect(200);
const published = (path: string) =>
  server.sites.get(path).set('host', 'brackenfold.localhost:5181');
const preview = (path: string) =>
  server.sites.get(path).set('host', 'brackenfold.preview.localhost:5181');

test('before the first release there is nothing, and the plan says that every page is new', async () => {
  await published('/').expect(404);
  await server.sites
    .get('/')
    .expect(200)
    .expect(/Nothing is published yet/);
  const { body } = await server.api.get('/api/sites/brackenfold/plan').expect(200);
  expect(body).toMatchObject({ unchanged: 0 });
  expect((body as Release).pages).toHaveLength(19);
});

test('a release goes live whole, and every address answers with what the compiler made', async () => {
  const release = await publish();
  expect(release).toMatchObject({ number: 1, state: 'done', live: true, done: 19, of: 19 });
  const documents = await server.documents();
  const compiler = new PageCompiler(documents, means());
  for (const address of addressesOf(documents)) {
    const { html, css } = compiler.compile(address);
    expect(
      (
        await published(address.path)
          .expect(200)
          .expect('content-type', /text\/html/)
      ).text,
    ).toBe(html);
    await published(css.path)
      .expect(200)
      .expect('content-type', /text\/css/)
      .expect('cache-control', /immutable/);
  }
  await published('/winter').expect(404);
  await published('/about/').expect(200);
});

test('pages carry a policy, pictures one under which nothing runs', async () => {
  const { headers, text: html } = await published('/guides');
  expect(headers['content-security-policy']).toContain("object-src 'none'");
  const picture = /\/files\/[0-9a-f]+\.svg/.exec((await published('/')).text)![0];
  expect((await published(picture).expect(200)).headers['content-security-policy']).toContain(
    'sandbox',
  );
  expect(html.match(/<script[^>]*>/g)).toEqual([
    expect.stringMatching(/^<script defer src="\/files\/[0-9a-f]{16}\.js">$/),
  ]);
  await server.sites.post('/').set('host', 'brackenfold.localhost').expect(405);
});

test('a site without changes publishes nothing', async () => {
  const { body } = await server.api.post('/api/sites/brackenfold/releases').expect(409);
  expect(body).toMatchObject({ said: say('nothing-to-publish') });
  expect(await server.database.getRepository(ReleaseEntity).count()).toBe(1);
});

test('the next release changes what has changed, says why, and stores only new files', async () => {
  const before = await server.database.getRepository(FileEntity).count();
  await setTitle('Who we are');
  expect((await preview('/about').expect(200)).text).toContain('<title>Who we are</title>');
  expect((await published('/about')).text).toContain('<title>About us</title>');
  const release = await publish();
  expect(release.pages).toEqual([
    { path: '/about', what: 'changed', reasons: [say('page-changed', { path: '/about' })] },
  ]);
  expect((await published('/about')).text).toContain('<title>Who we are</title>');
  expect(await server.database.getRepository(FileEntity).count()).toBe(before + 1);
});

test('a release that goes live while it is asked for is told as done and live, or as neither', async () => {
  const { releases } = (await server.api.get('/api/sites/brackenfold/releases').expect(200))
    .body as { releases: Release[] };
  const [newest, before] = releases;
  // In between the two readings of one request the other release becomes the live one.
  const reading = jest.spyOn(server.store, 'site').mockImplementationOnce(async (id) => {
    await server.api.post(`/api/sites/brackenfold/releases/${before!.id}/live`).expect(204);
    return server.store.site(id);
  });
  const told = await server.api.get(`/api/sites/brackenfold/releases/${before!.id}`).expect(200);
  expect(told.body).toMatchObject({ state: 'done', live: true });
  reading.mockRestore();
  await server.api.post(`/api/sites/brackenfold/releases/${newest!.id}/live`).expect(204);
});

test('going back makes a past release live again, and the plan follows', async () => {
  const { releases } = (await server.api.get('/api/sites/brackenfold/releases').expect(200))
    .body as { releases: Release[] };
  await server.api.post(`/api/sites/brackenfold/releases/${releases[1]!.id}/live`).expect(204);
  expect((await published('/about')).text).toContain('<title>About us</title>');
  const { pages } = (await server.api.get('/api/sites/brackenfold/plan')).body as Release;
  expect(pages.map(({ path }) => path)).toEqual(['/about']);
  await server.api.post('/api/sites/brackenfold/releases/nothing/live').expect(404);
  await publish();
});

test('a page that moves keeps its links and leaves a redirect', async () => {
  await server
    .send({ name: 'setPath', args: { page: 'page-about', path: '/who' } }, await server.documents())
    .expect(200);
  const release = await publish();
  expect(release.pages.find(({ path }) => path === '/about')).toMatchObject({
    what: 'redirect',
    reasons: [say('leads-to', { path: '/who' })],
  });
  await published('/about').expect(308).expect('location', '/who');
  expect((await published('/')).text).toContain('href="/who"');
});

test('two at once: one is made, the other told so', async () => {
  await setTitle('At once');
  const answers = await Promise.all(
    [1, 2].map(() => server.api.post('/api/sites/brackenfold/releases')),
  );
  const statuses = answers.map(({ status }) => status).sort();
  expect(statuses[0]).toBe(202);
  await eventually(async () => {
    const { releases } = (await server.api.get('/api/sites/brackenfold/releases')).body as {
      releases: Release[];
    };
    return releases.every(({ state }) => state === 'done') ? true : undefined;
  });
});

test('drafts are in the lists of the preview, behind links too, and nowhere else', async () => {
  const shed = (await server.documents())
    .all('entry')
    .find(({ slug, type }) => slug === 'eastquay' && type === 'shed')!;
  await server
    .send(
      { name: 'setDrafts', args: { entries: [shed.id], draft: true } },
      await server.documents(),
    )
    .expect(200);
  await server.publish();
  expect((await preview('/sheds').expect(200)).text).toContain('href="/sheds/eastquay"');
  await preview('/sheds/eastquay').expect(200);
  const live = (path: string) => server.sites.get(path).set('host', 'brackenfold.localhost:5181');
  expect((await live('/sheds').expect(200)).text).not.toContain('eastquay');
  await live('/sheds/eastquay').expect(404);
  await server
    .send(
      { name: 'setDrafts', args: { entries: [shed.id], draft: false } },
      await server.documents(),
    )
    .expect(200);
});

test('the bare address serves the only published site; a preview shows drafts', async () => {
  expect((await server.sites.get('/').expect(200)).text).toContain('Brackenfold');
  await preview('/winter').expect(200);
  await preview('/nowhere').expect(404);
  const css = /\/files\/[0-9a-f]+\.css/.exec((await preview('/')).text)![0];
  await preview(css).expect(200);
  await server.sites.get('/').set('host', 'nobody.localhost').expect(404);
});

test('a release during which the database goes away stays begun, and is made when it is back', async () => {
  await setTitle('Said while the database goes away');
  await server.stopWorkers();
  const { store } = await server.startWorker();
  const away = jest
    .spyOn(store, 'stateAt')
    .mockRejectedValueOnce(Object.assign(new Error('terminating connection'), { code: '57P01' }));
  const quiet = jest.spyOn(console, 'error').mockImplementation(() => undefined);
  const { body } = await server.api.post('/api/sites/brackenfold/releases').expect(202);
  const { id } = body as Release;
  const stored = () => server.database.getRepository(ReleaseEntity).findOneByOrFail({ id });
  await eventually(async () => (await stored()).state === 'done' || undefined);
  expect(away.mock.calls.length).toBeGreaterThan(1);
  expect(quiet).toHaveBeenCalled();
  away.mockRestore();
  quiet.mockRestore();
});

test('pages that were made for a release and went away with the database are made again', async () => {
  await setTitle('Before the database went down hard');
  await server.api.get('/api/sites/brackenfold/plan').expect(200);
  await server.stopWorkers();
  const { body } = await server.api.post('/api/sites/brackenfold/releases').expect(202);
  // What is not logged is empty after a crash; so are these tables.
  await server.database.query('TRUNCATE compilations CASCADE');
  await server.startWorker();
  await server.compilations.takeUp();
  const { id } = body as Release;
  const stored = () => server.database.getRepository(ReleaseEntity).findOneByOrFail({ id });
  await eventually(async () => (await stored()).state === 'done' || undefined);
  expect((await published('/who')).text).toContain('Before the database went down hard');
});

test('a site that was removed while it was published, and brought back, can be published again', async () => {
  await setTitle('Before it was removed');
  const site = (await server.store.site('brackenfold'))!;
  await server.stopWorkers();
  const { body } = await server.api.post('/api/sites/brackenfold/releases').expect(202);
  await server.api.delete('/api/sites/brackenfold').send({ name: site.name }).expect(204);
  await server.startWorker();
  const { id } = body as Release;
  const stored = () => server.database.getRepository(ReleaseEntity).findOneByOrFail({ id });
  const ended = await eventually(async () => {
    const row = await stored();
    return row.state === 'failed' ? row : undefined;
  });
  expect(ended.error).toEqual(say('site-removed'));
  await server.api.post('/api/sites/brackenfold/back').expect(204);
  expect((await publish()).state).toBe('done');
});

test('what is slower makes nothing live again that was rolled back, and windows hear of going back', async () => {
  await setTitle('Rolled back soon');
  const before = (await server.store.site('brackenfold'))!.liveRelease!;
  await server.api.get('/api/sites/brackenfold/plan').expect(200);
  await server.stopWorkers();
  const { body } = await server.api.post('/api/sites/brackenfold/releases').expect(202);
  const { id } = body as Release;
  // Somebody slower has taken up the release when it was not made yet, and comes to its end much later.
  const compiling = new Compiling(server.store, server.queue);
  const slower = await new Releasing(server.store, compiling, server.compilations).release(id);
  await server.startWorker();
  const live = async () => (await server.store.site('brackenfold'))!.liveRelease;
  await eventually(async () => (await live()) === id || undefined);
  const heard: string[] = [];
  const client = new Client({ connectionString: server.url });
  await client.connect();
  client.on('notification', ({ payload }) => heard.push(payload ?? ''));
  await client.query('LISTEN sormet_revision');
  await server.api.post(`/api/sites/brackenfold/releases/${before}/live`).expect(204);
  await eventually(async () => (heard.length > 0 ? true : undefined));
  await client.end();
  await server.database.transaction(slower);
  expect(await live()).toBe(before);
});

test('what no worker can make is told in our words where it is asked for, and the next try begins anew', async () => {
  await setTitle('Not to be made');
  await server.stopWorkers();
  const { store } = await server.startWorker();
  const failing = jest.spyOn(store, 'stateAt').mockRejectedValue(new Error('words of a package'));
  const quiet = jest.spyOn(console, 'error').mockImplementation(() => undefined);
  const { body } = await server.api.get('/api/sites/brackenfold/plan').expect(422);
  expect(body).toMatchObject({ said: say('failed-too-often') });
  expect(await publish()).toMatchObject({ state: 'failed', error: say('failed-too-often') });
  failing.mockRestore();
  quiet.mockRestore();
  expect((await publish()).state).toBe('done');
}, 90_000);

test('an edit that changes nothing that visitors get is nothing to publish, also where that is known late', async () => {
  await setTitle('Not to be made');
  await setTitle('Made');
  await publish();
  await setTitle('Something else');
  await setTitle('Made');
  await server.stopWorkers();
  const { body } = await server.api.post('/api/sites/brackenfold/releases').expect(202);
  const { id } = body as Release;
  await server.startWorker();
  const stored = () => server.database.getRepository(ReleaseEntity).findOneByOrFail({ id });
  const ended = await eventually(async () => {
    const row = await stored();
    return row.state === 'failed' ? row : undefined;
  });
  expect(ended.error).toEqual(say('nothing-to-publish'));
  await server.api.post('/api/sites/brackenfold/releases').expect(409);
});

test('a transaction that the database breaks off in the middle is answered 503, and nothing of it is stored', async () => {
  const seen = await server.documents();
  const before = (await server.store.site('brackenfold'))!.revision;
  for (let round = 0; round < 3; round += 1) {
    const storing = jest
      .spyOn(server.store, 'state')
      .mockImplementationOnce(async (site, manager) => {
        const [{ pid }] = (await manager!.query('SELECT pg_backend_pid() AS pid')) as [
          { pid: number },
        ];
        await server.database.query('SELECT pg_terminate_backend($1)', [pid]);
        if (round > 0) await new Promise((done) => setTimeout(done, 50 * round));
        return server.store.stateAt(site.id, site.revision);
      });
    await server
      .send(
        { name: 'setPage', args: { page: 'page-about', set: { title: text('Broken off') } } },
        seen,
      )
      .expect(503)
      .expect('retry-after', '1');
    storing.mockRestore();
  }
  expect((await server.store.site('brackenfold'))!.revision).toBe(before);
});
