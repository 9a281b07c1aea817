import { IsNull } from 'typeorm';
import { doEdit, isRefusal } from '@sormet/core/edit';
import { newId, type Documents } from '@sormet/core/model';
import { saidText } from '@sormet/core/said';
import { SiteEntity, UseEntity } from './database/entities';
import type { SiteStore } from './database/site-store';
import { storeUses } from './database/uses';
import { acceptEdit } from './edits/accept';

/** Makes the rows of what a site uses where there are none: an upgrade of the tables took them away. */
async function usesAnew(store: SiteStore, site: string, documents: Documents): Promise<void> {
  if (await store.database.getRepository(UseEntity).existsBy({ site })) return;
  await store.database.transaction(async (manager) => {
    await storeUses(
      manager,
      site,
      [...documents].map((doc) => [undefined, doc]),
    );
  });
}

/**
 * Brings what earlier versions stored into the form of this one, as a revision of each site like any other. What was
 * removed takes no revisions: it is tidied once it was brought back, at the next start.
 */
export async function tidySites(store: SiteStore): Promise<void> {
  for (const site of await store.database.getRepository(SiteEntity).findBy({ removed: IsNull() })) {
    const { documents } = await store.state(site);
    await usesAnew(store, site.id, documents);
    const done = doEdit(documents, { name: 'tidy', args: {} });
    if (isRefusal(done))
      console.error(`${site.name} stays as it was stored: ${saidText(done.refused)}`);
    else if (done.changes.length > 0)
      await acceptEdit(store, site.id, {
        id: newId(),
        who: 'Sormet',
        name: 'tidy',
        args: {},
        changes: done.changes,
      });
  }
}
