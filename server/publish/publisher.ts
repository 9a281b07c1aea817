import PgBoss from 'pg-boss';
import { In, type EntityManager } from 'typeorm';
import { newId } from '@sormet/core/model';
import { COMPILER, type Manifest, type PlannedPage } from '@sormet/core/compile';
import { isAway } from '../database/away';
import { FileEntity, ReleaseEntity, SiteEntity, type ReleaseRow } from '../database/entities';
import { heldSite } from '../database/held-site';
import type { SiteStore } from '../database/site-store';
import { unsafeInSvg } from '../files/clean-svg';
import { logFault } from '../http/log';
import { Problem } from '../http/problem';
import { CHANNEL } from '../live/channel';
import { Planner } from './plan';

const QUEUE = 'publish';

/** How often a plan is made again when what is live changed while it was made. */
const TRIES = 3;

/** Makes releases as jobs in PostgreSQL, so that any worker process can take them. */
export class Publisher {
  readonly planner: Planner;
  private readonly boss: PgBoss;
  private worker: string | undefined;

  constructor(
    private readonly store: SiteStore,
    url: string,
  ) {
    this.planner = new Planner(store);
    this.boss = new PgBoss({ connectionString: url, max: 3 });
    this.boss.on('error', (error) => logFault('The queue of releases', error));
  }

  async start(): Promise<void> {
    await this.boss.start();
    await this.boss.createQueue(QUEUE);
    this.worker = await this.boss.work<{ release: string }>(
      QUEUE,
      { pollingIntervalSeconds: 0.5 },
      async (jobs) => {
        for (const { data } of jobs) await this.make(data.release);
      },
    );
    await this.takeUp();
  }

  /**
   * Asks again for releases that were begun and are not done: by a server that is gone, or while the database was
   * away. Making one twice gives the same.
   */
  async takeUp(): Promise<void> {
    const begun = await this.store.database
      .getRepository(ReleaseEntity)
      .find({ where: [{ state: 'waiting' }, { state: 'making' }], select: { id: true } });
    for (const { id } of begun) await this.send(id);
  }

  private async send(release: string): Promise<void> {
    await this.boss.send(QUEUE, { release }, { retryLimit: 2 });
    if (this.worker !== undefined) this.boss.notifyWorker(this.worker);
  }

  async stop(): Promise<void> {
    await this.boss.stop({ graceful: true, timeout: 3000 });
  }

  /**
   * Asks for a release of the newest revision: what was planned is what will be made. The plan is made before
   * the site's row is held, so that nobody who holds it waits for anything else.
   * @throws a 409 problem when it would change nothing, or one is on its way
   */
  async ask(siteId: string): Promise<ReleaseRow> {
    const { database } = this.store;
    for (let tries = 0; tries < TRIES; tries += 1) {
      const site = await this.store.site(siteId);
      if (!site) throw new Problem(404, 'Not found', 'There is no such site.');
      await this.refuseWhileBusy(siteId, database.manager);
      const plan = await this.planner.plan(site);
      if (plan.pages.length === 0)
        throw new Problem(
          409,
          'Nothing to publish',
          'Every page is published as it is; there is nothing to publish.',
        );
      const release = await database.transaction(async (manager) => {
        // Of two who ask at once the second sees the first's release.
        const held = await heldSite(manager, siteId);
        if (held?.liveRelease !== site.liveRelease) return undefined;
        await this.refuseWhileBusy(siteId, manager);
        const releases = manager.getRepository(ReleaseEntity);
        const last = await releases.findOne({ where: { site: siteId }, order: { number: 'DESC' } });
        const made: ReleaseRow = {
          id: newId(),
          site: siteId,
          number: (last?.number ?? 0) + 1,
          revision: plan.revision,
          state: 'waiting',
          done: 0,
          of: plan.compiled.made + plan.compiled.kept,
          plan: [...plan.pages],
          manifest: {},
          error: null,
          at: new Date(),
          compiler: COMPILER,
        };
        await releases.insert(made as never);
        return made;
      });
      if (!release) continue;
      await this.send(release.id);
      return release;
    }
    throw new Problem(503, 'Busy', 'What is live kept changing; nothing was published. Try again.');
  }

