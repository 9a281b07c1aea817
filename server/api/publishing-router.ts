import { Router } from 'express';
import * as shapes from '@sormet/core/api';
import { say } from '@sormet/core/said';
import { ReleaseEntity, type ReleaseRow, type SiteRow } from '../database/entities';
import { answer } from '../http/check';
import { Problem } from '../http/problem';
import type { ApiParts } from './api-parts';
import { idIn, siteIn } from './in-address';

/** How many releases are listed, the newest first. */
const LISTED = 100;

/** What publishing one site would change, its releases, and which is live. */
export function publishingRouter({ store, planner, publisher }: ApiParts): Router {
  const router = Router({ mergeParams: true });
  const releases = store.database.getRepository(ReleaseEntity);
  // The site is read after its releases: what is done is live then, also where it has just become so.

  router.get('/plan', async (request, response) => {
    const { revision, plan, of, kept } = await planner.plan(await siteIn(store, request));
    const changed = plan.filter(({ what }) => what === 'new' || what === 'changed').length;
    answer(response, shapes.PlanAnswer, {
      revision,
      pages: plan.map((page) => ({ ...page, reasons: [...page.reasons] })),
      unchanged: of + kept - changed,
    });
  });

  router.get('/releases', async (request, response) => {
    const rows = await releases.find({
      where: { site: idIn(request, 'site') },
      order: { number: 'DESC' },
      take: LISTED,
    });
    const site = await siteIn(store, request);
    answer(response, shapes.ReleaseList, {
      releases: rows.map((row) => releaseSummary(row, site)),
    });
  });

  router.post('/releases', async (request, response) => {
    const site = await siteIn(store, request);
    const release = await publisher.ask(site.id);
    answer(response, shapes.ReleaseSummary, releaseSummary(release, site), 202);
  });

  router.get('/releases/:release', async (request, response) => {
    const row = await releases.findOneBy({
      id: idIn(request, 'release'),
      site: idIn(request, 'site'),
    });
    const site = await siteIn(store, request);
    if (!row) throw new Problem(404, say('no-release'));
    answer(response, shapes.ReleaseSummary, releaseSummary(row, site));
  });

  router.post('/releases/:release/live', async (request, response) => {
    const { id } = await siteIn(store, request);
    await publisher.goBackTo(id, idIn(request, 'release'));
    response.status(204).end();
  });
  return router;
}

function releaseSummary(row: ReleaseRow, site: SiteRow): shapes.ReleaseSummary {
  const { id, number, revision, state, done, of, plan, error, at, byItself } = row;
  return {
    id,
    number,
    revision,
    state,
    done,
    of,
    error,
    live: site.liveRelease === id,
    byItself,
    pages: plan.map((page) => ({ ...page, reasons: [...page.reasons] })),
    at: at.toISOString(),
  };
}
