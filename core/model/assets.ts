import type { AssetDoc } from './documents';

const EXTENSIONS: Record<AssetDoc['mediaType'], string> = {
  'image/svg+xml': 'svg',
  'image/png': 'png',
  'image/jpeg': 'jpg',
  'image/webp': 'webp',
  'image/gif': 'gif',
  'font/woff2': 'woff2',
};

/** The path of a stored file on every origin: named after its content, so it may be kept for ever. */
export function assetPath(asset: Pick<AssetDoc, 'sha256' | 'mediaType'>): string {
  return `/files/${asset.sha256.slice(0, 16)}.${EXTENSIONS[asset.mediaType]}`;
}
