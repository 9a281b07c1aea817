import { Claims } from './claims';
import { SharedMap } from './shared-map';
import type { Doc, DocOf, Kind, SiteDoc, TagsDoc, TokensDoc } from './documents';

/** The documents of one kind. */
type Shelf = {
  readonly docs: SharedMap<Doc>;
  /** All of them by id; made when it is asked for, and from then on brought along. */
  sorted?: readonly Doc[];
};

const EMPTY: Shelf = { docs: SharedMap.of<Doc>(new Map()), sorted: [] };

/** From how many changes on making a sorted list anew is less work than bringing it along. */
const MANY = 128;

/** What differs between two states of a site. */
export interface DocDifference {
  readonly id: string;
  readonly before: Doc | undefined;
  readonly after: Doc | undefined;
}

/**
 * The documents of a site, by kind. A state is never changed: an edit makes a new one that shares all that it leaves
 * alone, at a cost that goes by what it touches and not by how many there are.
 */
export class Documents implements Iterable<Doc> {
  static readonly none = new Documents(new Map());

  private constructor(
    private readonly shelves: ReadonlyMap<Kind, Shelf>,
    /** Made when it is asked for, and from then on brought along. */
    private claims?: Claims,
  ) {}

  /** Documents from a list of them, the last of an id counting. */
  static from(docs: Iterable<Doc>): Documents {
    return Documents.none.withAll(docs);
  }

  /** Documents as they are sent and stored: a record by id. */
  static fromRecord(record: Readonly<Record<string, Doc>>): Documents {
    return Documents.from(Object.values(record));
  }

  /** How many there are. */
  get size(): number {
    let size = 0;
    for (const shelf of this.shelves.values()) size += shelf.docs.size;
    return size;
  }

  /** The document with this id, whatever its kind. */
  get(id: string): Doc | undefined {
    for (const shelf of this.shelves.values()) {
      const doc = shelf.docs.get(id);
      if (doc) return doc;
    }
    return undefined;
  }

  /** The document with this id, when it is of this kind. */
  ofKind<K extends Kind>(kind: K, id: string): DocOf<K> | undefined {
    const shelf = this.shelves.get(kind);
    return shelf && (shelf.docs.get(id) as DocOf<K> | undefined);
  }

  /** All documents of a kind by id. The same list as long as none of them is another. */
  all<K extends Kind>(kind: K): readonly DocOf<K>[] {
    const shelf = this.shelves.get(kind) ?? EMPTY;
    return (shelf.sorted ??= sorted(shelf)) as readonly DocOf<K>[];
  }

  /** The ids of the documents that claim a path, a slug or a name (see `claim`), sorted. */
  claiming(wanted: string): readonly string[] {
    return (this.claims ??= Claims.of(this)).of(wanted);
  }

  /** The settings of the site. @throws when they are missing, which no stored site's are; so do the next two */
  get site(): SiteDoc {
    return this.only('site');
  }
  get tags(): TagsDoc {
    return this.only('tags');
  }
  get tokens(): TokensDoc {
    return this.only('tokens');
  }

  private only<K extends Kind>(kind: K): DocOf<K> {
    const [first] = this.all(kind);
    if (!first) throw new Error(`These documents hold no ${kind} document.`);
    return first;
  }

  /** Each document once, by kind and id. */
  *[Symbol.iterator](): Iterator<Doc> {
    for (const kind of this.shelves.keys()) yield* this.all(kind);
  }

  /** The ids of all documents. */
  *ids(): Iterable<string> {
    for (const doc of this) yield doc.id;
  }

  /** These with some documents put in, each in place of the one of its id. */
  with(...docs: readonly Doc[]): Documents {
    return this.withAll(docs);
  }

  /** The same for any number of them: no more than the engine holds as arguments can be spread. */
  withAll(docs: Iterable<Doc>): Documents {
    const changes = new Map<string, Doc>();
    for (const doc of docs) changes.set(doc.id, doc);
    return this.changed(changes);
  }

