import { existsSync } from 'node:fs';
import { join, sep } from 'node:path';
import express, { Router, type Express, type Request, type RequestHandler } from 'express';
import staticGzip from 'express-static-gzip';
import { ID_PATTERN } from '@sormet/core/model';
import { acceptEdit } from './edits/accept';
import { ReleaseEntity, SiteEntity, type ReleaseRow, type SiteRow } from './database/entities';
import type { SiteStore } from './database/site-store';
import type { Pictures } from './files/pictures';
import { serveFile } from './files/serve-file';
import { storeUpload, takeUpload } from './files/uploads';
import { answer, read } from './http/check';
import { ownRequestsOnly } from './http/own-requests';
import { applicationPolicy, CANVAS_POLICY } from './http/policies';
import { LARGEST_REQUEST, Problem, sendProblem } from './http/problem';
import * as shapes from '@sormet/core/api';
import { documentAfter, historyAfter, historyLines, lastChanges } from './edits/history';
import type { LiveChanges } from './live/live-changes';
import type { Planner } from './publish/plan';
import type { Publisher } from './publish/publisher';
import { siteSummaries } from './sites/site-summaries';
import { bringBack, makeSite, removedSites, removeSite } from './sites/making-sites';

/** What the application is made of. */
export interface Parts {
  readonly store: SiteStore;
  readonly live: LiveChanges;
  readonly planner: Planner;
  readonly publisher: Publisher;
  readonly pictures: Pictures;
  /** Names other than loopback's under which it answers. */
  readonly names: readonly string[];
  readonly sitesPort: number;
  /** The folder of the built interface. */
  readonly interfaceFolder: string;
}

/** The application's origin: the interface, and `/api`. */
export function application(parts: Parts): Express {
  const app = express().disable('x-powered-by');
  app.use((_, response, next) => {
    response.set({
      'x-content-type-options': 'nosniff',
      'referrer-policy': 'same-origin',
      'content-security-policy': applicationPolicy(parts.sitesPort),
    });
    next();
  });
  app.use(ownRequestsOnly(parts.names));
  app.get('/files/:name', (request, response) =>
    serveFile(parts.store.database, request.params.name, request, response),
  );
  app.get('/canvas', (_, response) => {
    response
      .set('content-security-policy', CANVAS_POLICY)
      .type('html')
      .send(
        '<!doctype html><html lang="en"><head><meta charset="utf-8"><title>Canvas</title></head><body></body></html>',
      );
  });
  app.use('/api', api(parts));
  app.use(interfaceFiles(parts.interfaceFolder));
  app.get('/{*path}', (request, response) => {
    if (request.path.startsWith('/api/'))
      throw new Problem(404, 'Not found', 'There is no such address.');
    const page = join(parts.interfaceFolder, 'index.html');
    if (!existsSync(page))
      throw new Problem(503, 'Not built', 'The interface is not built; “npm start” builds it.');
    response.set('cache-control', 'no-cache').sendFile(page);
  });
  app.use((request) => {
    throw new Problem(405, 'Not allowed', `${request.method} does nothing at ${request.path}.`);
  });
  app.use(sendProblem);
  return app;
}

/**
 * The built interface: pressed when it was built, sent as the browser takes it (RFC 9110, 12.5.3). A name in `assets`
 * says what the file holds, so it is kept for ever; all else is asked for again.
 */
function interfaceFiles(folder: string): RequestHandler {
  return staticGzip(folder, {
    enableBrotli: true,
    orderPreference: ['br', 'gz'],
    index: false,
    serveStatic: {
      setHeaders(response, path) {
        const isHashed = path.includes(`${sep}assets${sep}`);
        response.setHeader(
          'cache-control',
          isHashed ? 'public, max-age=31536000, immutable' : 'no-cache',
        );
      },
    },
  });
}

