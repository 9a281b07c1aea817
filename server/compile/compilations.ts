import { In, IsNull, Not, type EntityManager } from 'typeorm';
import { newId, type Moment } from '@sormet/core/model';
import { COMPILER } from '@sormet/core/compile';
import { say } from '@sormet/core/said';
import {
  CompilationEntity,
  ReleaseEntity,
  type CompilationRow,
  type SiteRow,
} from '../database/entities';
import type { SiteStore } from '../database/site-store';
import { Problem } from '../http/problem';
import type { CompileQueue, Step } from './queue';

/** How long it is waited before it is looked again, in ms: longer each time. */
const FIRST_LOOK = 15;
const LONGEST_LOOK = 250;
/** After how long it is asked whether there is any worker at all, in ms. */
const PATIENCE = 10_000;

/** A revision of a site, and the release that it is compared with. */
export type Wanted = Pick<SiteRow, 'id' | 'revision' | 'liveRelease'>;

/** What publishing comes to, asked of workers: each revision once, whoever asks and for whatever. */
export class Compilations {
  /** Who waits here for which compilation: many wait as one. */
  private readonly waiting = new Map<string, Promise<CompilationRow | undefined>>();

  constructor(
    private readonly store: SiteStore,
    private readonly queue: CompileQueue,
    private readonly patience = PATIENCE,
  ) {}

  /**
   * Asks for the compilation of a revision, unless somebody has. What nobody will read any more is taken away.
   * @param at the moment at which it is made; the one that it is now, without
   */
  async begin(wanted: Wanted, at?: Moment): Promise<CompilationRow> {
    const { database } = this.store;
    const { id: site, revision, liveRelease } = wanted;
    const moment = at ?? this.store.momentOf((await this.store.stateAt(site, revision)).documents);
    const begun = await this.find(database.manager, wanted, moment);
    if (begun && begun.state !== 'failed') return begun;
    return database.transaction(async (manager) => {
      await this.forget(manager, site, revision, moment);
      const made: CompilationRow = {
        id: newId(),
        site,
        revision,
        live: liveRelease,
        ...moment,
        dates: null,
        compiler: COMPILER,
        state: 'making',
        done: 0,
        of: 0,
        left: null,
        work: null,
        kept: 0,
        plan: [],
        base: null,
        changes: [],
        error: null,
        at: new Date(),
      };
      const { raw } = await manager
        .getRepository(CompilationEntity)
        .createQueryBuilder()
        .insert()
        .values(made)
        .orIgnore()
        .returning('id')
        .execute();
      // Of two who ask at once one has asked.
      if ((raw as unknown[]).length === 0) return (await this.find(manager, wanted, moment))!;
      await this.queue.send(manager, [{ step: 'begin', compilation: made.id }]);
      return made;
    });
  }

  private find(
    manager: EntityManager,
    { id: site, revision, liveRelease }: Wanted,
    { today, now }: Moment,
  ): Promise<CompilationRow | null> {
    const live = liveRelease ?? IsNull();
    return manager
      .getRepository(CompilationEntity)
      .findOneBy({ site, revision, compiler: COMPILER, live, today, now });
  }

  /** Takes away what was made of other revisions of a site and failed for this one, but for what a release is made of. */
  private async forget(
    manager: EntityManager,
    site: string,
    revision: number,
    { today, now }: Moment,
  ): Promise<void> {
    await manager
      .getRepository(CompilationEntity)
      .createQueryBuilder()
      .delete()
      .where({ site })
      .andWhere(
        // What another version of the compiler began, no worker of this one ends.
        `(compiler <> :compiler OR state = 'failed'
           OR (state = 'done' AND (revision <> :revision OR at_today <> :today OR at_now <> :now)))`,
        { revision, compiler: COMPILER, today, now },
      )
      .andWhere(
        `NOT EXISTS (SELECT 1 FROM releases r WHERE r.compilation = compilations.id AND r.state IN ('waiting', 'making'))`,
      )
      .execute();
  }

  /** What is being made of other revisions of a site. */
  async others({ id: site, revision }: Wanted): Promise<CompilationRow | null> {
    return this.store.database
      .getRepository(CompilationEntity)
      .findOneBy({ site, state: 'making', revision: Not(revision), compiler: COMPILER });
  }

  /** Waits until a compilation is ended. @returns nothing when it was taken away meanwhile @throws a 503 problem when no worker is there */
  ended(id: string): Promise<CompilationRow | undefined> {
    const waiting = this.waiting.get(id);
    if (waiting) return waiting;
    const ended = this.watch(id).finally(() => this.waiting.delete(id));
    this.waiting.set(id, ended);
    return ended;
  }

  private async watch(id: string): Promise<CompilationRow | undefined> {
    const rows = this.store.database.getRepository(CompilationEntity);
    let asked = Date.now();
    for (let pause = FIRST_LOOK; ; pause = Math.min(pause * 1.5, LONGEST_LOOK)) {
      const row = await rows.findOne({ where: { id }, select: { id: true, state: true } });
      if (!row) return undefined;
      if (row.state !== 'making') return (await rows.findOneBy({ id })) ?? undefined;
      if (Date.now() - asked > this.patience) {
        asked = Date.now();
        if ((await this.queue.workers()) === 0) throw new Problem(503, say('no-worker'));
      }
      await new Promise((done) => setTimeout(done, pause));
    }
  }

  /** Has a worker look at every release that is not ended: after the database went away, it may be that nobody does. */
  async takeUp(): Promise<void> {
    const { database } = this.store;
    const begun = await database
      .getRepository(ReleaseEntity)
      .find({ where: { state: In(['waiting', 'making']) }, select: { id: true } });
    await database.transaction((manager) =>
      this.look(
        manager,
        begun.map(({ id }) => id),
      ),
    );
  }

  /** Has a worker look whether releases can be ended. */
  look(manager: EntityManager, releases: readonly string[]): Promise<void> {
    return this.queue.send(
      manager,
      releases.map((release): Step => ({ step: 'release', release })),
    );
  }
}
