import { IsNull, LessThan, MoreThanOrEqual, Not } from 'typeorm';
import { newId } from '@sormet/core/model';
import { beginSite, copySite } from '@sormet/core/ready';
import type { RemovedSite, SiteRequest } from '@sormet/core/api';
import { say } from '@sormet/core/said';
import { SiteEntity, type SiteRow } from '../database/entities';
import type { SiteStore } from '../database/site-store';
import { Problem } from '../http/problem';
import { removeAllOld } from '../messages/inbox';
import { storeSite } from '../load-site';
import { freeAddress, withFreeAddress } from './free-address';

/** How long a removed site can be brought back, in days. */
export const KEPT_DAYS = 30;
const DAY = 24 * 60 * 60 * 1000;

/**
 * Makes a site: empty, with some pages, or as a copy of another.
 * @returns its id
 * @throws a 422 problem when its address is taken, a 404 problem when what should be copied is not there
 */
export async function makeSite(
  store: SiteStore,
  { begins, ...asked }: SiteRequest,
): Promise<string> {
  const documents =
    typeof begins === 'string' ? beginSite(asked, begins) : await copied(store, begins.copy);
  const id = newId();
  await withFreeAddress(asked.slug, () =>
    store.database.transaction(async (manager) => {
      await freeAddress(manager.getRepository(SiteEntity), asked.slug, id);
      await storeSite(manager, id, documents);
    }),
  );
  return id;

  async function copied(from: SiteStore, of: string) {
    const site = await from.site(of);
    if (!site) throw new Problem(404, say('no-site-to-copy'));
    return copySite((await from.state(site)).documents, asked);
  }
}

/** Removes a site: from now on it is not there, and kept for some time. @throws a 422 problem when its name is another */
export async function removeSite(store: SiteStore, site: SiteRow, name: string): Promise<void> {
  if (name.trim() !== site.name.trim())
    throw new Problem(422, say('name-of-site-is', { name: site.name }), { pointer: '/name' });
  await store.database.getRepository(SiteEntity).update({ id: site.id }, { removed: new Date() });
}

/** Deletes removed sites for good whose time is over, and messages that no site keeps any longer. Done by the server from time to time, not while somebody reads. */
export async function deleteExpired(store: SiteStore): Promise<void> {
  const over = new Date(Date.now() - KEPT_DAYS * DAY);
  await store.database.getRepository(SiteEntity).delete({ removed: LessThan(over) });
  await removeAllOld(store.database.manager);
}

/** The sites that were removed and can be brought back. */
export async function removedSites(store: SiteStore): Promise<RemovedSite[]> {
  const rows = await store.database.getRepository(SiteEntity).find({
    where: { removed: MoreThanOrEqual(new Date(Date.now() - KEPT_DAYS * DAY)) },
    order: { removed: 'DESC' },
  });
  return rows.map(({ id, name, removed }) => ({
    id,
    name,
    removed: removed!.toISOString(),
    until: new Date(removed!.getTime() + KEPT_DAYS * DAY).toISOString(),
  }));
}

/** Brings a removed site back as it was. @throws a 404 problem when none of this id was removed */
export async function bringBack(store: SiteStore, id: string): Promise<void> {
  const sites = store.database.getRepository(SiteEntity);
  const { affected } = await sites.update({ id, removed: Not(IsNull()) }, { removed: null });
  if (affected !== 1) throw new Problem(404, say('none-removed-of-name'));
}
