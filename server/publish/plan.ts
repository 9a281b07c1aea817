import { say } from '@sormet/core/said';
import type { CompilationRow, SiteRow } from '../database/entities';
import type { SiteStore } from '../database/site-store';
import { Problem } from '../http/problem';
import type { Compilations } from '../compile/compilations';

/** How often a plan is asked for again when what was made was taken away before it was read. */
const TRIES = 5;

/** Says what publishing would do. Many who ask for one site wait for one and the same. */
export class Planner {
  constructor(
    private readonly store: SiteStore,
    private readonly compilations: Compilations,
  ) {}

  /**
   * What publishing the newest revision would do. While another revision of the site is being made for a plan, that is
   * waited for: of many revisions that are made one after the other, only the newest is compiled next.
   * @throws a 422 problem when the site cannot be published, a 503 problem when it keeps changing
   */
  async plan(site: SiteRow): Promise<CompilationRow> {
    let newest: SiteRow | null = site;
    for (let tries = 0; newest && tries < TRIES; tries += 1) {
      const other = await this.compilations.others(newest);
      if (other) {
        await this.compilations.ended(other.id);
        newest = await this.store.site(site.id);
        if (!newest) break;
      }
      const { id } = await this.compilations.begin(newest);
      const made = await this.compilations.ended(id);
      if (made?.state === 'done') return made;
      if (made) throw new Problem(422, made.error ?? say('failed-too-often'));
      newest = await this.store.site(site.id);
    }
    if (!newest) throw new Problem(404, say('no-site'));
    throw new Problem(503, say('site-kept-changing'));
  }
}
