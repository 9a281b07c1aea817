import type { DataSource, EntityManager } from 'typeorm';
import type { Documents } from '@sormet/core/model';
import { upgrade } from '@sormet/core/model';
import { applyChanges, inverse, type Change } from '@sormet/core/edit';
import { Linker } from '@sormet/core/resolve';
import { DocumentEntity, HistoryEntity, SiteEntity, type SiteRow } from './entities';

/** One state of a site: all its documents at a revision. */
export interface SiteState {
  readonly revision: number;
  readonly documents: Documents;
}

/**
 * The documents of sites, kept in memory as long as the revision in the database is the same; so several
 * servers may share one database. One `Linker` for each site shares what it linked.
 */
export class SiteStore {
  private readonly kept = new Map<string, SiteState>();
  private readonly linkers = new Map<string, Linker>();

  constructor(readonly database: DataSource) {}

  linker(site: string): Linker {
    let linker = this.linkers.get(site);
    if (!linker) this.linkers.set(site, (linker = new Linker()));
    return linker;
  }

  /** The site of this id, or `null`. */
  site(id: string): Promise<SiteRow | null> {
    return this.database.getRepository(SiteEntity).findOneBy({ id });
  }

  /** The newest state of a site. The revision is read first, so a state is never older than it says. */
  async state(site: SiteRow, manager: EntityManager = this.database.manager): Promise<SiteState> {
    const kept = this.kept.get(site.id);
    if (kept?.revision === site.revision) return kept;
    if (kept && kept.revision < site.revision && site.revision - kept.revision <= 200) {
      const changes = await this.changesBetween(site.id, kept.revision, site.revision, manager);
      return this.keep(site.id, {
        revision: site.revision,
        documents: applyChanges(kept.documents, changes),
      });
    }
    const rows = await manager
      .getRepository(DocumentEntity)
      .createQueryBuilder('d')
      .where('d.site = :site AND d.version <= :revision', {
        site: site.id,
        revision: site.revision,
      })
      .getMany();
    const documents = Object.fromEntries(rows.map((row) => [row.id, upgrade(row.body)]));
    return this.keep(site.id, { revision: site.revision, documents });
  }

  /** Remembers a state; an older one never takes the place of a newer. */
  keep(site: string, state: SiteState): SiteState {
    const kept = this.kept.get(site);
    if (!kept || kept.revision <= state.revision) this.kept.set(site, state);
    return state;
  }

  /** The documents as they were at an earlier revision: the changes since, taken back. */
  async documentsAt(site: SiteRow, revision: number): Promise<Documents> {
    const { documents } = await this.state(site);
    if (revision === site.revision) return documents;
    const changes = await this.changesBetween(site.id, revision, site.revision);
    return applyChanges(documents, inverse(changes));
  }

  /** All changes after one revision up to another, in order. */
  async changesBetween(
    site: string,
    after: number,
    upTo: number,
    manager: EntityManager = this.database.manager,
  ): Promise<Change[]> {
    const rows = await manager
      .getRepository(HistoryEntity)
      .createQueryBuilder('h')
      .select(['h.site', 'h.revision', 'h.changes'])
      .where('h.site = :site AND h.revision > :after AND h.revision <= :upTo', {
        site,
        after,
        upTo,
      })
      .orderBy('h.revision', 'ASC')
      .getMany();
    return rows.flatMap((row) => row.changes);
  }
}
