import { sameJson, WorkingCopy, type Documents } from '../../model';
import type { Change } from './change';

/** The documents after these changes, sharing all that did not change. @throws when a container is missing. */
export function applyChanges(documents: Documents, changes: readonly Change[]): Documents {
  if (changes.length === 0) return documents;
  const copy = new WorkingCopy(documents);
  for (const { doc, path, now } of changes)
    if (!copy.write(doc, path, now))
      throw new Error(`Nothing holds ${path} in ${doc}, so it cannot be written.`);
  return copy.documents;
}

/** A change that meets something else than it expects, and what that is. */
export interface Mismatch {
  readonly change: Change;
  readonly stands: unknown;
}

/**
 * Makes changes under their guards, in one pass: each is made where its `was` is what stands there.
 * @returns the documents after those that were, and the others with what they met
 */
export function guardedChanges(
  documents: Documents,
  changes: readonly Change[],
): { documents: Documents; mismatches: Mismatch[] } {
  const copy = new WorkingCopy(documents);
  const mismatches: Mismatch[] = [];
  for (const made of changes) {
    const stands = copy.read(made.doc, made.path);
    if (!sameJson(stands, made.was)) mismatches.push({ change: made, stands });
    else if (!copy.write(made.doc, made.path, made.now))
      mismatches.push({ change: made, stands: undefined });
  }
  return { documents: copy.documents, mismatches };
}

/** The changes whose `was` is not what stands there: each with what does. */
export function mismatches(documents: Documents, changes: readonly Change[]): Mismatch[] {
  return guardedChanges(documents, changes).mismatches;
}
