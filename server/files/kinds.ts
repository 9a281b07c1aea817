import { imageSize } from 'image-size';
import type { AssetDoc } from '@sormet/core/model';
import { Problem } from '../http/problem';

const KINDS: Record<string, AssetDoc['mediaType']> = {
  svg: 'image/svg+xml',
  png: 'image/png',
  jpg: 'image/jpeg',
  webp: 'image/webp',
  gif: 'image/gif',
};

/** The largest file that can be brought in, in bytes. */
export const LARGEST_FILE = 4 * 1024 * 1024;

/**
 * The kind and size of a picture, told from its bytes and never from its name.
 * @throws a 415 problem for anything that is none
 */
export function pictureOf(bytes: Buffer): {
  mediaType: AssetDoc['mediaType'];
  width: number;
  height: number;
} {
  const refusal = new Problem(
    415,
    'No picture',
    'This is no picture that can be used: SVG, PNG, JPEG, WebP and GIF can.',
  );
  let size;
  try {
    size = imageSize(bytes);
  } catch {
    throw refusal;
  }
  const mediaType = KINDS[size.type ?? ''];
  if (!mediaType || !size.width || !size.height) throw refusal;
  return { mediaType, width: Math.round(size.width), height: Math.round(size.height) };
}
