/**
 * A number as people of a language write it: with its decimal sign, and its signs between thousands where they stand as such;
 * a point is a decimal sign in all of them where it is nothing else. Nothing for what is none.
 * @param language as BCP 47 names it
 */
export function readNumber(typed: string, language: string): number | undefined {
  const text = typed.trim().replace(/^[−–]/, '-');
  const { decimal, group } = signsOf(language);
  const between = group === '' || /\s/.test(group) ? '[\\s\\u00a0\\u202f]' : `\\${group}`;
  const thousands = new RegExp(`^[+-]?\\d{1,3}(?:${between}\\d{3})+(?=\\D|$)`);
  const whole = thousands.exec(text)?.[0] ?? '';
  const ungrouped = whole.replaceAll(new RegExp(between, 'g'), '') + text.slice(whole.length);
  const plain = decimal === '.' ? ungrouped : ungrouped.replace(decimal, '.');
  return /^[+-]?(\d+\.?\d*|\.\d+)$/.test(plain) ? Number(plain) : undefined;
}

/** A number as a language writes it, without signs between thousands. */
export function numberText(value: number, language: string): string {
  const { decimal } = signsOf(language);
  return decimal === '.' ? String(value) : String(value).replace('.', decimal);
}

/** Between which a number may be. */
export interface Bounds {
  readonly least: number;
  readonly most: number;
  readonly whole: boolean;
}

/** Why what was typed is no number that may be. */
export function boundsWords(
  typed: string,
  { least, most, whole }: Bounds,
  language: string,
): string {
  const number = readNumber(typed, language);
  if (number === undefined) return `“${typed.trim()}” is no number.`;
  if (number < least) return `It is ${numberText(least, language)} at least.`;
  if (number > most) return `It is ${numberText(most, language)} at most.`;
  return whole && !Number.isInteger(number) ? 'It is a whole number.' : '';
}

const known = new Map<string, { decimal: string; group: string }>();

/** The signs of a language (CLDR, as the browser has it); those of English where it is none. */
function signsOf(language: string): { decimal: string; group: string } {
  let signs = known.get(language);
  if (!signs) {
    const parts = formatOf(language).formatToParts(1_234_567.5);
    const sign = (type: string) => parts.find((part) => part.type === type)?.value ?? '';
    known.set(language, (signs = { decimal: sign('decimal') || '.', group: sign('group') }));
  }
  return signs;
}

function formatOf(language: string): Intl.NumberFormat {
  try {
    return new Intl.NumberFormat(language, { numberingSystem: 'latn' });
  } catch {
    // A site may name a language that no list of languages has.
    return new Intl.NumberFormat('en');
  }
}
