import { eventually, startTestServer, type TestServer } from '../test/test-server';
import { LiveReleases } from './live-releases';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
  await server.publish();
});
afterAll(() => server.stop());

test('a file that is asked for many times, at once too, is counted once', async () => {
  const live = new LiveReleases(server.store);
  const site = (await live.site('brackenfold'))!;
  const files = Object.values(await live.manifestOf(site));
  const sizes = new Map<string, number>();
  for (let round = 0; round < 3; round += 1)
    await Promise.all(
      files.map(async ({ sha256, mediaType }) => {
        const file = (await live.file(sha256, mediaType))!;
        sizes.set(sha256, file.bytes.length + 1);
      }),
    );
  expect(live.keptBytes).toBe([...sizes.values()].reduce((all, size) => all + size, 0));
});

test('what there is no room for pushes out what was used longest ago, and is served all the same', async () => {
  const live = new LiveReleases(server.store, 30_000);
  const site = (await live.site('brackenfold'))!;
  for (const { sha256, mediaType } of Object.values(await live.manifestOf(site)))
    expect((await live.file(sha256, mediaType))!.bytes.length).toBeGreaterThan(0);
  expect(live.keptBytes).toBeGreaterThan(0);
  expect(live.keptBytes).toBeLessThanOrEqual(30_000);
});

test('one site is asked for, not all; with the database away it is as it was known last', async () => {
  const live = new LiveReleases(server.store);
  const before = await live.site('brackenfold');
  await live.keepAll();
  expect(before?.liveRelease).toBeTruthy();
  expect(await live.site('nobody')).toBeUndefined();
  const away = Object.assign(new Error('gone'), { code: 'ECONNREFUSED' });
  const asked = jest.spyOn(server.database, 'getRepository').mockImplementation(() => {
    throw away;
  });
  expect(await live.site('brackenfold')).toEqual(before);
  expect((await live.published()).map(({ slug }) => slug)).toEqual(['brackenfold']);
  await expect(live.site('never-asked-for')).rejects.toBe(away);
  const [first] = Object.values(await live.manifestOf(before!));
  expect(await live.file(first!.sha256, first!.mediaType)).toBeDefined();
  asked.mockRestore();
});

test('a release that is made live elsewhere is served at the next request', async () => {
  const setTitle = {
    name: 'setPage',
    args: { page: 'page-about', set: { title: { is: 'value', type: 'text', value: 'Another' } } },
  };
  await server.send(setTitle as never, await server.documents()).expect(200);
  const before = (await server.published.site('brackenfold'))!.liveRelease;
  await server.publish();
  const now = await eventually(async () => {
    const site = await server.published.site('brackenfold');
    return site?.liveRelease === before ? undefined : site;
  });
  const page = (await server.published.manifestOf(now))['/about/index.html']!;
  const { bytes } = (await server.published.file(page.sha256, page.mediaType))!;
  expect(bytes.toString()).toContain('<title>Another</title>');
});
