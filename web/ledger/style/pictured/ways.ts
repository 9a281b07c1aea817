import type { Way } from '../../../parts/Ways';

const PLACES: readonly Way[] = [
  { word: 'at the start', value: 'start' },
  { word: 'in the middle', value: 'center' },
  { word: 'at the end', value: 'end' },
];
const ACROSS: readonly Way[] = [
  ...PLACES,
  { word: 'as tall or wide as the room', value: 'stretch' },
  { word: 'on one line of words', value: 'baseline' },
];
const ALONG: readonly Way[] = [
  ...PLACES,
  { word: 'room between', value: 'space-between' },
  { word: 'room around', value: 'space-around' },
  { word: 'the same room everywhere', value: 'space-evenly' },
];

/** How things line up, by property (CSS Box Alignment 3). */
export const ALIGNING: Readonly<Record<string, readonly Way[]>> = {
  'align-items': ACROSS,
  'align-self': ACROSS,
  'justify-items': ACROSS.slice(0, 4),
  'justify-self': ACROSS.slice(0, 4),
  'justify-content': ALONG,
  'align-content': ALONG,
  'text-align': PLACES,
};

/** Columns as people divide them. What fills itself from the room there is, is drawn with tracks that fit a picture. */
export const COLUMNS: readonly (Way & { readonly drawn?: string })[] = [
  { word: 'one column', value: '1fr' },
  { word: 'two alike', value: '1fr 1fr' },
  { word: 'three alike', value: '1fr 1fr 1fr' },
  { word: 'four alike', value: 'repeat(4,1fr)' },
  { word: 'a narrow one first', value: '1fr 2fr' },
  { word: 'a narrow one last', value: '2fr 1fr' },
  { word: 'a wide one in the middle', value: '1fr 2fr 1fr' },
  { word: 'one as wide as it needs, then the rest', value: 'auto 1fr', drawn: '9px 1fr' },
  {
    word: 'as many as there is room for',
    value: 'repeat(auto-fit,minmax(min(100%,16rem),1fr))',
    drawn: 'repeat(5,1fr)',
  },
];

/** Where something is pinned in what is around it: top, right, bottom and left (CSS Positioned Layout 3, 3.2). */
export const PINNING: readonly Way[] = [
  { word: 'top left', value: '0 auto auto 0' },
  { word: 'along the top', value: '0 0 auto' },
  { word: 'top right', value: '0 0 auto auto' },
  { word: 'along the left', value: '0 auto 0 0' },
  { word: 'over all of it', value: '0' },
  { word: 'along the right', value: '0 0 0 auto' },
  { word: 'bottom left', value: 'auto auto 0 0' },
  { word: 'along the bottom', value: 'auto 0 0' },
  { word: 'bottom right', value: 'auto 0 0 auto' },
];
