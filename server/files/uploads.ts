import { createHash } from 'node:crypto';
import { createReadStream } from 'node:fs';
import { open, readFile, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import type { NextFunction, Request, RequestHandler, Response } from 'express';
import multer from 'multer';
import type { DataSource } from 'typeorm';
import type { FileAnswer } from '@sormet/core/api';
import { isWellFormed } from '@sormet/core/model';
import { say } from '@sormet/core/said';
import { logFault } from '../http/log';
import { Problem } from '../http/problem';
import { filmType, LARGEST_FILM } from './film';
import { LARGEST_FILE, type Pictures } from './pictures';
import { sha256 as hashOf } from './sha256';
import { storeFiles, storeFromDisk } from './stored-files';

/** How many files are taken in at once: each lies on disk until it is stored, a picture in memory too. */
const MOST_AT_ONCE = 8;
let under = 0;

/**
 * Takes the file of a request to a folder for temporary files; it is removed when the request is answered.
 * @throws a 503 problem while many others are being taken
 */
export function takeUpload(): RequestHandler[] {
  const upload = multer({
    dest: tmpdir(),
    limits: { fileSize: LARGEST_FILM, files: 1, fields: 10, parts: 12 },
    // Names of files are UTF-8, as browsers send them (HTML Living Standard, multipart/form-data).
    defParamCharset: 'utf8',
  });
  const inTurn = (_: Request, response: Response, next: NextFunction) => {
    if (under >= MOST_AT_ONCE) throw new Problem(503, say('others-bring-files'));
    under += 1;
    response.once('close', () => (under -= 1));
    next();
  };
  const cleared = (request: Request, response: Response, next: NextFunction) => {
    const { file } = request;
    if (file)
      response.once('close', () => {
        rm(file.path, { force: true }).catch((error: unknown) =>
          logFault('Removing what was brought in', error),
        );
      });
    next();
  };
  return [inTurn, upload.single('file'), cleared];
}

/**
 * Stores what was taken: a picture that was read, cleaned where it is SVG, or a film as it is, part by part.
 * @throws a 400, 413 or 415 problem for what cannot be used
 */
export async function storeUpload(
  database: DataSource,
  pictures: Pictures,
  file: Express.Multer.File | undefined,
): Promise<FileAnswer> {
  if (!file) throw new Problem(400, say('no-file-sent'), { pointer: '/file' });
  const name = wellFormedName(file.originalname);
  const film = filmType(await headOf(file.path));
  if (film) {
    const sha256 = await hashOfFile(file.path);
    await database.transaction((manager) =>
      storeFromDisk(manager, { sha256, mediaType: film, size: file.size }, file.path),
    );
    return { sha256, name, mediaType: film, leftOut: [] };
  }
  if (file.size > LARGEST_FILE)
    throw new Problem(413, say('picture-too-large', { most: LARGEST_FILE / 2 ** 20 }));
  const { bytes, leftOut, ...kind } = await pictures.read(await readFile(file.path));
  const sha256 = hashOf(bytes);
  await database.transaction((manager) =>
    storeFiles(manager, [{ sha256, mediaType: kind.mediaType, bytes }]),
  );
  return { sha256, name, ...kind, leftOut: [...leftOut] };
}

/** How many bytes tell what kind of film a file is. */
const HEAD_BYTES = 64;

async function headOf(path: string): Promise<Buffer> {
  const handle = await open(path);
  try {
    const { buffer, bytesRead } = await handle.read(Buffer.alloc(HEAD_BYTES), 0, HEAD_BYTES, 0);
    return buffer.subarray(0, bytesRead);
  } finally {
    await handle.close();
  }
}

async function hashOfFile(path: string): Promise<string> {
  const hash = createHash('sha256');
  for await (const part of createReadStream(path)) hash.update(part as Buffer);
  return hash.digest('hex');
}

/** The name of a file as people see it: what cannot be stored of it is left out. */
function wellFormedName(name: string): string {
  const shown = [...name]
    .filter((letter) => isWellFormed(letter) && !/\p{Cc}/u.test(letter))
    .slice(0, 120)
    .join('');
  return shown === '' ? 'picture' : shown;
}
