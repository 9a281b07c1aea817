import { allOf, type Documents, type PageDoc, text } from '../../model';

/** A path that no page has: the same with a number behind its last part, before that of the entries. */
export function freePath(path: string, taken: ReadonlySet<string>): string {
  const slug = path.endsWith('/<slug>') ? '/<slug>' : '';
  const base = (slug ? path.slice(0, -slug.length) : path).replace(/-\d+$/, '');
  let next = path;
  for (let n = 2; taken.has(next); n += 1)
    next = (base === '/' || base === '' ? '/page' : base) + `-${n}` + slug;
  return next;
}

/** A page as another one's duplicate: a draft under a path and a name of its own. */
export function duplicateOf(documents: Documents, page: PageDoc, id: string): PageDoc {
  const pages = allOf(documents, 'page');
  const names = new Set(pages.map(({ name }) => name));
  let { name } = page;
  for (let n = 2; names.has(name); n += 1) name = `${page.name.replace(/ \d+$/, '')} ${n}`;
  const { order: _, ...rest } = page;
  const titled =
    page.title.is === 'value' && page.title.type === 'text' && page.title.value === page.name;
  return {
    ...rest,
    id,
    name,
    path: freePath(page.path, new Set(pages.map(({ path }) => path))),
    draft: true,
    former: {},
    title: titled ? text(name) : page.title,
  };
}
