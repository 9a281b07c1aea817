import { In, type EntityManager } from 'typeorm';
import { COMPILER, Release, type Manifest } from '@sormet/core/compile';
import { newId } from '@sormet/core/model';
import { say, type Said } from '@sormet/core/said';
import {
  CompilationEntity,
  ReleaseEntity,
  SiteEntity,
  type CompilationRow,
  type ReleaseRow,
  type ReleaseState,
  type SiteRow,
} from '../database/entities';
import { heldSite } from '../database/held-site';
import type { SiteStore } from '../database/site-store';
import { unsafeInSvg } from '../files/clean-svg';
import { PART_BYTES, storedAmong, wholeFile } from '../files/stored-files';
import { CHANNEL } from '../live/channel';
import type { Compilations, Wanted } from './compilations';
import { momentIn, NOTHING, type Compiling, type Ending } from './compiling';
import { newlyPublished, notePublished } from './published-entries';

/** What is said of a release whose site went away under it. */
const SITE_REMOVED = say('site-removed');

/** The states of a release that is not ended. */
export const UNDER_WAY: ReleaseState[] = ['waiting', 'making'];

/** What is said of a release that turns out to change nothing. */
export const NOTHING_TO_PUBLISH = say('nothing-to-publish');

/** Ends releases whose pages are made. */
export class Releasing {
  constructor(
    private readonly store: SiteStore,
    private readonly compiling: Compiling,
    private readonly compilations: Compilations,
  ) {}

  /**
   * Ends a release: files stored, and last of all the pointer moved. While its pages are not made that is waited for;
   * where what was made of them is gone, as after the database went down hard, it is begun anew.
   */
  async release(id: string): Promise<Ending> {
    const { database } = this.store;
    const row = await database.getRepository(ReleaseEntity).findOneBy({ id, state: In(UNDER_WAY) });
    if (!row) return NOTHING;
    const site = await this.store.site(row.site);
    if (!site) return (manager) => failRelease(manager, id, SITE_REMOVED);
    const made = await database
      .getRepository(CompilationEntity)
      .findOneBy({ id: row.compilation ?? '', compiler: COMPILER });
    if (!made) return this.anew(id, { ...site, revision: row.revision }, row);
    if (made.state === 'making') return NOTHING;
    if (made.state === 'failed')
      return (manager) => failRelease(manager, id, made.error ?? say('failed-too-often'));
    if (made.plan.length === 0)
      return row.byItself
        ? this.needless(row, made)
        : (manager) => failRelease(manager, id, NOTHING_TO_PUBLISH);
    return this.ended(row, made);
  }

  /** Has the pages of a release made again; when they are, it is ended. */
  private async anew(
    release: string,
    wanted: Wanted,
    { byItself, ...row }: ReleaseRow,
  ): Promise<Ending> {
    const at = byItself ? momentIn(row) : undefined;
    const { id, state } = await this.compilations.begin(wanted, at);
    return async (manager) => {
      await manager.getRepository(ReleaseEntity).update({ id: release }, { compilation: id });
      if (state !== 'making') await this.compilations.look(manager, [release]);
    };
  }

  /** What nobody asked for and changes nothing was no release: what is live stands as it is. */
  private needless({ id }: ReleaseRow, made: CompilationRow): Promise<Ending> {
    return Promise.resolve(async (manager) => {
      await manager.getRepository(ReleaseEntity).delete({ id, state: In(UNDER_WAY) });
      if (made.live !== null) await this.compiling.letStand(manager, made.live, momentIn(made));
    });
  }

