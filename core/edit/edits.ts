import type { Static } from '@sinclair/typebox';
import { LARGEST_EDIT, type Documents } from '../model';
import { guardedChanges, isRefusal, type Change, type Refusal } from './change';
import * as componentEdits from './component-edits';
import { refuse, type EditKind, type Past } from './define';
import { mend, tidy } from './mend';
import { revert } from './revert';
import * as siteEdits from './site-edits';
import {
  declare,
  declareRule,
  declareShared,
  declareTag,
  move,
  nameNode,
  place,
  remove,
  setByRule,
  setControl,
} from './tree-edits';
import { newFindings, type DocumentFinding } from './soundness';

/** Every named edit. */
export const EDITS = {
  place,
  move,
  remove,
  nameNode,
  setControl,
  declare,
  declareTag,
  declareShared,
  declareRule,
  setByRule,
  revert,
  mend,
  tidy,
  ...componentEdits,
  ...siteEdits,
} as const;

export type EditName = keyof typeof EDITS;
export type ArgsOf<N extends EditName> = Static<(typeof EDITS)[N]['args']>;

/** An edit as it is sent, kept and repeated: its name and arguments. */
export type NamedEdit = { [N in EditName]: { name: N; args: ArgsOf<N> } }[EditName];

/** What an edit did: its changes, and the documents after it. */
export interface Done {
  readonly changes: Change[];
  readonly documents: Documents;
}

const NO_PAST: Past = () => undefined;

/**
 * What an edit does to these documents, checked for soundness, or why it is refused.
 * @param past what earlier edits did, for taking them back
 */
export function doEdit(
  documents: Documents,
  edit: NamedEdit,
  past: Past = NO_PAST,
): Done | Refusal {
  const kind = EDITS[edit.name] as unknown as EditKind;
  const changes = kind.run(documents, edit.args as never, past);
  if (isRefusal(changes)) return changes;
  if (changes.length > LARGEST_EDIT)
    return refuse(
      `This would change ${changes.length} things at once; ${LARGEST_EDIT} is the most. Do it in parts.`,
      changes[0]!.doc,
    );
  const done = guardedChanges(documents, changes);
  const wrong = done.mismatches[0];
  if (wrong)
    return refuse('Something is not as it was expected here.', wrong.change.doc, wrong.change.path);
  const [finding] = newFindings(documents, done.documents, changes);
  return finding
    ? refuse(sentence(finding), finding.doc, finding.path)
    : { changes, documents: done.documents };
}

/** The changes an edit makes to these documents, or why it is refused. */
export function runEdit(
  documents: Documents,
  edit: NamedEdit,
  past: Past = NO_PAST,
): Change[] | Refusal {
  const done = doEdit(documents, edit, past);
  return isRefusal(done) ? done : done.changes;
}

/** How the history names an edit. */
export function sayEdit(documents: Documents, edit: NamedEdit, past: Past = NO_PAST): string {
  const kind = EDITS[edit.name] as unknown as EditKind;
  return kind.says(documents, edit.args as never, past);
}

function sentence({ reason }: DocumentFinding): string {
  return reason[0]!.toUpperCase() + reason.slice(1) + '.';
}
