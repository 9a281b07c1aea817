import { Type } from '@sinclair/typebox';
import { Condition, docOf, nodeIn, queriedType, SortKey, Source } from '../../model';
import { exact, Id } from '../args';
import { changeTo } from '../changes';
import { defineEdit, gone, refuse } from '../define';
import { named } from '../names';

/**
 * Sets a part of what a repeat asks for; `null` takes it away. With another content type what was asked of the old one
 * goes: its fields are not those of the new one.
 */
export const setQuery = defineEdit({
  args: Type.Object(
    {
      doc: Id,
      node: Id,
      set: Type.Union([
        Type.Object({ type: Id }, exact),
        Type.Object({ limit: Type.Union([Source, Type.Null()]) }, exact),
        Type.Object({ offset: Type.Union([Source, Type.Null()]) }, exact),
        Type.Object({ where: Id, condition: Type.Union([Condition, Type.Null()]) }, exact),
        Type.Object({ order: Id, key: Type.Union([SortKey, Type.Null()]) }, exact),
      ]),
    },
    exact,
  ),
  run(documents, { doc, node, set }) {
    const stored = nodeIn(documents, doc, node);
    if (!stored) return gone('The repeat', doc);
    if (stored.kind !== 'repeat') return refuse('Only a repeat asks for entries.', doc);
    const at = ['nodes', node, 'query'];
    if ('limit' in set) return changeTo(documents, doc, [...at, 'limit'], set.limit ?? undefined);
    if ('offset' in set)
      return changeTo(documents, doc, [...at, 'offset'], set.offset ?? undefined);
    if ('where' in set)
      return changeTo(documents, doc, [...at, 'where', set.where], set.condition ?? undefined);
    if ('order' in set)
      return changeTo(documents, doc, [...at, 'order', set.order], set.key ?? undefined);
    if (!docOf(documents, 'type', set.type)) return gone('The content type', doc);
    if (queriedType(stored.query) === set.type) return [];
    const { limit } = stored.query;
    return changeTo(documents, doc, at, {
      from: { type: set.type },
      where: {},
      order: {},
      ...(limit ? { limit } : {}),
    });
  },
  says: (documents, { doc, node }) => `set what ${named(documents, doc, node)} shows`,
});
