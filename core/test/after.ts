import { doEdit, isRefusal, type NamedEdit } from '../edit';
import type { Documents } from '../model';
import { saidText } from '../said';

/** Documents after edits, one after the other. @throws with the reason where one is refused */
export function after(documents: Documents, ...edits: readonly NamedEdit[]): Documents {
  return edits.reduce((now, edit) => {
    const done = doEdit(now, edit);
    if (isRefusal(done)) throw new Error(`${edit.name}: ${saidText(done.refused)}`);
    return done.documents;
  }, documents);
}
