import { Type } from '@sinclair/typebox';
import {
  claim,
  docOf,
  type Documents,
  EntryDoc,
  Instant,
  LARGEST_EDIT,
  own,
  type Times,
  Typed,
} from '../../model';
import { say } from '../../said';
import { exact, Id } from '../args';
import { change, type Change, changeTo } from '../changes';
import { defineEdit, gone, refuse } from '../define';
import { entryName } from '../names';
import { typeName } from './types';

/** How many entries one edit is about. */
const SEVERAL = { minItems: 1, maxItems: LARGEST_EDIT };

/** Adds an entry of a content type. */
export const addEntry = defineEdit({
  args: Type.Object({ entry: EntryDoc }, exact),
  run(documents, { entry }) {
    if (documents.get(entry.id)) return refuse(say('id-taken'), entry.id);
    return [
      change(entry.id, '', undefined, entry),
      ...slugTaken(documents, entry.type, entry.slug),
    ];
  },
  told: (documents, { entry }) =>
    say('added-entry', {
      type: docOf(documents, 'type', entry.type)?.name.toLowerCase() ?? 'entry',
      slug: entry.slug,
    }),
});

/** Adds several entries at once: duplicates of some, rows that were pasted. */
export const addEntries = defineEdit({
  args: Type.Object({ entries: Type.Array(EntryDoc, SEVERAL) }, exact),
  run(documents, { entries }) {
    if (new Set(entries.map(({ id }) => id)).size < entries.length) return refuse(say('ids-taken'));
    const changes: Change[] = [];
    for (const entry of entries) {
      if (documents.get(entry.id)) return refuse(say('id-taken'), entry.id);
      changes.push(
        change(entry.id, '', undefined, entry),
        ...slugTaken(documents, entry.type, entry.slug),
      );
    }
    return changes;
  },
  told: (documents, { entries }) =>
    say('added-entries', {
      many: entries.length,
      type: typeName(documents, entries[0]?.type ?? ''),
    }),
});

/** Removes entries. What showed them shows as if the value were empty. */
export const removeEntries = defineEdit({
  args: Type.Object({ entries: Type.Array(Id, { ...SEVERAL, uniqueItems: true }) }, exact),
  run(documents, { entries }) {
    const changes: Change[] = [];
    for (const entry of entries) {
      const doc = docOf(documents, 'entry', entry);
      if (!doc) return gone('the-entry', entry);
      changes.push(change(entry, '', doc, undefined));
    }
    return changes;
  },
  told: (documents, { entries }) =>
    entries.length === 1
      ? say('removed-thing', { what: entryName(documents, entries[0]!) })
      : say('removed-entries', { many: entries.length }),
});

/** Sets a field of an entry; `null` empties it. */
export const setField = defineEdit({
  args: Type.Object({ entry: Id, field: Id, value: Type.Union([Typed, Type.Null()]) }, exact),
  run(documents, { entry, field, value }) {
    const doc = docOf(documents, 'entry', entry);
    if (!doc) return gone('the-entry', entry);
    const type = docOf(documents, 'type', doc.type);
    if (!type || !own(type.fields, field)) return gone('the-field', entry);
    return changeTo(documents, entry, ['values', field], value ?? undefined);
  },
  told: (documents, { entry, field }) => {
    const doc = docOf(documents, 'entry', entry);
    const type = doc && docOf(documents, 'type', doc.type);
    const label = type && own(type.fields, field)?.label;
    return say('set-field', {
      field: label?.toLowerCase() ?? say('a-field'),
      entry: entryName(documents, entry),
    });
  },
});

/** Sets fields of several entries at once, as a block of cells is pasted, filled or emptied; `null` empties one. */
export const setFields = defineEdit({
  args: Type.Object(
    {
      values: Type.Array(
        Type.Object({ entry: Id, field: Id, value: Type.Union([Typed, Type.Null()]) }, exact),
        SEVERAL,
      ),
    },
    exact,
  ),
  run(documents, { values }) {
    const changes = new Map<string, Change[]>();
    for (const { entry, field, value } of values) {
      const doc = docOf(documents, 'entry', entry);
      if (!doc) return gone('the-entry', entry);
      const type = docOf(documents, 'type', doc.type);
      if (!type || !own(type.fields, field)) return gone('the-field', entry);
      // Of two values for one cell the later holds.
      changes.set(
        `${entry} ${field}`,
        changeTo(documents, entry, ['values', field], value ?? undefined),
      );
    }
    return [...changes.values()].flat();
  },
  told: (documents, { values }) => {
    const entries = new Set(values.map(({ entry }) => entry));
    const [first] = entries;
    return entries.size === 1
      ? say('set-fields-of', { many: values.length, entry: entryName(documents, first!) })
      : say('set-fields', { many: values.length, entries: entries.size });
  },
});

