import { Type } from '@sinclair/typebox';
import { ComponentDoc, PageDoc } from '../../model';
import { say } from '../../said';
import { exact } from '../args';
import { change, differences } from '../changes';
import { defineEdit, refuse } from '../define';
import { documentWord } from '../names';

/**
 * Makes a page or a component as it was after an earlier revision, also one that was removed since. It is an edit like
 * any other: what was done meanwhile stays in the history, and taking it back leads there again.
 */
export const bringBack = defineEdit({
  args: Type.Object(
    { was: Type.Union([PageDoc, ComponentDoc]), revision: Type.Integer({ minimum: 1 }) },
    exact,
  ),
  run(documents, { was }) {
    const { id } = was;
    const now = documents.get(id);
    if (!now) return [change(id, '', undefined, was)];
    if (now.kind !== was.kind) return refuse(say('other-kind-by-now'), id);
    const changes = differences({ [id]: now }, { [id]: was });
    return changes.length > 0 ? changes : refuse(say('as-it-was-then'), id);
  },
  told: (_, { was, revision }) => say('brought-back', { what: documentWord(was), revision }),
});
