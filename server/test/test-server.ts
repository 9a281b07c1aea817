import { randomBytes } from 'node:crypto';
import { once } from 'node:events';
import type { Server } from 'node:http';
import { Client } from 'pg';
import request from 'supertest';
import type { DataSource } from 'typeorm';
import { saidText } from '@sormet/core/said';
import { brackenfold } from '@sormet/demo';
import { applyChanges, isRefusal, runEdit, type NamedEdit, type Past } from '@sormet/core/edit';
import { newId, Documents } from '@sormet/core/model';
import type { ReleaseSummary } from '@sormet/core/api';
import { application } from '../application';
import { connect } from '../database/connect';
import { keepKeyframes } from '../database/keyframes';
import { SiteStore } from '../database/site-store';
import { LiveChanges } from '../live/live-changes';
import { loadDemo } from '../load-site';
import { tidySites } from '../tidy-sites';
import { upgradeSites } from '../upgrade-sites';
import { Compilations } from '../compile/compilations';
import { CompileQueue } from '../compile/queue';
import { Compiling } from '../compile/compiling';
import { Timed } from '../compile/timed';
import { Worker } from '../compile/worker';
import { Planner } from '../publish/plan';
import { Publisher } from '../publish/publisher';
import { Pictures } from '../files/pictures';
import { LiveReleases } from '../sites/live-releases';
import { sitesOrigin } from '../sites/sites-origin';

/** A server on a database of its own, with the demo loaded. */
export interface TestServer {
  readonly database: DataSource;
  readonly store: SiteStore;
  readonly api: ReturnType<typeof request>;
  readonly sites: ReturnType<typeof request>;
  readonly app: Server;
  readonly url: string;
  /** The documents as the server has them. */
  documents(): Promise<Documents>;
  /** Sends an edit as a window would that sees these documents. */
  send(edit: NamedEdit, seen?: Documents, id?: string, past?: Past): request.Test;
  /** Publishes the newest state and waits until that is done or has failed. */
  publish(): Promise<ReleaseSummary>;
  readonly compilations: Compilations;
  readonly queue: CompileQueue;
  /** Starts one more worker, in this process, with a store of its own as one elsewhere has. */
  startWorker(): Promise<{ readonly worker: Worker; readonly store: SiteStore }>;
  /** Ends every worker. */
  stopWorkers(): Promise<void>;
  readonly live: LiveChanges;
  readonly published: LiveReleases;
  /** What says which time it is; nothing for the machine's own. */
  setClock(instant: string | undefined): void;
  /** Looks whether something is to be published by itself, as workers do now and then. */
  lookAtTime(): Promise<void>;
  stop(): Promise<void>;
}

const SITES_PORT = 5181;

/**
 * @param stored SQL that makes a database of an earlier version, to begin from in place of an empty one
 * @throws when no database is named: `npm test` starts one and names it
 */
