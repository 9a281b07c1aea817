import express, { Router } from 'express';
import * as shapes from '@sormet/core/api';
import { say } from '@sormet/core/said';
import { SiteEntity } from '../database/entities';
import { answer } from '../http/check';
import { LARGEST_REQUEST, Problem } from '../http/problem';
import type { ApiParts } from './api-parts';
import { editsRouter } from './edits-router';
import { entriesRouter } from './entries-router';
import { filesRouter } from './files-router';
import { fontsRouter } from './fonts-router';
import { historyRouter } from './history-router';
import { messagesRouter } from './messages-router';
import { publishingRouter } from './publishing-router';
import { sitesRouter } from './sites-router';

/** Everything under `/api`, a router for each subject. Nothing of it is kept by browsers. */
export function api(parts: ApiParts): Router {
  const router = Router();
  router.use((_, response, next) => {
    response.set('cache-control', 'no-store');
    next();
  });
  router.use(express.json({ limit: LARGEST_REQUEST }));
  router.get('/health', async (_, response) => {
    const sites = await parts.store.database.getRepository(SiteEntity).count();
    answer(response, shapes.HealthAnswer, { status: 'ok', sites });
  });
  router.use('/fonts', fontsRouter());
  router.use('/sites', sitesRouter(parts));
  for (const subject of [
    editsRouter,
    entriesRouter,
    historyRouter,
    publishingRouter,
    filesRouter,
    messagesRouter,
  ])
    router.use('/sites/:site', subject(parts));
  router.use((request) => {
    throw new Problem(
      404,
      say('nothing-at', { method: request.method, path: request.originalUrl }),
    );
  });
  return router;
}
