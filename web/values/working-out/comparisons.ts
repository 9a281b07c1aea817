import type { Comparison, Gives } from '@sormet/core/expression';
import type { ValueKind } from '@sormet/core/model';

/** What comparisons are called, as they stand between a name and a value. */
export const COMPARISON_WORDS: Readonly<Record<Comparison, string>> = {
  is: 'is',
  isNot: 'is not',
  oneOf: 'is one of',
  noneOf: 'is none of',
  empty: 'is empty',
  notEmpty: 'is not empty',
  contains: 'contains',
  containsNot: 'does not contain',
  startsWith: 'begins with',
  endsWith: 'ends with',
  less: 'is less than',
  atMost: 'is at most',
  more: 'is more than',
  atLeast: 'is at least',
  yes: 'is yes',
  no: 'is no',
};

/** The same for days. */
const OF_DAYS: Readonly<Partial<Record<Comparison, string>>> = {
  less: 'is before',
  atMost: 'is on or before',
  more: 'is after',
  atLeast: 'is on or after',
};

const EVERY: readonly Comparison[] = ['is', 'isNot', 'empty', 'notEmpty'];
const OF_KIND: Readonly<Partial<Record<ValueKind, readonly Comparison[]>>> = {
  boolean: ['yes', 'no', 'empty', 'notEmpty'],
  text: [...EVERY, 'oneOf', 'noneOf', 'contains', 'containsNot', 'startsWith', 'endsWith'],
  choice: [...EVERY, 'oneOf', 'noneOf'],
  number: [...EVERY, 'less', 'atMost', 'more', 'atLeast', 'oneOf', 'noneOf'],
  date: [...EVERY, 'less', 'atMost', 'more', 'atLeast'],
};

/** How what a name stands for can be compared. */
export function comparisonsOf({ of, isList }: Gives): readonly Comparison[] {
  if (isList || of === 'nothing') return ['empty', 'notEmpty'];
  return OF_KIND[of] ?? ['empty', 'notEmpty'];
}

/** What a comparison is called for something of a kind. */
export function comparisonWord(is: Comparison, gives: Gives | undefined): string {
  return (gives?.of === 'date' ? OF_DAYS[is] : undefined) ?? COMPARISON_WORDS[is];
}

/** How many values a comparison takes: none, one, or any number. */
export function takesOf(is: Comparison): 'none' | 'one' | 'several' {
  if (is === 'empty' || is === 'notEmpty' || is === 'yes' || is === 'no') return 'none';
  return is === 'oneOf' || is === 'noneOf' ? 'several' : 'one';
}
