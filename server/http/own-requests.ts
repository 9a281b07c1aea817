import type { NextFunction, Request, Response } from 'express';
import { Problem } from './problem';

/**
 * Lets through only what the application itself, or a program on this machine, asks for: the Host must
 * be a loopback name unless the server was told to listen elsewhere (against DNS rebinding), and a
 * change must not come from a page of another origin.
 */
export function ownRequestsOnly(request: Request, _: Response, next: NextFunction): void {
  const listensElsewhere = process.env['SORMET_HOST'] !== undefined;
  const loopback = ['localhost', '127.0.0.1', '[::1]', '::1'].includes(request.hostname);
  if (!loopback && !listensElsewhere)
    throw new Problem(403, 'Another host', 'The application answers on this machine only.');
  const { origin } = request.headers;
  if (request.method !== 'GET' && request.method !== 'HEAD' && origin !== undefined) {
    let host: string | undefined;
    try {
      host = new URL(origin).host;
    } catch {
      // “null” and other origins that are no address are another origin.
    }
    if (host !== request.headers.host)
      throw new Problem(403, 'Another origin', 'Changes are taken from the application only.');
  }
  next();
}
