import { languageOf, type Language } from '../locale';
import {
  addressOfContact,
  docOf,
  entryTitle,
  isDue,
  NO_MOMENT,
  own,
  pageForEntries,
  pathOf,
  safeAddress,
  type AssetDoc,
  type Doc,
  type DocDifference,
  type DocOf,
  type Documents,
  type EntryDate,
  type EntryDoc,
  type Kind,
  type LinkValue,
  type Moment,
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
  /** Whether any picture says what of it is never cropped away: where none does, nobody need ask each. */
  hasFocus(): boolean;
  /** The day on which what is read is made, as a full-date; `''` where nobody says. */
  today(): string;
  /** A day of an entry, as a full-date; `''` for one that has not come, or that nobody knows. */
  dated(entry: string, date: EntryDate): string;
  /** The same data as a page in another language reads it; the same object for the same language. */
  inLanguage(tag: string): Data;
  /**
   * How often something was asked for that is there and not loaded. That is not empty: who reads compares this before
   * and after, and answers `WAITING` where it grew. What was asked for is in `wanted`.
   */
  readonly missed: number;
  /** What somebody waits for: documents by id, all entries of a type as `entries:TYPE`. */
  readonly wanted: ReadonlySet<string>;
  /** Notes as read what an answer that was kept was made from: whoever keeps an answer keeps what it read. */
  note(read: Iterable<string>): void;
}

/** What a site holds that is not loaded: documents by id, and types whose entries are not all here. */
export interface Unloaded {
  readonly docs: ReadonlySet<string>;
  readonly entriesOf: ReadonlySet<string>;
}

/** All of the site is here: nothing is ever waited for. */
export const ALL_LOADED: Unloaded = Object.freeze({
  docs: new Set<string>(),
  entriesOf: new Set<string>(),
});

/** The published view of a site's documents. */
class DocumentsData implements Data {
  private readonly pages = new Map<string, string | undefined>();
  private readonly languages = new Map<string, Data>();
  readonly language: Language;
  private anyFocus: boolean | undefined;
  missed = 0;
  readonly wanted = new Set<string>();

  constructor(
    readonly documents: Documents,
    /** Entries that visitors may see, by type, each list by id; a list is never changed. */
    private readonly byType: ReadonlyMap<string, readonly EntryDoc[]>,
    readonly unloaded: Unloaded,
    /** Whether drafts are shown too: to those who work on the site. */
    readonly drafts: boolean,
    readonly at: Moment,
  ) {
    this.language = languageOf(documents.site.language);
  }

  static of(documents: Documents, unloaded: Unloaded, drafts: boolean, at: Moment): DocumentsData {
    const byType = new Map<string, EntryDoc[]>();
    for (const entry of documents.all('entry')) {
      if (!drafts && !isDue(entry, at)) continue;
      const list = byType.get(entry.type);
      if (list) list.push(entry);
      else byType.set(entry.type, [entry]);
    }
    return new DocumentsData(documents, byType, unloaded, drafts, at);
  }

  /** The data after a difference: only lists in which something is another are made anew. */
  after(
    documents: Documents,
    difference: readonly DocDifference[],
    unloaded: Unloaded,
    at: Moment,
  ): DocumentsData {
    let byType: Map<string, readonly EntryDoc[]> | undefined;
    for (const { id, before, after } of difference) {
      const types = new Set(
        [before, after].flatMap((doc) =>
          doc?.kind === 'entry' && this.isSeen(doc) ? [doc.type] : [],
        ),
      );
      for (const type of types) {
        byType ??= new Map(this.byType);
        const there = after?.kind === 'entry' && this.isSeen(after) && after.type === type;
        byType.set(type, withEntry(byType.get(type) ?? [], id, there ? after : undefined));
      }
    }
    return new DocumentsData(documents, byType ?? this.byType, unloaded, this.drafts, at);
  }

  private isSeen(doc: Pick<EntryDoc, 'draft' | 'times'>): boolean {
    return this.drafts || isDue(doc, this.at);
  }

  today(): string {
    return this.at.today;
  }

  dated(entry: string, date: EntryDate): string {
    return own(this.at.dates ?? {}, entry)?.[date] ?? '';
  }

