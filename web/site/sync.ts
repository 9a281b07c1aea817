import type { UnknownAction } from '@reduxjs/toolkit';
import { Documents, newId } from '@sormet/core/model';
import {
  beyondEditors,
  doEdit,
  isRefusal,
  toldOf,
  type NamedEdit,
  type Past,
  type Refusal,
} from '@sormet/core/edit';
import type { AppStore } from '../store/store';
import { sentence } from '../words';
import { api, Unreachable } from './api';
import { Hearing } from './hearing';
import { keepSteps, keptSteps, NO_STEPS, onOthersSteps, type Steps } from './kept-steps';
import type { OpenSite } from './open-site';
import {
  dropSetAside,
  keepOutbox,
  setAsideOf,
  takeOutboxes,
  windowName,
  type Outbox,
} from './outbox';
import { Sending } from './sending';
import { siteActions, type Made, type SiteState } from '../store/site-slice';
import { conflictOf, pastOf, unstoredOf, type Conflict, type Step } from '../store/pending';

/** How long typing may pause before it is sent. */
const QUIET_MS = 160;
/** How long after a step it is kept for a window that is loaded anew, and for the others. */
const KEEP_MS = 250;
/** How long after something changed it is asked what publishing would change. */
const PLAN_MS = 700;

/** What edits come to, or why they cannot. */
type Into = (documents: Documents, edits: readonly NamedEdit[]) => readonly NamedEdit[] | Refusal;

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
export class SiteSync implements OpenSite {
  private readonly sending: Sending;
  private readonly hearing: Hearing;
  private planTimer: ReturnType<typeof setTimeout> | undefined;
  private closed = true;
  /** How often it was opened: what an earlier opening began is over when a later one begins. */
  private turn = 0;
  private windowName = '';
  private kept: Outbox | undefined;
  private unsubscribe: (() => void) | undefined;
  private unhear: (() => void) | undefined;
  /** The steps that this browser keeps already. */
  private steps: Steps = NO_STEPS;
  private stepsTimer: ReturnType<typeof setTimeout> | undefined;

  constructor(
    private readonly store: AppStore,
    readonly site: string,
  ) {
    const plan = () => this.planSoon(PLAN_MS);
    this.hearing = new Hearing(
      this,
      () => {
        if (this.state.pending.length > 0) this.sending.soon(0);
      },
      plan,
    );
    this.sending = new Sending(this, () => this.hearing.news(), plan);
  }

  /** By which name the history knows this window. */
  get name(): string {
    return this.windowName;
  }

  get state(): SiteState {
    return this.store.getState().site;
  }

  isClosed(): boolean {
    return this.closed;
  }

  dispatch(action: UnknownAction): void {
    this.store.dispatch(action);
  }

  /** Opens the site, also one that was closed. */
  async open(): Promise<void> {
    const { dispatch } = this.store;
    const turn = (this.turn += 1);
    const isOver = () => this.closed || this.turn !== turn;
    this.closed = false;
    this.unsubscribe ??= this.store.subscribe(() => {
      this.keep();
      this.keepStepsSoon();
    });
    this.unhear ??= onOthersSteps(this.site, (steps) => {
      this.steps = steps;
      this.store.dispatch(siteActions.stepped(steps));
    });
    window.addEventListener('pagehide', this.keepStepsNow);
    dispatch(siteActions.opening());
    try {
      this.windowName = await windowName();
      const left = await takeOutboxes(this.site, this.name);
      const refused = await this.sending.left(left.pending);
      const { site, revision, documents: sent } = await api.site(this.site);
      const documents = Documents.fromRecord(sent);
      const conflicts = [...left.conflicts, ...refused.map((each) => conflictOf(documents, each))];
      if (isOver()) return;
      this.steps = keptSteps(this.site);
      dispatch(
        siteActions.opened({
          summary: site,
          revision,
          documents,
          conflicts,
          kept: left.kept,
          ...this.steps,
          setAside: setAsideOf(this.site),
        }),
      );
      this.hearing.listen();
      this.planSoon(0);
    } catch (error) {
      if (!isOver()) dispatch(siteActions.failed((error as Error).message));
    }
  }

