import { Router } from 'express';
import * as shapes from '@sormet/core/api';
import { docOf, isDue, sameJson } from '@sormet/core/model';
import { ReleaseEntity } from '../database/entities';
import { momentIn } from '../compile/compiling';
import { answer } from '../http/check';
import type { ApiParts } from './api-parts';
import { idIn, siteIn } from './in-address';

interface Dates {
  readonly entry: string;
  readonly made: Date | null;
  readonly changed: Date | null;
  readonly first: Date | null;
  readonly last: Date | null;
}

const NO_DATES = { made: null, changed: null, first: null, last: null };

/** What is known of the entries of a type beside what they hold: whether visitors see them so, and when they were made. */
export function entriesRouter({ store }: ApiParts): Router {
  const router = Router({ mergeParams: true });

  router.get('/types/:type/standing', async (request, response) => {
    const site = await siteIn(store, request);
    const type = idIn(request, 'type');
    const { documents } = await store.state(site);
    const { entry: asked } = request.query;
    const entries = documents
      .all('entry')
      .filter((entry) => entry.type === type && (asked === undefined || entry.id === asked));
    const live =
      site.liveRelease === null
        ? null
        : await store.database.getRepository(ReleaseEntity).findOne({
            where: { id: site.liveRelease },
            select: { id: true, revision: true, at: true, today: true, now: true },
          });
    const then = live && (await store.stateAt(site.id, live.revision)).documents;
    const dates = (await store.database.query(
      `SELECT e.id AS entry, e.made, coalesce(h.changed, e.made) AS changed, p.first, p.last
         FROM documents e
         LEFT JOIN LATERAL (
           SELECT max(at) AS changed
             FROM history_documents d JOIN history USING (site, revision)
            WHERE d.site = e.site AND d.document = e.id
         ) h ON true
         LEFT JOIN published_entries p ON p.site = e.site AND p.entry = e.id
        WHERE e.site = $1 AND e.id = ANY ($2)`,
      [site.id, entries.map(({ id }) => id)],
    )) as Dates[];
    const datesOf = new Map(dates.map((each) => [each.entry, each]));
    answer(response, shapes.EntriesStanding, {
      live: live ? live.at.toISOString() : null,
      entries: Object.fromEntries(
        entries.map((entry): [string, shapes.EntryStanding] => {
          const old = then && docOf(then, 'entry', entry.id);
          const isLive = old && live && isDue(old, momentIn(live));
          // One that was removed since the state was read has none.
          const { made, changed, first, last } = datesOf.get(entry.id) ?? NO_DATES;
          return [
            entry.id,
            {
              live: isLive ? (sameJson(old, entry) ? 'same' : 'other') : 'not',
              made: made?.toISOString() ?? null,
              changed: changed?.toISOString() ?? null,
              first: first?.toISOString() ?? null,
              last: last?.toISOString() ?? null,
            },
          ];
        }),
      ),
    });
  });
  return router;
}
