import { Documents, sameJson } from '@sormet/core/model';
import { applyChanges, joinChanges, replay, samePlaces, type Change } from '@sormet/core/edit';
import type { HistoryEntry, PlanAnswer, SiteSummary } from '@sormet/core/api';
import { say, type Said } from '@sormet/core/said';
import type { SetAside } from './pending';
import { conflictOf, type Conflict, type PendingEdit, type Step, type StepEdit } from './pending';
import { plainSlice } from './plain-slice';

/** The site that is open: what the server has confirmed, and what was done here on top of it. */
export interface SiteState {
  readonly status: 'none' | 'loading' | 'ready' | 'failed';
  readonly error: string | null;
  readonly summary: SiteSummary | null;
  readonly revision: number;
  readonly confirmed: Documents;
  /** The documents as they are shown: confirmed, with pending edits. */
  readonly documents: Documents;
  readonly pending: readonly PendingEdit[];
  readonly conflicts: readonly Conflict[];
  readonly connected: boolean;
  /** Whether what is pending is kept in this browser; not when its storage is full or closed. */
  readonly kept: boolean;
  readonly undo: readonly Step[];
  readonly redo: readonly Step[];
  /** What was taken back or done again last, and where that was. */
  readonly taken: Taken | null;
  readonly plan: PlanAnswer | null;
  /** Why the last edit was refused, for where it was made. */
  readonly refusal: { readonly says: string; readonly at: number } | null;
  /** Whether what was not taken in is being looked at. */
  readonly deciding: boolean;
  /** How many other windows have the site open. */
  readonly others: number;
  /** What this browser keeps of the site and this version cannot read. */
  readonly setAside: readonly SetAside[];
}

const initialState: SiteState = {
  status: 'none',
  error: null,
  summary: null,
  revision: 0,
  confirmed: Documents.none,
  documents: Documents.none,
  pending: [],
  conflicts: [],
  connected: true,
  kept: true,
  undo: [],
  redo: [],
  taken: null,
  plan: null,
  refusal: null,
  deciding: false,
  others: 0,
  setAside: [],
};

/** A step that was taken back, or done again. */
export interface Taken {
  readonly way: 'back' | 'again';
  readonly said: Said;
  readonly changes: readonly Change[];
}

/** An edit that was made here: as it is sent, how it is named, and the documents after it. */
export interface Made {
  readonly made: PendingEdit;
  readonly said: Said;
  readonly documents: Documents;
}

/** What is undecided still, once something of a stretch of typing was stored. */
function storedNow(conflicts: readonly Conflict[], group: string | null): readonly Conflict[] {
  return group !== null && conflicts.some(({ unstored }) => unstored === group)
    ? conflicts.filter(({ unstored }) => unstored !== group)
    : conflicts;
}

/** How many steps can be undone. */
const UNDO_DEPTH = 300;

/**
 * The state with pending edits laid again on what is confirmed.
 * @param heard the documents that others' edits or our own touched there: where they are what is shown already, what is
 * shown stays the same object, so that nothing is drawn again for what this window did itself
 */
function relaid(
  state: SiteState,
  pending: readonly PendingEdit[],
  heard: readonly string[] = [],
): SiteState {
  const { documents, kept, lost } = replay(state.confirmed, pending);
  if (lost.length === 0) {
    const same =
      heard.length > 0 &&
      documents.size === state.documents.size &&
      heard.every((id) => sameJson(documents.get(id), state.documents.get(id)));
    return { ...state, documents: same ? state.documents : documents, pending: kept };
  }
  const conflicts = lost.map((each) =>
    conflictOf(documents, { ...each, reason: say('changed-meanwhile') }),
  );
  return { ...state, documents, pending: kept, conflicts: [...state.conflicts, ...conflicts] };
}

