import { LRUCache } from 'lru-cache';
import { IsNull, Not } from 'typeorm';
import type { Manifest } from '@sormet/core/compile';
import { isAway } from '../database/away';
import { ReleaseEntity, SiteEntity, type SiteRow } from '../database/entities';
import type { SiteStore } from '../database/site-store';
import { PART_BYTES, wholeFile } from '../files/stored-files';
import { logFault } from '../http/log';

/** A file as it is kept in memory. */
export interface ServedFile {
  readonly bytes: Buffer;
  readonly mediaType: string;
}

/** How many bytes of published files are kept in memory; a file larger than one part is not among them. */
const KEPT_BYTES = 256 * 1024 * 1024;
/** How many releases are kept in memory. */
const KEPT_RELEASES = 50;

/** What is known of a site without reading it. */
export type KnownSite = Pick<SiteRow, 'id' | 'slug' | 'name' | 'revision' | 'liveRelease'>;

/**
 * What is live, kept in memory: which release of which site, its manifest and its files. While the database is
 * there it is asked which release of the one site is live; while it is away, what was live last goes on being served.
 */
export class LiveReleases {
  /** Sites as they were known last, by slug. */
  private readonly known = new Map<string, KnownSite>();
  private readonly manifests = new LRUCache<string, Manifest>({
    max: KEPT_RELEASES,
    fetchMethod: async (id) => {
      const release = await this.store.database
        .getRepository(ReleaseEntity)
        .findOne({ where: { id }, select: { id: true, manifest: true } });
      return release?.manifest;
    },
  });
  private readonly files: LRUCache<string, ServedFile>;
  /** Is over when all that is known to be live was read. */
  private keeping: Promise<void> = Promise.resolve();
  private closed = false;

  /** @param keptBytes how many bytes of files are kept in memory */
  constructor(
    private readonly store: SiteStore,
    keptBytes = KEPT_BYTES,
  ) {
    this.files = new LRUCache<string, ServedFile>({
      maxSize: keptBytes,
      sizeCalculation: ({ bytes }) => bytes.length + 1,
      // Many who ask at once for one file have it read once.
      fetchMethod: (sha256) => wholeFile(this.store.database.manager, sha256),
    });
  }

  /** How many bytes of files are in memory. */
  get keptBytes(): number {
    return this.files.calculatedSize;
  }

  /** Reads everything that is live, so that the database may go away from then on. */
  async keepAll(): Promise<void> {
    await this.published();
    await this.keeping;
  }

  /** Reads no more; waits until what is being read is. */
  async stop(): Promise<void> {
    this.closed = true;
    await this.keeping;
  }

  /** The sites of which something is live, by name, as they are or as they were known last. */
  async published(): Promise<readonly KnownSite[]> {
    try {
      const sites = await this.store.database.getRepository(SiteEntity).find({
        where: { removed: IsNull(), liveRelease: Not(IsNull()) },
        select: SELECTED,
        order: { slug: 'ASC' },
      });
      for (const site of sites) this.know(site);
      return sites;
    } catch (error) {
      const sites = [...this.known.values()].filter(({ liveRelease }) => liveRelease !== null);
      if (!isAway(error) || sites.length === 0) throw error;
      return sites;
    }
  }

  /**
   * The site of a slug, as it is or as it was known last.
   * @throws when the database is away and was never asked for it
   */
  async site(slug: string): Promise<KnownSite | undefined> {
    const before = this.known.get(slug);
    try {
      const site = await this.store.database
        .getRepository(SiteEntity)
        .findOne({ where: { slug, removed: IsNull() }, select: SELECTED });
      if (!site) {
        this.known.delete(slug);
        return undefined;
      }
      this.know(site);
      return site;
    } catch (error) {
      if (!isAway(error) || !before) throw error;
      return before;
    }
  }

  /** Remembers a site, and reads what is live of it when that is another than before. */
  private know(site: KnownSite): void {
    const before = this.known.get(site.slug);
    this.known.set(site.slug, site);
    if (before?.liveRelease !== site.liveRelease) this.keepSoon(site);
  }

  /** One site after the other, so that many sites do not take all connections to the database at once. */
  private keepSoon(site: KnownSite): void {
    this.keeping = this.keeping
      .then(() => this.keepFiles(site))
      .catch((error: unknown) => logFault('Keeping a release in memory', error));
  }

  /** The manifest of a site's live release; an empty one when nothing is live. */
  async manifestOf({ liveRelease }: KnownSite): Promise<Manifest> {
    if (!liveRelease) return {};
    return (await this.manifests.fetch(liveRelease)) ?? {};
  }

  /** A file by its content's hash, where it is small enough to be kept in memory. */
  async file(sha256: string, mediaType: string): Promise<ServedFile | undefined> {
    if (isFilm(mediaType)) return undefined;
    return this.files.fetch(sha256);
  }

  private async keepFiles(site: KnownSite): Promise<void> {
    if (this.closed) return;
    for (const { sha256, mediaType } of Object.values(await this.manifestOf(site))) {
      // What is as large as all there is room for would only push out the rest.
      if (this.closed || this.files.calculatedSize > this.files.maxSize - PART_BYTES) return;
      await this.file(sha256, mediaType);
    }
  }
}

const SELECTED = { id: true, slug: true, name: true, revision: true, liveRelease: true } as const;

/** Films are sent part by part as they are read; all else is small. */
function isFilm(mediaType: string): boolean {
  return mediaType.startsWith('video/');
}
