import { slashedOf, type Longhands, type Part } from './value';

/**
 * One to four values for four sides or corners, or one to two for two (CSS Box Model 3, 3.2: what is left out is as opposite).
 * @param baseline what the second is where the first is a baseline, of one word or of two (`last baseline`)
 */
export function splitToSides(
  names: readonly string[],
  parts: readonly Part[],
  baseline?: string,
): Longhands {
  const words = names.length === 2 ? wordsOf(parts) : parts.map(({ text }) => text);
  const [
    a,
    b = baseline !== undefined && / ?baseline$/.test(a ?? '') ? baseline : a,
    c = a,
    d = b,
  ] = words;
  const values = names.length === 2 ? [a, b] : [a, b, c, d];
  return Object.fromEntries(names.map((name, i) => [name, values[i]!]));
}

/** Words that only together say something: `first baseline`, `safe center`, `legacy left`. */
function wordsOf(parts: readonly Part[]): string[] {
  const words: string[] = [];
  let open = false;
  for (const { text } of parts) {
    if (open) words[words.length - 1] += ` ${text}`;
    else words.push(text);
    open = /^(first|last|safe|unsafe|legacy)$/.test(text);
  }
  return words;
}

/** Values for sides as short as CSS allows. */
export function joinSides(values: readonly string[]): string {
  const [a, b, c, d] = values;
  if (values.length === 2) return a === b ? a! : `${a} ${b}`;
  if (b !== d) return `${a} ${b} ${c} ${d}`;
  if (a !== c) return `${a} ${b} ${c}`;
  return a === b ? a! : `${a} ${b}`;
}

/** The corners of `border-radius`: what stands behind a slash is how high they are (CSS Backgrounds and Borders 3, 4.1). */
export function splitToCorners(names: readonly string[], parts: readonly Part[]): Longhands {
  const [wide = [], high] = slashedOf(parts);
  const across = splitToSides(names, wide);
  if (!high) return across;
  const down = splitToSides(names, high);
  return Object.fromEntries(
    names.map((name) => [
      name,
      across[name] === down[name] ? across[name]! : `${across[name]} ${down[name]}`,
    ]),
  );
}

/** Values for corners as short as CSS allows. */
export function joinCorners(values: readonly string[]): string {
  const both = values.map((value) => value.split(/ (?![^(]*\))/));
  const across = joinSides(both.map(([wide]) => wide!));
  const down = joinSides(both.map(([wide, high = wide]) => high!));
  return across === down ? across : `${across} / ${down}`;
}