export const siteSlice = plainSlice('site', initialState, {
  opening: (): SiteState => ({ ...initialState, status: 'loading' }),
  failed: (state: SiteState, error: string): SiteState => ({ ...state, status: 'failed', error }),
  opened: (
    _: SiteState,
    given: Pick<
      SiteState,
      'summary' | 'revision' | 'documents' | 'conflicts' | 'setAside' | 'kept' | 'undo' | 'redo'
    >,
  ): SiteState => ({
    ...initialState,
    ...given,
    status: 'ready',
    confirmed: given.documents,
  }),
  /** An edit was made here. */
  edited: (state: SiteState, { made, said, documents }: Made): SiteState => {
    const { pending, joined } = pendingWith(state.pending, made);
    return {
      ...state,
      documents,
      pending,
      refusal: null,
      taken: null,
      conflicts: storedNow(state.conflicts, made.group),
      undo: stepsWith(state.undo, made, said, joined),
      redo: [],
    };
  },
  /** What was typed could not be stored: it is kept, in place of what of the same stretch could not be before. */
  unstored: (state: SiteState, conflict: Conflict): SiteState => ({
    ...state,
    conflicts: [...storedNow(state.conflicts, conflict.unstored ?? null), conflict],
  }),
  /** The last step was taken back by an edit, which stands among what can be done again. */
  undone: (state: SiteState, made: Made): SiteState => {
    const step = state.undo.at(-1);
    if (!step) return state;
    return {
      ...tookBack(state, made),
      taken: { way: 'back', said: step.said, changes: made.made.changes },
      undo: state.undo.slice(0, -1),
      redo: [...state.redo, takingBack(step, made)],
    };
  },
  undoLeftOut: (state: SiteState): SiteState => ({ ...state, undo: state.undo.slice(0, -1) }),
  /** The last step that was taken back was done again, by taking the taking back back. */
  redone: (state: SiteState, made: Made): SiteState => {
    const step = state.redo.at(-1);
    if (!step) return state;
    return {
      ...tookBack(state, made),
      taken: { way: 'again', said: step.said, changes: made.made.changes },
      redo: state.redo.slice(0, -1),
      undo: [...state.undo, takingBack(step, made)],
    };
  },
  redoLeftOut: (state: SiteState): SiteState => ({ ...state, redo: state.redo.slice(0, -1) }),
  /** Another window of this browser did something, or took it back: its steps are this one's, too. */
  stepped: (state: SiteState, steps: Pick<SiteState, 'undo' | 'redo'>): SiteState => ({
    ...state,
    ...steps,
  }),
  /** A release is live: by its number. */
  live: (state: SiteState, live: number | null): SiteState =>
    state.summary === null || state.summary.live === live
      ? state
      : { ...state, summary: { ...state.summary, live } },
  /** What was said of a step that was taken back was read. */
  takenSeen: (state: SiteState): SiteState => ({ ...state, taken: null }),
  sending: (state: SiteState, sent: string): SiteState => ({
    ...state,
    pending: state.pending.map((edit) => (edit.id === sent ? { ...edit, sent: true } : edit)),
  }),
  /** The server has taken in the first pending edit as the next revision. */
  accepted: (state: SiteState, { id, revision }: { id: string; revision: number }): SiteState => {
    const first = state.pending[0];
    if (first?.id !== id || revision !== state.revision + 1) return state;
    return {
      ...state,
      revision,
      confirmed: applyChanges(state.confirmed, first.changes),
      pending: state.pending.slice(1),
      connected: true,
    };
  },
  /** The server had taken in a pending edit before, and this window has heard it: it waits no longer. */
  known: (state: SiteState, id: string): SiteState =>
    state.pending.some((edit) => edit.id === id)
      ? relaid(
          state,
          state.pending.filter((edit) => edit.id !== id),
        )
      : state,
  /** The server has refused a pending edit; it is kept aside with both sides. */
  refusedByServer: (
    state: SiteState,
    {
      id,
      reason,
      stands,
      failed = false,
    }: { id: string; reason: Said; stands: unknown; failed?: boolean },
  ): SiteState => {
    const edit = state.pending.find((each) => each.id === id);
    if (!edit) return state;
    const conflict = conflictOf(state.documents, { edit, reason, stands, failed });
    return relaid(
      { ...state, conflicts: [...state.conflicts, conflict] },
      state.pending.filter((other) => other !== edit),
    );
  },
  /** Edits that the server has, in order: others' and our own. */
  heard: (state: SiteState, edits: HistoryEntry[]): SiteState => {
    let { confirmed, revision } = state;
    const done = new Set<string>();
    for (const edit of edits) {
      if (edit.revision !== revision + 1) continue;
      confirmed = applyChanges(confirmed, edit.changes);
      revision = edit.revision;
      done.add(edit.edit);
    }
    return relaid(
      { ...state, confirmed, revision, connected: true },
      state.pending.filter(({ id }) => !done.has(id)),
      [
        ...new Set(
          [...edits, ...state.pending].flatMap(({ changes }) => changes.map(({ doc }) => doc)),
        ),
      ],
    );
  },
  /** Whether what was not taken in is being looked at. */
  deciding: (state: SiteState, deciding: boolean): SiteState => ({ ...state, deciding }),
  /** How many other windows have the site open. */
  here: (state: SiteState, others: number): SiteState =>
    state.others === others ? state : { ...state, others },
  /** What was set aside was let go. */
  letGo: (state: SiteState, key: string): SiteState => ({
    ...state,
    setAside: state.setAside.filter((each) => each.key !== key),
  }),
  decided: (state: SiteState, conflict: string): SiteState => ({
    ...state,
    conflicts: state.conflicts.filter(({ id }) => id !== conflict),
  }),
  /** Whether the browser keeps what the server does not have yet. */
  keeping: (state: SiteState, kept: boolean): SiteState => ({ ...state, kept }),
  connection: (state: SiteState, connected: boolean): SiteState =>
    state.connected === connected ? state : { ...state, connected },
  planned: (state: SiteState, plan: PlanAnswer): SiteState => ({ ...state, plan }),
  refused: (state: SiteState, says: string): SiteState => ({
    ...state,
    refusal: { says, at: Date.now() },
  }),
  refusalSeen: (state: SiteState): SiteState => ({ ...state, refusal: null }),
});

