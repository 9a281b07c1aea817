import { evaluate, Later, type Names, type Result } from '../value';
import type { ClassTerm, Look } from './linked';
import { holds, isOption, testsOf, testsOfNone, type Test } from './varied';

const NO_TESTS: readonly Test[] = Object.freeze([]);

/** A class at a place: there, or there only for some pages. */
export type ClassAt = string | { readonly className: string; readonly tests: readonly Test[] };

/** A custom property at a place, with what its declarations take in its stead. */
export interface CustomAt {
  readonly name: string;
  readonly value: Result;
}

/** How an element looks as far as classes and custom properties say it. */
export interface LookAt {
  readonly classes: readonly ClassAt[];
  readonly customs: readonly CustomAt[];
}

/** What has no look: nothing is said of it. */
export const NO_LOOK: LookAt = Object.freeze({ classes: [], customs: [] });

/** What a node says of its element's look at a place, and what the instances around say of it as their root. */
export function lookAt({ classes, customs }: Look, names: Names, outer: LookAt): LookAt {
  if (classes.length === 0) return outer;
  const here: ClassAt[] = [];
  const known = new Map<string, readonly Test[]>();
  for (const { className, when, unless, chosen } of classes) {
    const holding = testsOf(when, names);
    const others = holding && unless ? testsOfNone(unless, names) : NO_TESTS;
    const axes = holding && others && (others.length > 0 ? [...holding, ...others] : holding);
    const tests = axes && (chosen ? chosenTests(chosen, names, axes) : axes);
    if (!tests) continue;
    known.set(className, tests);
    here.push(tests.length === 0 ? className : { className, tests });
  }
  const set = customs.flatMap(({ name, className, type, source }): CustomAt[] => {
    const tests = known.get(className);
    return tests ? [{ name, value: whileHolds(tests, evaluate(source, type, names)) }] : [];
  });
  return { classes: [...here, ...outer.classes], customs: [...set, ...outer.customs] };
}

/** A value that is there only while its class is. */
function whileHolds(tests: readonly Test[], value: Result): Result {
  if (tests.length === 0) return value;
  return new Later((run) => {
    if (!tests.every((test) => holds(test, run))) return null;
    return value instanceof Later ? value.read(run) : value;
  }, false);
}

/** What must hold besides for a choice to be this one: `null` where it is known to be another. */
function chosenTests(
  { source, type, option }: NonNullable<ClassTerm['chosen']>,
  names: Names,
  axes: readonly Test[],
): readonly Test[] | null {
  const value = evaluate(source, type, names);
  if (value instanceof Later) return [...axes, { value, passes: { option } }];
  return isOption(value, option) ? axes : null;
}
