import type { Slot } from '@sormet/core/model';
import { count } from './count';

/** What a slot lets in, in a few words. */
export function slotWordsOf({ allows, allowsFolders, allowsTags, most }: Slot): string {
  const taken = [
    allows ? count(Object.keys(allows).length, 'component') : '',
    ...Object.keys(allowsFolders ?? {}).map((folder) => `all of ${folder}/`),
    ...Object.keys(allowsTags ?? {}).map((tag) => `<${tag}>`),
  ].filter(Boolean);
  const kinds = taken.length > 0 ? `takes ${taken.join(', ')}` : 'takes anything';
  return most === undefined ? kinds : `${kinds}, at most ${most}`;
}
