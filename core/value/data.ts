import {
  docOf,
  entryTitle,
  own,
  pageForEntries,
  pathOf,
  safeAddress,
  type AssetDoc,
  type Documents,
  type EntryDoc,
  type LinkValue,
  type SiteValues,
  type TypeDoc,
} from '../model';

/**
 * What resolving reads beside trees. Reading is synchronous, and every read goes through here, so that
 * `recording` can list what a page depends on.
 */
export interface Data extends SiteValues {
  /** An entry that visitors may see; drafts and entries that are gone are not there. */
  entry(id: string): EntryDoc | undefined;
  /** All entries of a type that visitors may see, by id. */
  entriesOf(type: string): readonly EntryDoc[];
  type(id: string): TypeDoc | undefined;
  /** Notes as read what an answer that was kept was made from: whoever keeps an answer keeps what it read. */
  note(read: Iterable<string>): void;
}

/** The kinds of document that `Data` reads; the rest may change without a page's data changing. */
const READ_KINDS = new Set(['entry', 'type', 'asset', 'page']);

/** The published view of a site's documents. */
class DocumentsData implements Data {
  private readonly byType = new Map<string, EntryDoc[]>();
  private readonly pages = new Map<string, string | undefined>();

  constructor(readonly documents: Documents) {
    for (const id of Object.keys(documents).sort()) {
      const doc = documents[id]!;
      if (doc.kind !== 'entry' || doc.draft) continue;
      const list = this.byType.get(doc.type);
      if (list) list.push(doc);
      else this.byType.set(doc.type, [doc]);
    }
  }

  entry(id: string): EntryDoc | undefined {
    const entry = docOf(this.documents, 'entry', id);
    return entry && !entry.draft ? entry : undefined;
  }

  entriesOf(type: string): readonly EntryDoc[] {
    return this.byType.get(type) ?? [];
  }

  type(id: string): TypeDoc | undefined {
    return docOf(this.documents, 'type', id);
  }

  asset(id: string): AssetDoc | undefined {
    return docOf(this.documents, 'asset', id);
  }

  title(entry: EntryDoc): string {
    return entryTitle(this.documents, entry);
  }

  pageOf(type: string): string | undefined {
    if (!this.pages.has(type)) {
      const page = pageForEntries(this.documents, type);
      this.pages.set(type, page && !page.draft ? page.id : undefined);
    }
    return this.pages.get(type);
  }

  href(link: LinkValue): string {
    if (link.to === 'address') return addressOf(link);
    const page = docOf(this.documents, 'page', link.page);
    if (!page || page.draft) return '';
    if (page.entries === null) return page.path;
    const entry = link.entry === undefined ? undefined : this.entry(link.entry);
    return entry && entry.type === page.entries ? pathOf(page, entry) : '';
  }

  /** Nobody listens here; `recording` does. */
  note(): void {}
}

/**
 * The data of a site's documents. Given the data of an earlier state, returns that same object when
 * nothing it reads has changed, so that a canvas can tell "same data" by identity.
 */
export function dataOf(documents: Documents, before?: Data): Data {
  if (before instanceof DocumentsData && sameData(before.documents, documents)) return before;
  return new DocumentsData(documents);
}

function sameData(before: Documents, now: Documents): boolean {
  if (before === now) return true;
  let count = 0;
  for (const id in now) {
    count += 1;
    const a = own(before, id);
    const b = now[id]!;
    if (a === b) continue;
    if (!a) return false;
    if (!READ_KINDS.has(b.kind)) continue;
    if (a.kind !== 'page' || b.kind !== 'page') return false;
    if (a.path !== b.path || a.draft !== b.draft || a.entries !== b.entries) return false;
  }
  return count === Object.keys(before).length;
}

/**
 * What a reading depended on: documents by id, one record of a document that holds many as `DOCUMENT#RECORD` (a
 * token, a tag's style), lists of entries as `entries:TYPE`, the page of a type as `pages:TYPE`, and where a page or
 * an entry is found as `path:ID`.
 */
export type Recorded = Set<string>;

/** How one record of a document that holds many is named among what was read. */
export function recordOf(doc: string, record: string): string {
  return `${doc}#${record}`;
}

/** The same data, noting into `into()` what is read. The sink may change between readings. */
export function recording(data: Data, into: () => Recorded): Data {
  return {
    entry(id) {
      into().add(id);
      return data.entry(id);
    },
    entriesOf(type) {
      into().add('entries:' + type);
      return data.entriesOf(type);
    },
    type(id) {
      into().add(id);
      return data.type(id);
    },
    asset(id) {
      into().add(id);
      return data.asset(id);
    },
    title(entry) {
      into().add(entry.id).add(entry.type);
      return data.title(entry);
    },
    pageOf(type) {
      into().add('pages:' + type);
      return data.pageOf(type);
    },
    href(link) {
      if (link.to === 'page') {
        into().add('path:' + link.page);
        if (link.entry !== undefined) into().add('path:' + link.entry);
      }
      return data.href(link);
    },
    note(read) {
      for (const each of read) into().add(each);
      data.note(read);
    },
  };
}

/** Addresses that were checked already, by the link they stand in: stored links never change. */
const checked = new WeakMap<LinkValue, string>();

/** The link asked for last: whether it is empty and what it is written as are asked one after the other. */
const last: { link: LinkValue | null; address: string } = { link: null, address: '' };

function addressOf(link: LinkValue & { to: 'address' }): string {
  if (last.link === link) return last.address;
  let address = checked.get(link);
  if (address === undefined) checked.set(link, (address = safeAddress(link.href)));
  last.link = link;
  last.address = address;
  return address;
}
