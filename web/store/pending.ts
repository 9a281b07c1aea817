import type { Documents } from '@sormet/core/model';
import { toldOf, type Change, type NamedEdit, type Past } from '@sormet/core/edit';
import type { Said } from '@sormet/core/said';

/** An edit made here that the server has not confirmed yet. */
export interface PendingEdit {
  readonly id: string;
  readonly edit: NamedEdit;
  readonly changes: Change[];
  /** Edits of one group that follow each other are one: a word being typed. */
  readonly group: string | null;
  /** What it is part of for the history: one stretch of typing or moving. */
  readonly stretch: string | null;
  /** Whether it was made at work as an editor. */
  readonly editing?: true;
  /** Whether it may be on its way; then it is no longer joined with later ones. */
  readonly sent: boolean;
}

/** An edit that could not be done as it was made, kept with both sides until somebody decides. */
export interface Conflict {
  readonly id: string;
  /** Whether the server failed on it rather than somebody else's edit: then there are no two sides. */
  readonly failed: boolean;
  /** Whether it was refused here while it was typed, and nothing of the kind has been stored since: by its group. */
  readonly unstored?: string;
  readonly edit: NamedEdit;
  readonly said: Said;
  readonly reason: Said;
  readonly yours: unknown;
  readonly stands: unknown;
  /** Where it was made; left out by earlier versions of what a browser keeps. */
  readonly at?: readonly { readonly doc: string; readonly path: string }[];
}

/** Something that was kept in this browser and that this version cannot read. */
export interface SetAside {
  /** Where it is kept. */
  readonly key: string;
  readonly text: string;
}

/** An edit that the server, or somebody else's edit, did not let through. */
export interface RefusedEdit {
  readonly edit: PendingEdit;
  readonly reason: Said;
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
    said: toldOf(documents, edit.edit),
    reason,
    yours: edit.changes[0]?.now ?? null,
    stands: stands ?? null,
    at: edit.changes.map(({ doc, path }) => ({ doc, path })),
  };
}

/** What is kept of something that was typed and could not be stored: until it can be, or somebody lets it go. */
export function unstoredOf(
  documents: Documents,
  edit: NamedEdit,
  group: string,
  reason: Said,
): Conflict {
  return {
    id: ('unstored-' + group.toLowerCase().replace(/[^a-z0-9-]+/g, '-')).slice(0, 60),
    failed: true,
    unstored: group,
    edit,
    said: toldOf(documents, edit),
    reason,
    yours: null,
    stands: null,
  };
}

/** One thing to undo: the edits it was done by, in order, each with what it changed. */
export interface Step {
  readonly said: Said;
  readonly edits: readonly StepEdit[];
  readonly group: string | null;
}

export interface StepEdit {
  readonly id: string;
  readonly said: Said;
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

/** The edit that was not taken in and was made at a place of a document; nothing where there is none. */
export function refusedAt(
  conflicts: readonly Conflict[],
  doc: string,
  path: string,
): Conflict | undefined {
  return conflicts.find(({ at }) =>
    at?.some(
      (each) => each.doc === doc && (each.path === path || each.path.startsWith(path + '/')),
    ),
  );
}
