import { Router } from 'express';
import * as shapes from '@sormet/core/api';
import { say } from '@sormet/core/said';
import { answer, read } from '../http/check';
import { Problem } from '../http/problem';
import { bringBack, makeSite, removedSites, removeSite } from '../sites/making-sites';
import { siteSummaries } from '../sites/site-summaries';
import type { ApiParts } from './api-parts';
import { idIn, siteIn } from './in-address';

/** The sites there are: listed, made, removed and brought back, and one with all its documents. */
export function sitesRouter({ store, sitesPort }: ApiParts): Router {
  const router = Router();
  const { manager } = store.database;
  const summaryOf = async (id: string): Promise<shapes.SiteSummary> => {
    const [summary] = await siteSummaries(manager, sitesPort, id);
    if (!summary) throw new Problem(404, say('no-site'));
    return summary;
  };

  router.get('/', async (_, response) => {
    answer(response, shapes.SiteList, {
      sites: await siteSummaries(manager, sitesPort),
      removed: await removedSites(store),
    });
  });

  router.post('/', async (request, response) => {
    const id = await makeSite(store, read(shapes.SiteRequest, request.body));
    answer(response, shapes.SiteSummary, await summaryOf(id), 201);
  });

  router.get('/:site', async (request, response) => {
    const site = await siteIn(store, request);
    const { revision, documents } = await store.state(site);
    answer(response, shapes.SiteAnswer, {
      site: await summaryOf(site.id),
      revision,
      documents: documents.toJSON(),
    });
  });

  router.delete('/:site', async (request, response) => {
    const { name } = read(shapes.RemovalRequest, request.body);
    await removeSite(store, await siteIn(store, request), name);
    response.status(204).end();
  });

  router.post('/:site/back', async (request, response) => {
    await bringBack(store, idIn(request, 'site'));
    response.status(204).end();
  });
  return router;
}
