import { In, IsNull, MoreThan, Not, type EntityManager } from 'typeorm';
import { changedBetween } from '@sormet/core/compile';
import {
  dayIn,
  DEFAULT_ZONE,
  instantOf,
  nextTime,
  sameMoment,
  type Moment,
} from '@sormet/core/model';
import { CompilationEntity, ReleaseEntity, SiteEntity, type SiteRow } from '../database/entities';
import { heldSite } from '../database/held-site';
import type { SiteStore } from '../database/site-store';
import type { Compilations } from './compilations';
import type { Compiling, Live } from './compiling';
import { askFor, UNDER_WAY } from './releasing';

/** For how long nothing is tried again by itself after it failed, in ms. */
const AFTER_FAILING = 10 * 60 * 1000;

/**
 * Publishes by itself what goes by time: where an entry comes or goes at its time, or a page reads which day it is, what is
 * live is made again at that moment, from the revision that it was made of. Nothing that somebody is working on goes along.
 */
export class Timed {
  /** Of what is live until when it stands as it is, by site: until then nothing of the site is read. */
  private readonly standing = new Map<string, Standing>();

  constructor(
    private readonly store: SiteStore,
    private readonly compiling: Compiling,
    private readonly compilations: Compilations,
  ) {}

  /** Looks once at every site of which something is live. */
  async look(): Promise<void> {
    const sites = await this.store.database
      .getRepository(SiteEntity)
      .findBy({ removed: IsNull(), liveRelease: Not(IsNull()) });
    const date = this.store.clock();
    for (const site of sites) {
      if (stands(this.standing.get(site.id), site.liveRelease, date)) continue;
      const live = (await this.compiling.liveOf({ site: site.id, live: site.liveRelease }))!;
      const at = this.store.momentOf(live.documents);
      if (!sameMoment(at, live.at)) {
        if (goesByTime(live, at)) {
          await this.ask(site, live, at);
          continue;
        }
        await this.compiling.letStand(this.store.database.manager, live.id, at);
      }
      this.standing.set(site.id, {
        release: live.id,
        zone: live.documents.site.timeZone ?? DEFAULT_ZONE,
        today: at.today,
        next: nextTime(live.documents, date),
      });
    }
  }

  private async ask({ id, liveRelease }: SiteRow, live: Live, at: Moment): Promise<void> {
    const { database } = this.store;
    if (await this.isBusy(database.manager, id)) return;
    const { revision } = live;
    const made = await this.compilations.begin({ id, revision, liveRelease }, at);
    await database.transaction(async (manager) => {
      const held = await heldSite(manager, id);
      if (held?.liveRelease !== liveRelease || (await this.isBusy(manager, id))) return;
      // It is taken away by whoever asks for another, until a release needs it.
      const there = await manager
        .getRepository(CompilationEntity)
        .findOne({ where: { id: made.id }, lock: { mode: 'for_no_key_update' } });
      if (!there) return;
      const row = await askFor(manager, there, {
        revision,
        byItself: true,
        at: this.store.clock(),
      });
      await this.compilations.look(manager, [row.id]);
    });
  }

  /** Whether a release is on its way, or has failed by itself a short while ago. */
  private isBusy(manager: EntityManager, site: string): Promise<boolean> {
    const since = new Date(this.store.clock().getTime() - AFTER_FAILING);
    return manager.getRepository(ReleaseEntity).existsBy([
      { site, state: In(UNDER_WAY) },
      { site, state: 'failed', byItself: true, at: MoreThan(since) },
    ]);
  }
}

/** Until when a release stands as it is: through a day where its site is, and until an instant. */
interface Standing {
  readonly release: string;
  readonly zone: string;
  readonly today: string;
  readonly next: string | undefined;
}

function stands(standing: Standing | undefined, live: string | null, date: Date): boolean {
  if (standing?.release !== live || standing === undefined) return false;
  const { zone, today, next } = standing;
  return dayIn(zone, date) === today && (next === undefined || instantOf(date) < next);
}

/** Whether something that is live may be another at another moment. */
function goesByTime({ documents, release, at: then }: Live, at: Moment): boolean {
  // The days of entries change with what is published, and not by themselves.
  const { dates } = then;
  const now = { ...at, ...(dates && { dates }) };
  const { things, paths } = changedBetween(documents, documents, then, now);
  return paths.size > 0 || [...things].some((thing) => release.madeFrom(thing).length > 0);
}
