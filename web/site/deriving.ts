import { Documents, treeDocOf, type EntryDoc, type Moment } from '@sormet/core/model';
import { Reach } from '@sormet/core/reach';
import {
  build,
  Linker,
  NOTHING_HELD,
  type Built,
  type Holding,
  type Picks,
} from '@sormet/core/resolve';
import { dataOf, dataWithDrafts, type Data } from '@sormet/core/value';

/** What is worked out from the documents and brought up to date with them. */
export interface Derived {
  readonly documents: Documents;
  readonly data: Data;
  /** The same with drafts among it; made when somebody asks. */
  readonly withDrafts: () => Data;
  readonly reach: Reach;
  readonly linker: Linker;
  /** A document as it shows, for an entry where it is made from entries; worked out once for each state. */
  readonly builtOf: (
    doc: string,
    entry: EntryDoc | undefined,
    picks?: Picks,
    holding?: Holding,
  ) => Built | undefined;
}

/** How many trees are kept to be brought up to date. */
const MOST_TREES = 80;

/** Works out what is derived from one state after the other, each from the one before: an edit costs what it touches. */
export class Deriving {
  private readonly linker = new Linker();
  private readonly reach = new Reach();
  private readonly trees = new Map<string, { documents: Documents; data: Data; built: Built }>();
  private last: Derived | undefined;
  private at: Moment | undefined;
  private drafts: { documents: Documents; at: Moment; data: Data } | undefined;

  /** The same object as long as the documents and the moment are the same. */
  from(documents: Documents, at: Moment): Derived {
    if (this.last?.documents === documents && this.at === at) return this.last;
    this.reach.updateAll(this.last?.documents ?? Documents.none, documents);
    this.at = at;
    const data = dataOf(documents, this.last?.data, undefined, at);
    this.last = {
      documents,
      data,
      withDrafts: () => this.draftsOf(documents, at),
      reach: this.reach,
      linker: this.linker,
      builtOf: (doc, entry, picks, holding) =>
        this.builtOf(documents, data, doc, entry, picks, holding),
    };
    return this.last;
  }

  private draftsOf(documents: Documents, at: Moment): Data {
    if (this.drafts?.documents !== documents || this.drafts.at !== at)
      this.drafts = {
        documents,
        at,
        data: dataWithDrafts(documents, this.drafts?.data, at),
      };
    return this.drafts.data;
  }

  private builtOf(
    documents: Documents,
    data: Data,
    doc: string,
    entry: EntryDoc | undefined,
    picks: Picks = {},
    holding: Holding = NOTHING_HELD,
  ): Built | undefined {
    if (!treeDocOf(documents, doc)) return undefined;
    const held = holding === NOTHING_HELD ? undefined : holding;
    const key = JSON.stringify([doc, entry?.id, Object.entries(picks).sort(), held]);
    const kept = this.trees.get(key);
    if (kept?.documents === documents && kept.data === data && kept.built.scope.page === entry) {
      this.trees.delete(key);
      this.trees.set(key, kept);
      return kept.built;
    }
    const built = build(
      this.linker.link(documents, doc),
      data,
      entry,
      kept?.built,
      undefined,
      picks,
      holding,
    );
    // What was asked for longest ago goes first.
    this.trees.delete(key);
    for (const oldest of this.trees.keys()) {
      if (this.trees.size < MOST_TREES) break;
      this.trees.delete(oldest);
    }
    this.trees.set(key, { documents, data, built });
    return built;
  }
}
