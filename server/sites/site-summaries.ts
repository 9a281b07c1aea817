import type { EntityManager } from 'typeorm';
import type { SiteSummary } from '@sormet/core/api';

interface Row {
  readonly id: string;
  readonly slug: string;
  readonly name: string;
  readonly revision: number;
  readonly live: number | null;
  readonly liveRevision: number | null;
  readonly changed: Date | null;
  readonly pages: number;
}

/**
 * What the list of sites says of each that was not removed, by name, or of one. No document is read: what they add to
 * the addresses is counted.
 */
export async function siteSummaries(
  manager: EntityManager,
  sitesPort: number,
  site?: string,
): Promise<SiteSummary[]> {
  const rows = (await manager.query(
    `SELECT s.id, s.slug, s.name, s.revision, r.number AS live, r.revision AS "liveRevision", h.at AS changed,
            (SELECT count(*)
               FROM documents p LEFT JOIN documents e ON p.stands <> '' AND e.site = s.id
                    AND e.kind = 'entry' AND e.stands = p.stands
              WHERE p.site = s.id AND p.kind = 'page' AND p.stands IS NOT NULL
                AND (p.stands = '' OR e.id IS NOT NULL))::int AS pages
       FROM sites s
       LEFT JOIN releases r ON r.id = s.live_release
       LEFT JOIN history h ON h.site = s.id AND h.revision = s.revision
      WHERE s.removed IS NULL AND ($1::text IS NULL OR s.id = $1)
      ORDER BY s.name, s.id`,
    [site ?? null],
  )) as Row[];
  return rows.map(({ liveRevision, changed, ...row }) => ({
    ...row,
    address: `http://${row.slug}.localhost:${sitesPort}/`,
    preview: `http://${row.slug}.preview.localhost:${sitesPort}/`,
    changed: changed?.toISOString() ?? null,
    unpublished: liveRevision !== row.revision,
  }));
}
