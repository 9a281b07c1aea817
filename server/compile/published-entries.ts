import type { EntityManager } from 'typeorm';
import type { Earlier } from '@sormet/core/compile';
import {
  claim,
  docOf,
  isDue,
  NO_MOMENT,
  sameJson,
  type Documents,
  type Moment,
} from '@sormet/core/model';

/** The entries that visitors see of a state at a moment, and did not see so before: new ones, changed ones, those whose time came. */
export function newlyPublished(
  documents: Documents,
  at: Moment,
  before?: Pick<Earlier, 'documents' | 'at'>,
): string[] {
  const then = before?.documents;
  const ids = then
    ? new Set([
        ...documents.differenceFrom(then).map(({ id }) => id),
        ...documents.claiming(claim.timed),
      ])
    : documents.all('entry').map(({ id }) => id);
  return [...ids].filter((id) => {
    const entry = docOf(documents, 'entry', id);
    if (!entry || !isDue(entry, at)) return false;
    const old = then && docOf(then, 'entry', id);
    return !old || !isDue(old, before?.at ?? NO_MOMENT) || !sameJson(old, entry);
  });
}

/** Notes when entries were published: first, and last. */
export async function notePublished(
  manager: EntityManager,
  site: string,
  entries: readonly string[],
  at: Date,
): Promise<void> {
  if (entries.length === 0) return;
  await manager.query(
    `INSERT INTO published_entries (site, entry, first, last)
     SELECT $1, unnest($2::text[]), $3, $3
     ON CONFLICT (site, entry) DO UPDATE SET last = excluded.last`,
    [site, entries, at],
  );
}
