import { own } from './own';
import type { Documents } from './document-set';
import { allOf, docOf, type EntryDoc, type PageDoc } from './documents';

/** The part of a page's path that stands for the slug of each entry. */
export const SLUG_PART = '<slug>';

/** The path of a page; on a page made from entries, of this entry. */
export function pathOf(page: PageDoc, entry?: EntryDoc): string {
  return entry ? page.path.replace(SLUG_PART, entry.slug) : page.path;
}

/** Whether a page stands for each entry of a type. */
export function isPerEntry(page: PageDoc): boolean {
  return page.path.endsWith(SLUG_PART);
}

/** One address of a site: a page, and the entry where there is one for each. */
export type Address = { path: string; page: PageDoc; entry?: EntryDoc };

/** Every address that publishing makes, sorted by path. Drafts of pages and entries have none. */
export function addressesOf(documents: Documents, drafts = false): Address[] {
  const found: Address[] = [];
  const entries = allOf(documents, 'entry').filter((entry) => drafts || !entry.draft);
  for (const page of allOf(documents, 'page')) {
    if (page.draft && !drafts) continue;
    if (!isPerEntry(page)) found.push({ path: page.path, page });
    else
      for (const entry of entries) {
        if (entry.type === page.entries) found.push({ path: pathOf(page, entry), page, entry });
      }
  }
  return found.sort((a, b) => (a.path < b.path ? -1 : a.path > b.path ? 1 : 0));
}

/** The page made from entries of a type: the first by id when there are several. */
export function pageForEntries(documents: Documents, type: string): PageDoc | undefined {
  return allOf(documents, 'page').find((page) => page.entries === type && isPerEntry(page));
}

/**
 * Where former paths lead now: from the old path straight to the newest. A path that is an address again leads
 * nowhere else. On pages made from entries, both the page's former paths and the entry's former slugs count.
 */
export function redirectsOf(documents: Documents): Map<string, string> {
  const taken = new Set(addressesOf(documents).map((a) => a.path));
  const redirects = new Map<string, string>();
  const lead = (from: string, to: string) => {
    if (!taken.has(from) && !redirects.has(from)) redirects.set(from, to);
  };
  const entries = allOf(documents, 'entry').filter(({ draft }) => !draft);
  for (const page of allOf(documents, 'page')) {
    if (page.draft) continue;
    const former = Object.keys(page.former).sort();
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
