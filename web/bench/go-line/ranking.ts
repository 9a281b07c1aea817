import Fuse from 'fuse.js';

/** Something that can be chosen by typing. */
export interface Choosable {
  /** What it is known by, its own and the same each time: names are not, since two things may share one. */
  readonly value: string;
  readonly verb: string;
  readonly name: string;
  /** What else is said of it: its folder, its path, its key. */
  readonly note: string;
  /** What it is called elsewhere, too. */
  readonly also?: readonly string[];
}

/** How much of a word may be mistyped: Fuse's measure, 0 for nothing and 1 for everything. */
const TYPING_ERRORS = 0.3;
/** How many are offered. */
const MOST = 30;
/** What was chosen before counts as this much nearer. */
const RECENT = 0.6;

/**
 * What fits the words that were typed, the nearest name first: every word must be found in the verb, the name or what
 * else is said, small typing errors forgiven. What was chosen lately stands before others that are as near. With
 * nothing typed what was chosen lately comes first.
 * @param recent values that were chosen before, the last one first
 */
export function ranked<C extends Choosable>(
  all: readonly C[],
  typed: string,
  recent: readonly string[],
): readonly C[] {
  const lately = new Map(recent.map((value, i) => [value, i]));
  const words = typed.trim().toLowerCase().split(/\s+/).filter(Boolean);
  if (words.length === 0) {
    const before = all
      .filter(({ value }) => lately.has(value))
      .sort((a, b) => lately.get(a.value)! - lately.get(b.value)!);
    return [...before, ...all.filter(({ value }) => !lately.has(value))].slice(0, MOST);
  }
  const asName = words.join(' ');
  return indexOf(all)
    .search({
      $and: words.map((word) => ({
        $or: ['name', 'also', 'verb', 'note'].map((key) => ({ [key]: word })),
      })),
    })
    .map(({ refIndex, score = 1 }) => ({ item: all[refIndex]!, score }))
    .map(({ item, score }) => ({
      item,
      score: score * nearness(item, asName, words) * (lately.has(item.value) ? RECENT : 1),
    }))
    .sort((a, b) => a.score - b.score)
    .slice(0, MOST)
    .map(({ item }) => item);
}

/** Indexes by the list they are of: a key that is typed makes none anew. */
const indexes = new WeakMap<readonly Choosable[], Fuse<Choosable>>();

function indexOf(all: readonly Choosable[]): Fuse<Choosable> {
  let index = indexes.get(all);
  if (!index) {
    index = new Fuse(all, {
      includeScore: true,
      ignoreLocation: true,
      threshold: TYPING_ERRORS,
      keys: [
        { name: 'name', weight: 0.6 },
        { name: 'also', weight: 0.1 },
        { name: 'verb', weight: 0.2 },
        { name: 'note', weight: 0.1 },
      ],
    });
    indexes.set(all, index);
  }
  return index;
}

/** A name that is what was typed, or begins so, is what is meant: the smaller, the nearer. */
function nearness(
  { verb, name, also = [] }: Choosable,
  typed: string,
  words: readonly string[],
): number {
  const names = [name.toLowerCase(), ...also];
  const is = (fits: (each: string) => boolean) => names.some((each) => fits(each));
  if (names[0] === typed || `${verb} ${names[0]}` === typed) return 1e-6;
  // What it is called elsewhere is its name, too: one letter may be the whole of it.
  if (is((each) => each === typed || `${verb} ${each}` === typed)) return 1e-5;
  if (is((each) => each.startsWith(typed) || `${verb} ${each}`.startsWith(typed))) return 1e-4;
  const rest = words.filter((word) => word !== verb);
  return is((each) => rest.every((word) => each.includes(word))) ? 1e-2 : 1;
}
