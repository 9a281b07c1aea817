import { Type } from '@sinclair/typebox';
import { nodeIn } from '../../model';
import { say } from '../../said';
import { exact, Id } from '../args';
import { changeTo } from '../changes';
import { defineEdit, gone } from '../define';
import { named } from '../names';

/** Gives a node a name of its own; without one it is called what it is. */
export const nameNode = defineEdit({
  args: Type.Object({ doc: Id, node: Id, name: Type.String({ maxLength: 120 }) }, exact),
  run(documents, { doc, node, name }) {
    if (!nodeIn(documents, doc, node)) return gone('to-be-named', doc);
    return changeTo(documents, doc, ['nodes', node, 'name'], name.trim() || undefined);
  },
  told: (documents, { doc, node, name }) =>
    say('named-thing', { what: named(documents, doc, node), name }),
});
