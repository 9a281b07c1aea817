import type { NextFunction, Request, Response } from 'express';
import { say } from '@sormet/core/said';
import { Problem } from './problem';

/** The names of this machine for itself. */
const LOOPBACK = ['localhost', '127.0.0.1', '[::1]', '::1'];

/**
 * Lets through only what the application itself, or a program on this machine, asks for: the Host must be a
 * loopback name or one of those that were allowed (against DNS rebinding), and a change must not come from a page
 * of another origin.
 */
export function ownRequestsOnly(names: readonly string[]) {
  const allowed = new Set([...LOOPBACK, ...names]);
  return (request: Request, _: Response, next: NextFunction): void => {
    if (!allowed.has(request.hostname ?? '')) throw new Problem(403, say('another-host'));
    const { origin } = request.headers;
    if (request.method !== 'GET' && request.method !== 'HEAD' && origin !== undefined) {
      // “null” and other origins that are no address are another origin.
      const host = URL.canParse(origin) ? new URL(origin).host : undefined;
      if (host !== request.headers.host) throw new Problem(403, say('another-origin'));
    }
    next();
  };
}
