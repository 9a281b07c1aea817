import { randomInt } from 'node:crypto';
import { Client } from 'pg';
import { say } from '@sormet/core/said';
import type { SiteStore } from '../database/site-store';
import { logFault } from '../http/log';
import { Compilations } from './compilations';
import { Compiling, type Ending } from './compiling';
import { WORK, type CompileQueue, type Step, type Taken } from './queue';
import { failRelease, Releasing } from './releasing';
import { Timed } from './timed';
import { WORKER_LOCKS } from './worker-locks';

/** How long a worker that has nothing to do waits before it looks by itself, in ms. */
const LOOK_AGAIN = 2000;
/** How often it is looked whether something is to be published by itself, in ms. */
const LOOK_AT_TIME = 10_000;
/** How long to wait before the database is tried again, in ms. */
const AGAIN = 1000;
/** How long it is waited for a connection, in ms. */
const PATIENCE = 5000;

/** What is said of what no worker could make. */
const FAILED_TOO_OFTEN = say('failed-too-often');

/**
 * Takes jobs one after the other. As long as it is there its connection holds a lock, which tells others that what it has
 * taken is in good hands; they take it up when the lock is gone.
 */
export class Worker {
  private readonly compiling: Compiling;
  private readonly releasing: Releasing;
  private readonly timed: Timed;
  private client: Client | undefined;
  /** What it is known by: another with each connection. */
  private key = 0;
  private wake: () => void = () => undefined;
  private closed = false;
  /** Jobs that failed: they are owed to the queue, also where they could not be given back at once. */
  private readonly failed: Taken[] = [];
  private going: Promise<void> | undefined;

  constructor(
    private readonly store: SiteStore,
    private readonly queue: CompileQueue,
    private readonly url: string,
  ) {
    this.compiling = new Compiling(store, queue);
    const compilations = new Compilations(store, queue);
    this.releasing = new Releasing(store, this.compiling, compilations);
    this.timed = new Timed(store, this.compiling, compilations);
  }

  /** @throws when there is no connection to be had */
  async start(): Promise<void> {
    await this.hold();
    this.going = this.work();
  }

  /** Ends when what it does is done. */
  async stop(): Promise<void> {
    this.closed = true;
    this.wake();
    await this.going;
    await this.client?.end();
  }

  private async hold(): Promise<void> {
    const client = new Client({
      connectionString: this.url,
      keepAlive: true,
      connectionTimeoutMillis: PATIENCE,
    });
    const lost = () => {
      // One that never was there wakes nobody: it would be tried again without a pause.
      if (this.client !== client) return;
      this.client = undefined;
      this.wake();
    };
    client.on('error', lost);
    client.on('end', lost);
    client.on('notification', () => this.wake());
    try {
      await client.connect();
      const key = randomInt(1, 2 ** 31 - 1);
      await client.query('SELECT pg_advisory_lock($1, $2)', [WORKER_LOCKS, key]);
      await client.query(`LISTEN ${WORK}`);
      this.key = key;
      this.client = client;
    } catch (error) {
      client.end().catch(() => undefined); // It is of no use any more, whether or not it can say goodbye.
      throw error;
    }
  }

  private async work(): Promise<void> {
    let looked = 0;
    let timed = 0;
    while (!this.closed) {
      const woken = this.woken();
      try {
        if (!this.client) await this.hold();
        if (Date.now() - looked > LOOK_AGAIN / 2) {
          looked = Date.now();
          await this.takeUpLost();
        }
        if (Date.now() - timed > LOOK_AT_TIME) {
          timed = Date.now();
          await this.timed.look();
        }
        await this.settleFailed();
        const taken = await this.queue.take(this.key);
        if (taken) await this.do(taken);
        else await woken(LOOK_AGAIN);
      } catch (error) {
        logFault('A worker', error);
        await woken(AGAIN);
      }
    }
  }

  /** What waits until somebody wakes it from now on, or a time in ms is over. */
  private woken(): (ms: number) => Promise<void> {
    let late: NodeJS.Timeout | undefined;
    const called = new Promise<void>((done) => {
      this.wake = () => {
        clearTimeout(late);
        done();
      };
    });
    return (ms) => {
      if (this.closed) return Promise.resolve();
      late = setTimeout(() => this.wake(), ms);
      return called;
    };
  }

  private async do(taken: Taken): Promise<void> {
    try {
      const ending = await this.ending(taken.step);
      await this.store.database.transaction(async (manager) => {
        await ending(manager);
        await this.queue.done(manager, taken);
      });
    } catch (error) {
      logFault('A job of a worker', error);
      this.failed.push(taken);
    }
  }

  /**
   * Whatever a job failed at, it is done again some times: that what the database or the machine did to it goes away is
   * likelier than that every kind of such a failure is known.
   */
  private async settleFailed(): Promise<void> {
    for (let first = this.failed[0]; first; first = this.failed[0]) {
      await this.again(first);
      this.failed.shift();
    }
  }

  private ending(step: Step): Promise<Ending> {
    switch (step.step) {
      case 'begin':
        return this.compiling.begin(step.compilation);
      case 'part':
        return this.compiling.part(step.compilation, step.part);
      case 'together':
        return this.compiling.together(step.compilation);
      case 'release':
        return this.releasing.release(step.release);
    }
  }

  /** Lets what workers had that are gone be done by those that are there. */
  private async takeUpLost(): Promise<void> {
    for (const taken of await this.queue.lost()) await this.again(taken);
  }

  private async again(taken: Taken): Promise<void> {
    if (!(await this.queue.again(taken))) await this.giveUp(taken);
  }

  /** Ends what a job was for, and says so. */
  private async giveUp(taken: Taken): Promise<void> {
    const { step } = taken;
    await this.store.database.transaction(async (manager) => {
      if (step.step === 'release') await failRelease(manager, step.release, FAILED_TOO_OFTEN);
      else await this.compiling.fail(manager, step.compilation, FAILED_TOO_OFTEN);
      await this.queue.done(manager, taken);
    });
  }
}
