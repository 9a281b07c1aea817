import { STATUS_CODES } from 'node:http';
import type { NextFunction, Request, Response } from 'express';
import { saidText, say, type Said } from '@sormet/core/said';
import { isAway } from '../database/away';
import { logFault } from './log';

/** How large the body of a request may be, as express reads it and as it is said. */
export const LARGEST_REQUEST = '64mb';
const LARGEST_REQUEST_WORDS = '64 MB';

/** What the package that reads uploads says of those that are broken; it gives them no status. */
const BROKEN_UPLOAD =
  /Unexpected end of form|Malformed part header|Boundary not found|Malformed content type|Missing field name/i;

/**
 * An answer that says what is wrong, as problem details (RFC 9457). What it says is a code with what it is about, in a
 * member of its own: whoever shows it has the words. Its title is the phrase of its status, as 4.2.1 has it.
 */
export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly said: Said,
    /** More members of the problem: a JSON Pointer, both sides of a conflict. */
    readonly more: Readonly<Record<string, unknown>> = {},
  ) {
    super(saidText(said));
  }
}

/** The last handler: every error leaves as problem details; what was not foreseen is logged. */
export function sendProblem(
  error: unknown,
  request: Request,
  response: Response,
  next: NextFunction,
): void {
  if (response.headersSent) return next(error);
  const problem = error instanceof Problem ? error : foreseen(error);
  if (problem.status >= 500) logFault(`${request.method} ${problem.status}`, error);
  if (problem.status === 503) response.set('retry-after', '1');
  response
    .status(problem.status)
    .type('application/problem+json')
    .send(
      JSON.stringify({
        type: 'about:blank',
        title: STATUS_CODES[problem.status],
        status: problem.status,
        said: problem.said,
        ...problem.more,
      }),
    );
}

/** Errors of the packages that read requests, and of the database, as what they mean to whoever asked. */
function foreseen(error: unknown): Problem {
  const { status, code, message, name, driverError } = error as {
    status?: number;
    code?: string;
    message?: string;
    name?: string;
    driverError?: { code?: string };
  };
  if (isAway(error)) return new Problem(503, say('database-away'));
  if (code === 'LIMIT_FILE_SIZE') return new Problem(413, say('film-too-large'));
  if (status === 413)
    return new Problem(413, say('sent-too-large', { most: LARGEST_REQUEST_WORDS }));
  // Class 22, data exceptions: a value that PostgreSQL cannot hold.
  if (/^22/.test(driverError?.code ?? '')) return new Problem(422, say('value-not-stored'));
  if (name === 'MulterError' || BROKEN_UPLOAD.test(message ?? ''))
    return new Problem(400, say('upload-unreadable'));
  if (typeof status === 'number' && status >= 400 && status < 500)
    return new Problem(status, say('request-unreadable'));
  return new Problem(500, say('went-wrong'));
}
