import { claim, partsOf, SLUG_PART } from './claims';
import { own } from './own';
import type { Documents } from './document-set';
import type { EntryDoc, PageDoc } from './documents';
import { allOf, docOf } from './looking-up';
import { isDue, NO_MOMENT, type Moment } from './moments';

/** The path of a page; on a page made from entries, of this entry. */
export function pathOf(page: PageDoc, entry?: EntryDoc): string {
  return entry ? page.path.replace(SLUG_PART, entry.slug) : page.path;
}

/** Where one of the pages stands that the lists of a page are divided over: the first at its own path. */
export function leafPath(path: string, number: number): string {
  if (number <= 1) return path;
  return `${path === '/' ? '' : path}/${LEAF_PART}/${number}`;
}

const LEAF_PART = 'page';

/** The path of a page and which of those it is that its lists are divided over, of a path that may be of one. */
export function leafAt(path: string): { path: string; number: number } | undefined {
  const match = /^(.*)\/page\/([1-9]\d{0,5})$/.exec(path);
  const number = Number(match?.[2]);
  return match && number > 1 ? { path: match[1] || '/', number } : undefined;
}

/** Whether a path, with slugs in it or without, may be where one of the pages of a divided list stands. */
export function isLeafPath(path: string): boolean {
  return LEAF_PATH.test(path);
}

const LEAF_PATH = new RegExp(`/${LEAF_PART}/(\\d+|${SLUG_PART})$`);

/** Whether a page stands for each entry of a type. */
export function isPerEntry(page: PageDoc): boolean {
  return page.path.endsWith(SLUG_PART);
}

/** One address of a site: a page, and the entry where there is one for each. */
export type Address = { path: string; page: PageDoc; entry?: EntryDoc };

/** Who looks at a site: visitors at a moment, or those who work on it, who see drafts and what is not due, too. */
export type Sight = Moment | 'everything';

function isEntrySeen(entry: EntryDoc, sight: Sight): boolean {
  return sight === 'everything' || isDue(entry, sight);
}

/** Every address that publishing makes at a moment, sorted by path. Drafts and entries that are not due have none. */
export function addressesOf(documents: Documents, sight: Sight = NO_MOMENT): Address[] {
  const found: Address[] = [];
  const entries = allOf(documents, 'entry').filter((entry) => isEntrySeen(entry, sight));
  for (const page of allOf(documents, 'page')) {
    if (page.draft && sight !== 'everything') continue;
    if (!isPerEntry(page)) found.push({ path: page.path, page });
    else
      for (const entry of entries) {
        if (entry.type === page.entries) found.push({ path: pathOf(page, entry), page, entry });
      }
  }
  return found.sort((a, b) => (a.path < b.path ? -1 : a.path > b.path ? 1 : 0));
}

/**
 * The addresses with one path, in the order in which `addressesOf` gives them: one, in a sound site, or none.
 * Looks at nothing else.
 */
export function addressesAt(
  documents: Documents,
  path: string,
  sight: Sight = NO_MOMENT,
): Address[] {
  const found: Address[] = [];
  for (const { page, slug } of pagesAt(documents, path, [claim.path])) {
    if (page.draft && sight !== 'everything') continue;
    if (slug === undefined) found.push({ path, page });
    else
      for (const id of documents.claiming(claim.slug(page.entries ?? '', slug))) {
        const entry = docOf(documents, 'entry', id)!;
        if (isEntrySeen(entry, sight)) found.push({ path, page, entry });
      }
  }
  return found;
}

type PathClaim = (path: string) => string;

/** Pages that claim a path, or one that stands for it with a slug, by id. */
function pagesAt(
  documents: Documents,
  path: string,
  how: readonly PathClaim[],
): { page: PageDoc; slug?: string }[] {
  const { above, last } = partsOf(path);
  const each = `${above}/${SLUG_PART}`;
  const found = new Map<string, { page: PageDoc; slug?: string }>();
  for (const holding of how) {
    for (const id of documents.claiming(holding(path))) {
      const page = docOf(documents, 'page', id)!;
      // A former path that stood for each entry leads to no plain page (see `formerOf`).
      if (!isPerEntry(page) && !path.endsWith(SLUG_PART)) found.set(id, { page });
    }
    for (const id of documents.claiming(holding(each))) {
      const page = docOf(documents, 'page', id)!;
      if (isPerEntry(page)) found.set(id, { page, slug: last });
    }
  }
  return [...found.values()].sort((a, b) => (a.page.id < b.page.id ? -1 : 1));
}

