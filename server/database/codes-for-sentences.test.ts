import { Type } from '@sinclair/typebox';
import { Value } from '@sinclair/typebox/value';
import { text } from '@sormet/core/model';
import { say, SAID } from '@sormet/core/said';
import { startTestServer, type TestServer } from '../test/test-server';
import { HistoryEntity, ReleaseEntity } from './entities';
import { CodesForSentences1764900000000 } from './codes-for-sentences';

let server: TestServer;

beforeAll(async () => {
  server = await startTestServer();
}, 60_000);
afterAll(() => server.stop());

test('what was stored as sentences is codes afterwards: the history as it would be told now, releases as they were', async () => {
  for (const title of ['One', 'Two']) {
    const edit = {
      name: 'setPage',
      args: { page: 'page-about', set: { title: text(title) } },
    } as const;
    await server.send(edit, await server.documents()).expect(200);
  }
  const history = () =>
    server.database.getRepository(HistoryEntity).find({ order: { revision: 'ASC' } });
  const before = (await history()).map(({ said }) => said);
  const upgrade = new CodesForSentences1764900000000();
  const runner = server.database.createQueryRunner();
  try {
    await upgrade.down(runner);
    const [site] = (await runner.query('SELECT id FROM sites')) as { id: string }[];
    const plan = [
      { path: '/a', what: 'changed', reasons: ['the token Brand changed', 'the page /a changed'] },
      { path: '/b', what: 'changed', reasons: ['words of long ago'] },
    ];
    await runner.query(
      `INSERT INTO releases (id, site, number, revision, state, done, total, plan, manifest, error, at, compiler)
         VALUES ('old-release', $1, 900, 1, 'failed', 0, 0, $2, '{}', $3, now(), 1)`,
      [site!.id, JSON.stringify(plan), 'The file of /logo.png is not stored; bring it in again.'],
    );
    await upgrade.up(runner);
  } finally {
    await runner.release();
  }
  expect((await history()).map(({ said }) => said)).toEqual(before);
  expect(Value.Check(Type.Array(SAID), before)).toBe(true);
  const release = await server.database
    .getRepository(ReleaseEntity)
    .findOneByOrFail({ id: 'old-release' });
  expect(release).toMatchObject({
    error: say('file-not-stored', { path: '/logo.png' }),
    plan: [
      { reasons: [say('token-changed', { token: 'Brand' }), say('page-changed', { path: '/a' })] },
      { reasons: [say('as-it-was-told', { words: 'words of long ago' })] },
    ],
  });
});
