import { ORDER as root } from './data/order-of-letters';
import {
  CAPITALS_FIRST,
  MARKS_FROM_THE_END,
  OTHERS_FIRST,
  SCRIPT_FIRST,
  TAILORINGS,
} from './tailorings';

/**
 * What a letter weighs (Unicode Technical Standard 10, 3.1): which letter it is, with which mark, in which case or form. A
 * mark weighs nothing as a letter.
 */
type Weight = readonly [letter: number, mark: number, form: number];

/** The weights of letters, and of runs of letters that count as one. */
interface Weights {
  readonly of: ReadonlyMap<string, readonly Weight[]>;
  /** How long the longest run that begins with a letter is, in code units. */
  readonly longest: ReadonlyMap<string, number>;
  /** Where letters stand that no list has. */
  readonly othersFrom: number;
  readonly marksFromTheEnd: boolean;
}

/** So far apart that what languages put between finds room. */
const APART = { letter: 40, mark: 16, form: 16 };
const PLAIN = 32;
/** Where signs stand that no list has: behind those that one has. */
const BEFORE_DIGITS =
  0x100 +
  root.order.findIndex(([first]) => first!.startsWith('0')) * APART.letter -
  APART.letter +
  1;
/** Where letters begin that no list has. */
const UNLISTED = 0xf000;

/**
 * A key of a text: texts are in the order of a language where their keys are in the order of their code units (UTS 10,
 * section 7). Depends on nothing but the data that ships here.
 * @param tag a language by its tag
 */
export function sortingKey(text: string, tag: string): string {
  const { of, longest, othersFrom, marksFromTheEnd } = weightsFor(tag);
  const letters: number[] = [];
  const marks: number[] = [];
  const forms: number[] = [];
  const decomposed = text.normalize('NFKD');
  for (let at = 0; at < decomposed.length;) {
    const letter = String.fromCodePoint(decomposed.codePointAt(at)!);
    let length = longest.get(letter) ?? letter.length;
    while (length > letter.length && !of.has(decomposed.slice(at, at + length))) length -= 1;
    let run = decomposed.slice(at, at + Math.max(length, letter.length));
    at += run.length;
    // A mark counts with its letter though another stands between (UTS 10, 4.1, S2.1.1): ệ is ê with a dot.
    const between: string[] = [];
    for (let mark = markAt(decomposed, at); mark; mark = markAt(decomposed, at)) {
      at += mark.length;
      if (of.has(run + mark)) run += mark;
      else between.push(mark);
    }
    for (const each of [run, ...between])
      for (const [which, mark, form] of of.get(each) ?? unlisted(each, othersFrom)) {
        if (which > 0) letters.push(which);
        marks.push(mark);
        forms.push(form);
      }
  }
  if (marksFromTheEnd) marks.reverse();
  return [letters, marks, forms].map(inOneText).join('\0') + '\0' + text;
}

function markAt(text: string, at: number): string {
  return /^\p{M}/u.exec(text.slice(at, at + 2))?.[0] ?? '';
}

function inOneText(weights: readonly number[]): string {
  let text = '';
  for (const weight of weights) text += String.fromCharCode(weight);
  return text;
}

/** What nobody listed: signs first, by their numbers; letters last, by theirs; what belongs to no word at all, nowhere. */
function unlisted(letter: string, othersFrom: number): readonly Weight[] {
  const code = letter.codePointAt(0)!;
  if (/[\p{M}\p{C}]/u.test(letter)) return [];
  const first = /[\p{L}\p{N}]/u.test(letter) ? othersFrom : BEFORE_DIGITS;
  return [
    [first + Math.min(code >> 12, APART.letter - 2), PLAIN, PLAIN],
    [1 + (code & 0xfff), PLAIN, PLAIN],
  ];
}

const kept = new Map<string, Weights>();

function weightsFor(tag: string): Weights {
  const language = tag.split('-')[0]!;
  const key =
    [tag, language].find((each) => each in TAILORINGS || each in SCRIPT_FIRST) ??
    (OTHERS_FIRST.has(language) ? language : '');
  const asked = `${key} ${MARKS_FROM_THE_END.has(tag)}`;
  let found = kept.get(asked);
  if (!found) kept.set(asked, (found = weightsOf(key, MARKS_FROM_THE_END.has(tag))));
  return found;
}

