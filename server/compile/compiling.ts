import { LRUCache } from 'lru-cache';
import type { EntityManager } from 'typeorm';
import {
  COMPILER,
  makePages,
  planOf,
  putTogether,
  Release,
  workOf,
  type CompiledSite,
  type Earlier,
  type MadePages,
} from '@sormet/core/compile';
import type { Documents, Moment } from '@sormet/core/model';
import type { Said } from '@sormet/core/said';
import {
  CompilationEntity,
  ReleaseEntity,
  type CompilationRow,
  type ReleaseRow,
} from '../database/entities';
import type { SiteStore } from '../database/site-store';
import { sha256 } from '../files/sha256';
import { storedAmong } from '../files/stored-files';
import { entryDates } from './entry-dates';
import type { CompileQueue, Step } from './queue';

/** How many pages one part has: enough that reading the site costs little beside, few enough that several workers have something to do. */
export const PART_PAGES = 100;
/** How many texts one statement stores. */
const ROWS = 25;
/** How many releases are kept in memory as what the next is compared with. */
const KEPT_RELEASES = 10;

/** A release that is live, as the next one is compared with it. */
export interface Live extends Earlier {
  readonly id: string;
  readonly revision: number;
  readonly at: Moment;
  readonly compiler: number;
}

/** What a job does in the transaction that ends it. */
export type Ending = (manager: EntityManager) => Promise<void>;
export const NOTHING: Ending = () => Promise.resolve();

/**
 * The jobs by which a compilation is made. Each works out something and says how to store it; what is stored is the
 * same whoever does it, and how often.
 */
export class Compiling {
  /** Releases that were live: they never change, so each is read once. */
  private readonly lives = new LRUCache<string, Live>({ max: KEPT_RELEASES });

  constructor(
    private readonly store: SiteStore,
    private readonly queue: Pick<CompileQueue, 'send'>,
  ) {}

  /** Finds what there is to do; makes it at once where it is little. */
  async begin(id: string): Promise<Ending> {
    const begun = await this.making(id);
    if (!begun || begun.left !== null) return NOTHING;
    const { documents } = await this.store.stateAt(begun.site, begun.revision);
    const beginning = { id: begun.site, revision: begun.revision, liveRelease: begun.live };
    const dates = await entryDates(this.store, beginning, documents, momentIn(begun));
    const row: CompilationRow = { ...begun, dates: dates ?? null };
    const live = await this.liveOf(row);
    const work = workOf(documents, beside(live), momentIn(row));
    const parts: string[][] = [];
    for (let at = 0; at < work.pages.length; at += PART_PAGES)
      parts.push(work.pages.slice(at, at + PART_PAGES));
    if (parts.length <= 1) {
      const made = this.pages(row, documents, parts[0] ?? []);
      const ended = this.ended(row, documents, live, { ...row, work }, [made]);
      return (manager) => ended(manager, made.texts);
    }
    return async (manager) => {
      const { affected } = await manager
        .getRepository(CompilationEntity)
        .createQueryBuilder()
        .update()
        .set({ work: work, of: work.pages.length, left: parts.length, dates: row.dates })
        .where('id = :id AND state = :state AND left_parts IS NULL', { id, state: 'making' })
        .execute();
      if (affected !== 1) return;
      await manager.query(
        `INSERT INTO compilation_parts (compilation, number, paths)
         SELECT $1, (ordinality - 1)::int, value FROM jsonb_array_elements($2::jsonb) WITH ORDINALITY`,
        [id, JSON.stringify(parts)],
      );
      await tellReleases(manager, id, { of: work.pages.length, done: 0 });
      await this.queue.send(
        manager,
        parts.map((_, part): Step => ({ step: 'part', compilation: id, part })),
      );
    };
  }

