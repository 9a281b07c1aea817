import { siteActions } from '../store/site-slice';
import type { PendingEdit, RefusedEdit } from '../store/pending';
import { api, ApiProblem, ServerFault, Unreachable } from './api';
import type { OpenSite } from './open-site';

/** How long typing without a pause may wait. */
const LATEST_MS = 700;
const RETRY_MS = 1000;
/** How often an edit that the server fails on is tried before it is set aside. */
const TRIES = 3;

/** Sends what is done on a site that is open, one edit after the other. */
export class Sending {
  private busy = false;
  private latest = 0;
  private timer: ReturnType<typeof setTimeout> | undefined;

  /**
   * @param hear fetches what others did: asked where an edit did not become the next revision
   * @param onSent told when nothing waits any more
   */
  constructor(
    private readonly open: OpenSite,
    private readonly hear: () => Promise<void>,
    private readonly onSent: () => void,
  ) {}

  /**
   * Sends what an earlier window left behind. @returns what the server refused, and what it failed on: neither
   * keeps the site from opening
   */
  async left(pending: readonly PendingEdit[]): Promise<RefusedEdit[]> {
    const refused: RefusedEdit[] = [];
    for (const edit of pending) {
      const outcome = await this.one(edit);
      if (typeof outcome !== 'number') refused.push(outcome);
    }
    return refused;
  }

  /**
   * Sends one edit, again a few times when the server fails on it.
   * @returns the revision after it, or why it is set aside
   * @throws Unreachable when the server is away: then nothing is known about the edit
   */
  private async one(edit: PendingEdit): Promise<number | RefusedEdit> {
    const { id, edit: named, changes, stretch, editing } = edit;
    for (let tries = 1; ; tries += 1)
      try {
        const { revision } = await api.edit(this.open.site, {
          id,
          who: this.open.name,
          name: named.name,
          args: named.args,
          changes: [...changes],
          stretch,
          ...(editing ? { editing } : {}),
        });
        return revision;
      } catch (error) {
        if (error instanceof ServerFault && tries < TRIES) {
          await new Promise((done) => setTimeout(done, 200 * tries));
          continue;
        }
        if (error instanceof ServerFault)
          return { edit, reason: error.said, stands: null, failed: true };
        if (error instanceof ApiProblem)
          return { edit, reason: error.said, stands: error.more['stands'] };
        throw error;
      }
  }

  /** Sends when typing pauses, and at the latest a little after it began. */
  soon(wait: number): void {
    const now = Date.now();
    if (this.latest <= now && this.timer === undefined) this.latest = now + LATEST_MS;
    clearTimeout(this.timer);
    this.timer = setTimeout(
      () => {
        this.timer = undefined;
        void this.all();
      },
      Math.max(0, Math.min(wait, this.latest - now)),
    );
  }

  private async all(): Promise<void> {
    if (this.busy || this.open.isClosed()) return;
    this.busy = true;
    try {
      for (
        let first = this.open.state.pending[0];
        first && !this.open.isClosed();
        first = this.open.state.pending[0]
      ) {
        this.open.dispatch(siteActions.sending(first.id));
        const edit = this.open.state.pending[0]!;
        const outcome = await this.one(edit);
        if (this.open.isClosed()) return;
        if (typeof outcome !== 'number') {
          await this.hear();
          const { reason, stands, failed = false } = outcome;
          this.open.dispatch(siteActions.refusedByServer({ id: edit.id, reason, stands, failed }));
        } else if (outcome === this.open.state.revision + 1)
          this.open.dispatch(siteActions.accepted({ id: edit.id, revision: outcome }));
        else {
          await this.hear();
          // Sent again after an answer was lost: its revision was heard before, and it waits no longer.
          if (outcome <= this.open.state.revision) this.open.dispatch(siteActions.known(edit.id));
        }
      }
      this.open.dispatch(siteActions.connection(true));
      this.onSent();
    } catch (error) {
      if (!(error instanceof Unreachable)) console.error(error);
      this.open.dispatch(siteActions.connection(false));
      this.soon(RETRY_MS);
    } finally {
      this.busy = false;
    }
  }

  stop(): void {
    clearTimeout(this.timer);
  }
}