  hasFocus(): boolean {
    return (this.anyFocus ??= this.documents.all('asset').some(({ focus }) => focus !== undefined));
  }

  private read<K extends Kind>(kind: K, id: string): DocOf<K> | undefined {
    const doc = docOf(this.documents, kind, id);
    if (!doc && this.unloaded.docs.has(id)) this.miss(id);
    return doc;
  }

  private miss(what: string): void {
    this.missed += 1;
    this.wanted.add(what);
  }

  entry(id: string): EntryDoc | undefined {
    const entry = this.read('entry', id);
    return entry && this.isSeen(entry) ? entry : undefined;
  }

  entriesOf(type: string): readonly EntryDoc[] {
    if (this.unloaded.entriesOf.has(type)) this.miss('entries:' + type);
    return this.byType.get(type) ?? [];
  }

  type(id: string): TypeDoc | undefined {
    return this.read('type', id);
  }

  asset(id: string): AssetDoc | undefined {
    return this.read('asset', id);
  }

  isWordStyle(id: string): boolean {
    return this.read('style', id)?.base === null;
  }

  title(entry: EntryDoc): string {
    this.read('type', entry.type);
    return entryTitle(this.documents, entry);
  }

  pageOf(type: string): string | undefined {
    if (!this.pages.has(type)) {
      const page = pageForEntries(this.documents, type);
      this.pages.set(type, page && this.isSeen(page) ? page.id : undefined);
    }
    return this.pages.get(type);
  }

  href(link: LinkValue): string {
    if (link.to === 'address') return safeAddress(link.href);
    if (link.to !== 'page') return addressOfContact(link);
    const page = this.read('page', link.page);
    if (!page || !this.isSeen(page)) return '';
    const anchor = link.anchor === undefined ? '' : `#${encodeURIComponent(link.anchor)}`;
    if (page.entries === null) return page.path + anchor;
    const entry = link.entry === undefined ? undefined : this.entry(link.entry);
    return entry && entry.type === page.entries ? pathOf(page, entry) + anchor : '';
  }

  inLanguage(tag: string): Data {
    if (tag === this.language.tag) return this;
    let other = this.languages.get(tag);
    if (!other) {
      other = {
        ...over(this),
        language: languageOf(tag),
        inLanguage: (next) => this.inLanguage(next),
      };
      this.languages.set(tag, other);
    }
    return other;
  }

  /** Nobody listens here; `recording` does. */
  note(): void {}
}

/**
 * The data of a site's documents. Given the data of an earlier state, returns that same object when
 * nothing it reads has changed, so that a canvas can tell "same data" by identity.
 * @param unloaded what there is beside these documents, where not all of them are here
 * @param at the moment at which it is read
 */
export function dataOf(
  documents: Documents,
  before?: Data,
  unloaded = ALL_LOADED,
  at = NO_MOMENT,
): Data {
  return dataAfter(documents, before, unloaded, false, at);
}

/** The same with drafts among it: what those see who work on the site. */
export function dataWithDrafts(documents: Documents, before?: Data, at = NO_MOMENT): Data {
  return dataAfter(documents, before, ALL_LOADED, true, at);
}

function dataAfter(
  documents: Documents,
  before: Data | undefined,
  unloaded: Unloaded,
  drafts: boolean,
  at: Moment,
): Data {
  if (!(before instanceof DocumentsData) || before.drafts !== drafts || before.at.now !== at.now)
    return DocumentsData.of(documents, unloaded, drafts, at);
  const difference = documents.differenceFrom(before.documents);
  const isThen = before.at.today === at.today && before.at.dates === at.dates;
  const same = isThen && unloaded === before.unloaded && !difference.some(isRead);
  return same ? before : before.after(documents, difference, unloaded, at);
}

/** What words ask of a shared style: whether it is there and modifies another. */
export function wordBaseOf(doc: Doc | undefined): string | null | undefined {
  return doc?.kind === 'style' ? doc.base : undefined;
}

