import { LANGUAGES } from './data/languages';

/** Names of months or of days: as they stand in a date, and by themselves where that is otherwise. */
type NamesOf = readonly [inDate: readonly string[], alone?: readonly string[]];
/** How two things are joined, the first two of more, those between, and the last two: patterns of CLDR. */
type Joining = readonly [two: string, start: string, middle: string, end: string];

/** How a date may be written: the lengths of CLDR, and parts of a date. */
export const DATE_STYLES = [
  'full',
  'long',
  'medium',
  'short',
  'monthAndYear',
  'dayAndMonth',
  'year',
] as const;
/** How a date is written. */
export type DateStyle = (typeof DATE_STYLES)[number];

/** The forms that a unit has in a language, by what its plural rules are called. */
type Forms = Readonly<Partial<Record<string, string>>>;

/** What a language is written with (CLDR; data/languages.ts is made by scripts/languages.mjs). */
export interface WrittenWith {
  readonly months: NamesOf;
  readonly monthsShort: NamesOf;
  readonly days: NamesOf;
  readonly daysShort: NamesOf;
  readonly dates: Readonly<Record<DateStyle, string>>;
  readonly decimal: string;
  readonly group: string;
  readonly minus: string;
  readonly percentSign: string;
  /** From how many digits before the first group on digits are grouped. */
  readonly groupFrom: number;
  readonly number: string;
  readonly percent: string;
  readonly money: string;
  readonly moneyDecimal: string;
  readonly moneyGroup: string;
  readonly moneySigns: Readonly<Partial<Record<string, string>>>;
  readonly and: Joining;
  readonly or: Joining;
  readonly units: Readonly<Record<string, { readonly long: Forms; readonly short: Forms }>>;
}

const ALL = LANGUAGES as Readonly<Record<string, Partial<WrittenWith>>>;

/** The tags of the languages whose dates, numbers and lists are known here (BCP 47). */
export const KNOWN_LANGUAGES: readonly string[] = Object.keys(ALL);

/** Units that a number may have, by their names in ECMA-402. */
export const UNITS: readonly string[] = Object.keys(ALL['en']!.units!);

/** Currencies that a number may be an amount of (ISO 4217). */
export const CURRENCIES: readonly string[] =
  `AUD BGN BRL CAD CHF CNY CZK DKK EUR GBP HUF INR ISK JPY KRW MXN NOK NZD PLN RON RSD RUB SEK TRY UAH USD ZAR`.split(
    ' ',
  );

/**
 * The tag under which a language is known: its own, or what is left when its last parts are taken away (RFC 4647, 3.4);
 * nothing for one that is not known.
 */
export function knownTag(tag: string): string | undefined {
  const parts = WELL_KNOWN[tag.toLowerCase()]?.split('-') ?? tag.split('-');
  for (let left = parts.length; left > 0; left -= 1) {
    const asked = parts.slice(0, left).join('-').toLowerCase();
    const found = KNOWN_LANGUAGES.find((each) => each.toLowerCase() === asked);
    if (found !== undefined) return found;
  }
  return undefined;
}

/** Tags of which a part is left out that tells how they are written (CLDR, likely subtags), and older names. */
const WELL_KNOWN: Readonly<Record<string, string>> = {
  no: 'nb',
  'zh-tw': 'zh-Hant',
  'zh-hk': 'zh-Hant',
  'zh-mo': 'zh-Hant',
};

/** What a language is written with, under a tag that is known. */
export function writtenWith(tag: string): WrittenWith {
  return { ...ALL[tag.split('-')[0]!], ...ALL[tag] } as WrittenWith;
}