function api({ store, live, planner, publisher, pictures, sitesPort }: Parts): Router {
  const router = Router();
  const database = store.database;
  router.use((_, response, next) => {
    response.set('cache-control', 'no-store');
    next();
  });
  router.use(express.json({ limit: LARGEST_REQUEST }));

  router.get('/health', async (_, response) => {
    answer(response, shapes.HealthAnswer, {
      status: 'ok',
      sites: await database.getRepository(SiteEntity).count(),
    });
  });

  router.get('/sites', async (_, response) => {
    answer(response, shapes.SiteList, {
      sites: await siteSummaries(database.manager, sitesPort),
      removed: await removedSites(store),
    });
  });

  router.post('/sites', async (request, response) => {
    const id = await makeSite(store, read(shapes.SiteRequest, request.body));
    answer(response, shapes.SiteSummary, await summaryOf(id), 201);
  });

  router.delete('/sites/:site', async (request, response) => {
    const { name } = read(shapes.RemovalRequest, request.body);
    await removeSite(store, await siteIn(request), name);
    response.status(204).end();
  });

  router.post('/sites/:site/back', async (request, response) => {
    await bringBack(store, idIn(request, 'site'));
    response.status(204).end();
  });

  router.get('/sites/:site', async (request, response) => {
    const site = await siteIn(request);
    const { revision, documents } = await store.state(site);
    answer(response, shapes.SiteAnswer, {
      site: await summaryOf(site.id),
      revision,
      documents: documents.toJSON(),
    });
  });

  router.post('/sites/:site/edits', async (request, response) => {
    const edit = read(shapes.EditRequest, request.body);
    answer(response, shapes.EditAnswer, {
      revision: await acceptEdit(store, (await siteIn(request)).id, edit),
    });
  });

  router.get('/sites/:site/history', async (request, response) => {
    const site = await siteIn(request);
    const after = wholeNumber(request.query['after'], 'after', site.revision);
    const { edits, more } = await historyAfter(database, site.id, after);
    answer(response, shapes.HistoryAnswer, { revision: site.revision, more, edits });
  });

  router.get('/sites/:site/history/lines', async (request, response) => {
    const site = await siteIn(request);
    const before = wholeNumber(request.query['before'], 'before', site.revision + 1);
    const of = request.query['document'];
    const document = of === undefined ? undefined : idFrom(of, 'document');
    answer(response, shapes.HistoryLines, await historyLines(database, site.id, before, document));
  });

  router.get('/sites/:site/changed', async (request, response) => {
    const site = await siteIn(request);
    answer(response, shapes.LastChanges, { changed: await lastChanges(database, site.id) });
  });

  router.get('/sites/:site/revisions/:revision/documents/:document', async (request, response) => {
    const site = await siteIn(request);
    const revision = revisionIn(request, site);
    const id = idIn(request, 'document');
    // What is and what led there are read as they were at one moment.
    const document = await database.transaction('REPEATABLE READ', (manager) =>
      documentAfter(manager, site.id, id, revision),
    );
    if (!document) throw new Problem(404, 'Not found', `There was no ${id} after ${revision}.`);
    answer(response, shapes.DocumentAnswer, { revision, document: { ...document } });
  });

  router.get('/sites/:site/revisions/:revision', async (request, response) => {
    const site = await siteIn(request);
    const revision = revisionIn(request, site);
    const { documents } = await store.stateAt(site.id, revision);
    answer(response, shapes.RevisionAnswer, { revision, documents: documents.toJSON() });
  });

  router.get('/sites/:site/live', async (request, response) => {
    const site = await siteIn(request);
    const revision = async () => (await store.site(site.id))?.revision ?? 0;
    await live.listen(site.id, revision, request, response);
  });

  router.get('/sites/:site/plan', async (request, response) => {
    const plan = await planner.plan(await siteIn(request));
    answer(response, shapes.PlanAnswer, {
      revision: plan.revision,
      pages: plan.plan.map((page) => ({ ...page, reasons: [...page.reasons] })),
      unchanged:
        plan.of +
        plan.kept -
        plan.plan.filter(({ what }) => what === 'new' || what === 'changed').length,
    });
  });

  router.get('/sites/:site/releases', async (request, response) => {
    const site = await siteIn(request);
    const rows = await database.getRepository(ReleaseEntity).find({
      where: { site: site.id },
      order: { number: 'DESC' },
      take: 100,
    });
    answer(response, shapes.ReleaseList, {
      releases: rows.map((row) => releaseSummary(row, site)),
    });
  });

  router.post('/sites/:site/releases', async (request, response) => {
    const site = await siteIn(request);
    answer(
      response,
      shapes.ReleaseSummary,
      releaseSummary(await publisher.ask(site.id), site),
      202,
    );
  });

  router.get('/sites/:site/releases/:release', async (request, response) => {
    const site = await siteIn(request);
    const row = await database
      .getRepository(ReleaseEntity)
      .findOneBy({ id: idIn(request, 'release'), site: site.id });
    if (!row) throw new Problem(404, 'Not found', 'There is no such release.');
    answer(response, shapes.ReleaseSummary, releaseSummary(row, site));
  });

  router.post('/sites/:site/releases/:release/live', async (request, response) => {
    const site = await siteIn(request);
    await publisher.goBackTo(site.id, idIn(request, 'release'));
    response.status(204).end();
  });

  router.post('/sites/:site/files', ...takeUpload(), async (request, response) => {
    await siteIn(request);
    answer(response, shapes.FileAnswer, await storeUpload(database, pictures, request.file), 201);
  });

  router.use((request) => {
    throw new Problem(
      404,
      'Not found',
      `There is nothing at ${request.method} ${request.originalUrl}.`,
    );
  });
  return router;

  async function siteIn(request: Request): Promise<SiteRow> {
    const id = String(request.params['site']);
    // What is no id names no site; the database is not asked about it.
    const site = new RegExp(ID_PATTERN).test(id) ? await store.site(id) : null;
    if (!site) throw new Problem(404, 'Not found', 'There is no such site.');
    return site;
  }

  async function summaryOf(id: string): Promise<shapes.SiteSummary> {
    const [summary] = await siteSummaries(database.manager, sitesPort, id);
    if (!summary) throw new Problem(404, 'Not found', 'There is no such site.');
    return summary;
  }
}

