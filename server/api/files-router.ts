import { Router } from 'express';
import * as shapes from '@sormet/core/api';
import { storeUpload, takeUpload } from '../files/uploads';
import { answer } from '../http/check';
import type { ApiParts } from './api-parts';
import { siteIn } from './in-address';

/** Files that are brought in to one site. */
export function filesRouter({ store, pictures }: ApiParts): Router {
  const router = Router({ mergeParams: true });

  router.post('/files', ...takeUpload(), async (request, response) => {
    await siteIn(store, request);
    const file = await storeUpload(store.database, pictures, request.file);
    answer(response, shapes.FileAnswer, file, 201);
  });
  return router;
}
