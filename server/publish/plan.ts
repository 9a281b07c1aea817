import {
  COMPILER,
  compileSite,
  planOf,
  Release,
  type CompiledSite,
  type Earlier,
  type PlannedPage,
} from '@sormet/core/compile';
import { ReleaseEntity, type SiteRow } from '../database/entities';
import type { SiteStore } from '../database/site-store';
import { sha256 } from '../files/sha256';

/** What publishing one revision would do. */
export interface Plan {
  readonly revision: number;
  /** The number of the release that is live. */
  readonly live: number | null;
  readonly pages: readonly PlannedPage[];
  readonly compiled: CompiledSite;
}

/** A release that is live, as the next one is compared with it. */
interface Live extends Earlier {
  readonly id: string;
  readonly number: number;
  readonly compiler: number;
}

/** Says what publishing would do, by looking at what changed since the release that is live. */
export class Planner {
  /** By site, the release that was live last: it never changes, so it is read once. */
  private readonly live = new Map<string, Live>();
  /** Plans that were asked for last, by site: many who ask at once for the same get the same answer. */
  private readonly kept = new Map<string, { key: string; plan: Promise<Plan> }>();

  constructor(private readonly store: SiteStore) {}

  plan(site: SiteRow): Promise<Plan> {
    const key = `${site.revision} ${site.liveRelease ?? ''}`;
    const kept = this.kept.get(site.id);
    if (kept?.key === key) return kept.plan;
    const plan = this.planOf(site, site.revision);
    this.kept.set(site.id, { key, plan });
    // What failed is not kept: the next who asks tries again.
    plan.catch(() => {
      if (this.kept.get(site.id)?.plan === plan) this.kept.delete(site.id);
    });
    return plan;
  }

  /**
   * Compares one revision with what is live, making again only pages that something changed for; all of them
   * when another version of the compiler made what is live.
   * @param site its row, which names the release that is live
   */
  async planOf(
    site: SiteRow,
    revision: number,
    progress?: (done: number, of: number) => void,
  ): Promise<Plan> {
    const live = await this.liveOf(site);
    const { documents } = await this.store.stateAt(site.id, revision);
    const { linker, data } = this.store.reading(site.id, documents);
    const beside = live?.compiler === COMPILER ? live : undefined;
    const compiled = compileSite(documents, { linker, data, sha256 }, beside, progress);
    const pages = planOf(compiled, documents, live);
    return { revision, live: live?.number ?? null, compiled, pages };
  }

  private async liveOf({ id: site, liveRelease }: SiteRow): Promise<Live | undefined> {
    if (liveRelease === null) return undefined;
    const kept = this.live.get(site);
    if (kept?.id === liveRelease) return kept;
    const row = await this.store.database
      .getRepository(ReleaseEntity)
      .findOneByOrFail({ id: liveRelease });
    const { documents } = await this.store.stateAt(site, row.revision);
    const { id, number, compiler, manifest } = row;
    const live = { id, number, compiler, documents, release: new Release(manifest) };
    this.live.set(site, live);
    return live;
  }
}
