import { contrast, judged, LEAST_CONTRAST, type Colour, type Seen } from '@sormet/core/colour';

/** A colour that another is seen against, and as what that other is. */
export interface Against {
  readonly colour: Colour;
  readonly as: Seen;
}

/** What is meant by a contrast, by what is looked at. */
export const CONTRAST_OF: Readonly<Record<Seen, string>> = {
  words: 'Words in it on their ground',
  ground: 'The words on it',
  control: 'It against what is around',
};

/** A contrast in words, with what WCAG 2.2 asks for. */
export function contrastWords(ratio: number, seen: Seen): string {
  const { text, largeText, control } = LEAST_CONTRAST;
  const enough = judged(ratio, seen);
  if (seen === 'control')
    return enough === 'enough'
      ? 'Enough to see a control by.'
      : `Too weak to see a control by (WCAG 2.2, 1.4.11: ${control}).`;
  if (enough === 'enough') return 'Enough for any text.';
  return enough === 'large'
    ? `Enough for large text only (${text} for the rest).`
    : `Too weak to be read (WCAG 2.2, 1.4.3: ${text}; large text ${largeText}).`;
}

/** The contrast of a colour with what it is seen against: whichever lies below is blended first. */
export function ratioOf(colour: Colour, against: Against): number {
  return against.as === 'ground'
    ? contrast(against.colour, colour)
    : contrast(colour, against.colour);
}
