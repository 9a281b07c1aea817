import { Type } from '@sinclair/typebox';
import { claim, docOf, type Documents, EntryDoc, own, TypeDoc, Typed } from '../../model';
import { say } from '../../said';
import { exact, Id } from '../args';
import { change, type Change, changeTo } from '../changes';
import { defineEdit, gone, refuse } from '../define';
import { entryName } from '../names';

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

/** Removes an entry. What showed it shows as if the value were empty. */
export const removeEntry = defineEdit({
  args: Type.Object({ entry: Id }, exact),
  run(documents, { entry }) {
    const doc = docOf(documents, 'entry', entry);
    return doc ? [change(entry, '', doc, undefined)] : gone('the-entry', entry);
  },
  told: (documents, { entry }) => say('removed-thing', { what: entryName(documents, entry) }),
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

/** Gives an entry another slug, or makes it a draft; addresses with the old slug lead to the new ones. */
export const setEntry = defineEdit({
  args: Type.Object(
    {
      entry: Id,
      set: Type.Union([
        Type.Object({ slug: Type.String({ maxLength: 120 }) }, exact),
        Type.Object({ draft: Type.Boolean() }, exact),
      ]),
    },
    exact,
  ),
  run(documents, { entry, set }) {
    const doc = docOf(documents, 'entry', entry);
    if (!doc) return gone('the-entry', entry);
    if ('draft' in set) return changeTo(documents, entry, ['draft'], set.draft);
    if (set.slug === doc.slug) return [];
    const former: Record<string, true> = { ...doc.former };
    if (!doc.draft) former[doc.slug] = true;
    delete former[set.slug];
    return [
      ...changeTo(documents, entry, ['slug'], set.slug),
      ...changeTo(
        documents,
        entry,
        ['former'],
        Object.keys(former).length > 0 ? former : undefined,
      ),
      ...slugTaken(documents, doc.type, set.slug).filter(({ doc: id }) => id !== entry),
    ];
  },
  told: (documents, { entry, set }) => {
    const name = entryName(documents, entry);
    if ('slug' in set) return say('gave-slug', { entry: name, slug: set.slug });
    return set.draft ? say('made-draft', { what: name }) : say('made-ready', { what: name });
  },
});

/** The same for a slug among the entries of a type. */
function slugTaken(documents: Documents, type: string, slug: string): Change[] {
  return documents
    .claiming(claim.formerSlug(type, slug))
    .flatMap((id) => changeTo(documents, id, ['former', slug], undefined));
}

/** Adds a content type. */
export const addType = defineEdit({
  args: Type.Object({ type: TypeDoc }, exact),
  run(documents, { type }) {
    return documents.get(type.id)
      ? refuse(say('id-taken'), type.id)
      : [change(type.id, '', undefined, type)];
  },
  told: (_, { type }) => say('added-type', { type: type.plural }),
});
