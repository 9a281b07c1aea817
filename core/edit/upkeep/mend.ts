import { Type } from '@sinclair/typebox';
import {
  BOOLEAN,
  type ComponentDoc,
  definitionSources,
  type Documents,
  pointer,
  rootOf,
  TEXT,
  tokensOf,
  treeDocOf,
  withDescendants,
  withSources,
} from '../../model';
import { say } from '../../said';
import { exact } from '../args';
import { change, type Change, changeTo } from '../changes';
import { emptyLiteral } from '../control';
import { defineEdit, refuse } from '../define';
import { documentWord } from '../names';
import { danglingIn } from '../soundness/references';

/**
 * Mends one thing that points at nothing, as an earlier version may have left it: what cannot mean anything is
 * taken away (an instance of a component that is gone, with what fills its slots), what can be empty becomes empty.
 */
export const mend = defineEdit({
  args: Type.Object(
    { doc: Type.String({ maxLength: 40 }), path: Type.String({ maxLength: 1000 }) },
    exact,
  ),
  run(documents, { doc, path }) {
    const found = danglingIn(documents).find((each) => each.doc === doc && each.path === path);
    if (!found) return refuse(say('nothing-to-mend'), doc, path);
    const [member, node] = tokensOf(path);
    const stored = documents.get(doc)!;
    if (stored.kind === 'site') return changeTo(documents, doc, ['surround'], null);
    if (stored.kind === 'component' && found.gone === 'property')
      return withoutGoneProperties(documents, stored, path);
    const tree = treeDocOf(documents, doc);
    if (!tree || member !== 'nodes' || node === undefined)
      return [change(doc, '', stored, undefined)];
    if (node === rootOf(tree.nodes))
      return refuse(say('root-is-gone', { doc: documentWord(tree) }), doc, path);
    return withDescendants(tree.nodes, node)
      .reverse()
      .map((id) => change(doc, pointer('nodes', id), tree.nodes[id], undefined));
  },
  told: (documents, { doc }) => say('mended', { what: documentWord(documents.get(doc)) }),
});

/** Whatever reads a property that is gone at a place reads an empty value of its own instead. */
function withoutGoneProperties(
  documents: Documents,
  component: ComponentDoc,
  path: string,
): Change[] {
  return definitionSources(component).flatMap(([where, source, node]) => {
    if (pointer(...where) !== path) return [];
    const isText = component.nodes[node]?.kind === 'text';
    const now = withSources(source, (each) =>
      each.is === 'property' && !Object.hasOwn(component.properties, each.property)
        ? emptyLiteral(isText && where.at(-1) === 'text' ? TEXT : BOOLEAN)
        : each,
    );
    return changeTo(documents, component.id, where, now);
  });
}
