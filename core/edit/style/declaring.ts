import { Type } from '@sinclair/typebox';
import { docOf, nodeIn, own } from '../../model';
import { exact, Id } from '../args';
import { defineEdit, gone, refuse } from '../define';
import { named } from '../names';
import { DECLARATION, declareIn } from './declaration';

/** Declares a CSS property on a node at one width, shorthands taken apart; `null` takes it back. */
export const declare = defineEdit({
  args: Type.Object(
    {
      doc: Id,
      node: Id,
      ...DECLARATION,
    },
    exact,
  ),
  run(documents, { doc, node, property, width, css }) {
    const stored = nodeIn(documents, doc, node);
    if (!stored || (stored.kind !== 'element' && stored.kind !== 'instance'))
      return gone('What should be styled', doc);
    return declareIn(documents, doc, ['nodes', node, 'style'], stored.style, property, width, css);
  },
  says: (documents, { doc, node, property }) =>
    `styled ${property} of ${named(documents, doc, node)}`,
});

/** Declares a CSS property on every element of a tag. */
export const declareTag = defineEdit({
  args: Type.Object(
    {
      tag: Type.String({ pattern: '^[a-z][a-z0-9]*$' }),
      ...DECLARATION,
    },
    exact,
  ),
  run(documents, { tag, property, width, css }) {
    const tags = documents.tags;
    const block = own(tags.tags, tag);
    if (!block) return refuse(`The site has no style for ${tag} yet.`, tags.id);
    return declareIn(documents, tags.id, ['tags', tag], block, property, width, css);
  },
  says: (_, { tag, property }) => `styled ${property} of every ${tag}`,
});

/** Declares a CSS property in a shared style. */
export const declareShared = defineEdit({
  args: Type.Object({ style: Id, ...DECLARATION }, exact),
  run(documents, { style, property, width, css }) {
    const stored = docOf(documents, 'style', style);
    if (!stored) return gone('The shared style', style);
    return declareIn(documents, style, ['style'], stored.style, property, width, css);
  },
  says: (documents, { style, property }) =>
    `styled ${property} of ${docOf(documents, 'style', style)?.name ?? 'a shared style'}`,
});
