import { Documents } from '@sormet/core/model';
import {
  changedBetween,
  COMPILER,
  compileSite,
  planOf,
  type CompiledSite,
  type PlannedPage,
} from '@sormet/core/compile';
import type { SiteRow } from '../database/entities';
import { ReleaseEntity, type ReleaseRow } from '../database/entities';
import type { SiteStore } from '../database/site-store';

/** What publishing one revision would do. */
export interface Plan {
  readonly revision: number;
  readonly live: ReleaseRow | null;
  readonly pages: readonly PlannedPage[];
  readonly compiled: CompiledSite;
}

/**
 * Compares one revision with what is live, making again only pages that something changed for; all of them
 * when another version of the compiler made what is live.
 * @param site its row: the release that is live, and the revision unless another is named
 */
export async function planRelease(
  store: SiteStore,
  site: SiteRow,
  revision = site.revision,
  progress?: (done: number, of: number) => void,
): Promise<Plan> {
  const live = site.liveRelease
    ? await store.database.getRepository(ReleaseEntity).findOneBy({ id: site.liveRelease })
    : null;
  const { documents } = await store.stateAt(site.id, revision);
  const linker = store.linker(site.id);
  if (!live) {
    const compiled = compileSite(documents, linker, undefined, progress);
    return {
      revision,
      live,
      compiled,
      pages: planOf({}, compiled.manifest, new Set(), documents, Documents.none),
    };
  }
  const { documents: earlier } = await store.stateAt(site.id, live.revision);
  const changed = changedBetween(earlier, documents);
  const { manifest } = live;
  const before = live.compiler === COMPILER ? { manifest, changed } : undefined;
  const compiled = compileSite(documents, linker, before, progress);
  return {
    revision,
    live,
    compiled,
    pages: planOf(manifest, compiled.manifest, changed, documents, earlier),
  };
}

/** Plans that were asked for last, by site: many who ask at once for the same get the same answer. */
export class Planner {
  private readonly kept = new Map<string, { key: string; plan: Promise<Plan> }>();

  constructor(private readonly store: SiteStore) {}

  plan(site: SiteRow): Promise<Plan> {
    const key = `${site.revision} ${site.liveRelease ?? ''}`;
    const kept = this.kept.get(site.id);
    if (kept?.key === key) return kept.plan;
    const plan = planRelease(this.store, site);
    this.kept.set(site.id, { key, plan });
    // What failed is not kept: the next who asks tries again.
    plan.catch(() => {
      if (this.kept.get(site.id)?.plan === plan) this.kept.delete(site.id);
    });
    return plan;
  }
}
