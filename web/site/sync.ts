import { newId } from '@sormet/core/model';
import { isRefusal, runEdit, sayEdit, inverse, type NamedEdit } from '@sormet/core/edit';
import type { AppStore } from '../app/store';
import { api, ApiProblem, Unreachable } from './api';
import { keepOutbox, takeOutboxes, windowName, type Outbox } from './outbox';
import { siteActions } from './site-slice';
import { conflictOf, type Conflict, type PendingEdit, type RefusedEdit } from './pending';

/** How long typing may pause before it is sent. */
const QUIET_MS = 160;
/** How long typing without a pause may wait. */
const LATEST_MS = 700;
const RETRY_MS = 1000;

/**
 * Keeps one site open: sends what is done here in order, hears what others do, keeps everything in the
 * browser until the server has it.
 */
export class SiteSync {
  private source: EventSource | undefined;
  private busy = false;
  private latest = 0;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private planTimer: ReturnType<typeof setTimeout> | undefined;
  private hearing: Promise<void> | undefined;
  private closed = false;
  private window = '';
  private kept: Outbox | undefined;
  private readonly unsubscribe: () => void;

  constructor(
    private readonly store: AppStore,
    readonly site: string,
  ) {
    this.unsubscribe = store.subscribe(() => this.keep());
  }

  private get state() {
    return this.store.getState().site;
  }

  async open(): Promise<void> {
    const { dispatch } = this.store;
    dispatch(siteActions.opening());
    try {
      this.window = await windowName();
      const left = await takeOutboxes(this.site, this.window);
      const refused = await this.sendLeft(left.pending);
      const { site, revision, documents } = await api.site(this.site);
      const conflicts = [...left.conflicts, ...refused.map((each) => conflictOf(documents, each))];
      if (this.closed) return;
      dispatch(siteActions.opened({ summary: site, revision, documents, conflicts }));
      this.listen();
      this.planSoon(0);
    } catch (error) {
      if (!this.closed) dispatch(siteActions.failed((error as Error).message));
    }
  }

  /** Sends what an earlier window left behind. @returns what the server refused */
  private async sendLeft(pending: readonly PendingEdit[]): Promise<RefusedEdit[]> {
    const refused: RefusedEdit[] = [];
    for (const each of pending) {
      const { id, edit, changes } = each;
      try {
        await api.edit(this.site, {
          id,
          who: this.window,
          name: edit.name,
          args: edit.args,
          changes,
        });
      } catch (error) {
        if (!(error instanceof ApiProblem)) throw error;
        refused.push({ edit: each, reason: error.message, stands: error.more['stands'] });
      }
    }
    return refused;
  }

  close(): void {
    this.closed = true;
    this.unsubscribe();
    this.source?.close();
    clearTimeout(this.timer);
    clearTimeout(this.planTimer);
  }

  /** Writes down what the server does not have, whenever that changed. */
  private keep(): void {
    const { pending, conflicts, status } = this.state;
    if (status !== 'ready' || this.closed) return;
    if (this.kept?.pending === pending && this.kept.conflicts === conflicts) return;
    this.kept = { pending, conflicts };
    keepOutbox(this.site, this.window, this.kept);
  }

  /** Does an edit here at once and sends it. @returns whether it was done */
  edit(edit: NamedEdit, options: { group?: string | null; undo?: 'step' | 'none' } = {}): boolean {
    const { documents } = this.state;
    const changes = runEdit(documents, edit);
    if (isRefusal(changes)) {
      this.store.dispatch(siteActions.refused(changes.refused));
      return false;
    }
    if (changes.length === 0) return true;
    const says = sayEdit(documents, edit);
    const made: PendingEdit = {
      id: newId(),
      edit,
      changes,
      group: options.group ?? null,
      sent: false,
    };
    this.store.dispatch(siteActions.edited({ made, says, undo: options.undo ?? 'step' }));
    this.sendSoon(made.group === null ? 0 : QUIET_MS);
    return true;
  }

  undo(): void {
    const step = this.state.undo.at(-1);
    if (!step) return;
    const edit: NamedEdit = {
      name: 'revert',
      args: { changes: inverse(step.changes), says: `undid: ${step.says}` },
    };
    if (this.edit(edit, { undo: 'none' })) this.store.dispatch(siteActions.undone());
    // What cannot be taken back any more must not stand in the way of the steps before it.
    else this.store.dispatch(siteActions.undoLeftOut());
  }

