import { Type } from '@sinclair/typebox';
import { nodeIn, Source } from '../../model';
import { exact, Id } from '../args';
import { changeTo, type Change } from '../changes';
import { propertyOf } from '../control';
import { defineEdit, gone } from '../define';

/** The most values that are set in one step. */
export const MOST_VALUES = 5000;

/** Sets values of many instances as one step, each its own; `null` takes one back to the default. */
export const setValues = defineEdit({
  args: Type.Object(
    {
      set: Type.Array(
        Type.Object(
          { doc: Id, node: Id, property: Id, source: Type.Union([Source, Type.Null()]) },
          exact,
        ),
        { minItems: 1, maxItems: MOST_VALUES },
      ),
    },
    exact,
  ),
  run(documents, { set }) {
    const changes = new Map<string, Change[]>();
    for (const { doc, node, property, source } of set) {
      const stored = nodeIn(documents, doc, node);
      if (stored?.kind !== 'instance') return gone('An instance', doc);
      if (source && !propertyOf(documents, stored.component, property))
        return gone('The property', stored.component);
      // What is set twice is what was said last.
      changes.set(
        `${doc} ${node} ${property}`,
        changeTo(documents, doc, ['nodes', node, 'values', property], source ?? undefined),
      );
    }
    return [...changes.values()].flat();
  },
  says: (_, { set }) => (set.length === 1 ? 'set one value' : `set ${set.length} values`),
});
