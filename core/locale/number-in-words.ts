import type { WrittenWith } from './written-with';

/** How a number is written. */
export interface NumberStyle {
  /** How many digits there are after the decimal sign, at the least and at the most. */
  readonly least?: number | undefined;
  readonly most?: number | undefined;
  /** Whether thousands stand apart. */
  readonly grouped?: boolean | undefined;
  /** What it counts: a hundredth (it is written times a hundred), an amount of a currency (ISO 4217), a unit (ECMA-402). */
  readonly of?:
    | { readonly is: 'percent' }
    | { readonly is: 'money'; readonly currency: string }
    | { readonly is: 'unit'; readonly unit: string; readonly short?: boolean | undefined }
    | undefined;
}

/** How many digits after the decimal sign are written where nothing else is said: all that there are. */
const MOST = 340;
/** Currencies without a smaller unit (ISO 4217). */
const WHOLE = new Set(['JPY', 'KRW', 'ISK']);

/**
 * A number as a language writes it (Unicode Technical Standard 35, part 3: number patterns, grouping, currency spacing).
 * Halves are rounded away from zero, as people round.
 * @param plural the form that its plural rules give digits as they are written, with a dot
 */
export function numberInWords(
  value: number,
  style: NumberStyle,
  language: WrittenWith,
  plural: (digits: string) => string,
): string {
  const { of } = style;
  const isMoney = of?.is === 'money';
  const usual = isMoney ? (WHOLE.has(of.currency) ? 0 : 2) : undefined;
  const most = Math.max(style.most ?? usual ?? MOST, style.least ?? 0);
  const least = Math.min(style.least ?? usual ?? 0, most);
  const digits = rounded(decimalDigits(Math.abs(value)), of?.is === 'percent' ? 2 : 0, least, most);
  const isNegative = value < 0 && /[1-9]/.test(digits);
  const [whole, fraction = ''] = digits.split('.') as [string, string?];
  const decimal = isMoney ? language.moneyDecimal : language.decimal;
  const written =
    (style.grouped
      ? grouped(whole, language, isMoney ? language.moneyGroup : language.group)
      : whole) + (fraction === '' ? '' : decimal + fraction);
  const signed = (pattern: string, fill: (pattern: string) => string) => {
    const [positive, negative] = pattern.split(';') as [string, string?];
    if (!isNegative) return fill(positive);
    return negative === undefined
      ? language.minus + fill(positive)
      : fill(negative).replace('-', language.minus);
  };
  switch (of?.is) {
    case undefined:
      return isNegative ? language.minus + written : written;
    case 'percent':
      return signed(language.percent, (pattern) =>
        pattern.replace(DIGITS, written).replace('%', language.percentSign),
      );
    case 'money': {
      const sign = language.moneySigns[of.currency] ?? of.currency;
      return signed(language.money, (pattern) => withSign(pattern, sign, written));
    }
    case 'unit': {
      const known = language.units[of.unit];
      const forms = of.short ? known?.short : known?.long;
      const pattern = forms?.[plural(digits)] ?? forms?.['other'] ?? '{0}';
      return pattern.replace('{0}', isNegative ? language.minus + written : written);
    }
  }
}

const DIGITS = /[#0][#0,.]*/;

/** An amount in its pattern: a sign that ends in a letter stands apart from digits (UTS 35, part 3: currency spacing). */
function withSign(pattern: string, sign: string, written: string): string {
  const isLetter = (letter: string | undefined) =>
    letter !== undefined && !/[\p{S}\p{Z}]/u.test(letter);
  return pattern
    .replace(DIGITS, written)
    .replace(
      /(\d?)¤(\d?)/,
      (_, before: string, after: string) =>
        before +
        (before !== '' && isLetter(sign[0]) ? ' ' : '') +
        sign +
        (after !== '' && isLetter(sign.at(-1)) ? ' ' : '') +
        after,
    );
}

function grouped(whole: string, { number, groupFrom }: WrittenWith, sign: string): string {
  const [, ...groups] = (number.split('.')[0] ?? '').split(',');
  const first = groups.at(-1)?.length ?? 0;
  if (first === 0 || whole.length < first + groupFrom) return whole;
  const next = groups.length > 1 ? groups.at(-2)!.length : first;
  const parts = [whole.slice(-first)];
  for (let end = whole.length - first; end > 0; end -= next)
    parts.unshift(whole.slice(Math.max(0, end - next), end));
  return parts.join(sign);
}

/**
 * The digits of a number that is not negative, with a dot and without an exponent: fifteen that count, as many as a double
 * always keeps, so that nobody sees what computing leaves behind (0.1 and 0.2 are 0.3).
 */
function decimalDigits(value: number): string {
  const [digits, power] = value.toPrecision(15).split('e') as [string, string?];
  return shifted(digits.includes('.') ? digits.replace(/\.?0+$/, '') : digits, Number(power ?? 0));
}

/** Digits with the dot so many places further right, or left. */
function shifted(digits: string, by: number): string {
  const [whole, fraction = ''] = digits.split('.') as [string, string?];
  const all = whole + fraction;
  const at = whole.length + by;
  const padded = at <= 0 ? '0'.repeat(1 - at) + all : all.padEnd(at, '0');
  const dot = at <= 0 ? 1 : at;
  const front = padded.slice(0, dot).replace(/^0+(?=\d)/, '');
  return padded.length > dot ? `${front}.${padded.slice(dot)}` : front;
}

/** Digits times a power of ten, rounded to so many after the dot, and filled up with noughts. */
function rounded(digits: string, times: number, least: number, most: number): string {
  const [whole, fraction = ''] = shifted(digits, times).split('.') as [string, string?];
  let all = BigInt(whole + fraction.slice(0, most).padEnd(most, '0'));
  if ((fraction[most] ?? '0') >= '5') all += 1n;
  const text = all.toString().padStart(most + 1, '0');
  const after = text.slice(text.length - most).replace(/0+$/, '');
  const kept = (most === 0 ? '' : after).padEnd(least, '0');
  const before = text.slice(0, text.length - most);
  return kept === '' ? before : `${before}.${kept}`;
}
