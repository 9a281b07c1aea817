import { Type, type Static } from '@sinclair/typebox';
import type { Documents } from '../model';
import { applyChanges, Change, isRefusal, mismatches, type Refusal } from './change';
import * as componentEdits from './component-edits';
import { defineEdit, refuse, type EditKind } from './define';
import * as siteEdits from './site-edits';
import { declare, declareTag, move, nameNode, place, remove, setControl } from './tree-edits';
import { findingsAfter, type DocumentFinding } from './soundness';

/** Takes changes back, or makes them again: the inverse of an edit is an edit under the same guards. */
const revert = defineEdit({
  args: Type.Object(
    {
      changes: Type.Array(Change, { maxItems: 5000 }),
      says: Type.String({ maxLength: 300 }),
    },
    { additionalProperties: false },
  ),
  run(documents, { changes }) {
    const wrong = mismatches(documents, changes)[0];
    return wrong
      ? refuse(
          'Somebody has changed this since; it cannot be taken back as it was.',
          wrong.change.doc,
          wrong.change.path,
        )
      : changes;
  },
  says: (_, { says }) => says,
});

/** Every named edit. */
export const EDITS = {
  place,
  move,
  remove,
  nameNode,
  setControl,
  declare,
  declareTag,
  revert,
  ...componentEdits,
  ...siteEdits,
} as const;

export type EditName = keyof typeof EDITS;
export type ArgsOf<N extends EditName> = Static<(typeof EDITS)[N]['args']>;

/** An edit as it is sent, kept and repeated: its name and arguments. */
export type NamedEdit = { [N in EditName]: { name: N; args: ArgsOf<N> } }[EditName];

/** What an edit does to these documents: its changes, checked for soundness, or why it is refused. */
export function runEdit(documents: Documents, edit: NamedEdit): Change[] | Refusal {
  const kind = EDITS[edit.name] as unknown as EditKind;
  const changes = kind.run(documents, edit.args as never);
  if (isRefusal(changes)) return changes;
  const [finding] = findingsOf(documents, changes);
  return finding ? refuse(sentence(finding), finding.doc, finding.path) : changes;
}

function findingsOf(documents: Documents, changes: readonly Change[]): DocumentFinding[] {
  const wrong = mismatches(documents, changes)[0];
  if (wrong)
    return [
      { doc: wrong.change.doc, path: wrong.change.path, reason: 'is not what was expected here' },
    ];
  return findingsAfter(applyChanges(documents, changes), changes);
}

/** How the history names an edit. */
export function sayEdit(documents: Documents, edit: NamedEdit): string {
  const kind = EDITS[edit.name] as unknown as EditKind;
  return kind.says(documents, edit.args as never);
}

function sentence({ reason }: DocumentFinding): string {
  return reason[0]!.toUpperCase() + reason.slice(1) + '.';
}
