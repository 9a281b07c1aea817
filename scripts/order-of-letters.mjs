/**
 * `node scripts/order-of-letters.mjs`: writes core/locale/data/order-of-letters.ts anew: the order in which letters and signs
 * are sorted where no language says otherwise (the root collation of CLDR), as the ICU in Node.js gives it. It is committed,
 * since what is published may not depend on the machine that publishes.
 */
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './lib/install.mjs';
import { say } from './lib/say.mjs';

/** Blocks of Unicode whose letters and signs are listed; what stands elsewhere is sorted by its number. */
const BLOCKS = [
  [0x20, 0x24f], // Latin
  [0x250, 0x2ff], // phonetic letters
  [0x370, 0x52f], // Greek and Cyrillic
  [0x531, 0x58f], // Armenian
  [0x5d0, 0x5f4], // Hebrew
  [0x621, 0x64a], // Arabic
  [0x10a0, 0x10ff], // Georgian
  [0x1e00, 0x1fff], // more Latin and Greek
  [0x2010, 0x205e], // punctuation
  [0x20a0, 0x20c0], // currencies
  [0x2190, 0x22ff], // arrows and mathematics
  [0x3041, 0x30fe], // kana
];
const MARKS = [0x300, 0x36f];

const by = (sensitivity) => new Intl.Collator('und', { sensitivity }).compare;
const [base, accent, variant] = ['base', 'accent', 'variant'].map(by);

const everyone = BLOCKS.flatMap(([from, to]) => range(from, to));
const listed = everyone.filter(
  (letter) =>
    letter.normalize('NFKD') === letter && /[^\p{M}\p{C}]/u.test(letter) && base(letter, '') !== 0,
);
// What is a letter and a mark, and all the same a letter of its own.
const ownPlace = everyone.filter((letter) => {
  const parts = [...letter.normalize('NFKD')];
  return (
    parts.length === 2 &&
    /\p{L}\p{M}/u.test(letter.normalize('NFD')) &&
    letter.normalize('NFD').length === 2 &&
    listed.includes(parts[0]) &&
    base(letter, parts[0]) !== 0
  );
});
// Marks that are sorted as others are, or not at all, have no place of their own.
const marks = range(...MARKS)
  .filter(
    (mark) =>
      /\p{M}/u.test(mark) && mark.normalize('NFD') === mark && variant('a' + mark, 'a') !== 0,
  )
  .sort((a, b) => accent('a' + a, 'a' + b) || (a < b ? -1 : 1));

/** What is sorted as other letters are: a letter with a stroke as that letter and a mark, a ligature as its letters. */
const as = {};
for (const [one, others] of Object.entries({
  æ: 'ae',
  Æ: 'AE',
  œ: 'oe',
  Œ: 'OE',
  ß: 'ss',
  ẞ: 'SS',
}))
  as[one] = others;
const letters = listed.filter((letter) => {
  if (letter in as) return false;
  if (!/\p{L}/u.test(letter)) return true;
  for (const plain of listed) {
    if (plain === letter || base(plain, letter) !== 0) continue;
    const mark = marks.find((each) => variant(plain + each, letter) === 0);
    if (mark === undefined) continue;
    as[letter] = plain + mark;
    return false;
  }
  return true;
});
letters.push(...ownPlace);
letters.sort((a, b) => variant(a, b) || (a < b ? -1 : 1));

/** Letters that differ in nothing but their case or form stand together; after a bar those that differ by more. */
const order = [];
letters.forEach((letter, i) => {
  const before = letters[i - 1];
  if (before === undefined || base(before, letter) !== 0) order.push([letter]);
  else if (accent(before, letter) !== 0) order.at(-1).push(letter);
  else order.at(-1)[order.at(-1).length - 1] += letter;
});

const file = join(root, 'core', 'locale', 'data', 'order-of-letters.ts');
const places = order.map((place) => `    ${JSON.stringify(place)},`);
writeFileSync(
  file,
  `// Made by scripts/order-of-letters.mjs from the root collation of CLDR (Unicode License V3).
export const ORDER: {
  readonly order: readonly (readonly string[])[];
  readonly marks: string;
  readonly as: Readonly<Record<string, string>>;
} = {
  order: [
${places.join('\n')}
  ],
  marks: ${JSON.stringify(marks.join(''))},
  as: ${JSON.stringify(as)},
};
`,
);
say(`${letters.length} letters and signs in ${order.length} places, ${marks.length} marks`);

function range(from, to) {
  return Array.from({ length: to - from + 1 }, (_, i) => String.fromCodePoint(from + i));
}
