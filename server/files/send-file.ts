import { pipeline } from 'node:stream/promises';
import { Readable } from 'node:stream';
import type { Request, Response } from 'express';
import type { DataSource } from 'typeorm';
import { say } from '@sormet/core/said';
import { Problem } from '../http/problem';
import { bytesOf, PART_BYTES, type StoredFile } from './stored-files';

/** Part of a file, its first and last byte. */
export interface Part {
  readonly start: number;
  readonly end: number;
}

/**
 * Which part of a file was asked for (RFC 9110, 14.1.2 and 14.2), answered in the head: the whole where none was, what
 * was asked is no range, or several were; `null` where there is no such part, and the answer is sent.
 */
function partAsked(request: Request, response: Response, size: number): Part | null {
  response.set('accept-ranges', 'bytes');
  const part = rangeIn(request.headers.range, size);
  if (part === 'whole') return { start: 0, end: size - 1 };
  if (part === 'none') {
    response.status(416).set('content-range', `bytes */${size}`).end();
    return null;
  }
  response.status(206).set('content-range', `bytes ${part.start}-${part.end}/${size}`);
  return part;
}

function rangeIn(header: string | undefined, size: number): Part | 'whole' | 'none' {
  const [, first = '', last = ''] = /^bytes=[ \t]*(\d*)-(\d*)[ \t]*$/i.exec(header ?? '') ?? [];
  if (first === '' && last === '') return 'whole';
  if (first === '') {
    // The last so many bytes, or all there are; none of them cannot be had.
    const many = Math.min(Number(last), size);
    return many === 0 ? 'none' : { start: size - many, end: size - 1 };
  }
  const start = Number(first);
  if (last !== '' && Number(last) < start) return 'whole';
  if (start >= size) return 'none';
  return { start, end: last === '' ? size - 1 : Math.min(Number(last), size - 1) };
}

/** How many large files are sent at once, at the most: each has one part in memory and one connection while it is read. */
const MOST_SENT = 100;
/** How long somebody may take nothing of what is sent, in ms, before the connection is closed. */
const LONGEST_PAUSE = 60_000;
let sending = 0;

/** Sends a file that is in memory, or the part of it that was asked for. */
export function sendBytes(request: Request, response: Response, bytes: Buffer): void {
  const part = partAsked(request, response, bytes.length);
  if (part) response.send(bytes.subarray(part.start, part.end + 1));
}

/**
 * Sends a stored file, or the part of it that was asked for, as fast as it is read and no faster.
 * @throws a 503 problem while too many are sent
 */
export async function sendStored(
  database: DataSource,
  file: StoredFile,
  request: Request,
  response: Response,
): Promise<void> {
  const large = file.size > PART_BYTES;
  if (large && sending >= MOST_SENT) throw new Problem(503, say('too-many-sendings'));
  const part = partAsked(request, response, file.size);
  if (!part) return;
  response.set('content-length', String(part.end + 1 - part.start));
  if (request.method === 'HEAD' || part.end < part.start) return void response.end();
  if (large) sending += 1;
  response.setTimeout(LONGEST_PAUSE, () => response.destroy());
  try {
    const bytes = bytesOf(database.manager, file.sha256, part.start, part.end);
    await pipeline(Readable.from(bytes, { objectMode: false }), response);
  } catch (error) {
    // Whoever asked may leave at any time; nothing is owed to them then.
    if (!(response.destroyed && isGone(error))) throw error;
  } finally {
    if (large) sending -= 1;
  }
}

function isGone(error: unknown): boolean {
  const { code } = error as { code?: string };
  return code === 'ERR_STREAM_PREMATURE_CLOSE' || code === 'ECONNRESET' || code === 'EPIPE';
}
