import type { AssetDoc } from '@sormet/core/model';

/** The largest film that can be brought in, in bytes: longer ones belong to a service that streams them. */
export const LARGEST_FILM = 32 * 1024 * 1024;

/**
 * The kind of a film, told from its bytes and never from its name: ISO base media files begin with a `ftyp` box (ISO/IEC
 * 14496-12, 4.3), WebM with an EBML header whose DocType is `webm` (RFC 8794, 11.2; WebM Container Guidelines).
 * Nothing for what is no film that can be used.
 */
export function filmType(bytes: Uint8Array): AssetDoc['mediaType'] | undefined {
  const head = Buffer.from(bytes.buffer, bytes.byteOffset, Math.min(bytes.byteLength, 64));
  if (head.length < 12) return undefined;
  if (head.toString('latin1', 4, 8) === 'ftyp')
    return PLAYED_BRANDS.test(head.toString('latin1', 8, 12)) ? 'video/mp4' : undefined;
  if (head.readUInt32BE(0) !== EBML) return undefined;
  const at = head.indexOf(DOC_TYPE);
  if (at < 0) return undefined;
  // The size of the name is one byte with its highest bit set (RFC 8794, 4).
  const size = (head[at + DOC_TYPE.length] ?? 0) & 0x7f;
  const from = at + DOC_TYPE.length + 1;
  return head.toString('latin1', from, from + size) === 'webm' ? 'video/webm' : undefined;
}

const EBML = 0x1a45dfa3;
const DOC_TYPE = Buffer.from([0x42, 0x82]);
/** Brands of MP4 that browsers play (MP4 Registration Authority): not those of pictures, sound alone or other players. */
const PLAYED_BRANDS = /^(isom|iso[2-9a-c]|mp4[12]|avc1|M4V |M4VH|MSNV|dash|cmf[cs])$/;
