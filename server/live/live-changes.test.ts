import type { AddressInfo } from 'node:net';
import { text } from '@sormet/core/model';
import { say } from '@sormet/core/said';
import { eventually, startTestServer, type TestServer } from '../test/test-server';
import { LiveChanges } from './live-changes';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

/** A window that listens to the demo: what it was told, in order. */
class Window {
  readonly told: { event: string; data: Record<string, number> }[] = [];
  readonly status: Promise<number>;
  private readonly leaving = new AbortController();

  constructor() {
    const { port } = server.app.address() as AddressInfo;
    const answered = fetch(`http://127.0.0.1:${port}/api/sites/brackenfold/live`, {
      signal: this.leaving.signal,
    });
    this.status = answered.then(({ status }) => status);
    void answered.then(async ({ body }) => {
      let rest = '';
      const reader = body!.pipeThrough(new TextDecoderStream()).getReader();
      try {
        for (;;) {
          const { value, done } = await reader.read();
          if (done) return;
          const blocks = (rest + value).split('\n\n');
          rest = blocks.pop()!;
          for (const block of blocks) {
            const event = /event: (\w+)/.exec(block)?.[1];
            const data = /data: (.*)/.exec(block)?.[1];
            if (event && data) this.told.push({ event, data: JSON.parse(data) as never });
          }
        }
      } catch {
        // It left.
      }
    });
  }

  of(event: string): Record<string, number>[] {
    return this.told.filter((each) => each.event === event).map(({ data }) => data);
  }

  close(): void {
    this.leaving.abort();
  }
}

const retitle = async (title: string) =>
  server
    .send(
      { name: 'setPage', args: { page: 'page-about', set: { title: text(title) } } },
      await server.documents(),
    )
    .expect(200);

const listeners = async () => {
  const [row] = (await server.database.query(
    `SELECT count(*)::int AS many FROM pg_stat_activity WHERE datname = current_database() AND query LIKE 'LISTEN sormet_revision%'`,
  )) as { many: number }[];
  return row!.many;
};

test('a window hears the revision it begins with, and each later one once', async () => {
  const window = new Window();
  const [first] = await eventually(async () =>
    window.of('revision').length ? window.of('revision') : undefined,
  );
  await retitle('Once');
  await eventually(async () =>
    window.of('revision').find(({ revision }) => revision === first!['revision']! + 1),
  );
  await new Promise((done) => setTimeout(done, 300));
  expect(window.of('revision')).toHaveLength(2);
  window.close();
});

test('a revision that is stored while a window begins to listen is not missed', async () => {
  // The edit is stored between the moment the window's site is looked up and the moment it is told where it stands.
  const listening = jest.spyOn(server.live, 'listen').mockImplementationOnce(async (...args) => {
    await retitle('In between');
    listening.mockRestore();
    return server.live.listen(...args);
  });
  const window = new Window();
  await window.status;
  const revision = (await server.store.site('brackenfold'))!.revision;
  await eventually(async () => window.of('revision').find((each) => each['revision'] === revision));
  window.close();
});

test('however often the connection to the database is lost, one listens, and each revision is told once', async () => {
  const window = new Window();
  await window.status;
  for (let round = 0; round < 4; round += 1) {
    await server.database.query(
      `SELECT pg_terminate_backend(pid) FROM pg_stat_activity
        WHERE datname = current_database() AND query LIKE 'LISTEN sormet_revision%'`,
    );
    await eventually(async () => ((await listeners()) === 0 ? true : undefined));
    await eventually(async () => ((await listeners()) > 0 ? true : undefined));
  }
  await new Promise((done) => setTimeout(done, 1500));
  expect(await listeners()).toBe(1);
  const before = window.of('revision').length;
  await retitle('After the losses');
  await eventually(async () => (window.of('revision').length > before ? true : undefined));
  await new Promise((done) => setTimeout(done, 300));
  expect(window.of('revision')).toHaveLength(before + 1);
  window.close();
}, 60_000);

test('what is to be done when the connection is there again is done until it went well', async () => {
  const before = server.live.onReturn;
  let tries = 0;
  server.live.onReturn = () => {
    tries += 1;
    return tries < 3 ? Promise.reject(new Error('It went away again.')) : Promise.resolve();
  };
  await server.database.query(
    `SELECT pg_terminate_backend(pid) FROM pg_stat_activity
      WHERE datname = current_database() AND query LIKE 'LISTEN sormet_revision%'`,
  );
  await eventually(() => Promise.resolve(tries === 3 || undefined));
  await new Promise((done) => setTimeout(done, 1500));
  expect(tries).toBe(3);
  expect(await listeners()).toBe(1);
  server.live.onReturn = before;
}, 30_000);

test('many who come at once are told a few times how many they are, not each of each', async () => {
  const windows = Array.from({ length: 60 }, () => new Window());
  await Promise.all(windows.map(({ status }) => status));
  await eventually(async () =>
    windows[0]!.of('here').some(({ windows: many }) => many === 60) ? true : undefined,
  );
  const words = windows.reduce((all, window) => all + window.of('here').length, 0);
  expect(words).toBeLessThan(60 * 8);
  for (const window of windows) window.close();
});

test('where as many listen as can be told, the next one is told so', async () => {
  const few = new LiveChanges(server.url, 0);
  await expect(
    few.listen('brackenfold', () => Promise.resolve(1), {} as never, {} as never),
  ).rejects.toMatchObject({
    status: 503,
    said: say('too-many-windows', { most: 0 }),
  });
  await few.stop();
});