  private async ended({ id, site, revision }: ReleaseRow, made: CompilationRow): Promise<Ending> {
    const { documents } = await this.store.stateAt(site, revision);
    const before = await this.compiling.liveOf(made);
    const entries = newlyPublished(documents, momentIn(made), before);
    const base = await this.compiling.liveOf({ site: made.site, live: made.base });
    const changes = new Map(made.changes.map(([path, file]) => [path, file ?? undefined]));
    const manifest = (base?.release ?? Release.none).with(changes);
    return async (manager) => {
      // Of several who made the same release the first ends it: what somebody made live since then stays.
      const held = await heldSite(manager, site);
      const releases = manager.getRepository(ReleaseEntity);
      if (!(await releases.existsBy({ id, state: In(UNDER_WAY) }))) return;
      if (!held || held.removed !== null) return failRelease(manager, id, SITE_REMOVED);
      // Were the database to come back empty just now, its files would be missed, as if they were somebody's fault.
      const there = await manager
        .getRepository(CompilationEntity)
        .findOne({ where: { id: made.id }, select: { id: true }, lock: { mode: 'for_key_share' } });
      if (!there) return this.compilations.look(manager, [id]);
      await storeFilesOf(manager, made.id);
      const fault = await faultOf(manager, manifest);
      if (fault !== undefined) return failRelease(manager, id, fault);
      await releases.update(
        { id },
        {
          state: 'done',
          done: made.of,
          of: made.of,
          manifest: manifest,
          plan: made.plan,
          at: this.store.clock(),
          ...momentIn(made),
          compiler: COMPILER,
          error: null,
        },
      );
      await notePublished(manager, site, entries, this.store.clock());
      await makeLive(manager, held, id);
    };
  }
}

/** Asks for a release of a compilation: its row, which says how far it is. The site is held by the transaction. */
export async function askFor(
  manager: EntityManager,
  made: CompilationRow,
  { revision, byItself, at }: Pick<ReleaseRow, 'revision' | 'byItself' | 'at'>,
): Promise<ReleaseRow> {
  const releases = manager.getRepository(ReleaseEntity);
  const { site } = made;
  const last = await releases.findOne({ where: { site }, order: { number: 'DESC' } });
  const row: ReleaseRow = {
    id: newId(),
    site,
    number: (last?.number ?? 0) + 1,
    revision,
    // Its pages may be in the making since before there was a release.
    state: made.left === null ? 'waiting' : 'making',
    done: made.done,
    of: made.of,
    plan: made.plan,
    manifest: {},
    error: null,
    at,
    compiler: COMPILER,
    compilation: made.id,
    dates: made.dates,
    ...momentIn(made),
    byItself,
  };
  await releases.insert(row);
  return row;
}

/** Ends a release that cannot be made, with what people are told of it. */
export async function failRelease(manager: EntityManager, id: string, error: Said): Promise<void> {
  await manager
    .getRepository(ReleaseEntity)
    .update({ id, state: In(UNDER_WAY) }, { state: 'failed', error });
}

/** Moves the pointer of a site, held by this transaction, and tells every window and server. */
export async function makeLive(
  manager: EntityManager,
  site: SiteRow,
  release: string,
): Promise<void> {
  await manager.getRepository(SiteEntity).update({ id: site.id }, { liveRelease: release });
  await manager.query('SELECT pg_notify($1, $2)', [
    CHANNEL,
    JSON.stringify({ site: site.id, revision: site.revision }),
  ]);
}

/** Makes files of the texts of a compilation, where they are not stored yet: in the database, so that none is in memory. */
async function storeFilesOf(manager: EntityManager, compilation: string): Promise<void> {
  await manager.query(
    `WITH fresh AS (
       INSERT INTO files (sha256, media_type, size)
       SELECT sha256, media_type, octet_length(bytes) FROM compilation_texts
        WHERE compilation = $1 ORDER BY sha256
       ON CONFLICT (sha256) DO NOTHING RETURNING sha256, size
     )
     INSERT INTO file_parts (sha256, number, bytes)
     SELECT sha256, part, substring(bytes FROM part * ${PART_BYTES} + 1 FOR ${PART_BYTES})
       FROM fresh JOIN compilation_texts USING (sha256), generate_series(0, (size - 1) / ${PART_BYTES}) AS part
      WHERE compilation = $1 AND size > 0`,
    [compilation],
  );
}

/** Why files cannot go live: one is not stored, or a picture holds what runs. */
async function faultOf(manager: EntityManager, manifest: Manifest): Promise<Said | undefined> {
  const files = Object.entries(manifest);
  const there = await storedAmong(manager, [...new Set(files.map(([, { sha256 }]) => sha256))]);
  for (const [path, { sha256, mediaType }] of files) {
    if (!there.has(sha256)) return say('file-not-stored', { path });
    if (mediaType !== 'image/svg+xml') continue;
    const { bytes } = (await wholeFile(manager, sha256))!;
    const unsafe = unsafeInSvg(bytes.toString('utf8'));
    if (unsafe !== undefined) return say('picture-unsafe', { path, what: unsafe });
  }
  return undefined;
}