  /** These without some of them. */
  without(...ids: readonly string[]): Documents {
    return this.withoutAll(ids);
  }

  /** The same for any number of them. */
  withoutAll(ids: Iterable<string>): Documents {
    const changes = new Map<string, undefined>();
    for (const id of ids) changes.set(id, undefined);
    return this.changed(changes);
  }

  /** These with changes: by id the document there is now, `undefined` where there is none any more. */
  changed(changes: ReadonlyMap<string, Doc | undefined>): Documents {
    const byKind = new Map<Kind, Map<string, Doc | undefined>>();
    const note = (kind: Kind, id: string, doc: Doc | undefined) => {
      let list = byKind.get(kind);
      if (!list) byKind.set(kind, (list = new Map()));
      list.set(id, doc);
    };
    const changed: [id: string, before: Doc | undefined, now: Doc | undefined][] = [];
    for (const [id, doc] of changes) {
      const before = this.get(id);
      if (before === doc) continue;
      changed.push([id, before, doc]);
      if (before && before.kind !== doc?.kind) note(before.kind, id, undefined);
      if (doc) note(doc.kind, id, doc);
    }
    if (byKind.size === 0) return this;
    const shelves = new Map(this.shelves);
    for (const [kind, list] of byKind) {
      const shelf = changedShelf(shelves.get(kind) ?? EMPTY, list);
      if (shelf.docs.size === 0) shelves.delete(kind);
      else shelves.set(kind, shelf);
    }
    return new Documents(shelves, this.claims?.after(changed));
  }

  /** What is another here than in an earlier state, by looking only where the two share nothing. */
  differenceFrom(before: Documents): DocDifference[] {
    if (before === this) return [];
    const found: DocDifference[] = [];
    const kinds = new Set([...before.shelves.keys(), ...this.shelves.keys()]);
    const seen = new Set<string>();
    for (const kind of kinds) {
      const [old, now] = [before.shelves.get(kind) ?? EMPTY, this.shelves.get(kind) ?? EMPTY];
      if (old === now) continue;
      for (const id of now.docs.keysThatMayDiffer(old.docs)) {
        const [was, is] = [old.docs.get(id), now.docs.get(id)];
        if (was === is || seen.has(id)) continue;
        seen.add(id);
        // A document that became one of another kind differs in both.
        found.push({ id, before: was ?? before.get(id), after: is ?? this.get(id) });
      }
    }
    return found;
  }

  /** A record by id, as it is sent. */
  toJSON(): Record<string, Doc> {
    const record: Record<string, Doc> = {};
    for (const doc of this) record[doc.id] = doc;
    return record;
  }
}

function sorted({ docs }: Shelf): readonly Doc[] {
  return [...docs.values()].sort((a, b) => (a.id < b.id ? -1 : 1));
}

function changedShelf(shelf: Shelf, changes: ReadonlyMap<string, Doc | undefined>): Shelf {
  const docs = shelf.docs.changed(changes);
  const list = shelf.sorted && sortedWith(shelf.sorted, changes);
  return list ? { docs, sorted: list } : { docs };
}

/** A sorted list with changes in it; nothing where making it anew is less work. */
function sortedWith(
  list: readonly Doc[],
  changes: ReadonlyMap<string, Doc | undefined>,
): readonly Doc[] | undefined {
  if (changes.size > MANY) return undefined;
  const made = list.slice();
  for (const [id, doc] of changes) {
    let [low, high] = [0, made.length];
    while (low < high) {
      const middle = (low + high) >>> 1;
      if (made[middle]!.id < id) low = middle + 1;
      else high = middle;
    }
    const there = made[low]?.id === id ? 1 : 0;
    if (doc && there) made[low] = doc;
    else made.splice(low, there, ...(doc ? [doc] : []));
  }
  return made;
}
