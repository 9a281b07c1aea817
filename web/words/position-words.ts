import type { PositionAs } from '@sormet/core/model';

/** What is read of where an item stands in its list, in words. */
export const POSITION_WORDS: Readonly<Record<PositionAs, string>> = {
  number: 'which one it is, counted from 1',
  first: 'whether it is the first',
  last: 'whether it is the last',
  even: 'whether it is an even one: second, fourth …',
  odd: 'whether it is an odd one: first, third …',
};
