/** How the bytes of a file of text are meant. */
export const ENCODINGS = ['utf-8', 'utf-16le', 'utf-16be', 'windows-1252'] as const;
/** One of these encodings, as the Encoding Standard (WHATWG) calls them. */
export type TextEncoding = (typeof ENCODINGS)[number];

/**
 * Which encoding a file of text is in: as its mark says; without one UTF-16 where every other byte of its beginning is
 * empty, UTF-8 where it is sound as that (RFC 3629), else Windows-1252, which takes every byte.
 */
export function encodingOf(bytes: Uint8Array): TextEncoding {
  const [one, two, three] = bytes;
  if (one === 0xef && two === 0xbb && three === 0xbf) return 'utf-8';
  if (one === 0xff && two === 0xfe) return 'utf-16le';
  if (one === 0xfe && two === 0xff) return 'utf-16be';
  const begin = bytes.subarray(0, 512);
  const empty = (from: number) => {
    let many = 0;
    for (let i = from; i < begin.length; i += 2) if (begin[i] === 0) many += 1;
    return many / Math.max(1, begin.length / 2);
  };
  if (empty(1) > 0.7 && empty(0) < 0.1) return 'utf-16le';
  if (empty(0) > 0.7 && empty(1) < 0.1) return 'utf-16be';
  try {
    new TextDecoder('utf-8', { fatal: true }).decode(bytes);
    return 'utf-8';
  } catch {
    // Bytes that no UTF-8 has.
    return 'windows-1252';
  }
}

/** What Windows-1252 has from 0x80 to 0x9F (Encoding Standard, index windows-1252); the others are as in Unicode. */
const HIGH = '€\x81‚ƒ„…†‡ˆ‰Š‹Œ\x8dŽ\x8f\x90‘’“”•–—˜™š›œ\x9džŸ';

/** The text of a file, without its mark. */
export function decoded(bytes: Uint8Array, encoding: TextEncoding): string {
  // Node 20 decodes it as ISO 8859-1.
  if (encoding === 'windows-1252') {
    const latin = new TextDecoder('latin1').decode(bytes);
    return latin.replace(/[\x80-\x9f]/g, (sign) => HIGH[sign.charCodeAt(0) - 0x80]!);
  }
  return new TextDecoder(encoding).decode(bytes);
}
