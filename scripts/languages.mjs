/**
 * `node scripts/languages.mjs`: writes core/locale/data/languages.ts anew from Unicode's CLDR (the packages `cldr-*-full` of
 * the registry, fetched for the while): of each language what its dates, numbers, lists and units are written with. It is
 * committed, since the packages are three hundred megabytes; it is run again when a new CLDR is wanted.
 */
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { root } from './lib/install.mjs';
import { say } from './lib/say.mjs';

/** The CLDR that everything is read from. */
const VERSION = '48.2.0';

const LANGUAGES =
  `be bg bs ca cs cy da de de-AT de-CH el en en-AU en-CA en-GB en-IE en-IN en-NZ es es-AR es-MX et eu fi fr fr-CA fr-CH ga gl
  hr hu id is it it-CH ja ko lt lv mk nb nl nl-BE nn pl pt pt-PT ro ru sk sl sq sr sr-Latn sv tr uk vi zh zh-Hant`.split(
    /\s+/,
  );

const CURRENCIES =
  'AUD BGN BRL CAD CHF CNY CZK DKK EUR GBP HUF INR ISK JPY KRW MXN NOK NZD PLN RON RSD RUB SEK TRY UAH USD ZAR'.split(
    ' ',
  );

/** Units by their names in ECMA-402, with the group that CLDR keeps each in. */
const UNITS = {
  year: 'duration',
  month: 'duration',
  week: 'duration',
  day: 'duration',
  hour: 'duration',
  minute: 'duration',
  second: 'duration',
  kilometer: 'length',
  meter: 'length',
  centimeter: 'length',
  millimeter: 'length',
  mile: 'length',
  foot: 'length',
  inch: 'length',
  hectare: 'area',
  acre: 'area',
  tonne: 'mass',
  kilogram: 'mass',
  gram: 'mass',
  pound: 'mass',
  ounce: 'mass',
  liter: 'volume',
  milliliter: 'volume',
  gallon: 'volume',
  celsius: 'temperature',
  fahrenheit: 'temperature',
  'kilometer-per-hour': 'speed',
  gigabyte: 'digital',
  megabyte: 'digital',
};
// Not everything that ECMA-402 calls a unit is a mass of its own in CLDR.
const CLDR_NAME = { tonne: 'mass-tonne' };

const folder = mkdtempSync(join(tmpdir(), 'sormet-cldr-'));
try {
  for (const name of ['dates', 'numbers', 'misc', 'units']) {
    const pack = execFileSync('npm', ['pack', '--silent', `cldr-${name}-full@${VERSION}`], {
      cwd: folder,
      encoding: 'utf8',
      stdio: ['ignore', 'pipe', 'ignore'],
    }).trim();
    execFileSync('tar', ['xzf', pack, '--one-top-level=' + name, '--strip-components=1'], {
      cwd: folder,
    });
  }
  const languages = {};
  for (const tag of LANGUAGES) languages[tag] = language(tag);
  const file = join(root, 'core', 'locale', 'data', 'languages.ts');
  const lines = Object.entries(languages).map(
    ([tag, data]) =>
      `  ${JSON.stringify(tag)}: ${JSON.stringify(withoutCommon(data, tag, languages))}`,
  );
  writeFileSync(
    file,
    `// Made by scripts/languages.mjs from CLDR ${VERSION} (Unicode License V3).\nexport const LANGUAGES: unknown = {\n${lines.join(',\n')},\n};\n`,
  );
  say(`${LANGUAGES.length} languages of CLDR ${VERSION}`);
} finally {
  rmSync(folder, { recursive: true });
}

function part(pack, tag, name) {
  return JSON.parse(readFileSync(join(folder, pack, 'main', tag, `${name}.json`), 'utf8')).main[
    tag
  ];
}

function language(tag) {
  const { calendars } = part('dates', tag, 'ca-gregorian').dates;
  const { months, days, dateFormats, dateTimeFormats } = calendars.gregorian;
  const { numbers } = part('numbers', tag, 'numbers');
  const signs = numbers['symbols-numberSystem-latn'];
  const { currencies } = part('numbers', tag, 'currencies').numbers;
  const { listPatterns } = part('misc', tag, 'listPatterns');
  const { units } = part('units', tag, 'units');
  const formats = dateTimeFormats.availableFormats;
  return {
    months: lists(months, 'wide'),
    monthsShort: lists(months, 'abbreviated'),
    days: lists(days, 'wide'),
    daysShort: lists(days, 'abbreviated'),
    dates: {
      full: plain(dateFormats.full),
      long: plain(dateFormats.long),
      medium: plain(dateFormats.medium),
      short: plain(dateFormats.short),
      monthAndYear: plain(formats.yMMMM),
      dayAndMonth: plain(formats.MMMMd),
      year: plain(formats.y),
    },
    decimal: signs.decimal,
    group: signs.group,
    minus: signs.minusSign,
    percentSign: signs.percentSign,
    groupFrom: Number(numbers.minimumGroupingDigits),
    number: numbers['decimalFormats-numberSystem-latn'].standard,
    percent: numbers['percentFormats-numberSystem-latn'].standard,
    money: numbers['currencyFormats-numberSystem-latn'].standard,
    moneyDecimal: signs.currencyDecimal ?? signs.decimal,
    moneyGroup: signs.currencyGroup ?? signs.group,
    moneySigns: Object.fromEntries(
      CURRENCIES.map((code) => [code, currencies[code]?.symbol ?? code]).filter(
        ([code, sign]) => code !== sign,
      ),
    ),
    and: joining(listPatterns['listPattern-type-standard']),
    or: joining(listPatterns['listPattern-type-or']),
    units: Object.fromEntries(
      Object.entries(UNITS).map(([name, group]) => [
        name,
        { long: forms(units.long, name, group), short: forms(units.short, name, group) },
      ]),
    ),
  };
}

/** What is in words where a day stands beside it, and by itself where that is another. */
function lists(names, width) {
  const inDate = Object.values(names.format[width]);
  const alone = Object.values(names['stand-alone'][width]);
  return String(inDate) === String(alone) ? [inDate] : [inDate, alone];
}

/** A pattern that may have variants. */
function plain(pattern) {
  return typeof pattern === 'string' ? pattern : pattern._value;
}

function joining(patterns) {
  return [patterns['2'], patterns.start, patterns.middle, patterns.end];
}

function forms(units, name, group) {
  const found = units[CLDR_NAME[name] ?? `${group}-${name}`];
  return Object.fromEntries(
    Object.entries(found).flatMap(([key, text]) => {
      const form = /^unitPattern-count-(\w+)$/.exec(key)?.[1];
      return form ? [[form, text]] : [];
    }),
  );
}

/** Only what a variety of a language says otherwise than the language itself. */
function withoutCommon(data, tag, languages) {
  const base = languages[tag.split('-')[0]];
  if (base === data || base === undefined) return data;
  return Object.fromEntries(
    Object.entries(data).filter(
      ([key, value]) => JSON.stringify(value) !== JSON.stringify(base[key]),
    ),
  );
}
