import { QueryFailedError } from 'typeorm';
import { say, type Said } from '@sormet/core/said';
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
    throw taken(
      other.removed
        ? say('address-of-removed', { slug, site: other.name })
        : say('address-of-other', { slug, site: other.name }),
    );
}

/**
 * Does what stores a site under an address.
 * @throws a 422 problem when somebody else has stored another under it meanwhile (the database holds each once)
 */
export async function withFreeAddress<T>(slug: string, store: () => Promise<T>): Promise<T> {
  try {
    return await store();
  } catch (error) {
    const { code, constraint } = driverErrorOf(error);
    if (code === UNIQUE_VIOLATION && constraint === ONE_SITE_PER_ADDRESS)
      throw taken(say('address-just-taken', { slug }));
    throw error;
  }
}

/** SQLSTATE: a second row of one key (PostgreSQL, Appendix A). */
const UNIQUE_VIOLATION = '23505';

/** What PostgreSQL calls the constraint that an address is one site's (`slug … UNIQUE` of the table `sites`). */
const ONE_SITE_PER_ADDRESS = 'sites_slug_key';

function driverErrorOf(error: unknown): { code?: string; constraint?: string } {
  return error instanceof QueryFailedError ? error.driverError : {};
}

function taken(why: Said): Problem {
  return new Problem(422, why, { pointer: '/slug' });
}
