export { Clip, clipOf, readClip, wordsOf } from './clip';
export type { Choice, Choices } from './choices';
export { clashesOf, type Clash } from './clashes';
export { fitClip, type Fitted } from './fit';
