import type { Request, Response } from 'express';

/** Part of a file, its first and last byte. */
export interface Part {
  readonly start: number;
  readonly end: number;
}

/**
 * Which part of a file was asked for (RFC 9110, 14.2), answered in the head: the whole where none was, or several
 * were; `null` where there is no such part, and the answer is sent.
 */
export function partAsked(request: Request, response: Response, size: number): Part | null {
  response.set('accept-ranges', 'bytes');
  const ranges = request.range(size);
  const whole = { start: 0, end: size - 1 };
  // What cannot be read as a range is as if it were not there; of several the whole may be sent.
  if (ranges === undefined || ranges === -2) return whole;
  if (ranges === -1) {
    response.status(416).set('content-range', `bytes */${size}`).end();
    return null;
  }
  const [only] = ranges;
  if (ranges.type !== 'bytes' || ranges.length !== 1 || !only) return whole;
  response.status(206).set('content-range', `bytes ${only.start}-${only.end}/${size}`);
  return only;
}

/** Sends a file that is in memory, or the part of it that was asked for. */
export function sendBytes(request: Request, response: Response, bytes: Buffer): void {
  const part = partAsked(request, response, bytes.length);
  if (part) response.send(bytes.subarray(part.start, part.end + 1));
}