/** Whether a change is of something that data says: of pages only where they are found, of styles whether words may have them. */
function isRead({ before, after }: DocDifference): boolean {
  const kind = (after ?? before)!.kind;
  if (kind === 'site') return languageIn(before) !== languageIn(after);
  if (kind === 'entry' || kind === 'type' || kind === 'asset') return true;
  if (kind === 'style') return wordBaseOf(before) !== wordBaseOf(after);
  if (kind !== 'page') return before?.kind === 'page';
  if (before?.kind !== 'page' || after?.kind !== 'page') return true;
  return (
    before.path !== after.path || before.draft !== after.draft || before.entries !== after.entries
  );
}

function languageIn(doc: Doc | undefined): string | undefined {
  return doc?.kind === 'site' ? doc.language : undefined;
}

/** A list by id with another entry of an id, or none. */
function withEntry(
  list: readonly EntryDoc[],
  id: string,
  entry: EntryDoc | undefined,
): readonly EntryDoc[] {
  let [low, high] = [0, list.length];
  while (low < high) {
    const middle = (low + high) >>> 1;
    if (list[middle]!.id < id) low = middle + 1;
    else high = middle;
  }
  return list.toSpliced(low, list[low]?.id === id ? 1 : 0, ...(entry ? [entry] : []));
}

/**
 * What a reading depended on: documents by id, one record of a document that holds many as `DOCUMENT#RECORD` (a
 * token, a tag's style), lists of entries as `entries:TYPE`, the page of a type as `pages:TYPE`, and where a page or
 * an entry is found as `path:ID`; which shared styles words may have as `styles:`, which day it is as `today:`, the days
 * of an entry as `dates:ID`.
 */
export type Recorded = Set<string>;

/** Which day it is, among what was read. */
export const TODAY = 'today:';

/** The days of an entry, among what was read. */
export function datesOf(entry: string): string {
  return DATES + entry;
}

/** The entry of which the days were read; nothing for anything else that was. */
export function entryDated(thing: string): string | undefined {
  return thing.startsWith(DATES) ? thing.slice(DATES.length) : undefined;
}

const DATES = 'dates:';

/** Which shared styles words may have, among what was read. */
export const WORD_STYLES = 'styles:';

/** How one record of a document that holds many is named among what was read. */
export function recordOf(doc: string, record: string): string {
  return `${doc}#${record}`;
}

/** All tokens of a type, among what was read: which there are, not what they hold. */
export function tokensOfType(tokens: string, type: string): string {
  return recordOf(tokens, `type:${type}`);
}

/** The same data, asked through another object: for those who answer something of it otherwise. */
function over(data: Data): Data {
  return {
    language: data.language,
    inLanguage: (tag) => data.inLanguage(tag),
    entry: (id) => data.entry(id),
    entriesOf: (type) => data.entriesOf(type),
    type: (id) => data.type(id),
    today: () => data.today(),
    dated: (entry, date) => data.dated(entry, date),
    hasFocus: () => data.hasFocus(),
    asset: (id) => data.asset(id),
    isWordStyle: (id) => data.isWordStyle(id),
    title: (entry) => data.title(entry),
    pageOf: (type) => data.pageOf(type),
    href: (link) => data.href(link),
    get missed() {
      return data.missed;
    },
    get wanted() {
      return data.wanted;
    },
    note: (read) => data.note(read),
  };
}

/** The same data, noting into `into()` what is read. The sink may change between readings. */
export function recording(data: Data, into: () => Recorded): Data {
  const languages = new Map<string, Data>();
  return {
    language: data.language,
    inLanguage(tag) {
      let other = languages.get(tag);
      if (!other) languages.set(tag, (other = recording(data.inLanguage(tag), into)));
      return other;
    },
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
    hasFocus: () => data.hasFocus(),
    today() {
      into().add(TODAY);
      return data.today();
    },
    dated(entry, date) {
      into().add(datesOf(entry));
      return data.dated(entry, date);
    },
    asset(id) {
      into().add(id);
      return data.asset(id);
    },
    isWordStyle(id) {
      into().add(id);
      return data.isWordStyle(id);
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
    get missed() {
      return data.missed;
    },
    get wanted() {
      return data.wanted;
    },
    note(read) {
      for (const each of read) into().add(each);
      data.note(read);
    },
  };
}