  /** Makes one part of the pages. */
  async part(id: string, part: number): Promise<Ending> {
    const row = await this.making(id);
    const [there] = (await this.store.database.query(
      'SELECT paths FROM compilation_parts WHERE compilation = $1 AND number = $2 AND made IS NULL',
      [id, part],
    )) as { paths: string[] }[];
    if (!row || !there) return NOTHING;
    const { documents } = await this.store.stateAt(row.site, row.revision);
    const { texts, ...made } = this.pages(row, documents, there.paths);
    return async (manager) => {
      const [rows] = (await manager.query(
        `UPDATE compilation_parts SET made = $3 WHERE compilation = $1 AND number = $2 AND made IS NULL RETURNING number`,
        [id, part, JSON.stringify(made)],
      )) as [unknown[], number];
      if (rows.length === 0) return;
      await storeTexts(manager, id, texts, { ...made, pages: [...made.pages] as never });
      const [[{ left, done, of }]] = (await manager.query(
        `UPDATE compilations SET left_parts = left_parts - 1, done = done + $2 WHERE id = $1
         RETURNING left_parts AS left, done, total AS of`,
        [id, there.paths.length],
      )) as [[{ left: number; done: number; of: number }], number];
      await tellReleases(manager, id, { done, of });
      if (left === 0) await this.queue.send(manager, [{ step: 'together', compilation: id }]);
    };
  }

  /** Puts together what all parts came to. */
  async together(id: string): Promise<Ending> {
    const row = await this.making(id);
    if (!row?.work || row.left !== 0) return NOTHING;
    const { documents } = await this.store.stateAt(row.site, row.revision);
    const live = await this.liveOf(row);
    const parts = (await this.store.database.query(
      'SELECT made FROM compilation_parts WHERE compilation = $1 ORDER BY number',
      [id],
    )) as { made: Omit<MadePages, 'texts'> }[];
    const made = parts.map((part) => ({ ...part.made, texts: NO_TEXTS }));
    const ended = this.ended(row, documents, live, row, made);
    return (manager) => ended(manager, NO_TEXTS);
  }

  /** Ends a compilation that cannot be made, and the releases that wait for it, with what people are told of it. */
  async fail(manager: EntityManager, id: string, error: Said): Promise<void> {
    const { affected } = await manager
      .getRepository(CompilationEntity)
      .update({ id, state: 'making' }, { state: 'failed', error });
    if (affected !== 1) return;
    await manager.query(
      `UPDATE releases SET state = 'failed', error = $2 WHERE compilation = $1 AND state IN ('waiting', 'making')`,
      [id, JSON.stringify(error)],
    );
  }

  /** The release that a compilation is compared with. */
  async liveOf({
    site,
    live: id,
  }: Pick<CompilationRow, 'site' | 'live'>): Promise<Live | undefined> {
    if (id === null) return undefined;
    const kept = this.lives.get(id);
    if (kept) return kept;
    const row: ReleaseRow = await this.store.database
      .getRepository(ReleaseEntity)
      .findOneByOrFail({ id });
    const { documents } = await this.store.stateAt(site, row.revision);
    const live = {
      id,
      revision: row.revision,
      compiler: row.compiler,
      documents,
      release: new Release(row.manifest),
      at: momentIn(row),
    };
    this.lives.set(id, live);
    return live;
  }

  private making(id: string): Promise<CompilationRow | null> {
    return this.store.database
      .getRepository(CompilationEntity)
      .findOneBy({ id, state: 'making', compiler: COMPILER });
  }

  /** Says that a release is as it would be made at another moment. */
  async letStand(manager: EntityManager, release: string, at: Moment): Promise<void> {
    await manager.getRepository(ReleaseEntity).update({ id: release }, { ...at });
    this.lives.delete(release);
  }

  private pages(row: CompilationRow, documents: Documents, paths: readonly string[]): MadePages {
    const reading = this.store.reading(row.site, documents, momentIn(row));
    return makePages(documents, { ...reading, sha256 }, paths);
  }

