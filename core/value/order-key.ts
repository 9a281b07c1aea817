import { inOrder, TEXT, type LENGTH_UNITS, type LengthValue, type TypeSpec } from '../model';
import { convert } from './convert';
import type { Data } from './data';
import type { Known } from './evaluate';

/**
 * What units of length are in CSS px (CSS Values and Units 4, 6): those of the font as they are at first, those of the
 * window and parts of a whole as in a window of 1280 by 800. Exact among themselves, which is what an order needs.
 */
const PX: Readonly<Record<(typeof LENGTH_UNITS)[number], number>> = {
  px: 1,
  rem: 16,
  em: 16,
  ch: 8,
  vw: 12.8,
  vh: 8,
  '%': 12.8,
};

/**
 * By what values of one type are in order: numbers, dates and lengths by their size, options as they stand, everything
 * that is written by its key in the language of the page, never by its spelling.
 * @returns nothing for what has no order: it comes last
 */
export function orderKey(value: Known, type: TypeSpec, data: Data): string | number | null {
  if (value === null || value.type === 'hide' || value.type === 'waiting') return null;
  switch (value.type) {
    case 'number':
    case 'date':
      return value.value;
    case 'boolean':
      return Number(value.value);
    case 'length':
      return value.value && sizeOf(value.value);
    case 'choice': {
      if (type.kind !== 'choice') return null;
      const at = inOrder(type.options).findIndex(([id]) => id === value.value);
      return at < 0 ? null : at;
    }
    default: {
      const text = convert(value, TEXT, data);
      return text?.type === 'text' && text.value !== null
        ? data.language.sortingKey(text.value)
        : null;
    }
  }
}

/** The size of a length in CSS px; nothing for a sum or a token, whose size is known only where it stands. */
function sizeOf(length: LengthValue): number | null {
  return 'unit' in length ? length.value * PX[length.unit] : null;
}
