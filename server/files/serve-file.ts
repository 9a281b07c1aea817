import type { Response } from 'express';
import type { DataSource } from 'typeorm';
import { FileEntity } from '../database/entities';
import { Problem } from '../http/problem';

/** A stored picture opened by itself runs nothing, whatever it contains. */
export const FILE_POLICY = "default-src 'none'; style-src 'unsafe-inline'; img-src data:; sandbox";

/** Sends a stored picture or font by its name: the first sixteen digits of its content's hash. */
export async function serveFile(
  database: DataSource,
  name: string,
  response: Response,
): Promise<void> {
  const hash = /^([0-9a-f]{16})\.(svg|png|jpg|webp|gif|woff2)$/.exec(name)?.[1];
  const file =
    hash &&
    (await database
      .getRepository(FileEntity)
      .createQueryBuilder('f')
      .where('f.sha256 LIKE :like', { like: hash + '%' })
      .getOne());
  if (!file) throw new Problem(404, 'Not found', 'There is no such file.');
  response
    .set({
      'content-type': file.mediaType,
      'cache-control': 'public, max-age=31536000, immutable',
      'x-content-type-options': 'nosniff',
      'content-security-policy': FILE_POLICY,
      'access-control-allow-origin': '*',
    })
    .send(file.bytes);
}