  private async refuseWhileBusy(site: string, manager: EntityManager): Promise<void> {
    const busy = await manager
      .getRepository(ReleaseEntity)
      .existsBy({ site, state: In(['waiting', 'making']) });
    if (busy) throw new Problem(409, 'Already publishing', 'A release is being made already.');
  }

  /** Makes a release of the revision it was planned for: pages compiled, new files stored, and last of all the pointer moved. */
  private async make(id: string): Promise<void> {
    const releases = this.store.database.getRepository(ReleaseEntity);
    try {
      const release = await releases.findOneBy({ id });
      if (!release || release.state === 'done' || release.state === 'failed') return;
      const site = await this.store.site(release.site);
      if (!site) return;
      await releases.update({ id }, { state: 'making', done: 0 });
      let told = Date.now();
      const plan = await this.planner.planOf(site, release.revision, (done, of) => {
        if (Date.now() - told < 200 && done < of) return;
        told = Date.now();
        releases
          .update({ id }, { done, of })
          .catch((error: unknown) => logFault('The progress of a release', error));
      });
      await this.finish(release, plan.compiled.texts, plan.compiled.manifest, plan.pages);
    } catch (error) {
      logFault('A release', error);
      // With the database away nothing can be said of it there; it is taken up again when the database is back.
      if (isAway(error)) return;
      await releases
        .update({ id }, { state: 'failed', error: (error as Error).message })
        .catch((again: unknown) => logFault('The failure of a release', again));
    }
  }

  private async finish(
    { id, site }: ReleaseRow,
    texts: ReadonlyMap<string, string>,
    manifest: Manifest,
    pages: readonly PlannedPage[],
  ): Promise<void> {
    await this.store.database.transaction(async (manager) => {
      const files = manager.getRepository(FileEntity);
      const wanted = [...new Set(Object.values(manifest).map(({ sha256 }) => sha256))];
      const there = await storedAmong(manager, wanted);
      const kinds = new Map(Object.values(manifest).map((file) => [file.sha256, file.mediaType]));
      for (const [sha256, text] of texts) {
        if (there.has(sha256)) continue;
        const bytes = Buffer.from(text, 'utf8');
        await files.upsert({ sha256, mediaType: kinds.get(sha256)!, bytes }, ['sha256']);
        there.add(sha256);
      }
      for (const [path, { sha256, mediaType }] of Object.entries(manifest)) {
        if (!there.has(sha256))
          throw new Error(`The file of ${path} is not stored; bring it in again.`);
        if (mediaType !== 'image/svg+xml') continue;
        const { bytes } = await files.findOneByOrFail({ sha256 });
        const unsafe = unsafeInSvg(bytes.toString('utf8'));
        if (unsafe !== undefined)
          throw new Error(`The picture ${path} holds ${unsafe}; bring it in again.`);
      }
      await manager.getRepository(ReleaseEntity).update(
        { id },
        {
          state: 'done',
          manifest: manifest as never,
          plan: [...pages] as never,
          at: new Date(),
          compiler: COMPILER,
          error: null,
        },
      );
      await manager.getRepository(SiteEntity).update({ id: site }, { liveRelease: id });
      const { revision } = await manager.getRepository(SiteEntity).findOneByOrFail({ id: site });
      await manager.query('SELECT pg_notify($1, $2)', [
        CHANNEL,
        JSON.stringify({ site, revision }),
      ]);
    });
  }

  /** Makes a past release live again: one pointer moves. */
  async goBackTo(siteId: string, id: string): Promise<void> {
    const { database } = this.store;
    const release = await database
      .getRepository(ReleaseEntity)
      .findOneBy({ id, site: siteId, state: 'done' });
    if (!release) throw new Problem(404, 'Not found', 'There is no such release.');
    await database.getRepository(SiteEntity).update({ id: siteId }, { liveRelease: id });
  }
}

/** Which of these files are stored. */
async function storedAmong(
  manager: EntityManager,
  hashes: readonly string[],
): Promise<Set<string>> {
  const found = new Set<string>();
  for (let i = 0; i < hashes.length; i += 1000) {
    const rows = await manager
      .getRepository(FileEntity)
      .find({ where: { sha256: In(hashes.slice(i, i + 1000)) }, select: { sha256: true } });
    for (const { sha256 } of rows) found.add(sha256);
  }
  return found;
}