  private ended(
    row: CompilationRow,
    documents: Documents,
    live: Live | undefined,
    { work }: Pick<CompilationRow, 'work'>,
    parts: readonly MadePages[],
  ): (manager: EntityManager, texts: ReadonlyMap<string, string>) => Promise<void> {
    const before = beside(live);
    const compiled = putTogether(documents, sha256, work!, parts, before?.release);
    const plan = planOf(compiled, documents, live, momentIn(row));
    const { id } = row;
    return async (manager, texts) => {
      const { affected } = await manager.getRepository(CompilationEntity).update(
        { id, state: 'making' },
        {
          state: 'done',
          done: compiled.made,
          of: compiled.made,
          kept: compiled.kept,
          plan: plan,
          dates: row.dates,
          base: before ? live!.id : null,
          changes: changesOf(compiled),
        },
      );
      if (affected !== 1) return;
      // Redirects are made when all is put together; of pages made elsewhere the texts are stored.
      const all = new Map([...texts, ...compiled.texts]);
      await storeTexts(manager, id, all, { pages: changesOf(compiled), loaded: {} });
      await tellReleases(manager, id, { done: compiled.made, of: compiled.made });
      const waiting = (await manager.query(
        `SELECT id FROM releases WHERE compilation = $1 AND state IN ('waiting', 'making')`,
        [id],
      )) as { id: string }[];
      if (waiting.length > 0)
        await this.queue.send(
          manager,
          waiting.map(({ id: release }): Step => ({ step: 'release', release })),
        );
    };
  }
}

/** The moment at which a release or what it is made of was made. */
export function momentIn({
  today,
  now,
  dates,
}: Pick<CompilationRow, 'today' | 'now' | 'dates'>): Moment {
  return { today, now, ...(dates ? { dates } : {}) };
}

const NO_TEXTS: ReadonlyMap<string, string> = new Map();

/** What pages may be taken over from: pages that another version of the compiler made are not. */
function beside(live: Live | undefined): Live | undefined {
  return live?.compiler === COMPILER ? live : undefined;
}

function changesOf({ changes }: CompiledSite): CompilationRow['changes'] {
  return [...changes].map(([path, file]) => [path, file ?? null]);
}

/** Says to the releases that wait for a compilation how far it is. */
async function tellReleases(
  manager: EntityManager,
  compilation: string,
  { done, of }: { done: number; of: number },
): Promise<void> {
  await manager.query(
    `UPDATE releases SET state = 'making', done = $2, total = $3
      WHERE compilation = $1 AND state IN ('waiting', 'making')`,
    [compilation, done, of],
  );
}

/** Keeps the texts of pages with their compilation, where they are not stored as files already. */
async function storeTexts(
  manager: EntityManager,
  compilation: string,
  texts: ReadonlyMap<string, string>,
  { pages, loaded }: Pick<MadePages, 'loaded'> & { readonly pages: CompilationRow['changes'] },
): Promise<void> {
  const kinds = new Map<string, string>();
  for (const file of [...pages.map(([, page]) => page), ...Object.values(loaded)])
    if (file) kinds.set(file.sha256, file.mediaType);
  const there = await storedAmong(manager, [...texts.keys()]);
  // In one order, so that two who store the same never wait for each other in a circle.
  const fresh = [...texts]
    .filter(([hash]) => !there.has(hash))
    .sort(([a], [b]) => (a < b ? -1 : 1));
  for (let at = 0; at < fresh.length; at += ROWS) {
    const some = fresh.slice(at, at + ROWS);
    await manager.query(
      `INSERT INTO compilation_texts (compilation, sha256, media_type, bytes)
       SELECT $1, * FROM unnest($2::text[], $3::text[], $4::bytea[]) ON CONFLICT DO NOTHING`,
      [
        compilation,
        some.map(([hash]) => hash),
        some.map(([hash]) => kinds.get(hash)!),
        some.map(([, text]) => Buffer.from(text, 'utf8')),
      ],
    );
  }
}
