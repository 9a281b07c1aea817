import { Type } from '@sinclair/typebox';
import { say, type Said } from '../../said';
import { guardedChanges, inverse, type Change } from '../changes';
import { defineEdit, refuse, type Past, type PastEdit } from '../define';

/** The shape of the id under which an edit is sent, kept and named. */
export const EDIT_ID_PATTERN = '^[a-z0-9-]{8,60}$';

/**
 * Takes edits back: those of one step, in the order in which they were done. It names them, and what it changes
 * is made from what they changed, all or nothing, under the same guards and checks as any edit. Doing it again is
 * taking the taking back back.
 */
export const revert = defineEdit({
  args: Type.Object(
    {
      edits: Type.Array(Type.String({ pattern: EDIT_ID_PATTERN }), {
        minItems: 1,
        maxItems: 500,
        uniqueItems: true,
      }),
    },
    { additionalProperties: false },
  ),
  run(documents, { edits }, past) {
    const found = pastOf(edits, past);
    if (!found) return refuse(say('not-in-history'));
    const changes: Change[] = inverse(found.flatMap(({ changes: made }) => made));
    const wrong = guardedChanges(documents, changes).mismatches[0];
    return wrong ? refuse(say('changed-since'), wrong.change.doc, wrong.change.path) : changes;
  },
  told(_, { edits }, past) {
    const last = pastOf(edits, past)?.at(-1)?.said ?? say('an-edit');
    const what = last.about?.['what'] as Said | undefined;
    if (last.code === 'did-take-back' && what) return say('did-again', { what });
    return say('did-take-back', { what: last.code === 'did-again' && what ? what : last });
  },
});

function pastOf(edits: readonly string[], past: Past): PastEdit[] | undefined {
  const found = edits.flatMap((edit) => past(edit) ?? []);
  return found.length === edits.length ? found : undefined;
}
