import { Type } from '@sinclair/typebox';
import { nodeIn } from '../../model';
import { exact, Id } from '../args';
import { changeTo } from '../changes';
import { defineEdit, gone } from '../define';
import { named } from '../names';

export const nameNode = defineEdit({
  args: Type.Object({ doc: Id, node: Id, name: Type.String({ maxLength: 120 }) }, exact),
  run(documents, { doc, node, name }) {
    if (!nodeIn(documents, doc, node)) return gone('What should be named', doc);
    return changeTo(documents, doc, ['nodes', node, 'name'], name.trim() || undefined);
  },
  says: (documents, { doc, node, name }) => `named ${named(documents, doc, node)} “${name}”`,
});
