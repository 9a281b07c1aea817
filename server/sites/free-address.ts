import type { SiteRow } from '../database/entities';
import { Problem } from '../http/problem';

/** @throws a 422 problem when another site has an address, one that was removed too: it may come back */
export async function freeAddress(
  sites: { findOneBy: (where: { slug: string }) => Promise<SiteRow | null> },
  slug: string,
  site: string,
): Promise<void> {
  const other = await sites.findOneBy({ slug });
  if (other && other.id !== site)
    throw new Problem(
      422,
      'Refused',
      other.removed
        ? `“${slug}” is the address of ${other.name}, which was removed and is still kept.`
        : `“${slug}” is the address of ${other.name} already.`,
      { pointer: '/slug', reason: 'is taken' },
    );
}