/** Makes several entries drafts, or ready to be published. */
export const setDrafts = defineEdit({
  args: Type.Object(
    { entries: Type.Array(Id, { ...SEVERAL, uniqueItems: true }), draft: Type.Boolean() },
    exact,
  ),
  run(documents, { entries, draft }) {
    const changes: Change[] = [];
    for (const entry of entries) {
      if (!docOf(documents, 'entry', entry)) return gone('the-entry', entry);
      changes.push(...changeTo(documents, entry, ['draft'], draft));
    }
    return changes;
  },
  told: (documents, { entries, draft }) => {
    const [only] = entries;
    const what =
      entries.length === 1
        ? entryName(documents, only!)
        : say('entries-counted', { many: entries.length });
    return draft ? say('made-draft', { what }) : say('made-ready', { what });
  },
});

/** Says from when and until when visitors see some entries, once they are no drafts; `null` for no such time. */
export const setTimes = defineEdit({
  args: Type.Object(
    {
      entries: Type.Array(Id, { ...SEVERAL, uniqueItems: true }),
      set: Type.Union([
        Type.Object({ from: Type.Union([Instant, Type.Null()]) }, exact),
        Type.Object({ until: Type.Union([Instant, Type.Null()]) }, exact),
      ]),
    },
    exact,
  ),
  run(documents, { entries, set }) {
    const changes: Change[] = [];
    for (const entry of entries) {
      const doc = docOf(documents, 'entry', entry);
      if (!doc) return gone('the-entry', entry);
      const times: Times = { ...doc.times };
      for (const which of ['from', 'until'] as const) {
        const time = (set as Partial<Record<typeof which, string | null>>)[which];
        if (time === null) delete times[which];
        else if (time !== undefined) times[which] = time;
      }
      if (times.from !== undefined && times.until !== undefined && times.until <= times.from)
        return refuse(say('ends-before-it-begins'), entry, '/times');
      changes.push(
        ...changeTo(
          documents,
          entry,
          ['times'],
          Object.keys(times).length === 0 ? undefined : times,
        ),
      );
    }
    return changes;
  },
  told: (documents, { entries, set }) => {
    const what =
      entries.length === 1
        ? entryName(documents, entries[0]!)
        : say('entries-counted', { many: entries.length });
    const [which, time] =
      'from' in set ? (['from', set.from] as const) : (['until', set.until] as const);
    if (time === null) return say(which === 'from' ? 'no-beginning' : 'no-end', { what });
    return say(which === 'from' ? 'set-beginning' : 'set-end', { what, time });
  },
});

/** Gives an entry another slug; addresses with the old one lead to the new ones. */
export const setSlug = defineEdit({
  args: Type.Object({ entry: Id, slug: Type.String({ maxLength: 120 }) }, exact),
  run(documents, { entry, slug }) {
    const doc = docOf(documents, 'entry', entry);
    if (!doc) return gone('the-entry', entry);
    if (slug === doc.slug) return [];
    const former: Record<string, true> = { ...doc.former };
    if (!doc.draft) former[doc.slug] = true;
    delete former[slug];
    return [
      ...changeTo(documents, entry, ['slug'], slug),
      ...changeTo(
        documents,
        entry,
        ['former'],
        Object.keys(former).length > 0 ? former : undefined,
      ),
      ...slugTaken(documents, doc.type, slug).filter(({ doc: id }) => id !== entry),
    ];
  },
  told: (documents, { entry, slug }) =>
    say('gave-slug', { entry: entryName(documents, entry), slug }),
});

/** The same for a slug among the entries of a type. */
export function slugTaken(documents: Documents, type: string, slug: string): Change[] {
  return documents
    .claiming(claim.formerSlug(type, slug))
    .flatMap((id) => changeTo(documents, id, ['former', slug], undefined));
}
