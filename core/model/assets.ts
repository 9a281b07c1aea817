/** The media types a site may hold, each with the extension of its files. */
const EXTENSIONS = {
  'image/svg+xml': 'svg',
  'image/png': 'png',
  'image/jpeg': 'jpg',
  'image/webp': 'webp',
  'image/gif': 'gif',
  'video/mp4': 'mp4',
  'video/webm': 'webm',
  'font/woff2': 'woff2',
} as const;

/** A media type that a site may hold (IANA). */
export type MediaType = keyof typeof EXTENSIONS;
/** All media types that a site may hold. */
export const MEDIA_TYPES = Object.keys(EXTENSIONS) as MediaType[];

/** The path of a stored file on every origin: named after its content, so it may be kept for ever. */
export function assetPath(asset: {
  readonly sha256: string;
  readonly mediaType: MediaType;
}): string {
  return `/files/${asset.sha256.slice(0, 16)}.${EXTENSIONS[asset.mediaType]}`;
}
