import type { EntityManager } from 'typeorm';
import {
  claim,
  dayIn,
  DEFAULT_ZONE,
  ENTRY_DATES,
  type DatesOfEntry,
  type Documents,
  type EntryDate,
  type EntryDates,
  type Moment,
} from '@sormet/core/model';
import { ReleaseEntity, type ReleaseRow, type SiteRow } from '../database/entities';
import type { SiteStore } from '../database/site-store';
import { newlyPublished } from './published-entries';

/** When entries were made, changed, published first and last, by their ids; what has not happened is `null`. */
export type InstantsOfEntry = { readonly [D in EntryDate]: Date | null };

/**
 * The instants of entries as they were at a revision of their site: of publishing, as they are now.
 * @param ids of the entries; of one that is unknown nothing has happened
 */
export async function entryInstants(
  manager: EntityManager,
  site: string,
  ids: readonly string[],
  revision: number,
): Promise<Map<string, InstantsOfEntry>> {
  const rows = (await manager.query(
    `SELECT e.id, coalesce(d.made, h.made) AS made, coalesce(h.changed, d.made) AS changed, p.first, p.last
       FROM unnest($2::text[]) AS e (id)
       LEFT JOIN documents d ON d.site = $1 AND d.id = e.id
       LEFT JOIN LATERAL (
         SELECT min(at) AS made, max(at) AS changed
           FROM history_documents JOIN history USING (site, revision)
          WHERE site = $1 AND document = e.id AND revision <= $3
       ) h ON true
       LEFT JOIN published_entries p ON p.site = $1 AND p.entry = e.id`,
    [site, ids, revision],
  )) as (InstantsOfEntry & { id: string })[];
  return new Map(rows.map(({ id, ...instants }) => [id, instants]));
}

/**
 * The days of all entries as a state of a site has them when it is published at a moment: those that visitors will see
 * anew are published on its day. Nothing where no document reads them.
 */
export async function entryDates(
  store: SiteStore,
  { id, revision, liveRelease }: Pick<SiteRow, 'id' | 'revision' | 'liveRelease'>,
  documents: Documents,
  at: Moment,
): Promise<EntryDates | undefined> {
  if (documents.claiming(claim.dated).length === 0) return undefined;
  const of = JSON.stringify([id, revision, liveRelease, at.today, at.now]);
  const kept = known.get(documents);
  if (kept?.of === of) return kept.dates;
  const dates = await read(store, { id, revision, liveRelease }, documents, at);
  known.set(documents, { of, dates });
  return dates;
}

/** What was read last of a state: a preview asks for it with every page. */
const known = new WeakMap<Documents, { of: string; dates: EntryDates }>();

async function read(
  store: SiteStore,
  { id, revision, liveRelease }: Pick<SiteRow, 'id' | 'revision' | 'liveRelease'>,
  documents: Documents,
  at: Moment,
): Promise<EntryDates> {
  const { manager } = store.database;
  const live = liveRelease === null ? null : await momentOfRelease(manager, liveRelease);
  const before = live && {
    documents: (await store.stateAt(id, live.revision)).documents,
    at: live,
  };
  const anew = new Set(newlyPublished(documents, at, before ?? undefined));
  const ids = documents.all('entry').map((entry) => entry.id);
  const zone = documents.site.timeZone ?? DEFAULT_ZONE;
  const dates: Record<string, DatesOfEntry> = {};
  for (const [entry, instants] of await entryInstants(manager, id, ids, revision)) {
    const days: { [D in EntryDate]?: string } = {};
    for (const date of ENTRY_DATES) {
      const instant = instants[date];
      if (instant) days[date] = dayIn(zone, instant);
    }
    if (anew.has(entry)) Object.assign(days, { first: days.first ?? at.today, last: at.today });
    dates[entry] = days;
  }
  return dates;
}

/** Of which revision a release is, and at which moment it was made. */
function momentOfRelease(
  manager: EntityManager,
  id: string,
): Promise<Pick<ReleaseRow, 'id' | 'revision' | 'at' | 'today' | 'now'> | null> {
  return manager.getRepository(ReleaseEntity).findOne({
    where: { id },
    select: { id: true, revision: true, at: true, today: true, now: true },
  });
}
