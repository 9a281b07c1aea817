import type { EntityManager } from 'typeorm';
import { SiteEntity, type SiteRow } from './entities';

/** A site's row, held by this transaction until it ends: whoever else wants to hold it waits. */
export function heldSite(manager: EntityManager, id: string): Promise<SiteRow | null> {
  return manager
    .getRepository(SiteEntity)
    .createQueryBuilder('s')
    .setLock('pessimistic_write')
    .where('s.id = :id', { id })
    .getOne();
}
