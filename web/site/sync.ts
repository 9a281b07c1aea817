import { Documents, newId } from '@sormet/core/model';
import {
  doEdit,
  isRefusal,
  toldOf,
  type NamedEdit,
  type Past,
  type Refusal,
} from '@sormet/core/edit';
import type { AppStore } from '../store/store';
import { sentence } from '../words';
import { api, ApiProblem, ServerFault, Unreachable } from './api';
import {
  dropSetAside,
  keepOutbox,
  setAsideOf,
  takeOutboxes,
  windowName,
  type Outbox,
} from './outbox';
import { siteActions, type Made } from '../store/site-slice';
import {
  conflictOf,
  pastOf,
  unstoredOf,
  type Conflict,
  type PendingEdit,
  type RefusedEdit,
  type Step,
} from '../store/pending';

/** How long typing may pause before it is sent. */
const QUIET_MS = 160;
/** How long typing without a pause may wait. */
const LATEST_MS = 700;
const RETRY_MS = 1000;
/** How long to wait at the most before listening is tried again. */
const LATEST_RETRY_MS = 30_000;
/** How often an edit that the server fails on is tried before it is set aside. */
const TRIES = 3;

/** Edits by which words that stand on the screen are stored as they are typed. */
const HOLDS_WORDS: ReadonlySet<NamedEdit['name']> = new Set([
  'setControl',
  'setControls',
  'setDefault',
  'setField',
  'setPage',
]);

