import type { NextFunction, Request, Response } from 'express';
import { isAway } from '../database/away';
import { logFault } from './log';

/** How large the body of a request may be, as express reads it and as it is said. */
export const LARGEST_REQUEST = '8mb';
const LARGEST_REQUEST_WORDS = '8 MB';

/** What the package that reads uploads says of those that are broken; it gives them no status. */
const BROKEN_UPLOAD =
  /Unexpected end of form|Malformed part header|Boundary not found|Malformed content type|Missing field name/i;

/** An answer that says what is wrong, as problem details (RFC 9457). */
export class Problem extends Error {
  constructor(
    readonly status: number,
    /** A short name of the kind of problem. */
    readonly title: string,
    detail: string,
    /** More members of the problem: a JSON Pointer, both sides of a conflict. */
    readonly more: Readonly<Record<string, unknown>> = {},
  ) {
    super(detail);
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
        title: problem.title,
        status: problem.status,
        detail: problem.message,
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
  if (isAway(error))
    return new Problem(
      503,
      'Away',
      'The database does not answer in time; nothing was changed. Try again in a moment.',
    );
  if (code === 'LIMIT_FILE_SIZE')
    return new Problem(413, 'Too large', 'The file is larger than 32 MB, the most for a film.');
  if (status === 413)
    return new Problem(
      413,
      'Too large',
      `What was sent is larger than ${LARGEST_REQUEST_WORDS}. Do it in parts.`,
    );
  // Class 22, data exceptions: a value that PostgreSQL cannot hold.
  if (/^22/.test(driverError?.code ?? ''))
    return new Problem(422, 'Refused', 'It holds a value that cannot be stored.');
  if (name === 'MulterError' || BROKEN_UPLOAD.test(message ?? ''))
    return new Problem(400, 'Bad request', `The upload could not be read: ${message}.`);
  if (typeof status === 'number' && status >= 400 && status < 500)
    return new Problem(status, 'Bad request', message ?? 'The request could not be read.');
  return new Problem(500, 'Unexpected', 'Something went wrong here; nothing was changed.');
}
