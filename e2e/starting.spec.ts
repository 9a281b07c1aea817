import { execFileSync, spawn, spawnSync } from 'node:child_process';
import { once } from 'node:events';
import {
  chmodSync,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { join } from 'node:path';
import { expect } from '@playwright/test';
import { Client } from 'pg';
import { freePort } from '../scripts/lib/ports.mjs';
import { WORKER_LOCKS } from '../server/compile/worker-locks';
import { OwnServer } from './own-server';
import { test } from './test';

/** What `npm start` promises about folders, processes and what it says: tried without a browser. */
const made: OwnServer[] = [];
async function own(options: Parameters<typeof OwnServer.make>[0] = {}): Promise<OwnServer> {
  const server = await OwnServer.make(options);
  made.push(server);
  return server;
}

test.afterAll(async () => {
  for (const server of made) await server.remove();
});

const pause = (ms: number) => new Promise((done) => setTimeout(done, ms));

async function answers(server: OwnServer): Promise<void> {
  await expect.poll(() => server.answers(), { timeout: 60_000 }).toBe(true);
}

async function published(server: OwnServer, path: string): Promise<number> {
  const answer = await fetch(`http://127.0.0.1:${server.sitesPort}${path}`);
  return answer.status;
}

test.describe('while one runs', () => {
  test.describe.configure({ mode: 'serial' });
  let first: OwnServer;
  test.beforeAll(async () => {
    test.setTimeout(120_000);
    first = await own();
    await first.start();
    const base = `${first.address}/api/sites/brackenfold/releases`;
    const { id } = (await (await fetch(base, { method: 'POST' })).json()) as { id: string };
    await expect
      .poll(
        async () => ((await (await fetch(`${base}/${id}`)).json()) as { state: string }).state,
        {
          timeout: 30_000,
        },
      )
      .toBe('done');
    expect(await published(first, '/about')).toBe(200);
  });

  test('a second on the same data is refused, and the first goes on with its database', async () => {
    const postmaster = first.postmaster;
    const second = await OwnServer.make({ folder: first.folder });
    expect(await second.startInVain()).toContain('is in use by another Sormet');
    await pause(500);
    expect(await first.answers()).toBe(true);
    expect(first.postmaster).toBe(postmaster);
  });

  test('the database is killed: pages go on being served, it is started again, and that is said', async () => {
    test.setTimeout(120_000);
    process.kill(first.postmaster, 'SIGKILL');
    let served = 0;
    for (let i = 0; i < 20; i += 1) {
      if ((await published(first, '/about')) === 200) served += 1;
      await pause(50);
    }
    expect(served).toBe(20);
    await expect
      .poll(() => first.output, { timeout: 30_000 })
      .toContain('The database is there again.');
    await answers(first);
  });

  test('the server is killed: it is started again, and that is said', async () => {
    test.setTimeout(120_000);
    const [, server] = first.processes;
    process.kill(server!, 'SIGKILL');
    await expect.poll(() => first.output, { timeout: 30_000 }).toContain('It is started again in');
    await answers(first);
  });

  test('the worker is killed: it is started again, that is said, and releases are made', async () => {
    test.setTimeout(120_000);
    await expect.poll(() => first.worker, { timeout: 30_000 }).toBeDefined();
    const before = first.worker!;
    process.kill(before, 'SIGKILL');
    await expect
      .poll(() => first.output, { timeout: 30_000 })
      .toContain('The worker ended (SIGKILL)');
    await expect.poll(() => first.worker ?? before, { timeout: 30_000 }).not.toBe(before);
    const answer = await fetch(`${first.address}/api/sites/brackenfold/plan`);
    expect(answer.status).toBe(200);
  });

  test('“npm run worker” starts as many more as one likes, by the data folder or the address of the database', async () => {
    test.setTimeout(120_000);
    const address = readFileSync(join(first.folder, 'database.address'), 'utf8').trim();
    expect(statSync(join(first.folder, 'database.address')).mode & 0o077).toBe(0);
    const count = async () => {
      const client = new Client({ connectionString: address });
      await client.connect();
      const { rows } = await client.query<{ count: number }>(
        `SELECT count(*)::int AS count FROM pg_locks WHERE locktype = 'advisory' AND classid = $1`,
        [WORKER_LOCKS],
      );
      await client.end();
      return rows[0]!.count;
    };
    await expect.poll(count, { timeout: 30_000 }).toBe(1);
    const root = join(import.meta.dirname, '..');
    const more = spawn(process.execPath, ['scripts/worker.mjs', '2'], {
      cwd: root,
      env: { ...process.env, SORMET_DATA: first.folder },
    });
    const elsewhere = spawn(process.execPath, ['scripts/worker.mjs'], {
      cwd: root,
      env: { ...process.env, SORMET_DATA: '/nowhere', SORMET_DATABASE: address },
    });
    try {
      await expect.poll(count, { timeout: 60_000 }).toBe(4);
    } finally {
      for (const child of [more, elsewhere]) {
        child.kill('SIGTERM');
        if (child.exitCode === null) await once(child, 'exit');
      }
    }
    await expect.poll(count, { timeout: 30_000 }).toBe(1);
    for (const [argument, folder, words] of [
      ['none', first.folder, 'is no number of workers'],
      ['1', '/nowhere', 'No Sormet runs on this machine with this data folder'],
    ] as const) {
      const refused = spawnSync(process.execPath, ['scripts/worker.mjs', argument], {
        cwd: root,
        env: { ...process.env, SORMET_DATA: folder },
        encoding: 'utf8',
      });
      expect([refused.status, refused.stderr]).toEqual([1, expect.stringContaining(words)]);
      expect(refused.stderr).not.toMatch(/\n\s+at /);
    }
  });

  test('the database dies while a release is made: the server lives, and the release is made when it is back', async () => {
    test.setTimeout(180_000);
    const base = `${first.address}/api/sites/brackenfold`;
    const { documents } = (await (await fetch(base)).json()) as {
      documents: Record<string, { title: unknown }>;
    };
    const now = { is: 'value', type: 'text', value: 'While the database dies' };
    const edit = {
      id: 'edit-before-it-dies',
      who: 'a test',
      name: 'setPage',
      args: { page: 'page-about', set: { title: now } },
      changes: [{ doc: 'page-about', path: '/title', was: documents['page-about']!.title, now }],
    };
    const json = { method: 'POST', headers: { 'content-type': 'application/json' } };
    expect((await fetch(`${base}/edits`, { ...json, body: JSON.stringify(edit) })).status).toBe(
      200,
    );
    const server = first.processes[1];
    const answer = await fetch(`${base}/releases`, { method: 'POST' });
    expect(answer.status).toBe(202);
    const { id } = (await answer.json()) as { id: string };
    process.kill(first.postmaster, 'SIGKILL');
    const state = async () => {
      const response = await fetch(`${base}/releases/${id}`);
      return response.ok ? ((await response.json()) as { state: string }).state : response.status;
    };
    await expect.poll(state, { timeout: 60_000 }).toBe('done');
    expect(first.processes[1]).toBe(server);
  });

  test('the role of the application is no superuser', async () => {
    // The address of the database is handed to the server in its environment.
    const environment = readFileSync(`/proc/${first.processes[1]}/environ`, 'utf8').split('\0');
    const url = environment.find((each) => each.startsWith('SORMET_DATABASE='))!;
    const client = new Client({ connectionString: url.slice('SORMET_DATABASE='.length) });
    await client.connect();
    const { rows } = await client.query(
      'SELECT rolsuper, rolcreatedb, rolcreaterole FROM pg_roles WHERE rolname = current_user',
    );
    await client.end();
    expect(rows).toEqual([{ rolsuper: false, rolcreatedb: false, rolcreaterole: false }]);
  });

  test('logs hold nothing of the site', () => {
    const log = readFileSync(join(first.folder, 'postgres', 'server.log'), 'utf8');
    for (const words of ['While the database dies', 'Bring it broken'])
      expect([first.output.includes(words), log.includes(words)]).toEqual([false, false]);
  });

  test('stopped, it leaves no process; it starts again from a stale or empty note of one, and where its password is lost', async () => {
    test.setTimeout(180_000);
    const postmaster = first.postmaster;
    expect(await first.stop()).toBe(0);
    // A process that has ended and that nobody asks after keeps its number; it runs nothing.
    const command = `/proc/${postmaster}/cmdline`;
    expect(existsSync(command) ? readFileSync(command, 'utf8') : '').toBe('');
    const note = join(first.folder, 'postgres', 'postmaster.pid');
    for (const stale of ['', `${process.pid}\n/nowhere\n1\n5432\n`]) {
      writeFileSync(note, stale);
      await first.start();
      expect(await first.stop()).toBe(0);
    }
    writeFileSync(note, '999999999\n');
    rmSync(join(first.folder, 'postgres.password'));
    await first.start();
    expect(first.output).toContain('it gets a new one');
    expect(await first.stop()).toBe(0);
  });
});

test.describe('a folder that is not its own', () => {
  const filesIn = (folder: string): string[] =>
    execFileSync('find', [folder, '-type', 'f', '-not', '-name', 'lock'])
      .toString()
      .trim()
      .split('\n')
      .sort();

  for (const [what, fill] of [
    [
      'somebody’s files',
      (data: string) => writeFileSync(join(data, 'thesis.odt'), 'years of work'),
    ],
    [
      'a damaged database',
      (data: string) => {
        mkdirSync(join(data, 'base'));
        writeFileSync(join(data, 'base', 'rows'), 'everything');
      },
    ],
    [
      'a database of another version',
      (data: string) => {
        for (const name of ['base', 'global']) mkdirSync(join(data, name));
        writeFileSync(join(data, 'PG_VERSION'), '9\n');
        writeFileSync(join(data, 'global', 'pg_control'), 'x');
      },
    ],
  ] as const)
    test(`${what} in its place is refused, and nothing of it is touched`, async () => {
      const server = await own();
      const data = join(server.folder, 'postgres');
      mkdirSync(data);
      fill(data);
      const before = filesIn(server.folder);
      const said = await server.startInVain();
      expect(said).toMatch(/was touched/);
      expect(said).not.toMatch(/\n\s+at /);
      expect(filesIn(server.folder)).toEqual(before);
    });

  test('a database of another user, or one that others may read, is told, and left as it is', async () => {
    const server = await own();
    const data = join(server.folder, 'postgres');
    for (const name of ['', 'base', 'global']) mkdirSync(join(data, name));
    for (const name of ['PG_VERSION', 'global/pg_control']) writeFileSync(join(data, name), '');
    const isRoot = process.getuid?.() === 0;
    // As root the database runs under the user postgres: what root has made is another user's.
    if (isRoot) {
      expect(await server.startInVain()).toContain(`${data} belongs to another user`);
      execFileSync('chown', ['-R', 'postgres', data]);
    }
    chmodSync(data, 0o755);
    const said = await server.startInVain();
    expect(said).toContain(`${data} may be read or written by others (mode 755)`);
    expect(said).toContain('Nothing in it was touched');
    expect(said).not.toMatch(/\n\s+at /);
    expect(statSync(data).mode & 0o777).toBe(0o755);
  });

  test('equal ports are told before anything is made', async () => {
    const port = await freePort();
    const server = await OwnServer.make({ port, env: { SORMET_SITES_PORT: String(port) } });
    made.push(server);
    expect(await server.startInVain()).toContain(`are both ${port}; they must differ`);
    expect(readdirSync(server.folder)).toEqual([]);
  });

  for (const folder of ['/proc/x', '/dev/null/x'])
    test(`${folder} is refused in clear words`, async () => {
      const server = await OwnServer.make({ folder });
      const said = await server.startInVain();
      expect(said).toContain('Name another in SORMET_DATA');
      expect(said).not.toMatch(/\n\s+at /);
    });

  test('what it left half made itself, killed at whatever moment, is made again; what it did not mark is not', async () => {
    test.setTimeout(180_000);
    const server = await own();
    const making = join(server.folder, 'postgres.making');
    mkdirSync(making);
    writeFileSync(join(making, 'PG_VERSION'), '');
    expect(await server.startInVain()).toContain('was not made by Sormet');
    expect(readdirSync(making)).toEqual(['PG_VERSION']);
    writeFileSync(making + '.by-sormet', '');
    for (const wait of [150, 600, 1500]) {
      const child = server.launch();
      await pause(wait);
      expect([wait, server.output, child.exitCode]).toEqual([wait, server.output, null]);
      child.kill('SIGKILL');
      await once(child, 'exit');
      // initdb ends by itself, or is ended by what it can no longer do.
      await pause(300);
    }
    await server.start();
    expect(existsSync(making)).toBe(false);
    await server.remove();
  });

  test('two first starts at once: one serves, the other says why not', async () => {
    test.setTimeout(180_000);
    const one = await own();
    const other = await OwnServer.make({ folder: one.folder });
    const losing = [one, other].map(async (server) => {
      try {
        await server.start();
        return undefined;
      } catch (error) {
        return (error as Error).message;
      }
    });
    const said = (await Promise.all(losing)).filter((words) => words !== undefined);
    expect(said).toHaveLength(1);
    expect(said[0]).toContain('is in use by another Sormet');
    await other.stop();
    await one.stop();
  });
});

test('from a path with quotes, spaces and dollars: listening wider is said loudly, and only names that are allowed are answered to', async () => {
  test.setTimeout(120_000);
  const outer = await own();
  const server = await own({
    folder: join(outer.folder, `it's "odd" $HOME & more`),
    env: { SORMET_HOST: '0.0.0.0', SORMET_NAMES: 'sheds.example' },
  });
  await server.start();
  expect(server.output).toContain('ATTENTION: Sormet listens on 0.0.0.0');
  const status = (host: string) =>
    Number(
      execFileSync('curl', [
        '-s',
        '-o',
        '/dev/null',
        '-w',
        '%{http_code}',
        '-H',
        `host: ${host}`,
        `${server.address}/api/health`,
      ]).toString(),
    );
  expect([status('evil.example'), status('sheds.example'), status('localhost')]).toEqual([
    403, 200, 200,
  ]);
  await server.remove();
});
