import type { LeafAs } from '@sormet/core/model';

/** What is read of the pages that a list is divided over, in words. */
export const LEAF_WORDS: Readonly<Record<LeafAs, string>> = {
  number: 'which of its pages this is, counted from 1',
  count: 'how many pages it has',
  before: 'the page before',
  next: 'the next page',
};
