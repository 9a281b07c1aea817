import type { Slot } from '@sormet/core/model';
import { count } from './count';

/** What a slot lets in, in a few words. */
export function slotWordsOf({ allows, most }: Slot): string {
  const kinds = allows
    ? `takes ${count(Object.keys(allows).length, 'component')}`
    : 'takes anything';
  return most === undefined ? kinds : `${kinds}, at most ${most}`;
}
