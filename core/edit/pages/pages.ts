import { Type } from '@sinclair/typebox';
import { claim, docOf, type Documents, PageDoc, Source } from '../../model';
import { exact, Id } from '../args';
import { change, type Change, changeTo } from '../changes';
import { defineEdit, refuse } from '../define';
import { pagePath } from '../names';

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

/** Whoever takes a path is who it leads to from now on: it is no former path of anybody, so chains end at the newest. */
function pathTaken(documents: Documents, page: string, path: string): Change[] {
  return documents
    .claiming(claim.formerPath(path))
    .filter((id) => id !== page || docOf(documents, 'page', page))
    .flatMap((id) => changeTo(documents, id, ['former', path], undefined));
}