  close(): void {
    this.closed = true;
    this.unsubscribe?.();
    this.unsubscribe = undefined;
    this.unhear?.();
    this.unhear = undefined;
    this.keepStepsNow();
    window.removeEventListener('pagehide', this.keepStepsNow);
    this.hearing.stop();
    this.sending.stop();
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

  /** Writes down what can be taken back, a moment after that changed. */
  private keepStepsSoon(): void {
    const { undo, redo, status } = this.state;
    if (status !== 'ready' || (this.steps.undo === undo && this.steps.redo === redo)) return;
    this.stepsTimer ??= setTimeout(this.keepStepsNow, KEEP_MS);
  }

  private readonly keepStepsNow = (): void => {
    clearTimeout(this.stepsTimer);
    this.stepsTimer = undefined;
    const { undo, redo, status } = this.state;
    if (status !== 'ready' || (this.steps.undo === undo && this.steps.redo === redo)) return;
    this.steps = { undo, redo };
    keepSteps(this.site, this.steps);
  };

  private into: Into | null = null;
  private isEditing = false;

  /** Says whether who is here is at work as an editor: then nothing is done that editors may not. */
  asEditor(isEditing: boolean): void {
    this.isEditing = isEditing;
  }

  /** Says what edits come to from now on, while something is lit that they are said of; `null` where they are what they are. */
  writeInto(into: Into | null): void {
    this.into = into;
  }

  /** Does an edit here at once and sends it; a refusal is said in the sentence. @returns whether it was done */
  edit(edit: NamedEdit, options: EditOptions = {}): boolean {
    return this.editAll([edit], options);
  }

  /** The same of several as one step, each on what the one before leaves: all are done, or none. */
  editAll(edits: readonly [NamedEdit, ...NamedEdit[]], options: EditOptions = {}): boolean {
    const refusal = this.attemptAll(edits, options);
    if (!refusal) return true;
    this.refuse(edits[0], options, refusal);
    return false;
  }

  /** The same for who says a refusal at the place where the edit was made. @returns nothing when it was done */
  attempt(edit: NamedEdit, options: EditOptions = {}): Refusal | undefined {
    return this.attemptAll([edit], options);
  }

  /**
   * The same of several as one step, each on what the one before leaves: all are done, or none.
   * @returns why the first of them that cannot be done is refused; nothing when all were done
   */
  attemptAll(edits: readonly NamedEdit[], options: EditOptions = {}): Refusal | undefined {
    const all: Made[] = [];
    const meant = this.into ? this.into(this.state.documents, edits) : edits;
    if (isRefusal(meant)) return meant;
    const { group: step = null } = options;
    // What comes to more than was asked for is one step still.
    const group = step ?? (meant.length > edits.length ? `meant ${newId()}` : null);
    for (const edit of meant) {
      const made = this.make(edit, { ...options, group }, () => undefined, all.at(-1)?.documents);
      if (isRefusal(made)) return made;
      if (made.made.changes.length > 0) all.push(made);
    }
    for (const made of all) this.store.dispatch(siteActions.edited(made));
    if (all.length > 0) this.sending.soon(group === null ? 0 : QUIET_MS);
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
  private make(
    edit: NamedEdit,
    { group = null }: EditOptions,
    past: Past,
    documents = this.state.documents,
  ): Made | Refusal {
    const done = doEdit(documents, edit, past);
    if (isRefusal(done)) return done;
    const { changes } = done;
    const beyond =
      this.isEditing && beyondEditors(documents, done.documents, changes, edit.name === 'revert');
    if (beyond) return beyond;
    const stretch = group === null ? null : group.replace(/ \d+$/, '');
    const editing = this.isEditing ? { editing: true as const } : {};
    const made = { id: newId(), edit, changes, group, stretch, ...editing, sent: false };
    return { made, said: toldOf(documents, edit, past), documents: done.documents };
  }

  undo(): void {
    const { undo } = this.state;
    const made = this.takeBack(undo);
    // What cannot be taken back any more must not stand in the way of the steps before it; what editors may not, designers can.
    if (undo.length > 0 && (made || !this.isEditing))
      this.store.dispatch(made ? siteActions.undone(made) : siteActions.undoLeftOut());
  }

  redo(): void {
    const { redo } = this.state;
    const made = this.takeBack(redo);
    if (redo.length > 0 && (made || !this.isEditing))
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
    this.sending.soon(0);
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
