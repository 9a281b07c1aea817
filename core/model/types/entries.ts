import { Type } from '@sinclair/typebox';
import { ID_PATTERN } from '../ids';
import { defineKind, specSchema, type SiteValues } from './kind';

const Id = Type.String({ pattern: ID_PATTERN });

/** The entries of a list that visitors may see, in its order. */
function there(ids: readonly string[], site: SiteValues) {
  return ids.flatMap((id) => site.entry(id) ?? []);
}

/** Several entries in an order, by their ids. */
export const entriesKind = defineKind({
  kind: 'entries',
  spec: specSchema('entries', {
    /** The content type they must be of; entries of another are left out. */
    of: Type.Optional(Id),
  }),
  value: Type.Array(Id, { maxItems: 1000, uniqueItems: true }),
  empty: [],
  isEmpty: (value, site) => there(value, site).length === 0,
  within(value, { of }, site) {
    if (of === undefined) return value;
    const kept = value.filter((id) => site.entry(id)?.type === of);
    if (kept.length === value.length) return value;
    return kept.length === 0 ? null : kept;
  },
  to: {
    text: (value, site) =>
      site.language.list(
        there(value, site).map((entry) => site.title(entry)),
        'and',
      ),
    // Whether there are any: what stands around them follows it.
    boolean: () => true,
    number: (value, site) => there(value, site).length,
    entry: (value, site) => there(value, site)[0]?.id ?? null,
  },
  from: { entry: (value: string) => [value] },
  asksSite: true,
});
