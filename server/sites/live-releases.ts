import { IsNull } from 'typeorm';
import type { Manifest } from '@sormet/core/compile';
import { isAway } from '../database/away';
import { FileEntity, ReleaseEntity, SiteEntity, type SiteRow } from '../database/entities';
import type { SiteStore } from '../database/site-store';
import { logFault } from '../http/log';

/** A file as it is served. */
export interface ServedFile {
  readonly bytes: Buffer;
  readonly mediaType: string;
}

/** How many bytes of published files are kept in memory. */
const KEPT_BYTES = 256 * 1024 * 1024;

/**
 * What is live, kept in memory: which release of which site, its manifest and its files. While the database is
 * there it is asked which release is live; while it is away, what was live last goes on being served.
 */
export class LiveReleases {
  private sites: readonly SiteRow[] = [];
  private readonly manifests = new Map<string, Manifest>();
  /** In the order in which they were used last. */
  private readonly files = new Map<string, ServedFile>();
  private bytes = 0;

  constructor(private readonly store: SiteStore) {}

  /** Reads everything that is live, so that the database may go away from then on. */
  async keepAll(): Promise<void> {
    for (const site of await this.all()) await this.keepFiles(await this.manifestOf(site));
  }

  /** Every site, as it is or as it was known last. @throws when the database is away and was never asked */
  async all(): Promise<readonly SiteRow[]> {
    try {
      const before = this.sites;
      this.sites = await this.store.database
        .getRepository(SiteEntity)
        .find({ where: { removed: IsNull() }, order: { slug: 'ASC' } });
      for (const site of this.sites)
        if (before.find(({ id }) => id === site.id)?.liveRelease !== site.liveRelease)
          this.keepSoon(site);
    } catch (error) {
      if (!isAway(error) || this.sites.length === 0) throw error;
    }
    return this.sites;
  }

  private keepSoon(site: SiteRow): void {
    this.manifestOf(site)
      .then((manifest) => this.keepFiles(manifest))
      .catch((error: unknown) => logFault('Keeping a release in memory', error));
  }

  /** The manifest of a site's live release; an empty one when nothing is live. */
  async manifestOf({ liveRelease }: SiteRow): Promise<Manifest> {
    if (!liveRelease) return {};
    const kept = this.manifests.get(liveRelease);
    if (kept) return kept;
    const release = await this.store.database
      .getRepository(ReleaseEntity)
      .findOneBy({ id: liveRelease });
    const manifest = release?.manifest ?? {};
    if (this.manifests.size > 50) this.manifests.clear();
    this.manifests.set(liveRelease, manifest);
    return manifest;
  }

  /** A file by its content's hash. */
  async file(sha256: string): Promise<ServedFile | undefined> {
    const kept = this.files.get(sha256);
    if (kept) {
      this.files.delete(sha256);
      this.files.set(sha256, kept);
      return kept;
    }
    const row = await this.store.database.getRepository(FileEntity).findOneBy({ sha256 });
    return row ? this.keep(sha256, { bytes: row.bytes, mediaType: row.mediaType }) : undefined;
  }

  private async keepFiles(manifest: Manifest): Promise<void> {
    for (const { sha256 } of Object.values(manifest)) await this.file(sha256);
  }

  private keep(sha256: string, file: ServedFile): ServedFile {
    this.files.set(sha256, file);
    this.bytes += file.bytes.length;
    for (const [oldest, { bytes }] of this.files) {
      if (this.bytes <= KEPT_BYTES) break;
      this.files.delete(oldest);
      this.bytes -= bytes.length;
    }
    return file;
  }
}
