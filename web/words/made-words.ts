import type { Source } from '@sormet/core/model';

/** That a value is made from others, and in which way. */
export function madeWords(source: Source): string {
  return source.is === 'words' ? 'words around values' : 'worked out';
}
