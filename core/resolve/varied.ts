import { own, type TypeSpec } from '../model';
import { evaluate, HIDE, Later, type Known, type Names, type Result, type Run } from '../value';
import type { Varied, When } from './linked';

/**
 * What rules put in place of a source, while the axes of their definition have some options: known where they are, a
 * choice for each page where they are not.
 */

/** What a condition asks of its value: that it is yes, that it is there, that it hides nothing, that it is an option. */
export interface ValueTest {
  readonly value: Later;
  readonly passes: 'yes' | 'there' | 'unhidden' | { readonly option: string };
}
/** A condition: on a value, or that others do not all hold. */
export type Test = ValueTest | { readonly not: readonly Test[] };

/** What must hold for axes to have these options: nothing is left to ask where all are known, `null` where one has another. */
export function testsOf(when: When, names: Names): Test[] | null {
  const tests: Test[] = [];
  for (const { property, option } of when) {
    const value = own(names.properties, property) ?? null;
    if (value instanceof Later) tests.push({ value, passes: { option } });
    else if (!isOption(value, option)) return null;
  }
  return tests;
}

/** What must hold for none of several conditions to hold: `null` where one of them is known to. */
export function testsOfNone(whens: readonly When[], names: Names): Test[] | null {
  const tests: Test[] = [];
  for (const when of whens) {
    const held = testsOf(when, names);
    if (held?.length === 0) return null;
    if (held) tests.push({ not: held });
  }
  return tests;
}

/**
 * What a source gives at a place, or what the strongest rule that holds there puts in its stead.
 * @param absent what there is where neither gives anything
 */
export function variedAt(
  { source, byRules }: Varied,
  type: TypeSpec,
  names: Names,
  absent: Result = null,
): Result {
  const perhaps: { tests: readonly Test[]; value: Result }[] = [];
  for (const each of byRules) {
    const tests = testsOf(each.when, names);
    if (!tests) continue;
    const value = evaluate(each.source, type, names, absent);
    if (tests.length === 0) return firstThatHolds(perhaps, value);
    perhaps.push({ tests, value });
  }
  return firstThatHolds(perhaps, source ? evaluate(source, type, names, absent) : absent);
}

function firstThatHolds(
  perhaps: readonly { tests: readonly Test[]; value: Result }[],
  otherwise: Result,
): Result {
  if (perhaps.length === 0) return otherwise;
  const all = [...perhaps.map(({ value }) => value), otherwise];
  const mayHide = all.some((each) => each === HIDE || (each instanceof Later && each.mayHide));
  return new Later((run) => {
    const found = perhaps.find(({ tests }) => tests.every((test) => holds(test, run)));
    const value = found ? found.value : otherwise;
    return value instanceof Later ? value.read(run) : value;
  }, mayHide);
}

/** Whether a condition holds for a page. */
export function holds(test: Test, run: Run): boolean {
  if ('not' in test) return !test.not.every((each) => holds(each, run));
  const { value, passes } = test;
  const known = value.read(run);
  if (passes === 'yes') return isYes(known);
  if (typeof passes === 'object') return isOption(known, passes.option);
  return known !== HIDE && (passes === 'unhidden' || known !== null);
}

/** Kinds that choose one out of several, by its id. */
const CHOICES = new Set(['choice', 'theme', 'style']);

/** Whether a value is this option of a choice. */
export function isOption(value: Known, option: string): boolean {
  return value !== null && CHOICES.has(value.type) && value.value === option;
}

/** Whether a value is a boolean that is true. */
export function isYes(known: Known): boolean {
  return known !== null && known.type === 'boolean' && known.value === true;
}