export async function startTestServer(stored?: string): Promise<TestServer> {
  const base = process.env['SORMET_TEST_DATABASE'];
  if (!base)
    throw new Error('SORMET_TEST_DATABASE is not set; “npm test” starts a database and sets it.');
  const name = 'test_' + randomBytes(6).toString('hex');
  if (stored === undefined) await copyOfDemo(base, name);
  else await inDatabase(base, `CREATE DATABASE ${name}`);
  const url = addressOf(base, name);
  if (stored !== undefined) await inDatabase(url, stored);
  const database = await connect(url);
  let set: string | undefined;
  const clock = () => (set === undefined ? new Date() : new Date(set));
  const store = await begin(database, clock);
  const live = new LiveChanges(url);
  const queue = new CompileQueue(database, url, true);
  const compilations = new Compilations(store, queue);
  const workers: Worker[] = [];
  const startWorker = async () => {
    const storeOfItsOwn = new SiteStore(database, clock);
    const worker = new Worker(storeOfItsOwn, queue, url);
    await worker.start();
    workers.push(worker);
    return { worker, store: storeOfItsOwn };
  };
  const stopWorkers = async () => {
    for (const worker of workers.splice(0)) await worker.stop();
  };
  const pictures = new Pictures();
  await live.start();
  await queue.start();
  await startWorker();
  const app = application({
    store,
    live,
    planner: new Planner(store, compilations),
    publisher: new Publisher(store, compilations),
    pictures,
    names: [],
    sitesPort: SITES_PORT,
    interfaceFolder: import.meta.dirname,
  }).listen(0, '127.0.0.1');
  const published = new LiveReleases(store);
  const sitesApp = sitesOrigin({
    store,
    live: published,
    port: SITES_PORT,
    framedBy: ['http://127.0.0.1:5180'],
  }).listen(0, '127.0.0.1');
  for (const each of [app, sitesApp]) if (!each.listening) await once(each, 'listening');
  const api = request(app);
  const documents = async () =>
    Documents.fromRecord(
      ((await api.get('/api/sites/brackenfold').expect(200)).body as { documents: never })
        .documents,
    );
  const first = await documents();
  return {
    database,
    store,
    api,
    sites: request(sitesApp),
    app,
    url,
    documents,
    async publish() {
      const { body } = await api.post('/api/sites/brackenfold/releases').expect(202);
      const { id } = body as ReleaseSummary;
      return eventually(async () => {
        const answer = await api.get(`/api/sites/brackenfold/releases/${id}`).expect(200);
        const release = answer.body as ReleaseSummary;
        return release.state === 'done' || release.state === 'failed' ? release : undefined;
      });
    },
    compilations,
    queue,
    startWorker,
    stopWorkers,
    live,
    published,
    setClock(instant) {
      set = instant;
    },
    lookAtTime: () => new Timed(store, new Compiling(store, queue), compilations).look(),
    send(edit, seen = first, id = newId(), past) {
      const changes = runEdit(seen, edit, past);
      if (isRefusal(changes)) throw new Error(saidText(changes.refused));
      return api
        .post('/api/sites/brackenfold/edits')
        .send({ id, who: 'a window', name: edit.name, args: edit.args, changes });
    },
    async stop() {
      await live.stop();
      await stopWorkers();
      await queue.stop();
      await pictures.stop();
      for (const server of [app, sitesApp]) {
        server.closeAllConnections();
        await new Promise((done) => server.close(done));
      }
      await published.stop();
      await database.destroy();
      await inDatabase(base, `DROP DATABASE ${name} WITH (FORCE)`);
    },
  };
}

const addressOf = (base: string, name: string) => base.replace(/\/[^/]*$/, '/' + name);

/** What a server does with its database when it begins. */
async function begin(database: DataSource, clock?: SiteStore['clock']): Promise<SiteStore> {
  await loadDemo(database, brackenfold);
  const store = new SiteStore(database, clock);
  await upgradeSites(store);
  await tidySites(store);
  await database.transaction(keepKeyframes);
  return store;
}

/** The database that others are copied from, and the number under which whoever makes it keeps the others waiting. */
const DEMO = 'test_demo';
const MAKING = 1;

/** Makes a database as one is with the demo loaded: a copy of one that the first who asks makes. */
async function copyOfDemo(base: string, name: string): Promise<void> {
  const client = new Client({ connectionString: base });
  await client.connect();
  try {
    await client.query('SELECT pg_advisory_lock($1)', [MAKING]);
    const { rowCount } = await client.query('SELECT 1 FROM pg_database WHERE datname = $1', [DEMO]);
    if (rowCount === 0) {
      // Under another name until it is whole.
      const half = `${DEMO}_half`;
      await client.query(`DROP DATABASE IF EXISTS ${half}`);
      await client.query(`CREATE DATABASE ${half}`);
      const database = await connect(addressOf(base, half));
      await begin(database);
      const queue = new CompileQueue(database, addressOf(base, half), true);
      await queue.start();
      await queue.stop();
      await database.destroy();
      await client.query(`ALTER DATABASE ${half} RENAME TO ${DEMO}`);
    }
    await client.query(`CREATE DATABASE ${name} TEMPLATE ${DEMO}`);
  } finally {
    await client.end();
  }
}

async function inDatabase(url: string, statement: string): Promise<void> {
  const client = new Client({ connectionString: url });
  await client.connect();
  try {
    await client.query(statement);
  } finally {
    await client.end();
  }
}

/** The documents after an edit, as a window that made it sees them. */
export function seeing(documents: Documents, edit: NamedEdit): Documents {
  const changes = runEdit(documents, edit);
  if (isRefusal(changes)) throw new Error(saidText(changes.refused));
  return applyChanges(documents, changes);
}

/** Waits until something holds, looking again and again; at most about forty seconds, on a machine that stands still meanwhile. */
export async function eventually<T>(look: () => Promise<T | undefined>): Promise<T> {
  for (let i = 0; i < 800; i += 1) {
    const found = await look();
    if (found !== undefined) return found;
    await new Promise((done) => setTimeout(done, 50));
  }
  throw new Error('It did not happen.');
}
