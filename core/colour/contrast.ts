import { blend, wcagContrast, type Oklch } from 'culori';
import type { Colour } from './read-colour';

/** What WCAG 2.2 asks of a text on its ground (1.4.3, AA; large text from 24 px, or 18.66 px bold), and of parts of controls (1.4.11). */
export const LEAST_CONTRAST = { text: 4.5, largeText: 3, control: 3 } as const;

const asOklch = ({ l, c, h, alpha }: Colour): Oklch => ({ mode: 'oklch', l, c, h, alpha });

/**
 * The contrast ratio of a colour on a ground, 1 to 21 (WCAG 2.2, definitions of contrast ratio and relative luminance).
 * What shines through is blended first: the colour on the ground, the ground on white.
 */
export function contrast(colour: Colour, ground: Colour): number {
  const white: Colour = { l: 1, c: 0, h: 0, alpha: 1 };
  const below = blend([asOklch(white), asOklch(ground)], 'normal', 'rgb');
  return wcagContrast(blend([below, asOklch(colour)], 'normal', 'rgb'), below);
}

/** What is looked at: words on their ground, the ground of words, or what shows where a control is. */
export type Seen = 'words' | 'ground' | 'control';

/** A contrast as WCAG 2.2 judges it: for any size of text (`enough`), for large text or a control alone, or not at all. */
export function judged(ratio: number, seen: Seen): 'enough' | 'large' | 'weak' {
  const { text, largeText, control } = LEAST_CONTRAST;
  if (seen === 'control') return ratio >= control ? 'enough' : 'weak';
  if (ratio >= text) return 'enough';
  return ratio >= largeText ? 'large' : 'weak';
}