  redo(): void {
    const step = this.state.redo.at(-1);
    if (!step) return;
    const edit: NamedEdit = {
      name: 'revert',
      args: { changes: [...step.changes], says: `did again: ${step.says}` },
    };
    if (this.edit(edit, { undo: 'none' })) this.store.dispatch(siteActions.redone());
  }

  /** Does a conflicting edit again on what stands now, or lets it go. */
  decide(conflict: Conflict, mine: boolean): void {
    if (mine && !this.edit(conflict.edit)) return;
    this.store.dispatch(siteActions.decided(conflict.id));
  }

  /** Sends when typing pauses, and at the latest a little after it began. */
  private sendSoon(wait: number): void {
    const now = Date.now();
    if (this.latest <= now && this.timer === undefined) this.latest = now + LATEST_MS;
    clearTimeout(this.timer);
    this.timer = setTimeout(
      () => {
        this.timer = undefined;
        void this.send();
      },
      Math.max(0, Math.min(wait, this.latest - now)),
    );
  }

  private async send(): Promise<void> {
    if (this.busy || this.closed) return;
    this.busy = true;
    try {
      for (
        let first = this.state.pending[0];
        first && !this.closed;
        first = this.state.pending[0]
      ) {
        this.store.dispatch(siteActions.sending(first.id));
        const { id, edit, changes } = this.state.pending[0]!;
        try {
          const { revision } = await api.edit(this.site, {
            id,
            who: this.window,
            name: edit.name,
            args: edit.args,
            changes: [...changes],
          });
          if (revision === this.state.revision + 1)
            this.store.dispatch(siteActions.accepted({ id, revision }));
          else await this.hear();
        } catch (error) {
          if (!(error instanceof ApiProblem)) throw error;
          await this.hear();
          this.store.dispatch(
            siteActions.refusedByServer({
              id,
              reason: error.message,
              stands: error.more['stands'],
            }),
          );
        }
      }
      this.store.dispatch(siteActions.connection(true));
      this.planSoon(700);
    } catch (error) {
      if (!(error instanceof Unreachable)) console.error(error);
      this.store.dispatch(siteActions.connection(false));
      this.sendSoon(RETRY_MS);
    } finally {
      this.busy = false;
    }
  }

  /** Fetches what this window has not heard yet. */
  private hear(): Promise<void> {
    this.hearing ??= (async () => {
      try {
        for (let more = true; more;) {
          const answer = await api.history(this.site, this.state.revision);
          if (this.closed) return;
          this.store.dispatch(siteActions.heard(answer.edits));
          more = answer.more;
        }
      } finally {
        this.hearing = undefined;
      }
    })();
    return this.hearing;
  }

  private listen(): void {
    const source = new EventSource(`/api/sites/${this.site}/live`);
    this.source = source;
    source.addEventListener('revision', (event) => {
      const { revision } = JSON.parse((event as MessageEvent<string>).data) as { revision: number };
      this.store.dispatch(siteActions.connection(true));
      if (this.state.pending.length > 0) this.sendSoon(0);
      if (revision === 0 || revision > this.state.revision)
        this.hear().then(
          () => this.planSoon(700),
          () => this.store.dispatch(siteActions.connection(false)),
        );
      else this.planSoon(700);
    });
    source.addEventListener('error', () => {
      this.store.dispatch(siteActions.connection(false));
      // A connection that was refused is not tried again by the browser.
      if (source.readyState === EventSource.CLOSED && !this.closed)
        setTimeout(() => !this.closed && this.listen(), RETRY_MS);
    });
  }

  /** Asks what publishing would change, once things are quiet. */
  planSoon(wait: number): void {
    clearTimeout(this.planTimer);
    this.planTimer = setTimeout(() => {
      api.plan(this.site).then(
        (plan) => !this.closed && this.store.dispatch(siteActions.planned(plan)),
        (error: unknown) => {
          if (!(error instanceof Unreachable)) console.error(error);
        },
      );
    }, wait);
  }
}
