import type { GuidePlace } from '@sormet/core/guides';

/** What holds an edge, in words. */
export function placeWords({ at, is }: GuidePlace): string {
  switch (is.of) {
    case 'column':
      return `${is.side === 'start' ? 'start' : 'end'} of column ${is.number}`;
    case 'margin':
      return is.side === 'start' ? 'left margin' : 'right margin';
    case 'line':
      return `line at ${pxWords(at)}`;
    case 'baseline':
      return `baseline ${is.number}`;
  }
}

/** A measure in CSS px, with no more digits than somebody can see. */
export function pxWords(px: number): string {
  return `${Math.round(px * 100) / 100}px`;
}
