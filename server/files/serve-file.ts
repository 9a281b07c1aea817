import type { Request, Response } from 'express';
import type { DataSource } from 'typeorm';
import { FileEntity } from '../database/entities';
import { Problem } from '../http/problem';
import { partAsked } from './send-bytes';

/** A stored file opened by itself runs nothing, whatever it contains. */
export const FILE_POLICY = "default-src 'none'; style-src 'unsafe-inline'; img-src data:; sandbox";

/** Sends a stored picture, film or font, or a part of it, by its name: the first sixteen digits of its content's hash. */
export async function serveFile(
  database: DataSource,
  name: string,
  request: Request,
  response: Response,
): Promise<void> {
  const hash = /^([0-9a-f]{16})\.[a-z0-9]+$/.exec(name)?.[1];
  const file = hash === undefined ? undefined : await storedFile(database, hash);
  if (!file) throw new Problem(404, 'Not found', 'There is no such file.');
  response.set({
    'content-type': file.mediaType,
    'cache-control': 'public, max-age=31536000, immutable',
    'x-content-type-options': 'nosniff',
    'content-security-policy': FILE_POLICY,
    'access-control-allow-origin': '*',
  });
  const part = partAsked(request, response, file.size);
  if (!part) return;
  const { bytes } = (await database
    .getRepository(FileEntity)
    .createQueryBuilder('f')
    // Of a film that is played from the middle no more is read than was asked for.
    .select('substring(f.bytes from :from for :length)', 'bytes')
    .where('f.sha256 = :sha256', { sha256: file.sha256 })
    .setParameters({ from: part.start + 1, length: part.end - part.start + 1 })
    .getRawOne()) as { bytes: Buffer };
  response.send(bytes);
}

interface StoredFile {
  readonly sha256: string;
  readonly mediaType: string;
  readonly size: number;
}

function storedFile(database: DataSource, hash: string): Promise<StoredFile | undefined> {
  return database
    .getRepository(FileEntity)
    .createQueryBuilder('f')
    .select('f.sha256', 'sha256')
    .addSelect('f.mediaType', 'mediaType')
    .addSelect('octet_length(f.bytes)', 'size')
    .where('f.sha256 LIKE :like', { like: hash + '%' })
    .getRawOne<StoredFile>();
}
