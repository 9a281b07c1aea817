import PgBoss from 'pg-boss';
import { newId } from '@sormet/core/model';
import { FileEntity, ReleaseEntity, SiteEntity, type ReleaseRow } from '../database/entities';
import type { SiteStore } from '../database/site-store';
import { Problem } from '../http/problem';
import { CHANNEL } from '../live/channel';
import { planRelease } from './plan';

const QUEUE = 'publish';

/** Makes releases as jobs in PostgreSQL, so that any worker process can take them. */
export class Publisher {
  private readonly boss: PgBoss;

  constructor(
    private readonly store: SiteStore,
    url: string,
  ) {
    this.boss = new PgBoss({ connectionString: url, max: 3 });
    this.boss.on('error', (error) =>
      console.error('The queue of releases reports:', error.message),
    );
  }

  async start(): Promise<void> {
    await this.boss.start();
    await this.boss.createQueue(QUEUE);
    await this.boss.work<{ release: string }>(
      QUEUE,
      { pollingIntervalSeconds: 0.5 },
      async (jobs) => {
        for (const { data } of jobs) await this.make(data.release);
      },
    );
    await this.takeUp();
  }

  /** Asks again for releases that a server which is gone had begun; making one twice gives the same. */
  private async takeUp(): Promise<void> {
    const begun = await this.store.database
      .getRepository(ReleaseEntity)
      .find({ where: [{ state: 'waiting' }, { state: 'making' }], select: { id: true } });
    for (const { id } of begun) await this.boss.send(QUEUE, { release: id }, { retryLimit: 2 });
  }

  async stop(): Promise<void> {
    await this.boss.stop({ graceful: true, timeout: 3000 });
  }

  /**
   * Asks for a release of the newest state.
   * @throws a 409 problem when it would change nothing, or one is on its way
   */
  async ask(siteId: string): Promise<ReleaseRow> {
    const release = await this.store.database.transaction(async (manager) => {
      // The site's row is held, so that of two who ask at once the second sees the first's release.
      const site = await manager
        .getRepository(SiteEntity)
        .createQueryBuilder('s')
        .setLock('pessimistic_write')
        .where('s.id = :siteId', { siteId })
        .getOne();
      if (!site) throw new Problem(404, 'Not found', 'There is no such site.');
      const releases = manager.getRepository(ReleaseEntity);
      const busy = await releases.findOneBy([
        { site: siteId, state: 'waiting' },
        { site: siteId, state: 'making' },
      ]);
      if (busy) throw new Problem(409, 'Already publishing', 'A release is being made already.');
      const plan = await planRelease(this.store, site);
      if (plan.pages.length === 0)
        throw new Problem(
          409,
          'Nothing to publish',
          'Every page is published as it is; there is nothing to publish.',
        );
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
      };
      await releases.insert(made as never);
      return made;
    });
    await this.boss.send(QUEUE, { release: release.id }, { retryLimit: 2 });
    return release;
  }

  /** Makes a release: pages compiled, new files stored, and last of all the pointer moved. */
  private async make(id: string): Promise<void> {
    const { database } = this.store;
    const releases = database.getRepository(ReleaseEntity);
    const release = await releases.findOneBy({ id });
    if (!release || release.state === 'done') return;
    try {
      const site = await this.store.site(release.site);
      if (!site) throw new Error('the site is gone');
      await releases.update({ id }, { state: 'making', done: 0 });
      let told = 0;
      const progress: Promise<unknown>[] = [];
      const plan = await planRelease(this.store, site, (done, of) => {
        if (Date.now() - told < 200 && done < of) return;
        told = Date.now();
        progress.push(releases.update({ id }, { done, of }));
      });
      await Promise.all(progress);
      await database.transaction(async (manager) => {
        const { texts, manifest } = plan.compiled;
        const stored = await manager
          .getRepository(FileEntity)
          .createQueryBuilder('f')
          .select('f.sha256')
          .where('f.sha256 IN (:...wanted)', { wanted: ['', ...texts.keys()] })
          .getMany();
        const there = new Set(stored.map(({ sha256 }) => sha256));
        const kinds = new Map(Object.values(manifest).map((file) => [file.sha256, file.mediaType]));
        for (const [sha256, text] of texts)
          if (!there.has(sha256))
            await manager
              .getRepository(FileEntity)
              .upsert({ sha256, mediaType: kinds.get(sha256)!, bytes: Buffer.from(text, 'utf8') }, [
                'sha256',
              ]);
        await manager.getRepository(ReleaseEntity).update(
          { id },
          {
            state: 'done',
            revision: plan.revision,
            manifest: manifest as never,
            plan: [...plan.pages] as never,
            at: new Date(),
          },
        );
        await manager.getRepository(SiteEntity).update({ id: site.id }, { liveRelease: id });
        await manager.query('SELECT pg_notify($1, $2)', [
          CHANNEL,
          JSON.stringify({ site: site.id, revision: site.revision }),
        ]);
      });
    } catch (error) {
      await releases.update({ id }, { state: 'failed', error: (error as Error).message });
      throw error;
    }
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
