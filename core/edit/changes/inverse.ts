import { change, type Change } from './change';

/** The changes that take these back, in the opposite order. */
export function inverse(changes: readonly Change[]): Change[] {
  return changes.map(({ doc, path, was, now }) => change(doc, path, now, was)).reverse();
}