/** The former paths of a page that are of its kind: one for each entry, or one alone. */
function formerOf(page: PageDoc): string[] {
  const each = isPerEntry(page);
  return Object.keys(page.former)
    .filter((path) => path.endsWith(SLUG_PART) === each)
    .sort();
}

/** Every path at which a page is or was, or would be for an entry: where a change of it may change something. */
export function pathsOfPage(documents: Documents, page: PageDoc): string[] {
  const paths = [page.path, ...formerOf(page)];
  if (!isPerEntry(page)) return paths;
  return allOf(documents, 'entry').flatMap((entry) =>
    entry.type === page.entries ? filledIn(paths, slugsOf(entry)) : [],
  );
}

/** The same of an entry. */
export function pathsOfEntry(documents: Documents, entry: EntryDoc): string[] {
  return documents.claiming(claim.pageOf(entry.type)).flatMap((id) => {
    const page = docOf(documents, 'page', id)!;
    return filledIn([page.path, ...formerOf(page)], slugsOf(entry));
  });
}

function slugsOf({ slug, former }: EntryDoc): string[] {
  return [slug, ...Object.keys(former ?? {})];
}

function filledIn(paths: readonly string[], slugs: readonly string[]): string[] {
  return paths.flatMap((path) => slugs.map((slug) => path.replace(SLUG_PART, slug)));
}

/** The page made from entries of a type: the first by id when there are several. */
export function pageForEntries(documents: Documents, type: string): PageDoc | undefined {
  for (const id of documents.claiming(claim.pageOf(type))) {
    const page = docOf(documents, 'page', id)!;
    if (isPerEntry(page)) return page;
  }
  return undefined;
}

/** Where one former path leads now, as `redirectsOf` says it; nothing where it is an address or never was one. */
export function redirectAt(
  documents: Documents,
  path: string,
  at: Moment = NO_MOMENT,
): string | undefined {
  if (addressesAt(documents, path, at).length > 0) return undefined;
  for (const { page, slug } of pagesAt(documents, path, [claim.formerPath, claim.path])) {
    if (page.draft) continue;
    if (slug === undefined) return page.path;
    const type = page.entries ?? '';
    const ids = [claim.slug, claim.formerSlug].flatMap((of) => documents.claiming(of(type, slug)));
    for (const id of ids.sort()) {
      const entry = docOf(documents, 'entry', id)!;
      if (isDue(entry, at)) return pathOf(page, entry);
    }
  }
  return undefined;
}

/**
 * Where former paths lead now: from the old path straight to the newest. A path that is an address again leads
 * nowhere else. On pages made from entries, both the page's former paths and the entry's former slugs count.
 */
export function redirectsOf(documents: Documents, at: Moment = NO_MOMENT): Map<string, string> {
  const taken = new Set(addressesOf(documents, at).map((a) => a.path));
  const redirects = new Map<string, string>();
  const lead = (from: string, to: string) => {
    if (!taken.has(from) && !redirects.has(from)) redirects.set(from, to);
  };
  const entries = allOf(documents, 'entry').filter((entry) => isDue(entry, at));
  for (const page of allOf(documents, 'page')) {
    if (page.draft) continue;
    const former = formerOf(page);
    if (!isPerEntry(page)) {
      for (const path of former) lead(path, page.path);
      continue;
    }
    for (const entry of entries) {
      if (entry.type !== page.entries) continue;
      const slugs = [entry.slug, ...Object.keys(entry.former ?? {}).sort()];
      for (const path of [page.path, ...former])
        for (const slug of slugs) lead(path.replace(SLUG_PART, slug), pathOf(page, entry));
    }
  }
  return redirects;
}

/** The text by which people know an entry: its title field, else its slug. */
export function entryTitle(documents: Documents, entry: EntryDoc): string {
  const type = docOf(documents, 'type', entry.type);
  const title = type && own(entry.values, type.title);
  return title && typeof title.value === 'string' && title.value !== '' ? title.value : entry.slug;
}
