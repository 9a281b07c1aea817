import { splitAt } from '../split-at';
import { lexer } from '../syntax';

/** One shadow of `box-shadow` or `text-shadow` (CSS Backgrounds and Borders 3, 4.6; CSS Text Decoration 4, 8), each part as CSS. */
export interface Shadow {
  readonly x: string;
  readonly y: string;
  readonly blur: string;
  /** How far it reaches beyond what it is of; nothing of words. */
  readonly spread: string;
  /** Nothing where it has the colour of the words. */
  readonly colour: string | undefined;
  readonly inset: boolean;
}

const isAmount = (word: string) => word === '0' || lexer.match('<length>', word).error === null;

/**
 * The shadows that a value is made of, the uppermost first; none of `none`.
 * @param isColour whether a placeholder (`var(--NAME)`) stands for a colour
 * @returns nothing where it is no list of shadows, or a placeholder stands for a whole one
 */
export function readShadows(
  css: string,
  isColour: (placeholder: string) => boolean = () => false,
): Shadow[] | undefined {
  if (css.trim() === 'none') return [];
  const shadows = splitAt(css, ',').map((layer): Shadow | undefined => {
    const words = splitAt(layer, ' ');
    const inset = words.filter((word) => word === 'inset');
    const isLength = (word: string) => (word.startsWith('var(') ? !isColour(word) : isAmount(word));
    const amounts = words.filter((word) => word !== 'inset' && isLength(word));
    const [colour, ...more] = words.filter((word) => word !== 'inset' && !isLength(word));
    if (amounts.length < 2 || amounts.length > 4 || more.length > 0 || inset.length > 1)
      return undefined;
    const [x, y, blur = '0', spread = '0'] = amounts as [string, string, string?, string?];
    return { x, y, blur, spread, colour, inset: inset.length > 0 };
  });
  return shadows.every((each) => each !== undefined) ? shadows : undefined;
}

/** Shadows as CSS; `none` for no shadow. */
export function writeShadows(shadows: readonly Shadow[]): string {
  if (shadows.length === 0) return 'none';
  return shadows
    .map(({ x, y, blur, spread, colour, inset }) => {
      const amounts =
        spread === '0' ? (blur === '0' ? [x, y] : [x, y, blur]) : [x, y, blur, spread];
      return [...(inset ? ['inset'] : []), ...amounts, ...(colour ? [colour] : [])].join(' ');
    })
    .join(', ');
}
