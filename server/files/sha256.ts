import { createHash } from 'node:crypto';

/** The SHA-256 of bytes, or of a text as UTF-8, in hexadecimal digits: what a stored file is known by. */
export function sha256(content: string | Uint8Array): string {
  return createHash('sha256').update(content).digest('hex');
}