/** The state after an edit that took something back: never joined with others. */
function tookBack(state: SiteState, { made, documents }: Made): SiteState {
  return { ...state, documents, pending: [...state.pending, made], refusal: null };
}

/** The step that takes this taking back back. */
function takingBack(step: Step, { made, said }: Made): Step {
  return {
    said: step.said,
    group: null,
    edits: [{ id: made.id, said, changes: made.changes }],
  };
}

/**
 * Pending edits with one more: joined with the last when both are typing at one place and that one is not on its way.
 * @returns also that joined edit; `null` when together they change nothing, and none is left to send
 */
function pendingWith(
  pending: readonly PendingEdit[],
  made: PendingEdit,
): { pending: PendingEdit[]; joined?: PendingEdit | null } {
  const last = pending.at(-1);
  const joins =
    last !== undefined &&
    !last.sent &&
    made.group !== null &&
    last.group === made.group &&
    samePlaces(last.changes, made.changes);
  if (!joins) return { pending: [...pending, made] };
  const joined = { ...made, id: last.id, changes: joinChanges(last.changes, made.changes) };
  return joined.changes.length > 0
    ? { pending: [...pending.slice(0, -1), joined], joined }
    : { pending: pending.slice(0, -1), joined: null };
}

/** The steps that can be undone with one more: a word being typed is one step. */
function stepsWith(
  steps: readonly Step[],
  made: PendingEdit,
  said: Said,
  joined: PendingEdit | null | undefined,
): Step[] {
  const last = steps.at(-1);
  const edit: StepEdit = { id: made.id, said, changes: made.changes };
  if (last === undefined || made.group === null || last.group !== made.group)
    return [...steps, { said, group: made.group, edits: [edit] }].slice(-UNDO_DEPTH);
  const edits =
    joined === undefined
      ? [...last.edits, edit]
      : [
          ...last.edits.slice(0, -1),
          ...(joined ? [{ id: joined.id, said, changes: joined.changes }] : []),
        ];
  if (edits.length === 0) return steps.slice(0, -1);
  return [...steps.slice(0, -1), { said, group: made.group, edits }];
}

export const siteActions = siteSlice.actions;
