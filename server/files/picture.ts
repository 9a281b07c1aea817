import { imageSize } from 'image-size';
import type { AssetDoc, Font } from '@sormet/core/model';
import { say, type Said, type Told } from '@sormet/core/said';
import { cleanSvg, UnreadableSvg } from './clean-svg';

const KINDS: Readonly<Record<string, AssetDoc['mediaType']>> = {
  svg: 'image/svg+xml',
  png: 'image/png',
  jpg: 'image/jpeg',
  webp: 'image/webp',
  gif: 'image/gif',
};

/** How many pixels a picture may have: what a phone can still unpack. */
const MOST_PIXELS = 60_000_000;

/** What a font says of itself: all of a face but where its file is. */
export type FontRead = Omit<Font, 'asset'>;

/** A picture as it is stored: its bytes, cleaned where it is SVG, its kind and its size in CSS px. */
export interface Picture {
  readonly bytes: Uint8Array;
  readonly mediaType: AssetDoc['mediaType'];
  /** In CSS px; a font has none. */
  readonly width?: number;
  readonly height?: number;
  /** What a font says of itself. */
  readonly font?: FontRead;
  /** What was left out of an SVG because it does not draw. */
  readonly leftOut: readonly Told[];
}

/** What came of reading a picture: the picture, or why it cannot be used. */
export type PictureRead = { readonly picture: Picture } | { readonly refused: Said };

/** Reads a picture, told from its bytes and never from its name. Takes as long as the bytes make it: run by the worker. */
export function readPicture(bytes: Uint8Array): PictureRead {
  let size;
  try {
    size = imageSize(bytes);
  } catch {
    // The package throws on what it does not know; whoever brought it in is told.
    return { refused: NO_PICTURE };
  }
  const mediaType = KINDS[size.type ?? ''];
  if (!mediaType || !(size.width > 0) || !(size.height > 0)) return { refused: NO_PICTURE };
  const width = Math.round(size.width);
  const height = Math.round(size.height);
  if (width < 1 || height < 1 || width * height > MOST_PIXELS)
    return {
      refused: say('picture-too-many-pixels', { width, height, most: MOST_PIXELS / 1e6 }),
    };
  if (mediaType !== 'image/svg+xml')
    return { picture: { bytes, mediaType, width, height, leftOut: [] } };
  try {
    const { svg, leftOut } = cleanSvg(new TextDecoder('utf-8', { fatal: true }).decode(bytes));
    return {
      picture: { bytes: new TextEncoder().encode(svg), mediaType, width, height, leftOut },
    };
  } catch (error) {
    if (error instanceof UnreadableSvg) return { refused: error.said };
    if (error instanceof TypeError) return { refused: say('svg-not-utf8') };
    throw error;
  }
}

const NO_PICTURE = say('no-picture');
