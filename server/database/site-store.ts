import { LRUCache } from 'lru-cache';
import { In, IsNull, type DataSource, type EntityManager } from 'typeorm';
import { Documents, FORMAT, momentOf, sameJson, upgraded, type Moment } from '@sormet/core/model';
import { applyChanges, inverse, touched, type Change, type Past } from '@sormet/core/edit';
import { Linker } from '@sormet/core/resolve';
import { dataOf, type Data } from '@sormet/core/value';
import { DocumentEntity, HistoryEntity, SiteEntity, type SiteRow } from './entities';
import { KEYFRAME_EVERY, keyframeBefore } from './keyframes';

/** One state of a site: all its documents at a revision. */
export interface SiteState {
  readonly revision: number;
  readonly documents: Documents;
}

/** Of how many sites a state is kept in memory: those that were asked for last. */
const MOST_SITES = 20;

/** From how many revisions on reading documents as they are stored is less work than making the changes between. */
const FAR = KEYFRAME_EVERY;

/**
 * The documents of sites at exactly one revision. Kept in memory, and brought from one revision to another by the
 * history between them, which never changes; so several servers may share one database. One `Linker` for
 * each site shares what it linked.
 */
export class SiteStore {
  private readonly kept = new LRUCache<string, SiteState>({ max: MOST_SITES });
  private readonly readings = new LRUCache<string, { linker: Linker; data?: Data }>({
    max: MOST_SITES,
  });

  /** @param clock what says which time it is; another in tests */
  constructor(
    readonly database: DataSource,
    readonly clock: () => Date = () => new Date(),
  ) {}

  /** The moment that it is now for a state of a site. */
  momentOf(documents: Documents): Moment {
    return momentOf(documents, this.clock());
  }

  /** What reads a state of a site at a moment, sharing with what read another state of it all that did not change. */
  reading(
    site: string,
    documents: Documents,
    at: Moment,
  ): { linker: Linker; data: Data; at: Moment } {
    const linker = this.linkerOf(site);
    const data = dataOf(documents, this.readings.get(site)?.data, undefined, at);
    this.readings.set(site, { linker, data });
    return { linker, data, at };
  }

  /** What links the documents of a site, sharing what it linked before. */
  linkerOf(site: string): Linker {
    const kept = this.readings.get(site);
    if (kept) return kept.linker;
    const linker = new Linker();
    this.readings.set(site, { linker });
    return linker;
  }

  /** The site of this id, or `null`: one that was removed is none. */
  site(id: string): Promise<SiteRow | null> {
    return this.database.getRepository(SiteEntity).findOneBy({ id, removed: IsNull() });
  }

  /** The state of a site at the revision that its row was read with. */
  state(site: SiteRow, manager?: EntityManager): Promise<SiteState> {
    return this.stateAt(site.id, site.revision, manager);
  }

  /**
   * The state of a site at a revision, whatever is stored meanwhile.
   * @param manager a transaction that holds the site's row; without one, a snapshot of its own is read
   * @throws when what is stored does not add up to that state
   */
  async stateAt(site: string, revision: number, manager?: EntityManager): Promise<SiteState> {
    let from = this.kept.get(site);
    if (from?.revision === revision) return from;
    // What is newer than what is kept is nearest to what is stored now.
    if (!from || revision - from.revision > FAR) from = await this.snapshot(site, manager);
    if (from.revision - revision > FAR) from = await this.earlier(site, revision, from, manager);
    if (from.revision === revision) return inFormat(from);
    const { changes, count } = await this.changesBetween(
      site,
      Math.min(from.revision, revision),
      Math.max(from.revision, revision),
      manager,
    );
    if (from.revision < revision) {
      const documents = applyChanges(from.documents, changes);
      checkWhole(site, revision, documents, count);
      const newer = this.kept.get(site);
      // A state from before what is kept shares with it all that is the same.
      return newer && newer.revision > revision
        ? inFormat({ revision, documents: sharing(documents, newer.documents, touched(changes)) })
        : inFormat(this.keep(site, { revision, documents }));
    }
    const documents = applyChanges(from.documents, inverse(changes));
    return inFormat({ revision, documents: sharing(documents, from.documents, touched(changes)) });
  }