/** The revision of a site that an address names. */
function revisionIn(request: Request, site: SiteRow): number {
  const revision = wholeNumber(request.params['revision'], 'revision', site.revision);
  if (revision < 1 || revision > site.revision)
    throw new Problem(404, 'Not found', `There is no revision ${revision} of this site.`);
  return revision;
}

/** An id in the address. @throws a 404 problem for what is none: it names nothing */
function idIn(request: Request, name: string): string {
  return idFrom(request.params[name], name);
}

function idFrom(given: unknown, name: string): string {
  const id = String(given);
  if (!new RegExp(ID_PATTERN).test(id))
    throw new Problem(404, 'Not found', `There is no such ${name}.`);
  return id;
}

/** The largest integer that a column of revisions holds. */
const LARGEST_INTEGER = 2 ** 31 - 1;

function wholeNumber(value: unknown, name: string, byDefault: number): number {
  if (value === undefined) return byDefault;
  const number = Number(value);
  if (!Number.isInteger(number) || number < 0 || number > LARGEST_INTEGER)
    throw new Problem(400, 'Bad request', `“${name}” must be a whole number.`, {
      pointer: '/' + name,
      reason: 'is no whole number',
    });
  return number;
}

function releaseSummary(row: ReleaseRow, site: SiteRow): shapes.ReleaseSummary {
  const { id, number, revision, state, done, of, plan, error, at } = row;
  return {
    id,
    number,
    revision,
    state,
    done,
    of,
    error,
    live: site.liveRelease === id,
    pages: plan.map((page) => ({ ...page, reasons: [...page.reasons] })),
    at: at.toISOString(),
  };
}
