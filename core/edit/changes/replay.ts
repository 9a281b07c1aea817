import type { Documents } from '../../model';
import { guardedChanges } from './apply';
import type { Change } from './change';

/** What is laid on top of documents again: anything that says what it changes. */
interface Changing {
  readonly changes: readonly Change[];
}

/** What came of laying things on top: those that stand as they were made, and those that met something else. */
export interface Replayed<E extends Changing> {
  readonly documents: Documents;
  readonly kept: E[];
  readonly lost: { readonly edit: E; readonly stands: unknown }[];
}

/** Edits laid on other documents, in order, each all or nothing: one whose guards no longer hold is given back. */
export function replay<E extends Changing>(confirmed: Documents, edits: readonly E[]): Replayed<E> {
  let documents = confirmed;
  const kept: E[] = [];
  const lost: { edit: E; stands: unknown }[] = [];
  for (const edit of edits) {
    const laid = guardedChanges(documents, edit.changes);
    const wrong = laid.mismatches[0];
    if (wrong) {
      lost.push({ edit, stands: wrong.stands });
      continue;
    }
    documents = laid.documents;
    kept.push(edit);
  }
  return { documents, kept, lost };
}