function weightsOf(key: string, marksFromTheEnd: boolean): Weights {
  const of = rootWeights();
  const rules = TAILORINGS[key];
  if (rules !== undefined) tailor(of, rules);
  const script = SCRIPT_FIRST[key];
  if (script) putFirst(of, script);
  if (CAPITALS_FIRST.has(key))
    for (const [letter, weights] of of)
      of.set(
        letter,
        weights.map(([which, mark, form]) => [
          which,
          mark,
          /\p{Lu}/u.test(letter) ? form - PLAIN + 1 : form,
        ]),
      );
  const longest = new Map<string, number>();
  for (const run of of.keys()) {
    const first = String.fromCodePoint(run.codePointAt(0)!);
    longest.set(first, Math.max(longest.get(first) ?? 0, run.length));
  }
  const othersFrom = OTHERS_FIRST.has(key) ? of.get('a')![0]![0] - APART.letter + 1 : UNLISTED;
  return { of, longest, othersFrom, marksFromTheEnd };
}

function rootWeights(): Map<string, readonly Weight[]> {
  const of = new Map<string, readonly Weight[]>();
  root.order.forEach((place, i) => {
    place.forEach((same, j) => {
      [...same].forEach((letter, k) => {
        const weight: Weight = [
          0x100 + i * APART.letter,
          PLAIN + j * APART.mark,
          PLAIN + k * APART.form,
        ];
        of.set(letter.normalize('NFD'), [weight]);
      });
    });
  });
  [...root.marks].forEach((mark, i) => {
    of.set(mark, [[0, 0x400 + i * APART.mark, PLAIN]]);
  });
  for (const [letter, others] of Object.entries(root.as)) {
    const weights = [...others].flatMap((each) => of.get(each)!);
    of.set(
      letter,
      // The letters that one sign stands for are sorted behind them as they are themselves.
      weights.map(([which, mark, form], i) =>
        others.length > 1 && of.get(others[1]!)![0]![0] > 0
          ? [which, mark, form + 1 + i]
          : [which, mark, form],
      ),
    );
  }
  return of;
}

const RULE = /&(\[before 1\])?([^<=&]+)|(<{1,3}|=)([^<=&]+)/g;

/** Reads the rules of a language into weights (UTS 35, part 5: collation rule syntax). */
function tailor(of: Map<string, readonly Weight[]>, rules: string): void {
  let at: readonly Weight[] = [];
  for (const [, before, reset, step, run] of rules.matchAll(RULE)) {
    if (reset !== undefined) {
      at = ofRun(of, reset.trim().replace(/^◌/, ''));
      // Everything that comes before a letter goes behind the letter in front of it, however many there are of those.
      if (before !== undefined) at = [[lastBefore(of, at[0]![0]), PLAIN, PLAIN]];
      continue;
    }
    const [written, and] = run!.trim().replace(/^◌/, '').split('/') as [string, string?];
    const [which, mark, form] = at.at(-1)!;
    const next: Weight =
      step === '<'
        ? [which + 1, PLAIN, PLAIN]
        : step === '<<'
          ? [which, mark + 1, PLAIN]
          : step === '<<<'
            ? [which, mark, form + 1]
            : [which, mark, form];
    at = [...at.slice(0, -1), next];
    of.set(written.normalize('NFD'), and === undefined ? at : [...at, ...ofRun(of, and)]);
  }
}

function ofRun(of: ReadonlyMap<string, readonly Weight[]>, run: string): readonly Weight[] {
  const decomposed = run.normalize('NFD');
  return of.get(decomposed) ?? [...decomposed].flatMap((letter) => of.get(letter)!);
}

function lastBefore(of: ReadonlyMap<string, readonly Weight[]>, which: number): number {
  let last = 0;
  for (const weights of of.values())
    for (const [letter] of weights) if (letter < which && letter > last) last = letter;
  return last;
}

/** Puts the letters of a script in front of the Latin ones. */
function putFirst(
  of: Map<string, readonly Weight[]>,
  [first, last]: readonly [string, string],
): void {
  const from = of.get(first)![0]![0];
  const to = of.get(last)![0]![0] + APART.letter;
  const latin = of.get('a')![0]![0];
  const moved = (which: number) => {
    if (which >= from && which < to) return which - (from - latin);
    return which >= latin && which < from ? which + (to - from) : which;
  };
  for (const [letter, weights] of of)
    of.set(
      letter,
      weights.map(([which, mark, form]) => [moved(which), mark, form]),
    );
}
