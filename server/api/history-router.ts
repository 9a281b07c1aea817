import { Router } from 'express';
import * as shapes from '@sormet/core/api';
import { say } from '@sormet/core/said';
import { documentAfter, historyAfter, historyLines, lastChanges } from '../edits/history';
import { answer } from '../http/check';
import { Problem } from '../http/problem';
import type { ApiParts } from './api-parts';
import { idFrom, idIn, revisionIn, siteIn, wholeNumber } from './in-address';

/** What was done on one site, and how it was at any revision. */
export function historyRouter({ store }: ApiParts): Router {
  const router = Router({ mergeParams: true });
  const { database } = store;

  router.get('/history', async (request, response) => {
    const { id, revision } = await siteIn(store, request);
    const after = wholeNumber(request.query['after'], 'after', revision);
    const { edits, more } = await historyAfter(database, id, after);
    answer(response, shapes.HistoryAnswer, { revision, more, edits });
  });

  router.get('/history/lines', async (request, response) => {
    const { id, revision } = await siteIn(store, request);
    const before = wholeNumber(request.query['before'], 'before', revision + 1);
    const of = request.query['document'];
    const document = of === undefined ? undefined : idFrom(of, 'document');
    answer(response, shapes.HistoryLines, await historyLines(database, id, before, document));
  });

  router.get('/changed', async (request, response) => {
    const { id } = await siteIn(store, request);
    answer(response, shapes.LastChanges, { changed: await lastChanges(database, id) });
  });

  router.get('/revisions/:revision', async (request, response) => {
    const site = await siteIn(store, request);
    const revision = revisionIn(request, site);
    const { documents } = await store.stateAt(site.id, revision);
    answer(response, shapes.RevisionAnswer, { revision, documents: documents.toJSON() });
  });

  router.get('/revisions/:revision/documents/:document', async (request, response) => {
    const site = await siteIn(store, request);
    const revision = revisionIn(request, site);
    const id = idIn(request, 'document');
    // What is and what led there are read as they were at one moment.
    const document = await database.transaction('REPEATABLE READ', (manager) =>
      documentAfter(manager, site.id, id, revision),
    );
    if (!document) throw new Problem(404, say('no-document-then', { id, revision }));
    answer(response, shapes.DocumentAnswer, { revision, document: { ...document } });
  });
  return router;
}
