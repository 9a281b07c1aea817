import { fromBuffer } from '@capsizecss/unpack';
import { create } from 'fontkitten';
import { say } from '@sormet/core/said';
import type { FontRead, PictureRead } from './picture';

/** How a file of a font begins (WOFF File Format 2.0, 4). */
const SIGNATURE = 'wOF2';

/** Whether a file is a font as browsers load it, told from its first bytes. */
export function isFont(bytes: Uint8Array): boolean {
  return Buffer.from(bytes.subarray(0, 4)).toString('latin1') === SIGNATURE;
}

/**
 * Reads a font: its family, for which weights it is (OpenType, OS/2: usWeightClass; fvar: the axis `wght`), whether it is
 * italic, and its measures. Takes as long as the bytes make it: run by the worker.
 */
export async function readFont(bytes: Uint8Array): Promise<PictureRead> {
  try {
    const buffer = Buffer.from(bytes);
    const font = create(buffer);
    if (font.isCollection) return { refused: say('font-unreadable') };
    const { wght } = font.variationAxes;
    const { unitsPerEm, ascent, descent, lineGap, xWidthAvg } = await fromBuffer(buffer);
    // Of a file with other characters alone nothing can be said of how wide words are.
    const hasLetters = font.hasGlyphForCodePoint('e'.codePointAt(0)!);
    const family = familyOf(font.getName('preferredFamily'), font.familyName);
    if (family === '' || (hasLetters && !(xWidthAvg > 0)))
      return { refused: say('font-unreadable') };
    const read: FontRead = {
      family,
      weight: wght
        ? `${Math.round(wght.min)} ${Math.round(wght.max)}`
        : String(font['OS/2'].usWeightClass),
      style: font['OS/2'].fsSelection.italic || font.italicAngle !== 0 ? 'italic' : 'normal',
      ...(hasLetters
        ? { metrics: { unitsPerEm, ascent, descent, lineGap, widthAverage: xWidthAvg } }
        : {}),
    };
    return { picture: { bytes, mediaType: 'font/woff2', font: read, leftOut: [] } };
  } catch {
    // The packages throw on what is no sound font; whoever brought it in is told.
    return { refused: say('font-unreadable') };
  }
}

/** Weights as they stand at the end of names. */
const WEIGHT =
  / (thin|hairline|(extra|ultra) ?light|light|regular|medium|(semi|demi) ?bold|(extra|ultra) ?bold|bold|black|heavy)$/i;

/**
 * The family of a font: its typographic one (OpenType, name: id 16); where it has none, its family (id 1) without the
 * weight, which stands there in fonts of more than four styles.
 */
function familyOf(typographic: string | null, family: string): string {
  return (typographic ?? family.trim().replace(WEIGHT, '')).trim().slice(0, 120);
}
