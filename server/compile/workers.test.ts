import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { connect as connectTo, createServer, type AddressInfo, type Socket } from 'node:net';
import { join } from 'node:path';
import { compileSite, workOf } from '@sormet/core/compile';
import { addressesOf, type Documents } from '@sormet/core/model';
import { say } from '@sormet/core/said';
import { means } from '@sormet/core/test';
import { brackenfold } from '@sormet/demo';
import type { ReleaseSummary } from '@sormet/core/api';
import { ReleaseEntity } from '../database/entities';
import { storeSite } from '../load-site';
import { eventually, startTestServer, type TestServer } from '../test/test-server';
import { Compilations } from './compilations';
import { PART_PAGES } from './compiling';
import { Worker } from './worker';

const SITE = 'many';
/** How many pages there are beside those of the demo: several parts. */
const MORE = PART_PAGES * 3;

let server: TestServer;
const processes: ChildProcess[] = [];
beforeAll(async () => {
  server = await startTestServer();
  await server.stopWorkers();
});
afterAll(async () => {
  for (const child of processes) child.kill('SIGKILL');
  await server.stop();
});

/** The demo with many more sheds, each of which has a page. */
function manyPages(): Documents {
  const demo = brackenfold().documents;
  const shed = addressesOf(demo).find(({ entry }) => entry)!.entry!;
  const more = Array.from({ length: MORE }, (_, i) => ({
    ...shed,
    id: `more-${i}`,
    slug: `more-${i}`,
  }));
  const site = { ...demo.site, slug: SITE, name: 'Many sheds' };
  return demo.withAll([site, ...more]);
}

