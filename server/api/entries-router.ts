import { Router } from 'express';
import * as shapes from '@sormet/core/api';
import { docOf, isDue, sameJson } from '@sormet/core/model';
import { ReleaseEntity } from '../database/entities';
import { entryDates, entryInstants } from '../compile/entry-dates';
import { answer } from '../http/check';
import type { ApiParts } from './api-parts';
import { idIn, siteIn } from './in-address';

const NO_INSTANTS = { made: null, changed: null, first: null, last: null };

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
    const instantsOf = await entryInstants(
      store.database.manager,
      site.id,
      entries.map(({ id }) => id),
      site.revision,
    );
    answer(response, shapes.EntriesStanding, {
      live: live ? live.at.toISOString() : null,
      entries: Object.fromEntries(
        entries.map((entry): [string, shapes.EntryStanding] => {
          const old = then && docOf(then, 'entry', entry.id);
          const isLive = old && live && isDue(old, live);
          // One that was removed since the state was read has none.
          const { made, changed, first, last } = instantsOf.get(entry.id) ?? NO_INSTANTS;
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

  router.get('/dates', async (request, response) => {
    const site = await siteIn(store, request);
    const { documents } = await store.state(site);
    const dates = await entryDates(store, site, documents, store.momentOf(documents));
    answer(response, shapes.EntryDates, dates ?? {});
  });
  return router;
}