/** How an edit belongs to others. */
export interface EditOptions {
  /**
   * Edits of one group that follow each other are one step to undo. What comes before its number is the stretch they
   * belong to: all of that is one line of the history.
   */
  readonly group?: string | null;
}

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
  private hearAgain = false;
  private closed = true;
  /** How often it was opened: what an earlier opening began is over when a later one begins. */
  private turn = 0;
  private name = '';
  private kept: Outbox | undefined;
  private unsubscribe: (() => void) | undefined;

  /** By which name the history knows this window. */
  get window(): string {
    return this.name;
  }

  constructor(
    private readonly store: AppStore,
    readonly site: string,
  ) {}

  private get state() {
    return this.store.getState().site;
  }

  /** Opens the site, also one that was closed. */
  async open(): Promise<void> {
    const { dispatch } = this.store;
    const turn = (this.turn += 1);
    const isOver = () => this.closed || this.turn !== turn;
    this.closed = false;
    this.unsubscribe ??= this.store.subscribe(() => this.keep());
    dispatch(siteActions.opening());
    try {
      this.name = await windowName();
      const left = await takeOutboxes(this.site, this.name);
      const refused = await this.sendLeft(left.pending);
      const { site, revision, documents: sent } = await api.site(this.site);
      const documents = Documents.fromRecord(sent);
      const conflicts = [...left.conflicts, ...refused.map((each) => conflictOf(documents, each))];
      if (isOver()) return;
      dispatch(
        siteActions.opened({
          summary: site,
          revision,
          documents,
          conflicts,
          kept: left.kept,
          setAside: setAsideOf(this.site),
        }),
      );
      this.listen();
      this.planSoon(0);
    } catch (error) {
      if (!isOver()) dispatch(siteActions.failed((error as Error).message));
    }
  }

  /**
   * Sends what an earlier window left behind. @returns what the server refused, and what it failed on: neither
   * keeps the site from opening
   */
  private async sendLeft(pending: readonly PendingEdit[]): Promise<RefusedEdit[]> {
    const refused: RefusedEdit[] = [];
    for (const edit of pending) {
      const outcome = await this.sendOne(edit);
      if (typeof outcome !== 'number') refused.push(outcome);
    }
    return refused;
  }

  /**
   * Sends one edit, again a few times when the server fails on it.
   * @returns the revision after it, or why it is set aside
   * @throws Unreachable when the server is away: then nothing is known about the edit
   */
  private async sendOne(edit: PendingEdit): Promise<number | RefusedEdit> {
    const { id, edit: named, changes, stretch } = edit;
    for (let tries = 1; ; tries += 1)
      try {
        const { revision } = await api.edit(this.site, {
          id,
          who: this.name,
          name: named.name,
          args: named.args,
          changes: [...changes],
          stretch,
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

  close(): void {
    this.closed = true;
    this.unsubscribe?.();
    this.unsubscribe = undefined;
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
    const kept = keepOutbox(this.site, this.name, this.kept);
    // Never from within the change of state that led here.
    if (kept !== this.state.kept)
      queueMicrotask(() => this.store.dispatch(siteActions.keeping(kept)));
  }

  /** Does an edit here at once and sends it; a refusal is said in the sentence. @returns whether it was done */
  edit(edit: NamedEdit, options: EditOptions = {}): boolean {
    const refusal = this.attempt(edit, options);
    if (!refusal) return true;
    this.refuse(edit, options, refusal);
    return false;
  }

  /** The same for who says a refusal at the place where the edit was made. @returns nothing when it was done */
  attempt(edit: NamedEdit, options: EditOptions = {}): Refusal | undefined {
    const made = this.make(edit, options, () => undefined);
    if (isRefusal(made)) return made;
    if (made.made.changes.length === 0) return undefined;
    this.store.dispatch(siteActions.edited(made));
    this.sendSoon(made.made.group === null ? 0 : QUIET_MS);
    return undefined;
  }

  private refuse(edit: NamedEdit, { group = null }: EditOptions, { refused }: Refusal): void {
    this.store.dispatch(siteActions.refused(sentence(refused)));
    // What is being typed stands on the screen already: that it is not stored is said until it is.
    if (group !== null && HOLDS_WORDS.has(edit.name))
      this.store.dispatch(
        siteActions.unstored(unstoredOf(this.state.documents, edit, group, refused)),
      );
  }

  /** What an edit would do here, or why it is refused. */
  private make(edit: NamedEdit, { group = null }: EditOptions, past: Past): Made | Refusal {
    const { documents } = this.state;
    const done = doEdit(documents, edit, past);
    if (isRefusal(done)) return done;
    const { changes } = done;
    const stretch = group === null ? null : group.replace(/ \d+$/, '');
    const made = { id: newId(), edit, changes, group, stretch, sent: false };
    return { made, said: toldOf(documents, edit, past), documents: done.documents };
  }

  undo(): void {
    const { undo } = this.state;
    const made = this.takeBack(undo);
    // What cannot be taken back any more must not stand in the way of the steps before it.
    if (undo.length > 0)
      this.store.dispatch(made ? siteActions.undone(made) : siteActions.undoLeftOut());
  }

  redo(): void {
    const { redo } = this.state;
    const made = this.takeBack(redo);
    if (redo.length > 0)
      this.store.dispatch(made ? siteActions.redone(made) : siteActions.redoLeftOut());
  }

  /** The edit that takes the last of some steps back: it names the edits of the step. */
  private takeBack(steps: readonly Step[]): Made | undefined {
    const step = steps.at(-1);
    if (!step) return undefined;
    const edits = step.edits.map(({ id }) => id);
    const revert: NamedEdit = { name: 'revert', args: { edits } };
    const made = this.make(revert, {}, pastOf(steps));
    if (isRefusal(made)) {
      this.refuse(revert, {}, made);
      return undefined;
    }
    this.sendSoon(0);
    return made;
  }

  /** Does a conflicting edit again on what stands now, or lets it go. */
  decide(conflict: Conflict, mine: boolean): void {
    if (mine && !this.edit(conflict.edit)) return;
    this.store.dispatch(siteActions.decided(conflict.id));
  }

  /** Lets go of something that was kept in this browser and cannot be read. */
  letGo(key: string): void {
    dropSetAside(key);
    this.store.dispatch(siteActions.letGo(key));
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
        const edit = this.state.pending[0]!;
        const outcome = await this.sendOne(edit);
        if (this.closed) return;
        if (typeof outcome !== 'number') {
          await this.hear();
          const { reason, stands, failed = false } = outcome;
          this.store.dispatch(siteActions.refusedByServer({ id: edit.id, reason, stands, failed }));
        } else if (outcome === this.state.revision + 1)
          this.store.dispatch(siteActions.accepted({ id: edit.id, revision: outcome }));
        else {
          await this.hear();
          // Sent again after an answer was lost: its revision was heard before, and it waits no longer.
          if (outcome <= this.state.revision) this.store.dispatch(siteActions.known(edit.id));
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

  /**
   * Fetches what this window has not heard yet. What is announced while it fetches is fetched too: an answer on
   * its way may have been made before.
   */
  private hear(): Promise<void> {
    this.hearAgain = true;
    this.hearing ??= (async () => {
      try {
        for (let more = false; more || this.hearAgain;) {
          this.hearAgain = false;
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

  private listen(wait = RETRY_MS): void {
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
    source.addEventListener('here', (event) => {
      const { windows } = JSON.parse((event as MessageEvent<string>).data) as { windows: number };
      this.store.dispatch(siteActions.here(Math.max(0, windows - 1)));
    });
    source.addEventListener('error', () => {
      this.store.dispatch(siteActions.connection(false));
      // A connection that was refused is not tried again by the browser.
      if (source.readyState !== EventSource.CLOSED || this.closed) return;
      // Where as many listen as can be told, this window asks by itself what is new, and seldom.
      if (this.state.pending.length === 0)
        this.hear().then(
          () => this.store.dispatch(siteActions.connection(true)),
          () => this.store.dispatch(siteActions.connection(false)),
        );
      setTimeout(() => !this.closed && this.listen(Math.min(wait * 2, LATEST_RETRY_MS)), wait);
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