/** A worker in a process of its own, as `npm run worker` starts it. */
function startProcess(): ChildProcess {
  const child = spawn(process.execPath, ['server/dist/worker.mjs'], {
    cwd: join(import.meta.dirname, '..', '..'),
    env: { ...process.env, NODE_ENV: 'production', SORMET_DATABASE: server.url },
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  processes.push(child);
  return child;
}

const takenParts = async () =>
  (
    (await server.database.query(`SELECT job FROM taken_jobs WHERE about->>'step' = 'part'`)) as {
      job: string;
    }[]
  ).map(({ job }) => job);

/**
 * Stops a worker for good in the middle of a part: when it is about to store what it made of it, which nobody may while this
 * holds the table. @returns the job it had
 */
async function killAtWork(child: ChildProcess, begun: () => Promise<unknown>): Promise<string> {
  const held = server.database.createQueryRunner();
  await held.startTransaction();
  try {
    await held.query('LOCK TABLE compilation_texts IN SHARE MODE');
    await begun();
    const waits = `SELECT 1 FROM pg_locks WHERE NOT granted AND relation = 'compilation_texts'::regclass`;
    await eventually(async () =>
      ((await held.query(waits)) as unknown[]).length > 0 ? true : undefined,
    );
    const [job] = await takenParts();
    child.kill('SIGKILL');
    await once(child, 'exit');
    return job!;
  } finally {
    await held.rollbackTransaction();
    await held.release();
  }
}

test('a worker that is killed in the middle of a release is replaced by others, and the release is the same to the byte', async () => {
  const documents = manyPages();
  await server.database.transaction((manager) => storeSite(manager, SITE, documents));
  const whole = compileSite(documents, means());
  expect(whole.made).toBeGreaterThan(MORE);

  const killed = startProcess();
  let id = '';
  const job = await killAtWork(killed, async () => {
    const { body } = await server.api.post(`/api/sites/${SITE}/releases`).expect(202);
    ({ id } = body as ReleaseSummary);
  });
  const begun = (await server.api.get(`/api/sites/${SITE}/releases/${id}`).expect(200))
    .body as ReleaseSummary;
  // The further pages of a list are known when its first is made.
  expect(begun).toMatchObject({ state: 'making', of: workOf(documents).pages.length });
  expect(await takenParts()).toEqual([job]);

  startProcess();
  startProcess();
  const row = await eventually(async () => {
    const stored = await server.database.getRepository(ReleaseEntity).findOneByOrFail({ id });
    return stored.state === 'done' || stored.state === 'failed' ? stored : undefined;
  });
  expect([row.state, row.error]).toEqual(['done', null]);
  expect(row).toMatchObject({ done: whole.made, of: whole.made });
  expect(row.manifest).toEqual(whole.manifest);
  const texts = Object.entries(whole.manifest).filter(([, { sha256 }]) => whole.texts.has(sha256));
  for (const [path, { sha256 }] of texts.filter((_, i) => i % 20 === 0)) {
    const served = await server.sites.get(path).set('host', `${SITE}.localhost:5181`).expect(200);
    expect(served.text).toBe(whole.texts.get(sha256));
  }
  expect(await server.database.query('SELECT * FROM taken_jobs')).toEqual([]);
  expect(
    await server.database.query(`SELECT * FROM pgboss.job WHERE name LIKE 'compile-%'`),
  ).toEqual([]);
});

test('what ends every worker is given up after some tries, and that is said', async () => {
  for (const child of processes) child.kill('SIGKILL');
  const { id } = await server.compilations.begin((await server.store.site('brackenfold'))!);
  let tries = 0;
  for (let begun = true; begun; tries += 1) {
    // Taken by somebody who is not there, as after a kill.
    const taken = await eventually(() => server.queue.take(1));
    expect(taken.step).toEqual({ step: 'begin', compilation: id });
    expect(await server.queue.lost()).toEqual([taken]);
    if (tries === 4) break;
    begun = await server.queue.again(taken);
  }
  expect(tries).toBe(4);
  await server.startWorker();
  const ended = await server.compilations.ended(id);
  expect(ended).toMatchObject({
    state: 'failed',
    error: say('failed-too-often'),
  });
});

test('what fails is done again, whatever it failed at', async () => {
  const quiet = jest.spyOn(console, 'error').mockImplementation(() => undefined);
  await server.stopWorkers();
  const { store } = await server.startWorker();
  const fails = jest.spyOn(store, 'stateAt').mockRejectedValueOnce(new Error('words of a package'));
  const demo = brackenfold().documents;
  await server.database.transaction((manager) =>
    storeSite(manager, 'fails', demo.withAll([{ ...demo.site, slug: 'fails' }])),
  );
  const { id } = await server.compilations.begin((await server.store.site('fails'))!);
  expect(await server.compilations.ended(id)).toMatchObject({ state: 'done' });
  expect(quiet).toHaveBeenCalledTimes(1);
  fails.mockRestore();
  quiet.mockRestore();
});

test('while the database cannot be reached a worker tries again now and then, not all the time', async () => {
  const quiet = jest.spyOn(console, 'error').mockImplementation(() => undefined);
  const { hostname, port } = new URL(server.url);
  const open = new Set<Socket>();
  let tries = 0;
  let reachable = true;
  const between = createServer((socket) => {
    tries += 1;
    if (!reachable) return void socket.destroy();
    const database = connectTo(Number(port), hostname);
    for (const [from, to] of [
      [socket, database],
      [database, socket],
    ] as const) {
      open.add(from);
      from.on('error', () => undefined).on('close', () => to.destroy());
      from.pipe(to);
    }
  }).listen(0, '127.0.0.1');
  await once(between, 'listening');
  const url = new URL(server.url);
  url.port = String((between.address() as AddressInfo).port);
  const worker = new Worker(server.store, server.queue, url.href);
  await worker.start();
  expect(tries).toBe(1);

  reachable = false;
  for (const socket of open) socket.destroy();
  // At once and a second later: two in this time, three where the machine is slow.
  await eventually(() => Promise.resolve(tries >= 3 || undefined));
  expect(quiet.mock.calls.length).toBeLessThanOrEqual(3);
  reachable = true;
  const before = tries;
  await eventually(() => Promise.resolve(tries > before || undefined));
  await worker.stop();
  between.close();
  quiet.mockRestore();
});

test('where no worker is, whoever waits for a plan is told so', async () => {
  await server.stopWorkers();
  const waiting = new Compilations(server.store, server.queue, 200);
  const { id } = await waiting.begin((await server.store.site('brackenfold'))!);
  await expect(waiting.ended(id)).rejects.toMatchObject({
    status: 503,
    said: say('no-worker'),
  });
  await server.startWorker();
  expect(await waiting.ended(id)).toMatchObject({ state: 'done' });
});
