import { Type } from '@sinclair/typebox';
import { claim, docOf, type Documents, EntryDoc, own, TypeDoc, Typed } from '../../model';
import { exact, Id } from '../args';
import { change, type Change, changeTo } from '../changes';
import { defineEdit, refuse } from '../define';
import { entryName } from '../names';

export const addEntry = defineEdit({
  args: Type.Object({ entry: EntryDoc }, exact),
  run(documents, { entry }) {
    if (documents.get(entry.id))
      return refuse('A document with this id is there already.', entry.id);
    return [
      change(entry.id, '', undefined, entry),
      ...slugTaken(documents, entry.type, entry.slug),
    ];
  },
  says: (documents, { entry }) =>
    `added the ${docOf(documents, 'type', entry.type)?.name.toLowerCase() ?? 'entry'} ${entry.slug}`,
});

export const removeEntry = defineEdit({
  args: Type.Object({ entry: Id }, exact),
  run(documents, { entry }) {
    const doc = docOf(documents, 'entry', entry);
    return doc ? [change(entry, '', doc, undefined)] : refuse('The entry is gone.', entry);
  },
  says: (documents, { entry }) => `removed ${entryName(documents, entry)}`,
});

export const setField = defineEdit({
  args: Type.Object({ entry: Id, field: Id, value: Type.Union([Typed, Type.Null()]) }, exact),
  run(documents, { entry, field, value }) {
    const doc = docOf(documents, 'entry', entry);
    if (!doc) return refuse('The entry is gone.', entry);
    const type = docOf(documents, 'type', doc.type);
    if (!type || !own(type.fields, field)) return refuse('The field is gone.', entry);
    return changeTo(documents, entry, ['values', field], value ?? undefined);
  },
  says: (documents, { entry, field }) => {
    const doc = docOf(documents, 'entry', entry);
    const type = doc && docOf(documents, 'type', doc.type);
    const label = type && own(type.fields, field)?.label;
    return `set ${label?.toLowerCase() ?? 'a field'} of ${entryName(documents, entry)}`;
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
    if (!doc) return refuse('The entry is gone.', entry);
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
  says: (documents, { entry, set }) => {
    const name = entryName(documents, entry);
    if ('slug' in set) return `gave ${name} the slug ${set.slug}`;
    return set.draft ? `made ${name} a draft` : `made ${name} ready to publish`;
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
      ? refuse('A document with this id is there already.', type.id)
      : [change(type.id, '', undefined, type)];
  },
  says: (_, { type }) => `added the content type ${type.plural}`,
});
