import { sameJson, type Documents } from '@sormet/core/model';
import {
  change,
  guardedChanges,
  sayEdit,
  type Change,
  type NamedEdit,
  type Past,
} from '@sormet/core/edit';

/** An edit made here that the server has not confirmed yet. */
export interface PendingEdit {
  readonly id: string;
  readonly edit: NamedEdit;
  readonly changes: Change[];
  /** Edits of one group that follow each other are one: a word being typed. */
  readonly group: string | null;
  /** What it is part of for the history: one stretch of typing or moving. */
  readonly stretch: string | null;
  /** Whether it may be on its way; then it is no longer joined with later ones. */
  readonly sent: boolean;
}

/** An edit that could not be done as it was made, kept with both sides until somebody decides. */
export interface Conflict {
  readonly id: string;
  /** Whether the server failed on it rather than somebody else's edit: then there are no two sides. */
  readonly failed: boolean;
  readonly edit: NamedEdit;
  readonly says: string;
  readonly reason: string;
  readonly yours: unknown;
  readonly stands: unknown;
}

/** An edit that the server, or somebody else's edit, did not let through. */
export interface RefusedEdit {
  readonly edit: PendingEdit;
  readonly reason: string;
  readonly stands: unknown;
  readonly failed?: boolean;
}

/** What is kept of such an edit for somebody to decide. */
export function conflictOf(
  documents: Documents,
  { edit, reason, stands, failed = false }: RefusedEdit,
): Conflict {
  return {
    id: edit.id,
    failed,
    edit: edit.edit,
    says: sayEdit(documents, edit.edit),
    reason,
    yours: edit.changes[0]?.now ?? null,
    stands: stands ?? null,
  };
}

/** One thing to undo: the edits it was done by, in order, each with what it changed. */
export interface Step {
  readonly says: string;
  readonly edits: readonly StepEdit[];
  readonly group: string | null;
}

export interface StepEdit {
  readonly id: string;
  readonly says: string;
  readonly changes: readonly Change[];
}

/** What the steps of this window did, for taking them back. */
export function pastOf(steps: readonly Step[]): Past {
  return (id) => {
    for (const { edits } of steps) {
      const found = edits.find((edit) => edit.id === id);
      if (found) return found;
    }
    return undefined;
  };
}

/** Changes after one another as one: for each place the first `was` and the last `now`. */
export function joinChanges(first: readonly Change[], then: readonly Change[]): Change[] {
  const joined = new Map<string, Change>();
  const key = ({ doc, path }: Change) => `${doc} ${path}`;
  for (const made of first) joined.set(key(made), made);
  for (const made of then) {
    const before = joined.get(key(made));
    joined.set(key(made), before ? change(made.doc, made.path, before.was, made.now) : made);
  }
  return [...joined.values()].filter(({ was, now }) => !sameJson(was, now));
}

/** Whether two edits write exactly the same places, so that the later can stand for both. */
export function samePlaces(a: readonly Change[], b: readonly Change[]): boolean {
  const places = (changes: readonly Change[]) =>
    changes.map(({ doc, path }) => `${doc} ${path}`).sort();
  return sameJson(places(a), places(b));
}

/**
 * Pending edits on top of what the server has confirmed. Those whose guards no longer hold are given
 * back; the rest stand as they were made.
 */
export function replay(
  confirmed: Documents,
  pending: readonly PendingEdit[],
): { documents: Documents; kept: PendingEdit[]; lost: { edit: PendingEdit; stands: unknown }[] } {
  let documents = confirmed;
  const kept: PendingEdit[] = [];
  const lost: { edit: PendingEdit; stands: unknown }[] = [];
  for (const edit of pending) {
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
