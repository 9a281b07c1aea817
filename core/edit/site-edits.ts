import { Type } from '@sinclair/typebox';
import {
  AssetDoc,
  claim,
  docOf,
  EntryDoc,
  entryTitle,
  ID_PATTERN,
  own,
  PageDoc,
  Source,
  Typed,
  type Documents,
} from '../model';
import { change, changeTo, type Change } from './change';
import { defineEdit, refuse } from './define';

const Id = Type.String({ pattern: ID_PATTERN });
const exact = { additionalProperties: false };

function pagePath(documents: Documents, page: string): string {
  return docOf(documents, 'page', page)?.path ?? 'a page that is gone';
}

export const addPage = defineEdit({
  args: Type.Object({ page: PageDoc }, exact),
  run(documents, { page }) {
    if (documents.get(page.id)) return refuse('A document with this id is there already.', page.id);
    return [change(page.id, '', undefined, page), ...pathTaken(documents, page.id, page.path)];
  },
  says: (_, { page }) => `added the page ${page.path}`,
});

export const removePage = defineEdit({
  args: Type.Object({ page: Id }, exact),
  run(documents, { page }) {
    const doc = docOf(documents, 'page', page);
    return doc ? [change(page, '', doc, undefined)] : refuse('The page is gone.', page);
  },
  says: (documents, { page }) => `removed the page ${pagePath(documents, page)}`,
});

/** Whoever takes a path is who it leads to from now on: it is no former path of anybody, so chains end at the newest. */
function pathTaken(documents: Documents, page: string, path: string): Change[] {
  return documents
    .claiming(claim.formerPath(path))
    .filter((id) => id !== page || docOf(documents, 'page', page))
    .flatMap((id) => changeTo(documents, id, ['former', path], undefined));
}

/** The same for a slug among the entries of a type. */
function slugTaken(documents: Documents, type: string, slug: string): Change[] {
  return documents
    .claiming(claim.formerSlug(type, slug))
    .flatMap((id) => changeTo(documents, id, ['former', slug], undefined));
}

/** Gives a page another path; the old one leads here from now on. */
export const setPath = defineEdit({
  args: Type.Object({ page: Id, path: Type.String({ maxLength: 300 }) }, exact),
  run(documents, { page, path }) {
    const doc = docOf(documents, 'page', page);
    if (!doc) return refuse('The page is gone.', page);
    if (doc.path === path) return [];
    return [
      ...changeTo(documents, page, ['path'], path),
      ...(doc.draft ? [] : changeTo(documents, page, ['former', doc.path], true)),
      ...pathTaken(documents, page, path),
    ];
  },
  says: (documents, { page, path }) => `moved the page ${pagePath(documents, page)} to ${path}`,
});

export const setPage = defineEdit({
  args: Type.Object(
    {
      page: Id,
      set: Type.Union([
        Type.Object({ name: Type.String({ minLength: 1, maxLength: 120 }) }, exact),
        Type.Object({ draft: Type.Boolean() }, exact),
        Type.Object({ title: Source }, exact),
        Type.Object({ description: Source }, exact),
      ]),
    },
    exact,
  ),
  run(documents, { page, set }) {
    if (!docOf(documents, 'page', page)) return refuse('The page is gone.', page);
    const [member, value] = Object.entries(set)[0]!;
    return changeTo(documents, page, [member], value);
  },
  says: (documents, { page, set }) => {
    const [member, value] = Object.entries(set)[0]!;
    const path = pagePath(documents, page);
    if (member === 'draft') return value ? `made ${path} a draft` : `made ${path} ready to publish`;
    return `set the ${member} of ${path}`;
  },
});

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

export const addAsset = defineEdit({
  args: Type.Object({ asset: AssetDoc }, exact),
  run(documents, { asset }) {
    if (documents.get(asset.id))
      return refuse('A document with this id is there already.', asset.id);
    return [change(asset.id, '', undefined, asset)];
  },
  says: (_, { asset }) => `added the file ${asset.name}`,
});

function entryName(documents: Documents, id: string): string {
  const entry = docOf(documents, 'entry', id);
  return entry ? entryTitle(documents, entry) : 'an entry that is gone';
}
