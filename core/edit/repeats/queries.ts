import { Type } from '@sinclair/typebox';
import {
  Condition,
  ConditionGroup,
  nodeIn,
  PerPage,
  SortKey,
  Source,
  sameJson,
  treeDocOf,
} from '../../model';
import { say } from '../../said';
import { exact, Id } from '../args';
import { changeTo } from '../changes';
import { defineEdit, gone, refuse } from '../define';
import { named } from '../names';
import { recordsOf } from './over';

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
        Type.Object({ list: Source }, exact),
        Type.Object({ limit: Type.Union([Source, Type.Null()]) }, exact),
        Type.Object({ offset: Type.Union([Source, Type.Null()]) }, exact),
        /** How many stand on one page; `null` for all of them. */
        Type.Object({ perPage: Type.Union([PerPage, Type.Null()]) }, exact),
        Type.Object({ where: Id, condition: Type.Union([Condition, Type.Null()]) }, exact),
        Type.Object({ order: Id, key: Type.Union([SortKey, Type.Null()]) }, exact),
        /** A group of conditions; taken away with all that stands in it. */
        Type.Object({ group: Id, made: Type.Union([ConditionGroup, Type.Null()]) }, exact),
        /** Whether any of what stands at the top will do. */
        Type.Object({ any: Type.Boolean() }, exact),
      ]),
    },
    exact,
  ),
  run(documents, { doc, node, set }) {
    const stored = nodeIn(documents, doc, node);
    if (!stored) return gone('the-repeat', doc);
    if (stored.kind !== 'repeat') return refuse(say('only-repeat-queries'), doc);
    const at = ['nodes', node, 'query'];
    if ('limit' in set) return changeTo(documents, doc, [...at, 'limit'], set.limit ?? undefined);
    if ('offset' in set)
      return changeTo(documents, doc, [...at, 'offset'], set.offset ?? undefined);
    if ('perPage' in set)
      return changeTo(documents, doc, [...at, 'perPage'], set.perPage ?? undefined);
    if ('any' in set) return changeTo(documents, doc, [...at, 'any'], set.any || undefined);
    if ('group' in set) {
      const { groups = {}, where } = stored.query;
      const kept: Record<string, ConditionGroup> = { ...groups };
      if (set.made) kept[set.group] = set.made;
      const gone = set.made ? new Set<string>() : within(groups, set.group);
      for (const each of gone) delete kept[each];
      return [
        ...changeTo(documents, doc, [...at, 'groups'], isNone(kept) ? undefined : kept),
        ...Object.keys(where)
          .filter((id) => gone.has(where[id]!.group ?? ''))
          .flatMap((id) => changeTo(documents, doc, [...at, 'where', id], undefined)),
      ];
    }
    if ('where' in set)
      return changeTo(documents, doc, [...at, 'where', set.where], set.condition ?? undefined);
    if ('order' in set)
      return changeTo(documents, doc, [...at, 'order', set.order], set.key ?? undefined);
    const from = 'list' in set ? { list: set.list } : { type: set.type };
    if (sameJson(from, stored.query.from)) return [];
    if (!recordsOf(documents, treeDocOf(documents, doc)!, node, from))
      return 'list' in set ? refuse(say('list-unreadable'), doc) : gone('the-content-type', doc);
    const { limit, perPage } = stored.query;
    return changeTo(documents, doc, at, {
      from,
      where: {},
      order: {},
      ...(limit ? { limit } : {}),
      ...(perPage === undefined ? {} : { perPage }),
    });
  },
  told: (documents, { doc, node }) => say('set-query', { what: named(documents, doc, node) }),
});

const isNone = (record: object) => Object.keys(record).length === 0;

/** A group of conditions with all that stand in it, however deep. */
function within(groups: Readonly<Record<string, ConditionGroup>>, group: string): Set<string> {
  const found = new Set([group]);
  for (let before = 0; before < found.size;) {
    before = found.size;
    for (const id in groups) if (found.has(groups[id]!.group ?? '')) found.add(id);
  }
  return found;
}
