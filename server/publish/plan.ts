import {
  changedBetween,
  compileSite,
  planOf,
  type CompiledSite,
  type Manifest,
  type PlannedPage,
} from '@sormet/core/compile';
import type { SiteRow } from '../database/entities';
import { ReleaseEntity, type ReleaseRow } from '../database/entities';
import type { SiteStore } from '../database/site-store';

/** What publishing now would do. */
export interface Plan {
  readonly revision: number;
  readonly live: ReleaseRow | null;
  readonly pages: readonly PlannedPage[];
  readonly compiled: CompiledSite;
}

/** Compares the newest state with what is live, making again only pages that something changed for. */
export async function planRelease(
  store: SiteStore,
  site: SiteRow,
  progress?: (done: number, of: number) => void,
): Promise<Plan> {
  const live = site.liveRelease
    ? await store.database.getRepository(ReleaseEntity).findOneBy({ id: site.liveRelease })
    : null;
  const { documents, revision } = await store.state(site);
  const linker = store.linker(site.id);
  if (!live) {
    const compiled = compileSite(documents, linker, undefined, progress);
    return {
      revision,
      live,
      compiled,
      pages: planOf({}, compiled.manifest, new Set(), documents, {}),
    };
  }
  const earlier = await store.documentsAt(site, live.revision);
  const changed = changedBetween(earlier, documents);
  const before: Manifest = live.manifest;
  const compiled = compileSite(documents, linker, { manifest: before, changed }, progress);
  return {
    revision,
    live,
    compiled,
    pages: planOf(before, compiled.manifest, changed, documents, earlier),
  };
}
