import type { NextFunction, Request, Response } from 'express';

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
  if (problem.status >= 500) console.error(request.method, request.path, error);
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

/** Errors of the packages that read requests have a status of their own. */
function foreseen(error: unknown): Problem {
  const { status, code, message } = error as { status?: number; code?: string; message?: string };
  if (code === 'LIMIT_FILE_SIZE')
    return new Problem(413, 'Too large', 'The file is larger than 4 MB.');
  if (typeof status === 'number' && status >= 400 && status < 500)
    return new Problem(status, 'Bad request', message ?? 'The request could not be read.');
  return new Problem(500, 'Unexpected', 'Something went wrong here; nothing was changed.');
}
