import PgBoss from 'pg-boss';
import type { DataSource, EntityManager } from 'typeorm';
import { COMPILER } from '@sormet/core/compile';
import { logFault } from '../http/log';
import { WORKER_LOCKS } from './worker-locks';

/** One job of a worker: the beginning of a compilation, one of its parts, its end; or the end of a release. */
export type Step =
  | { readonly step: 'begin' | 'together'; readonly compilation: string }
  | { readonly step: 'part'; readonly compilation: string; readonly part: number }
  | { readonly step: 'release'; readonly release: string };

/** A job that a worker has taken. */
export interface Taken {
  readonly id: string;
  readonly step: Step;
  /** Who has taken it. */
  readonly worker: number;
}

/** Workers take only what was asked of their version of the compiler: another would make other pages. */
const QUEUE = `compile-${COMPILER}`;
/** The PostgreSQL channel on which workers hear that there is something to do. */
export const WORK = 'sormet_work';

/** How often a job is begun at the most: a worker that is killed takes none of it along, but what kills every worker ends. */
const TRIES = 5;
/** How long a job may take before somebody else takes it up though its worker is there. */
const LONGEST_HOURS = 1;

/** Jobs for workers, in PostgreSQL (pg-boss), and which worker has taken which: so that what a killed one had is taken up. */
export class CompileQueue {
  private readonly boss: PgBoss;

  /** @param tends whether this process looks after the tables of the queue; servers do, workers need not */
  constructor(
    private readonly database: DataSource,
    url: string,
    private readonly tends: boolean,
  ) {
    this.boss = new PgBoss({
      connectionString: url,
      max: tends ? 2 : 1,
      migrate: tends,
      supervise: tends,
      schedule: false,
    });
    this.boss.on('error', (error) => logFault('The queue of workers', error));
  }

  async start(): Promise<void> {
    await this.boss.start();
    await this.boss.createQueue(QUEUE);
  }

  async stop(): Promise<void> {
    await this.boss.stop({ graceful: true, timeout: 3000 });
  }

  /** Asks workers for something, when the transaction is done that this is part of. */
  async send(manager: EntityManager, steps: readonly Step[]): Promise<void> {
    if (steps.length === 0) return;
    await this.boss.insert(
      steps.map((data) => ({
        name: QUEUE,
        data,
        retryLimit: TRIES - 1,
        retryDelay: 1,
        expireInSeconds: LONGEST_HOURS * 60 * 60,
      })),
      { db: within(manager) },
    );
    await wake(manager);
  }

  /** Takes the next job for a worker, if there is one. */
  take(worker: number): Promise<Taken | undefined> {
    return this.database.transaction(async (manager) => {
      const [job] = await this.boss.fetch<Step>(QUEUE, { db: within(manager), batchSize: 1 });
      if (!job) return undefined;
      await manager.query(
        `INSERT INTO taken_jobs (job, worker, about) VALUES ($1, $2, $3)
         ON CONFLICT (job) DO UPDATE SET worker = excluded.worker`,
        [job.id, worker, job.data],
      );
      return { id: job.id, step: job.data, worker };
    });
  }

  /** Ends a job, in the transaction that stores what came of it. */
  async done(manager: EntityManager, { id }: Taken): Promise<void> {
    await manager.query('DELETE FROM taken_jobs WHERE job = $1', [id]);
    await this.boss.deleteJob(QUEUE, id, { db: within(manager) });
  }

  /**
   * Lets a job be begun again, unless somebody has it by now.
   * @returns whether it is; not, when it was begun too often: then it stays until it is ended
   */
  async again({ id, worker }: Taken): Promise<boolean> {
    return this.database.transaction(async (manager) => {
      const db = within(manager);
      const held = (await manager.query(
        'SELECT 1 FROM taken_jobs WHERE job = $1 AND worker = $2 FOR UPDATE',
        [id, worker],
      )) as unknown[];
      if (held.length === 0) return true;
      const job = await this.boss.getJobById(QUEUE, id, { db, includeArchive: false });
      const isActive = job?.state === 'active';
      if (isActive && job.retryCount >= job.retryLimit) return false;
      await manager.query('DELETE FROM taken_jobs WHERE job = $1', [id]);
      if (isActive) await this.boss.fail(QUEUE, id, { db });
      await wake(manager);
      return true;
    });
  }

  /** The jobs whose workers are gone: what holds a worker's lock is its connection, which ends with it, however it ends. */
  async lost(): Promise<Taken[]> {
    return (await this.database.query(
      `SELECT job AS id, about AS step, worker FROM taken_jobs
        WHERE NOT EXISTS (SELECT 1 FROM pg_locks WHERE ${HELD_HERE} AND objid = worker)`,
      [WORKER_LOCKS],
    )) as Taken[];
  }

  /** How many workers there are. */
  async workers(): Promise<number> {
    const [row] = (await this.database.query(
      `SELECT count(*)::int AS count FROM pg_locks WHERE ${HELD_HERE}`,
      [WORKER_LOCKS],
    )) as [{ count: number }];
    return row.count;
  }
}

/** Which of all advisory locks of the server are those of workers on this database. */
const HELD_HERE = `locktype = 'advisory' AND classid = $1 AND granted
  AND database = (SELECT oid FROM pg_database WHERE datname = current_database())`;

async function wake(manager: EntityManager): Promise<void> {
  await manager.query(`NOTIFY ${WORK}`);
}

/** What pg-boss asks of a database, as part of a transaction. */
function within(manager: EntityManager): PgBoss.Db {
  return {
    async executeSql(text, values) {
      const { records } = (await manager.queryRunner!.query(text, values, true)) as {
        records?: unknown[];
      };
      return { rows: records ?? [] };
    },
  };
}
