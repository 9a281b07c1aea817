import { splitAt } from '../split-at';
import { lexer } from '../syntax';

/** A stop of a gradient: a colour, and where it stands; nothing where that follows from the others. */
export interface Stop {
  readonly colour: string;
  readonly at: string | undefined;
}

/** A gradient (CSS Images 4, 3), each part as CSS. */
export interface Gradient {
  readonly shape: 'linear' | 'radial' | 'conic';
  readonly repeating: boolean;
  /** In which direction, of which form, from where: what stands before the stops; nothing where that is as it begins. */
  readonly line: string | undefined;
  readonly stops: readonly Stop[];
}

const CALL = /^(repeating-)?(linear|radial|conic)-gradient\((.*)\)$/is;

const isPlace = (word: string) =>
  word === '0' ||
  lexer.match('<length-percentage>', word).error === null ||
  lexer.match('<angle>', word).error === null;

/**
 * The gradient that a value is; nothing where it is none, several, or one with hints of where the middle is, which is
 * written by hand.
 * @param isColour whether a placeholder (`var(--NAME)`) stands for a colour
 */
export function readGradient(
  css: string,
  isColour: (placeholder: string) => boolean = () => false,
): Gradient | undefined {
  const [, repeating, shape, inner] = CALL.exec(css.trim()) ?? [];
  if (inner === undefined || splitAt(css, ',').length > 1) return undefined;
  const parts = splitAt(inner, ',');
  const stops: Stop[] = [];
  let line: string | undefined;
  for (const [i, part] of parts.entries()) {
    const words = splitAt(part, ' ');
    const isStop = isColourWord(words[0]!, isColour);
    if (!isStop) {
      if (i > 0) return undefined;
      line = words.join(' ');
      continue;
    }
    const [colour, at, to, ...more] = words as [string, string?, string?];
    if (more.length > 0 || [at, to].some((place) => place !== undefined && !isPlace(place)))
      return undefined;
    // A stop of two places is two of the same colour (CSS Images 4, 3.5.1).
    stops.push({ colour, at });
    if (to !== undefined) stops.push({ colour, at: to });
  }
  return stops.length < 2
    ? undefined
    : {
        shape: shape!.toLowerCase() as Gradient['shape'],
        repeating: repeating !== undefined,
        line,
        stops,
      };
}

function isColourWord(word: string, isColour: (placeholder: string) => boolean): boolean {
  return word.startsWith('var(') ? isColour(word) : lexer.match('<color>', word).error === null;
}

/** A gradient as CSS. */
export function writeGradient({ shape, repeating, line, stops }: Gradient): string {
  const written = stops.map(({ colour, at }) => (at === undefined ? colour : `${colour} ${at}`));
  const parts = line === undefined ? written : [line, ...written];
  return `${repeating ? 'repeating-' : ''}${shape}-gradient(${parts.join(', ')})`;
}

/** Where each stop stands, from 0 to 1, those without a place spread evenly between their neighbours (CSS Images 4, 3.5.3). */
export function placesOfStops(stops: readonly Stop[]): number[] {
  const given = stops.map(({ at }) => {
    const [, number, unit] = /^(-?(?:\d+\.?\d*|\.\d+))(%|deg|turn)?$/.exec(at ?? '') ?? [];
    if (number === undefined) return undefined;
    const whole = unit === 'deg' ? 360 : unit === 'turn' ? 1 : 100;
    return Number(number) / whole;
  });
  given[0] ??= 0;
  given[given.length - 1] ??= 1;
  const places: number[] = [];
  for (let i = 0; i < given.length; i += 1) {
    const held = given[i];
    if (held !== undefined) {
      // None stands before the one before it.
      places.push(Math.max(held, places.at(-1) ?? held));
      continue;
    }
    const next = given.findIndex((each, at) => at > i && each !== undefined);
    const from = places[i - 1]!;
    places.push(from + (Math.max(given[next]!, from) - from) / (next - i + 1));
  }
  return places;
}
