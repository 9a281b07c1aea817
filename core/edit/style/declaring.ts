import { Type } from '@sinclair/typebox';
import { docOf, EVERY_TAG, nodeIn, own } from '../../model';
import { say } from '../../said';
import { exact, Id } from '../args';
import { changeTo, isRefusal, type Change } from '../changes';
import { defineEdit, gone, notStyled, refuse } from '../define';
import { named } from '../names';
import { DECLARATION, declareIn } from './declaration';
import { STYLED_TAGS } from './styled-tags';

/** Declares a CSS property on nodes at one width, shorthands taken apart; `null` takes it back. */
export const declare = defineEdit({
  args: Type.Object(
    { doc: Id, nodes: Type.Array(Id, { minItems: 1, maxItems: 500 }), ...DECLARATION },
    exact,
  ),
  run(documents, { doc, nodes, ...declaring }) {
    const changes: Change[] = [];
    for (const node of new Set(nodes)) {
      const stored = nodeIn(documents, doc, node);
      if (stored?.kind !== 'element' && stored?.kind !== 'instance')
        return notStyled(stored, 'to-be-styled', doc);
      const where = ['nodes', node, 'style'];
      const made = declareIn(documents, doc, where, stored.style, declaring);
      if (isRefusal(made)) return made;
      changes.push(...made);
    }
    return changes;
  },
  told: (documents, { doc, nodes, property }) =>
    nodes.length === 1
      ? say('styled', { property, what: named(documents, doc, nodes[0]!) })
      : say('styled-many', { property, many: nodes.length }),
});

/** Declares a CSS property on every element of a tag. */
export const declareTag = defineEdit({
  args: Type.Object(
    { tag: Type.String({ pattern: '^([a-z][a-z0-9]*|\\*)$', maxLength: 20 }), ...DECLARATION },
    exact,
  ),
  run(documents, { tag, ...declaring }) {
    const tags = documents.tags;
    if (!STYLED_TAGS.has(tag)) return refuse(say('no-tag-to-style', { tag }), tags.id);
    if (tag === EVERY_TAG && declaring.css !== null && declaring.state === undefined)
      return refuse(say('every-element-only-states'), tags.id);
    const block = own(tags.tags, tag);
    const changes = declareIn(documents, tags.id, ['tags', tag], block ?? {}, declaring);
    if (isRefusal(changes) || block || changes.length === 0) return changes;
    return [...changeTo(documents, tags.id, ['tags', tag], {}), ...changes];
  },
  told: (_, { tag, property }) =>
    say('styled-every', { property, tag: tag === EVERY_TAG ? say('every-element') : tag }),
});

/** Declares a CSS property in a shared style. */
export const declareShared = defineEdit({
  args: Type.Object({ style: Id, ...DECLARATION }, exact),
  run(documents, { style, ...declaring }) {
    const stored = docOf(documents, 'style', style);
    if (!stored) return gone('the-shared-style', style);
    return declareIn(documents, style, ['style'], stored.style, declaring);
  },
  told: (documents, { style, property }) =>
    say('styled-shared', {
      property,
      what: docOf(documents, 'style', style)?.name ?? say('a-shared-style-unnamed'),
    }),
});
