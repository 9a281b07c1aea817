import { existsSync } from 'node:fs';
import { join, sep } from 'node:path';
import express, { type Express, type RequestHandler } from 'express';
import staticGzip from 'express-static-gzip';
import { say } from '@sormet/core/said';
import { api } from './api/api';
import type { ApiParts } from './api/api-parts';
import { serveFile } from './files/serve-file';
import { ownRequestsOnly } from './http/own-requests';
import { applicationPolicy, CANVAS_POLICY } from './http/policies';
import { Problem, sendProblem } from './http/problem';

/** What the application is made of. */
export interface Parts extends ApiParts {
  /** Names other than loopback's under which it answers. */
  readonly names: readonly string[];
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
    if (request.path.startsWith('/api/')) throw new Problem(404, say('no-such-address'));
    const page = join(parts.interfaceFolder, 'index.html');
    if (!existsSync(page)) throw new Problem(503, say('interface-not-built'));
    response.set('cache-control', 'no-cache').sendFile(page);
  });
  app.use((request) => {
    throw new Problem(405, say('does-nothing-at', { method: request.method, path: request.path }));
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
