import { Type } from '@sinclair/typebox';
import {
  AssetDoc,
  docOf,
  EntryDoc,
  entryTitle,
  ID_PATTERN,
  PageDoc,
  Source,
  Typed,
  type Documents,
} from '../model';
import { change, changeTo } from './change';
import { defineEdit, refuse } from './define';

const Id = Type.String({ pattern: ID_PATTERN });
const exact = { additionalProperties: false };

function pagePath(documents: Documents, page: string): string {
  return docOf(documents, 'page', page)?.path ?? 'a page that is gone';
}

export const addPage = defineEdit({
  args: Type.Object({ page: PageDoc }, exact),
  run(documents, { page }) {
    if (documents[page.id]) return refuse('A document with this id is there already.', page.id);
    return [change(page.id, '', undefined, page)];
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
      ...changeTo(documents, page, ['former', path], undefined),
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
    if (documents[entry.id]) return refuse('A document with this id is there already.', entry.id);
    return [change(entry.id, '', undefined, entry)];
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
    if (!docOf(documents, 'type', doc.type)?.fields[field])
      return refuse('The field is gone.', entry);
    return changeTo(documents, entry, ['values', field], value ?? undefined);
  },
  says: (documents, { entry, field }) => {
    const doc = docOf(documents, 'entry', entry);
    const label = doc && docOf(documents, 'type', doc.type)?.fields[field]?.label;
    return `set ${label?.toLowerCase() ?? 'a field'} of ${entryName(documents, entry)}`;
  },
});

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
    if (!docOf(documents, 'entry', entry)) return refuse('The entry is gone.', entry);
    const [member, value] = Object.entries(set)[0]!;
    return changeTo(documents, entry, [member], value);
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
    if (documents[asset.id]) return refuse('A document with this id is there already.', asset.id);
    return [change(asset.id, '', undefined, asset)];
  },
  says: (_, { asset }) => `added the file ${asset.name}`,
});

function entryName(documents: Documents, id: string): string {
  const entry = docOf(documents, 'entry', id);
  return entry ? entryTitle(documents, entry) : 'an entry that is gone';
}
