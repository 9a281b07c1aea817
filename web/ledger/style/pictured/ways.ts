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

/** How things follow each other in a flex container (CSS Flexible Box Layout 1, 5). */
export const FLOWING: Readonly<Record<string, readonly Way[]>> = {
  'flex-direction': [
    { word: 'side by side', value: 'row' },
    { word: 'side by side, from the end', value: 'row-reverse' },
    { word: 'one below the other', value: 'column' },
    { word: 'one below the other, from the end', value: 'column-reverse' },
  ],
  'flex-wrap': [
    { word: 'on one line', value: 'nowrap' },
    { word: 'on as many lines as it takes', value: 'wrap' },
    { word: 'the same, from below', value: 'wrap-reverse' },
  ],
};

/** Ratios of width to height that pictures and films have (common practice, no published source). */
export const RATIOS: readonly Way[] = [
  { word: 'as it comes', value: 'auto' },
  { word: '1:1', value: '1/1' },
  { word: '4:3', value: '4/3' },
  { word: '3:2', value: '3/2' },
  { word: '16:9', value: '16/9' },
  { word: '21:9', value: '21/9' },
  { word: '3:4', value: '3/4' },
  { word: '2:3', value: '2/3' },
];

/** How a picture fills its place (CSS Images 3, 5.5). */
export const FITS: readonly Way[] = [
  { word: 'cover it, cut where it must', value: 'cover' },
  { word: 'all of it is seen', value: 'contain' },
  { word: 'pulled to its size', value: 'fill' },
  { word: 'as large as it is', value: 'none' },
  { word: 'all of it, never enlarged', value: 'scale-down' },
];

/** A picture to be fitted: wider than high, with a hill and a sun. */
export const FITTED =
  'data:image/svg+xml,' +
  encodeURIComponent(
    '<svg xmlns="http://www.w3.org/2000/svg" width="60" height="24" viewBox="0 0 60 24"><path fill="#cfd8d3" d="M0 0h60v24H0z"/><circle cx="44" cy="7" r="4" fill="#a8620b"/><path d="M0 24l18-16 14 12 8-6 20 10z" fill="#0b6b6f"/></svg>',
  );

/** Where something stands in its place: from the left and from the top (CSS Values and Units 4, 9: positions). */
export const PLACED: readonly Way[] = [
  { word: 'top left', value: '0% 0%' },
  { word: 'at the top', value: '50% 0%' },
  { word: 'top right', value: '100% 0%' },
  { word: 'on the left', value: '0% 50%' },
  { word: 'in the middle', value: '50% 50%' },
  { word: 'on the right', value: '100% 50%' },
  { word: 'bottom left', value: '0% 100%' },
  { word: 'at the bottom', value: '50% 100%' },
  { word: 'bottom right', value: '100% 100%' },
];
