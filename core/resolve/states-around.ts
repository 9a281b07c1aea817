import { inOrder, sameJson, type TypeSpec } from '../model';
import { Later, type Known, type Result, type Run } from '../value';
import type { StateAt } from './program';

/** A state where it is meant. */
interface Around {
  readonly type: TypeSpec;
  /** All that acts can set it to; nothing for words. */
  readonly values: readonly Known[] | undefined;
  /** All for which something is worked out: of words, whether there are any. */
  readonly worked: readonly Known[];
  readonly isOpen: boolean;
}

/**
 * Where a state begins among all that it can be, how many those are for whoever sets it, whether they go round; of words, what
 * they are.
 */
export type Begun = readonly [at: number, many: number, round: 0 | 1, words?: string];

/** What something is for each combination of the states that it asks for: under their places among all that each can be, with commas between. */
export type Table<T> = readonly [states: readonly string[], at: Readonly<Record<string, T>>];

/** Words of a visitor that nobody knows when a page is written: in their place stands the name of their state, between two characters for private use. */
export function placeOfWords(name: string): string {
  return `\uE000${name}\uE001`;
}

/** Whether the words of a state stand somewhere. */
export function hasWordsOfStates(text: string): boolean {
  return text.includes('\uE000');
}

/** The states around a place of a page that is written, by name, and what goes by them. */
export class StatesAround {
  private states: ReadonlyMap<string, Around> = new Map();
  /** Whether any of them was words: in their place stands a mark that a script has to replace. */
  hasWords = false;

  constructor(private readonly run: Run) {}

  /** What something gives with the states as they are held. */
  known(value: Result): Known {
    return value instanceof Later ? value.read(this.run) : value;
  }

  /**
   * Has some states around while something is written: of a name the nearest is meant.
   * @param held what a state is held at; what it is at first, without
   */
  inside(
    states: readonly StateAt[],
    held: (state: string) => Known | undefined,
    write: (begun: Readonly<Record<string, Begun>>) => string,
  ): string {
    const [outer, before] = [this.states, this.run.held];
    const all = new Map(outer);
    const now = new Map(before);
    const begun: Record<string, Begun> = {};
    for (const { name, type, values: those, first: source, isRound, isOpen } of states) {
      const values = typeof those === 'function' ? those(this.run) : those;
      const first = this.known(source);
      const value = held(name) ?? first;
      if (!values) {
        this.hasWords = true;
        const words = value?.type === 'text' ? (value.value ?? '') : '';
        const filled: Known = { type: 'text', value: placeOfWords(name) };
        all.set(name, { type, values, worked: [null, filled], isOpen });
        now.set(name, words === '' ? null : { type: 'text', value: words });
        begun[name] = [words === '' ? 0 : 1, 2, 0, words];
        continue;
      }
      // What begins empty, or between two steps, can be that, too; nothing an act does brings it back there.
      const worked = values.some((each) => isSame(each, first)) ? values : [...values, first];
      all.set(name, { type, values, worked, isOpen });
      now.set(name, value);
      const at = worked.findIndex((each) => isSame(each, value));
      begun[name] = [at, values.length, isRound ? 1 : 0];
    }
    this.states = all;
    this.run.held = now;
    const out = write(begun);
    this.states = outer;
    this.run.held = before;
    return out;
  }

  /** The place of a value among those that an act can set a state to; nothing where it is none, or no such state is around. */
  placeOf(name: string, value: Known): number | undefined {
    const at = this.states.get(name)?.values?.findIndex((each) => isSame(each, value)) ?? -1;
    return at >= 0 ? at : undefined;
  }

  /** The same for all of them, by the words that stand for each in JSON; nothing for a state that is words itself. */
  placesByWords(name: string): Readonly<Record<string, number>> | undefined {
    const { values, type } = this.states.get(name) ?? {};
    if (!values || !type) return undefined;
    const options = type.kind === 'choice' ? inOrder(type.options) : [];
    return Object.fromEntries(
      values.map((each, i) => {
        const option = options.find(([id]) => id === each?.value)?.[1].label;
        return [option ?? String(each?.value as string | number | boolean), i];
      }),
    );
  }

  /** The state of a name, where one is around. */
  of(name: string): Pick<Around, 'type' | 'values' | 'isOpen'> | undefined {
    return this.states.get(name);
  }

  /** What reading something gives now, and whether it asks for states. */
  asking<T>(read: () => T): { readonly now: T; readonly isAsked: boolean } {
    const asked = (this.run.asked = new Set<string>());
    const now = read();
    this.run.asked = undefined;
    return { now, isAsked: asked.size > 0 };
  }

  /**
   * What something is for each combination of the states that it asks for, in any of them: under their places among all that
   * each can be, with commas between.
   */
  table<T>(read: () => T): Table<T> {
    const { held } = this.run;
    let names: string[] = [];
    for (;;) {
      const asked = new Set(names);
      const at: Record<string, T> = {};
      for (const places of this.combinations(names)) {
        const now = new Map(held);
        names.forEach((name, i) => now.set(name, this.states.get(name)!.worked[places[i]!]!));
        this.run.held = now;
        this.run.asked = asked;
        at[places.join()] = read();
      }
      this.run.held = held;
      this.run.asked = undefined;
      if (asked.size === names.length) return [names, at];
      // In some combination more was asked: then by those as well.
      names = [...asked].sort();
    }
  }

  private *combinations(names: readonly string[]): Iterable<readonly number[]> {
    const [name, ...others] = names;
    if (name === undefined) return yield [];
    for (let at = 0; at < this.states.get(name)!.worked.length; at += 1)
      for (const more of this.combinations(others)) yield [at, ...more];
  }
}

/** Whether two values are the same, wherever they were written. */
function isSame(a: Known, b: Known): boolean {
  return a?.type === b?.type && sameJson(a?.value, b?.value);
}
