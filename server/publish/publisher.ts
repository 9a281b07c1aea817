import { In, type EntityManager } from 'typeorm';
import { say } from '@sormet/core/said';
import { CompilationEntity, ReleaseEntity, type ReleaseRow } from '../database/entities';
import { heldSite } from '../database/held-site';
import type { SiteStore } from '../database/site-store';
import { Problem } from '../http/problem';
import type { Compilations } from '../compile/compilations';
import { askFor, makeLive, NOTHING_TO_PUBLISH, UNDER_WAY } from '../compile/releasing';

/** How often it is begun again when what is live changed meanwhile. */
const TRIES = 3;
/** How long who publishes waits to hear at once that there is nothing to publish, in ms; later the release says it. */
const PATIENCE = 1500;

/** Asks workers for releases, and makes past ones live again. */
export class Publisher {
  constructor(
    private readonly store: SiteStore,
    private readonly compilations: Compilations,
  ) {}

  /**
   * Asks for a release of the newest revision. What was made for its plan is what it is made of; where nobody asked for
   * a plan yet, it is begun here, and the release says how far it is.
   * @throws a 409 problem when it would change nothing, or one is on its way; a 422 problem when it cannot be made
   */
  async ask(siteId: string): Promise<ReleaseRow> {
    const { database } = this.store;
    for (let tries = 0; tries < TRIES; tries += 1) {
      const site = await this.store.site(siteId);
      if (!site) throw new Problem(404, say('no-site'));
      await this.refuseWhileBusy(siteId, database.manager);
      const { id } = await this.compilations.begin(site);
      const made = await Promise.race([this.compilations.ended(id), waited(PATIENCE)]);
      if (made === undefined) continue;
      if (made !== LATE) {
        if (made.state === 'failed') throw new Problem(422, made.error ?? say('failed-too-often'));
        if (made.plan.length === 0) throw new Problem(409, NOTHING_TO_PUBLISH);
      }
      const release = await database.transaction(async (manager) => {
        // Of two who ask at once the second sees the first's release.
        const held = await heldSite(manager, siteId);
        if (held?.liveRelease !== site.liveRelease) return undefined;
        await this.refuseWhileBusy(siteId, manager);
        // It may be taken away for a newer one until a release needs it; and whoever begins it tells the releases that
        // are there by then, so that this is either one of them or sees that it was begun.
        const there = await manager
          .getRepository(CompilationEntity)
          .findOne({ where: { id }, lock: { mode: 'for_no_key_update' } });
        if (!there || there.state === 'failed') return undefined;
        const { revision } = site;
        const at = this.store.clock();
        const row = await askFor(manager, there, { revision, byItself: false, at });
        await this.compilations.look(manager, [row.id]);
        return row;
      });
      if (release) return release;
    }
    throw new Problem(503, say('live-kept-changing'));
  }

  private async refuseWhileBusy(site: string, manager: EntityManager): Promise<void> {
    const busy = await manager
      .getRepository(ReleaseEntity)
      .existsBy({ site, state: In(UNDER_WAY) });
    if (busy) throw new Problem(409, say('publishing-already'));
  }

  /** Makes a past release live again: one pointer moves, and every window hears of it. */
  async goBackTo(siteId: string, id: string): Promise<void> {
    await this.store.database.transaction(async (manager) => {
      const held = await heldSite(manager, siteId);
      const there = await manager
        .getRepository(ReleaseEntity)
        .existsBy({ id, site: siteId, state: 'done' });
      if (!held || !there) throw new Problem(404, say('no-release'));
      await makeLive(manager, held, id);
    });
  }
}

const LATE = Symbol('not ended yet');

function waited(ms: number): Promise<typeof LATE> {
  return new Promise((done) => setTimeout(() => done(LATE), ms).unref());
}
