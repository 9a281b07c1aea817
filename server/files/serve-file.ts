import type { Request, Response } from 'express';
import type { DataSource } from 'typeorm';
import { say } from '@sormet/core/said';
import { FILE_POLICY } from '../http/policies';
import { Problem } from '../http/problem';
import { sendStored } from './send-file';
import { findFile } from './stored-files';

/** Sends a stored picture, film or font, or a part of it, by its name: the first sixteen digits of its content's hash. */
export async function serveFile(
  database: DataSource,
  name: string,
  request: Request,
  response: Response,
): Promise<void> {
  const hash = /^([0-9a-f]{16})\.[a-z0-9]+$/.exec(name)?.[1];
  const file = hash === undefined ? undefined : await findFile(database.manager, hash);
  if (!file) throw new Problem(404, say('no-file'));
  response.set({
    'content-type': file.mediaType,
    'cache-control': 'public, max-age=31536000, immutable',
    'x-content-type-options': 'nosniff',
    'content-security-policy': FILE_POLICY,
    'access-control-allow-origin': '*',
  });
  await sendStored(database, file, request, response);
}
