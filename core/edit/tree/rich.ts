import { Type } from '@sinclair/typebox';
import { docOf, nodeIn, own, type Literal, type Source, type Words } from '../../model';
import { say } from '../../said';
import { exact, Id } from '../args';
import { changeTo } from '../changes';
import { defineEdit, gone, refuse } from '../define';
import { named } from '../names';

/**
 * Lets a plain text hold emphasis, links and shared styles from now on: a line of rich text that says the same. Where a
 * property says it, that is rich from now on; what instances have set is converted when it is read.
 */
export const makeRich = defineEdit({
  args: Type.Object({ doc: Id, node: Id }, exact),
  run(documents, { doc, node }) {
    const stored = nodeIn(documents, doc, node);
    if (stored?.kind !== 'text') return gone('to-be-set', doc);
    if (stored.rich) return [];
    const at = ['nodes', node];
    const rich = changeTo(documents, doc, [...at, 'rich'], 'line');
    const { text } = stored;
    if (text.is === 'value' || text.is === 'words')
      return [...rich, ...changeTo(documents, doc, [...at, 'text'], richer(text))];
    if (text.is !== 'property') return rich;
    const type = own(docOf(documents, 'component', doc)?.properties ?? {}, text.property)?.type;
    if (type?.kind !== 'text') return rich;
    if (type.longest !== undefined)
      return refuse(say('limited-stays-plain', { most: type.longest }), doc);
    return [
      ...rich,
      ...changeTo(documents, doc, ['properties', text.property, 'type'], { kind: 'rich' }),
    ];
  },
  told: (documents, { doc, node }) => say('made-rich', { what: named(documents, doc, node) }),
});

/** A value as rich text of the same words. */
function richer(source: Literal | Words): Source {
  if (source.is === 'words') return { ...source, of: 'rich' } as Words;
  if (source.type !== 'text') return source;
  return { ...source, type: 'rich', value: source.value ? [source.value] : [] };
}
