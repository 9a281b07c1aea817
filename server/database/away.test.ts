import type { DataSource, EntityManager } from 'typeorm';
import { Client } from 'pg';
import { startTestServer, type TestServer } from '../test/test-server';
import { isAway } from './away';
import { SiteEntity } from './entities';

let server: TestServer;
let database: DataSource;
let other: Client;
beforeAll(async () => {
  server = await startTestServer();
  database = server.database;
  other = new Client({ connectionString: server.url });
  await other.connect();
});
afterAll(async () => {
  await other.end();
  await server.stop();
});

/** Ends the connection of a transaction, as a crash of the database does, and waits until that is known here. */
async function lose(manager: EntityManager): Promise<void> {
  const [{ pid }] = (await manager.query('SELECT pg_backend_pid() AS pid')) as [{ pid: number }];
  await other.query('SELECT pg_terminate_backend($1)', [pid]);
  while (!manager.queryRunner!.isReleased) await new Promise((done) => setTimeout(done, 5));
}

/** All ways in which this server asks the database for something within a transaction. */
const WAYS: Record<string, (manager: EntityManager) => Promise<unknown>> = {
  'asks nothing more': () => Promise.resolve(),
  'sends a statement': (manager) => manager.query('SELECT 1'),
  reads: (manager) => manager.getRepository(SiteEntity).find(),
  counts: (manager) => manager.getRepository(SiteEntity).count(),
  'asks whether it is there': (manager) => manager.getRepository(SiteEntity).existsBy({ id: 'a' }),
  updates: (manager) => manager.getRepository(SiteEntity).update({ id: 'a' }, { revision: 1 }),
  deletes: (manager) => manager.getRepository(SiteEntity).delete({ id: 'a' }),
  inserts: (manager) => manager.getRepository(SiteEntity).insert({ id: 'a' }),
  builds: (manager) =>
    manager.getRepository(SiteEntity).createQueryBuilder().delete().where({ id: 'a' }).execute(),
  'begins a transaction in it': (manager) => manager.transaction(() => Promise.resolve()),
};

test.each(Object.entries(WAYS))(
  'a connection that is lost between two statements: who then %s is told that the database is away',
  async (_, way) => {
    const failed = await database
      .transaction(async (manager) => {
        await lose(manager);
        await way(manager);
      })
      .catch((error: unknown) => error);
    expect(failed).toBeInstanceOf(Error);
    expect(isAway(failed)).toBe(true);
    expect(await database.query('SELECT 1 AS there')).toEqual([{ there: 1 }]);
  },
);

test('a connection that is lost during a statement, one refused, and one that is never answered', async () => {
  const during = database
    .transaction(async (manager) => {
      const [{ pid }] = (await manager.query('SELECT pg_backend_pid() AS pid')) as [
        { pid: number },
      ];
      await Promise.all([
        manager.query('SELECT pg_sleep(30)'),
        other.query('SELECT pg_terminate_backend($1)', [pid]),
      ]);
    })
    .catch((error: unknown) => error);
  expect(isAway(await during)).toBe(true);
  const refused = new Client({ host: '127.0.0.1', port: 1 });
  expect(isAway(await refused.connect().catch((error: unknown) => error))).toBe(true);
});

test('what is wrong with a statement or with us is not the database being away', async () => {
  for (const fail of [
    () => database.query('SELECT nothing_like_this'),
    () => database.getRepository(SiteEntity).findOneByOrFail({ id: 'nobody' }),
    () => Promise.reject(new TypeError('Cannot read properties of undefined')),
  ]) {
    const failed = await fail().catch((error: unknown) => error as Error);
    expect([failed, isAway(failed)]).toEqual([expect.any(Error), false]);
  }
});