  /**
   * A state near to a revision that is many edits ago: the keyframe before it, where there is one so early, sharing
   * with a newer state every document that is the same.
   */
  private async earlier(
    site: string,
    revision: number,
    newer: SiteState,
    manager: EntityManager = this.database.manager,
  ): Promise<SiteState> {
    const keyframe = await keyframeBefore(manager, site, revision);
    if (!keyframe) return newer;
    const ids = new Set(keyframe.documents.map(({ id }) => id));
    const gone = [...newer.documents.ids()].filter((id) => !ids.has(id));
    const differing = keyframe.documents.filter(
      (doc) => !sameJson(newer.documents.get(doc.id), doc),
    );
    const documents = newer.documents.withAll(differing).withoutAll(gone);
    const stored = await manager
      .getRepository(HistoryEntity)
      .findOne({ where: { site, revision: keyframe.revision }, select: { documents: true } });
    checkWhole(site, keyframe.revision, documents, stored?.documents ?? null);
    return { revision: keyframe.revision, documents };
  }

  /** All documents and the revision they stand at, read at one moment. */
  private async snapshot(site: string, manager?: EntityManager): Promise<SiteState> {
    const read = async (at: EntityManager): Promise<SiteState> => {
      const row = await at.getRepository(SiteEntity).findOneByOrFail({ id: site });
      const rows = await at.getRepository(DocumentEntity).findBy({ site });
      const documents = Documents.from(rows.map(({ body }) => body));
      checkWhole(site, row.revision, documents, row.documents);
      return { revision: row.revision, documents };
    };
    // Whoever holds the site's row is the only one who writes; anybody else reads as of one moment.
    const state = await (manager
      ? read(manager)
      : this.database.transaction('REPEATABLE READ', read));
    return this.keep(site, state);
  }

  /** Remembers a state; an older one never takes the place of a newer. */
  keep(site: string, state: SiteState): SiteState {
    const kept = this.kept.get(site);
    if (!kept || kept.revision <= state.revision) this.kept.set(site, state);
    return state;
  }

  /** All changes after one revision up to another, in order, and how many documents there are after them. */
  private async changesBetween(
    site: string,
    after: number,
    upTo: number,
    manager: EntityManager = this.database.manager,
  ): Promise<{ changes: Change[]; count: number | null }> {
    const rows = await manager
      .getRepository(HistoryEntity)
      .createQueryBuilder('h')
      .select(['h.site', 'h.revision', 'h.changes', 'h.documents'])
      .where('h.site = :site AND h.revision > :after AND h.revision <= :upTo', {
        site,
        after,
        upTo,
      })
      .orderBy('h.revision', 'ASC')
      .getMany();
    if (rows.length !== upTo - after)
      throw new Error(
        `The history of ${site} holds ${rows.length} of the ${upTo - after} edits after revision ${after}.`,
      );
    return {
      changes: rows.flatMap((row) => row.changes),
      count: rows.at(-1)?.documents ?? null,
    };
  }

  /** What these edits of a site did, for edits that name them. */
  async past(site: string, edits: readonly string[], manager: EntityManager): Promise<Past> {
    const rows = await manager.getRepository(HistoryEntity).find({
      where: { site, edit: In([...edits]) },
      select: { edit: true, changes: true, said: true },
    });
    const byEdit = new Map(rows.map(({ edit, changes, said }) => [edit, { changes, said }]));
    return (edit) => byEdit.get(edit);
  }
}

/** Documents with some of them taken from another state, where they are the same there: so that identity tells of it. */
function sharing(documents: Documents, other: Documents, ids: readonly string[]): Documents {
  const same = ids.flatMap((id) => {
    const doc = other.get(id);
    return doc && sameJson(doc, documents.get(id)) ? doc : [];
  });
  return documents.withAll(same);
}

/**
 * A state as today's format has it: what it was before it was brought to that is read through the same functions. An
 * upgrade touches every document, so one tells of all.
 */
function inFormat({ revision, documents }: SiteState): SiteState {
  if ((documents.site.format as number) === FORMAT) return { revision, documents };
  return { revision, documents: Documents.fromRecord(upgraded(documents.toJSON())) };
}

/** @throws when a state does not hold as many documents as it should: nothing is made from half a site. */
function checkWhole(
  site: string,
  revision: number,
  documents: Documents,
  expected: number | null,
): void {
  const count = documents.size;
  if (expected !== null && count !== expected)
    throw new Error(
      `Revision ${revision} of ${site} should hold ${expected} documents; ${count} were found.`,
    );
}
