import { Router } from 'express';
import * as shapes from '@sormet/core/api';
import { acceptEdit } from '../edits/accept';
import { answer, read } from '../http/check';
import type { ApiParts } from './api-parts';
import { siteIn } from './in-address';

/** Edits of one site, and hearing of those that others make. */
export function editsRouter({ store, live }: ApiParts): Router {
  const router = Router({ mergeParams: true });

  router.post('/edits', async (request, response) => {
    const edit = read(shapes.EditRequest, request.body);
    const { id } = await siteIn(store, request);
    answer(response, shapes.EditAnswer, { revision: await acceptEdit(store, id, edit) });
  });

  router.get('/live', async (request, response) => {
    const { id } = await siteIn(store, request);
    const revision = async () => (await store.site(id))?.revision ?? 0;
    await live.listen(id, revision, request, response);
  });
  return router;
}
