import { spawn, spawnSync } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import {
  accessSync,
  chmodSync,
  chownSync,
  closeSync,
  constants,
  existsSync,
  mkdirSync,
  openSync,
  readdirSync,
  readFileSync,
  readlinkSync,
  realpathSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { connect } from 'node:net';
import { dirname, join, resolve } from 'node:path';
import { root, run } from './install.mjs';
import { lockFolder } from './folder-lock.mjs';
import { freePort } from './ports.mjs';
import { makeDatabase } from './roles.mjs';
import { say, Trouble } from './say.mjs';

const isRoot = process.getuid?.() === 0;

/** The user that runs PostgreSQL: the server refuses root. */
function databaseUser() {
  if (!isRoot) return undefined;
  const [, , uid, gid] = run('getent', ['passwd', 'postgres']).trim().split(':');
  return { uid: Number(uid), gid: Number(gid) };
}

/** Whether the user postgres could reach a folder: every folder above lets others through. */
function reachable(folder) {
  for (let at = folder; ; at = dirname(at)) {
    if (existsSync(at) && (statSync(at).mode & 0o001) === 0) return false;
    if (at === dirname(at)) return true;
  }
}

/**
 * The folder of the database and everything else that is kept: SORMET_DATA, or one that can be reached.
 * @param use what it is for, where that is not what people start
 */
export function dataFolder(use = '') {
  if (process.env.SORMET_DATA) return resolve(process.env.SORMET_DATA);
  const suffix = use === '' ? '' : `-${use}`;
  const beside = join(root, `.data${suffix}`);
  if (!isRoot || reachable(dirname(beside))) return beside;
  return `/var/lib/sormet${suffix}`;
}

/** Where the address of the database stands as long as it runs, for workers of the same user. */
export function addressFile(folder) {
  return join(folder, 'database.address');
}

/** Whether somebody takes connections on a port of this machine. */
export function accepts(port) {
  return new Promise((answer) => {
    const socket = connect(port, '127.0.0.1');
    socket.setTimeout(2000, () => socket.destroy(new Error('no answer')));
    socket.once('connect', () => {
      socket.destroy();
      answer(true);
    });
    socket.once('error', () => answer(false));
  });
}

/** The processes of PostgreSQL that work on a folder, or on one below it: told to, or in it. */
function processesOn(folder) {
  return readdirSync('/proc')
    .filter((name) => /^\d+$/.test(name))
    .map(Number)
    .filter((pid) => {
      try {
        const words = readFileSync(`/proc/${pid}/cmdline`, 'utf8').split('\0');
        const program = /\/(initdb|postgres)$/.test(words[0]);
        if (program && words.some((word) => word.includes(folder))) return true;
        // What initdb runs is not told its folder, it works in it; and so do the processes of a server.
        return (
          (program || words[0].startsWith('postgres:')) &&
          readlinkSync(`/proc/${pid}/cwd`).startsWith(folder)
        );
      } catch {
        // It ended while this looked, or is not ours to look at.
        return false;
      }
    });
}

/** Kills a process, unless it ended by itself since it was seen. */
function killIfThere(pid) {
  try {
    process.kill(pid, 'SIGKILL');
  } catch (error) {
    if (error.code !== 'ESRCH') throw error;
  }
}

const pause = (ms) => new Promise((done) => setTimeout(done, ms));

/**
 * Removes a folder that processes of PostgreSQL may be at work in, whom nobody waits for any more: they are killed first.
 * What one of them wrote while it was removed is removed again.
 */
export async function removeWithWriters(folder) {
  for (let tries = 1; ; tries += 1) {
    for (let left = processesOn(folder); left.length > 0; left = processesOn(folder)) {
      for (const pid of left) killIfThere(pid);
      await pause(50);
    }
    try {
      rmSync(folder, { recursive: true, force: true });
      return;
    } catch (error) {
      if (error.code !== 'ENOTEMPTY' || tries === 50) throw error;
      await pause(100);
    }
  }
}

/** Makes a folder and those above it, one by one: told to make them all at once, Node tries for ever below /proc. */
function makeFolder(folder) {
  if (existsSync(folder)) return;
  makeFolder(dirname(folder));
  mkdirSync(folder);
}

function openFolder(folder) {
  try {
    makeFolder(folder);
    accessSync(folder, constants.W_OK);
  } catch (error) {
    throw new Trouble(
      `The data folder ${folder} cannot be written (${error.code}). Name another in SORMET_DATA.`,
    );
  }
  if (isRoot && !reachable(folder))
    throw new Trouble(
      `As root, PostgreSQL runs under the user postgres, which cannot reach ${folder}. Name another folder in SORMET_DATA.`,
    );
}

/** One cluster of PostgreSQL in a data folder. Nobody else touches it while the folder is locked. */
class Cluster {
  constructor(programs, folder, durable) {
    this.programs = programs;
    this.folder = folder;
    this.durable = durable;
    this.data = join(folder, 'postgres');
    this.secret = join(folder, 'postgres.password');
    this.owner = databaseUser();
    this.as = this.owner ? { uid: this.owner.uid, gid: this.owner.gid } : {};
  }

  run(program, args, options = {}) {
    return spawnSync(join(this.programs, program), args, {
      cwd: '/',
      encoding: 'utf8',
      ...this.as,
      ...options,
    });
  }

  /** Makes the cluster when there is none. What is there and is no whole cluster is never touched. */
  async prepare() {
    if (existsSync(this.data)) {
      const whole = ['PG_VERSION', 'global/pg_control', 'base'].every((name) =>
        existsSync(join(this.data, name)),
      );
      if (!whole)
        throw new Trouble(
          `${this.data} is there, but it is no whole database of PostgreSQL. Nothing in it was touched. ` +
            'Move it away to begin anew, bring back what is missing, or name another folder in SORMET_DATA.',
        );
      this.checkOwner();
      const version = readFileSync(join(this.data, 'PG_VERSION'), 'utf8').trim();
      const installed = /(\d+)/.exec(this.run('postgres', ['--version']).stdout ?? '')?.[1];
      if (version !== installed)
        throw new Trouble(
          `${this.data} was made by PostgreSQL ${version || 'of an unknown version'}; installed is ${installed}. ` +
            `Nothing was touched. Install postgresql-${version || 'of that version'}, or name another folder in SORMET_DATA.`,
        );
      if (!existsSync(this.secret) || readFileSync(this.secret, 'utf8').trim() === '')
        this.setPassword();
      return;
    }
    await this.make();
  }

  /** PostgreSQL takes only a folder of its own user that others may not write to: what is otherwise is told, and left as it is. */
  checkOwner() {
    const { uid, mode } = statSync(this.data);
    const wanted = this.owner ? this.owner.uid : process.getuid?.();
    if (wanted !== undefined && uid !== wanted)
      throw new Trouble(
        `${this.data} belongs to another user (${uid}, not ${wanted}). Nothing in it was touched. ` +
          `Give it to the user that runs the database (chown -R ${wanted} ${this.data}), or name another folder in SORMET_DATA.`,
      );
    if ((mode & 0o027) !== 0)
      throw new Trouble(
        `${this.data} may be read or written by others (mode ${(mode & 0o777).toString(8)}). Nothing in it was touched. ` +
          `PostgreSQL wants it closed (chmod 700 ${this.data}).`,
      );
  }

  /** Makes it beside, marked as half made, and puts it in place when it is whole. */
  async make() {
    const making = this.data + '.making';
    const mark = making + '.by-sormet';
    if (existsSync(making)) {
      if (!existsSync(mark))
        throw new Trouble(
          `${making} is in the way and was not made by Sormet. Nothing in it was touched. Move it away.`,
        );
      // A start that was killed may have left what it ran at work there.
      await removeWithWriters(making);
    }
    say('Making the database …');
    writeFileSync(mark, 'Half made by Sormet; it may be removed.\n');
    mkdirSync(making);
    chmodSync(making, 0o700);
    const password = randomBytes(24).toString('hex');
    const passwordFile = join(this.folder, 'postgres.new-password');
    writeFileSync(passwordFile, password, { mode: 0o600 });
    if (this.owner)
      for (const path of [making, passwordFile]) chownSync(path, this.owner.uid, this.owner.gid);
    const made = this.run('initdb', [
      '-D',
      making,
      '-U',
      'sormet',
      '--auth=scram-sha-256',
      `--pwfile=${passwordFile}`,
      '--encoding=UTF8',
      '--locale=C',
      ...(this.durable ? [] : ['--no-sync']),
    ]);
    rmSync(passwordFile, { force: true });
    if (made.status !== 0) {
      rmSync(making, { recursive: true, force: true });
      rmSync(mark, { force: true });
      throw new Trouble(
        `PostgreSQL could not make its data folder in ${this.folder}:\n${made.stderr || made.error}`,
      );
    }
    writeFileSync(this.secret, password, { mode: 0o600 });
    renameSync(making, this.data);
    rmSync(mark, { force: true });
  }

  /** Gives the role that owns the cluster a password when the file with it is lost: with the server down, nobody else can. */
  setPassword() {
    const running = this.runningPid();
    if (running !== undefined) this.end(running);
    say('The password of the database was lost; it gets a new one.');
    const password = randomBytes(24).toString('hex');
    this.clearStalePid();
    const done = this.run('postgres', ['--single', '-D', this.data, 'postgres'], {
      input: `ALTER ROLE sormet PASSWORD '${password}';\n`,
    });
    // The cluster of an older version holds everything in the database “postgres”; newer ones hold that one too.
    if (done.status !== 0)
      throw new Trouble(`The database could not get a new password:\n${done.stderr}`);
    writeFileSync(this.secret, password, { mode: 0o600 });
  }

  pidLines() {
    const file = join(this.data, 'postmaster.pid');
    return existsSync(file) ? readFileSync(file, 'utf8').split('\n') : [];
  }

  /** The process that serves this cluster, when one does: told from what it is, since process ids are used again. */
  runningPid() {
    const pid = Number(this.pidLines()[0]);
    if (!Number.isInteger(pid) || pid <= 0) return undefined;
    try {
      const here = realpathSync(this.data);
      const name = readFileSync(`/proc/${pid}/comm`, 'utf8').trim();
      return name === 'postgres' && readlinkSync(`/proc/${pid}/cwd`) === here ? pid : undefined;
    } catch (error) {
      if (error.code === 'ENOENT' || error.code === 'ESRCH' || error.code === 'EACCES')
        return undefined;
      throw error;
    }
  }

  /** Takes away the note of a server that is gone: empty, of a process that is none, or of another program's. */
  clearStalePid() {
    if (this.pidLines().length > 0 && this.runningPid() === undefined)
      rmSync(join(this.data, 'postmaster.pid'), { force: true });
  }

  /** Starts the server, or goes on with one that a killed start left. @returns its port */
  async start(wanted) {
    let why = '';
    // A server that was killed may take a moment to be gone: its last processes hold on to its memory.
    for (let tries = 0; tries < 20; tries += 1) {
      if (this.runningPid() !== undefined) {
        const port = Number(this.pidLines()[3]);
        if ((wanted === undefined || port === wanted) && (await accepts(port))) return port;
      } else {
        const port = wanted ?? (await freePort());
        why = await this.launch(port);
        if (why === '') return port;
      }
      await pause(300);
    }
    throw new Trouble(`PostgreSQL did not start on ${this.data}:\n${why}`);
  }

  /** @returns `''` when it takes connections, else what it said */
  async launch(port) {
    this.clearStalePid();
    const log = join(this.data, 'server.log');
    const out = openSync(log, 'a');
    if (this.owner) chownSync(log, this.owner.uid, this.owner.gid);
    const settings = {
      port,
      listen_addresses: '127.0.0.1',
      unix_socket_directories: '',
      max_connections: 100,
      // What sites hold is not for the log: no statements, no values.
      log_statement: 'none',
      log_min_error_statement: 'panic',
      log_error_verbosity: 'terse',
      ...(this.durable
        ? {}
        : {
            fsync: 'off',
            synchronous_commit: 'off',
            full_page_writes: 'off',
            // Its workers belong to no role, so the role of the tests may not end them: a database they are in could not be dropped.
            autovacuum: 'off',
          }),
    };
    // Started as it is, without a shell: paths may hold anything.
    const child = spawn(
      join(this.programs, 'postgres'),
      [
        '-D',
        this.data,
        ...Object.entries(settings).flatMap(([name, value]) => ['-c', `${name}=${value}`]),
      ],
      { cwd: '/', detached: true, stdio: ['ignore', out, out], ...this.as },
    );
    closeSync(out);
    let gone = false;
    child.once('exit', () => (gone = true));
    child.once('error', () => (gone = true));
    child.unref();
    for (let i = 0; i < 600 && !gone; i += 1) {
      const ready = this.run('pg_isready', ['-q', '-h', '127.0.0.1', '-p', String(port)]);
      if (ready.status === 0 && this.runningPid() !== undefined) return '';
      await pause(50);
    }
    if (!gone) child.kill('SIGQUIT');
    return readFileSync(log, 'utf8').split('\n').slice(-12).join('\n');
  }

  /** Ends the server that serves this cluster: what is open is rolled back (fast shutdown). */
  end(pid = this.runningPid()) {
    if (pid === undefined) return;
    this.run('pg_ctl', ['stop', '-w', '-t', '60', '-m', 'fast', '-D', this.data]);
  }
}

/**
 * Locks a data folder and runs a PostgreSQL server of its own in it: on loopback, on a port of its own. Nothing is
 * stopped or removed that was not started or made here.
 * @param durable whether what is stored must survive the machine; not for tests
 * @param tests whether the application's role may make databases, as tests do
 * @returns its address for the application, whose role is no superuser; what starts it again; what stops it
 */
export async function startPostgres(programs, folder, { durable = true, tests = false } = {}) {
  openFolder(folder);
  const release = await lockFolder(folder);
  const cluster = new Cluster(programs, folder, durable);
  try {
    await cluster.prepare();
    const port = await cluster.start();
    const password = readFileSync(cluster.secret, 'utf8').trim();
    const url = await makeDatabase({ port, password, tests });
    const address = addressFile(folder);
    rmSync(address, { force: true });
    writeFileSync(address, url + '\n', { mode: 0o600 });
    return {
      port,
      url,
      restart: () => cluster.start(port),
      stop() {
        rmSync(address, { force: true });
        cluster.end();
        release();
      },
    };
  } catch (error) {
    cluster.end();
    release();
    throw error;
  }
}
