import { IsNull } from 'typeorm';
import { doEdit, isRefusal } from '@sormet/core/edit';
import { newId } from '@sormet/core/model';
import { SiteEntity } from './database/entities';
import type { SiteStore } from './database/site-store';
import { acceptEdit } from './edits/accept';

/**
 * Brings what earlier versions stored into the form of this one, as a revision of each site like any other. What was
 * removed takes no revisions: it is tidied once it was brought back, at the next start.
 */
export async function tidySites(store: SiteStore): Promise<void> {
  for (const site of await store.database.getRepository(SiteEntity).findBy({ removed: IsNull() })) {
    const { documents } = await store.state(site);
    const done = doEdit(documents, { name: 'tidy', args: {} });
    if (isRefusal(done)) console.error(`${site.name} stays as it was stored: ${done.refused}`);
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
