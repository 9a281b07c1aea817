import { sameJson } from '../model';
import { Later, type Known, type Result, type Run } from '../value';
import type { StateAt } from './program';

/** A state where it is meant: all that it can be, and how many of those acts can set it to. */
interface Around {
  readonly values: readonly Known[];
  readonly many: number;
}

/** Where a state begins among all that it can be, how many those are for whoever sets it, and whether they go round. */
export type Begun = readonly [at: number, many: number, round: 0 | 1];

/** The states around a place of a page that is written, by name, and what goes by them. */
export class StatesAround {
  private states: ReadonlyMap<string, Around> = new Map();

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
    for (const { name, values: many, first: source, isRound } of states) {
      const first = this.known(source);
      // What begins empty, or between two steps, can be that, too; nothing an act does brings it back there.
      const values = many.some((each) => isSame(each, first)) ? many : [...many, first];
      const value = held(name) ?? first;
      all.set(name, { values, many: many.length });
      now.set(name, value);
      begun[name] = [values.findIndex((each) => isSame(each, value)), many.length, isRound ? 1 : 0];
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
    const state = this.states.get(name);
    const at = state?.values.findIndex((each) => isSame(each, value)) ?? -1;
    return state && at >= 0 && at < state.many ? at : undefined;
  }

  /** Whether a state of this name is around. */
  has(name: string): boolean {
    return this.states.has(name);
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
  table<T>(read: () => T): readonly [states: readonly string[], at: Readonly<Record<string, T>>] {
    const { held } = this.run;
    let names: string[] = [];
    for (;;) {
      const asked = new Set(names);
      const at: Record<string, T> = {};
      for (const places of this.combinations(names)) {
        const now = new Map(held);
        names.forEach((name, i) => now.set(name, this.states.get(name)!.values[places[i]!]!));
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
    for (let at = 0; at < this.states.get(name)!.values.length; at += 1)
      for (const more of this.combinations(others)) yield [at, ...more];
  }
}

/** Whether two values are the same, wherever they were written. */
function isSame(a: Known, b: Known): boolean {
  return a?.type === b?.type && sameJson(a?.value, b?.value);
}
