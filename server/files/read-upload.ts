import { isFont, readFont } from './font';
import { readPicture, type PictureRead } from './picture';

/** Reads what was brought in, a font or a picture, told from its bytes. */
export async function readUpload(bytes: Uint8Array): Promise<PictureRead> {
  return isFont(bytes) ? readFont(bytes) : readPicture(bytes);
}
