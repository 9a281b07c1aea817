import PgBoss from 'pg-boss';
import { In, type EntityManager } from 'typeorm';
import { newId } from '@sormet/core/model';
import { COMPILER, type Manifest, type PlannedPage } from '@sormet/core/compile';
import { isAway } from '../database/away';
import {
  ReleaseEntity,
  SiteEntity,
  type ReleaseRow,
  type ReleaseState,
  type SiteRow,
} from '../database/entities';
import { heldSite } from '../database/held-site';
import type { SiteStore } from '../database/site-store';
import { unsafeInSvg } from '../files/clean-svg';
import { storedAmong, storeFiles, wholeFile } from '../files/stored-files';
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
      .existsBy({ site, state: In(UNDER_WAY) });
    if (busy) throw new Problem(409, 'Already publishing', 'A release is being made already.');
  }

  /** Makes a release of the revision it was planned for: pages compiled, new files stored, and last of all the pointer moved. */
  private async make(id: string): Promise<void> {
    const releases = this.store.database.getRepository(ReleaseEntity);
    try {
      const release = await releases.findOneBy({ id });
      if (!release || release.state === 'done' || release.state === 'failed') return;
      const site = await this.store.site(release.site);
      if (!site) return await this.fail(id, SITE_REMOVED);
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
      await this.fail(id, (error as Error).message).catch((again: unknown) =>
        logFault('The failure of a release', again),
      );
    }
  }

  /** Ends a release that cannot be made, with what people are told of it. */
  private async fail(id: string, error: string): Promise<void> {
    await this.store.database
      .getRepository(ReleaseEntity)
      .update({ id, state: In(UNDER_WAY) }, { state: 'failed', error });
  }

  private async finish(
    { id, site }: ReleaseRow,
    texts: ReadonlyMap<string, string>,
    manifest: Manifest,
    pages: readonly PlannedPage[],
  ): Promise<void> {
    await this.store.database.transaction(async (manager) => {
      // Of several who made the same release the first ends it: what somebody made live since then stays.
      const held = await heldSite(manager, site);
      const releases = manager.getRepository(ReleaseEntity);
      if (!held) throw new Error(SITE_REMOVED);
      if (!(await releases.existsBy({ id, state: In(UNDER_WAY) }))) return;
      await storeTexts(manager, texts, manifest);
      await checkFiles(manager, manifest);
      await releases.update(
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
      await makeLive(manager, held, id);
    });
  }

  /** Makes a past release live again: one pointer moves, and every window hears of it. */
  async goBackTo(siteId: string, id: string): Promise<void> {
    await this.store.database.transaction(async (manager) => {
      const held = await heldSite(manager, siteId);
      const there = await manager
        .getRepository(ReleaseEntity)
        .existsBy({ id, site: siteId, state: 'done' });
      if (!held || !there) throw new Problem(404, 'Not found', 'There is no such release.');
      await makeLive(manager, held, id);
    });
  }
}

/** What is said of a release whose site went away under it. */
const SITE_REMOVED = 'The site was removed while this was published.';

/** The states of a release that is not ended. */
const UNDER_WAY: ReleaseState[] = ['waiting', 'making'];

/** Moves the pointer of a site, held by this transaction, and tells every window and server. */
async function makeLive(manager: EntityManager, site: SiteRow, release: string): Promise<void> {
  await manager.getRepository(SiteEntity).update({ id: site.id }, { liveRelease: release });
  await manager.query('SELECT pg_notify($1, $2)', [
    CHANNEL,
    JSON.stringify({ site: site.id, revision: site.revision }),
  ]);
}

/** Stores the files that were made, where they are not stored yet. */
async function storeTexts(
  manager: EntityManager,
  texts: ReadonlyMap<string, string>,
  manifest: Manifest,
): Promise<void> {
  const kinds = new Map(Object.values(manifest).map((file) => [file.sha256, file.mediaType]));
  const there = await storedAmong(manager, [...texts.keys()]);
  await storeFiles(
    manager,
    [...texts].flatMap(([sha256, text]) =>
      there.has(sha256)
        ? []
        : { sha256, mediaType: kinds.get(sha256)!, bytes: Buffer.from(text, 'utf8') },
    ),
  );
}

/** @throws when a file of a release is not stored, or a picture holds what runs */
async function checkFiles(manager: EntityManager, manifest: Manifest): Promise<void> {
  const files = Object.entries(manifest);
  const there = await storedAmong(manager, [...new Set(files.map(([, { sha256 }]) => sha256))]);
  for (const [path, { sha256, mediaType }] of files) {
    if (!there.has(sha256))
      throw new Error(`The file of ${path} is not stored; bring it in again.`);
    if (mediaType !== 'image/svg+xml') continue;
    const { bytes } = (await wholeFile(manager, sha256))!;
    const unsafe = unsafeInSvg(bytes.toString('utf8'));
    if (unsafe !== undefined)
      throw new Error(`The picture ${path} holds ${unsafe}; bring it in again.`);
  }
}
