import { createSlice, original, type Draft, type PayloadAction } from '@reduxjs/toolkit';
import type { Documents } from '@sormet/core/model';
import { applyChanges } from '@sormet/core/edit';
import type { HistoryEdit, Plan, SiteSummary } from './api';
import {
  conflictOf,
  joinChanges,
  replay,
  samePlaces,
  type Conflict,
  type PendingEdit,
  type Step,
} from './pending';

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
  readonly undo: readonly Step[];
  readonly redo: readonly Step[];
  readonly plan: Plan | null;
  /** Why the last edit was refused, for where it was made. */
  readonly refusal: { readonly says: string; readonly at: number } | null;
}

const initialState: SiteState = {
  status: 'none',
  error: null,
  summary: null,
  revision: 0,
  confirmed: {},
  documents: {},
  pending: [],
  conflicts: [],
  connected: true,
  undo: [],
  redo: [],
  plan: null,
  refusal: null,
};

/**
 * A reducer that makes a new state from the whole old one. Documents are large and replaced whole, so it is
 * given the state itself and not a draft of it.
 */
function whole<P>(make: (state: SiteState, payload: P) => SiteState) {
  return (draft: Draft<SiteState>, { payload }: PayloadAction<P>) =>
    make(original(draft) as SiteState, payload) as Draft<SiteState>;
}

/** The same for an action that carries nothing. */
function alone(make: (state: SiteState) => SiteState) {
  return (draft: Draft<SiteState>) => make(original(draft) as SiteState) as Draft<SiteState>;
}

/** How many steps can be undone. */
const UNDO_DEPTH = 300;

/** The state with pending edits laid again on what is confirmed. */
function relaid(state: SiteState, pending: readonly PendingEdit[]): SiteState {
  const { documents, kept, lost } = replay(state.confirmed, pending);
  if (lost.length === 0) return { ...state, documents, pending: kept };
  const conflicts = lost.map((each) =>
    conflictOf(documents, { ...each, reason: 'Somebody has changed the same value meanwhile.' }),
  );
  return { ...state, documents, pending: kept, conflicts: [...state.conflicts, ...conflicts] };
}

export const siteSlice = createSlice({
  name: 'site',
  initialState,
  reducers: {
    opening: alone(() => ({ ...initialState, status: 'loading' })),
    failed: whole<string>((state, error) => ({ ...state, status: 'failed', error })),
    opened: whole<Pick<SiteState, 'summary' | 'revision' | 'documents' | 'conflicts'>>(
      (_, given) => ({
        ...initialState,
        ...given,
        status: 'ready',
        confirmed: given.documents,
      }),
    ),
    /** An edit was made here. */
    edited: whole<{ made: PendingEdit; says: string; undo: 'step' | 'none' }>(
      (state, { made, says, undo }) => ({
        ...state,
        documents: applyChanges(state.documents, made.changes),
        pending: pendingWith(state.pending, made),
        refusal: null,
        ...(undo === 'none' ? {} : { undo: stepsWith(state.undo, made, says), redo: [] }),
      }),
    ),
    /** The last step was taken back, or made again: the stacks move. */
    undone: alone((state) => {
      const step = state.undo.at(-1);
      if (!step) return state;
      return {
        ...state,
        undo: state.undo.slice(0, -1),
        redo: [...state.redo, { ...step, group: null }],
      };
    }),
    undoLeftOut: alone((state) => ({ ...state, undo: state.undo.slice(0, -1) })),
    redone: alone((state) => {
      const step = state.redo.at(-1);
      if (!step) return state;
      return { ...state, redo: state.redo.slice(0, -1), undo: [...state.undo, step] };
    }),
    sending: whole<string>((state, sent) => ({
      ...state,
      pending: state.pending.map((edit) => (edit.id === sent ? { ...edit, sent: true } : edit)),
    })),
    /** The server has taken in the first pending edit as the next revision. */
    accepted: whole<{ id: string; revision: number }>((state, { id, revision }) => {
      const first = state.pending[0];
      if (first?.id !== id || revision !== state.revision + 1) return state;
      return {
        ...state,
        revision,
        confirmed: applyChanges(state.confirmed, first.changes),
        pending: state.pending.slice(1),
        connected: true,
      };
    }),
    /** The server has refused a pending edit; it is kept aside with both sides. */
    refusedByServer: whole<{ id: string; reason: string; stands: unknown }>(
      (state, { id, reason, stands }) => {
        const edit = state.pending.find((each) => each.id === id);
        if (!edit) return state;
        const conflict = conflictOf(state.documents, { edit, reason, stands });
        return relaid(
          { ...state, conflicts: [...state.conflicts, conflict] },
          state.pending.filter((other) => other !== edit),
        );
      },
    ),
    /** Edits that the server has, in order: others' and our own. */
    heard: whole<HistoryEdit[]>((state, edits) => {
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
      );
    }),
    decided: whole<string>((state, conflict) => ({
      ...state,
      conflicts: state.conflicts.filter(({ id }) => id !== conflict),
    })),
    connection: whole<boolean>((state, connected) =>
      state.connected === connected ? state : { ...state, connected },
    ),
    planned: whole<Plan>((state, plan) => ({ ...state, plan })),
    refused: whole<string>((state, says) => ({ ...state, refusal: { says, at: Date.now() } })),
    refusalSeen: alone((state) => ({ ...state, refusal: null })),
  },
});

/** Pending edits with one more: joined with the last when both are typing at one place and that one is not on its way. */
function pendingWith(pending: readonly PendingEdit[], made: PendingEdit): PendingEdit[] {
  const last = pending.at(-1);
  const joins =
    last !== undefined &&
    !last.sent &&
    made.group !== null &&
    last.group === made.group &&
    samePlaces(last.changes, made.changes);
  if (!joins) return [...pending, made];
  const joined = { ...made, id: last.id, changes: joinChanges(last.changes, made.changes) };
  return [...pending.slice(0, -1), ...(joined.changes.length > 0 ? [joined] : [])];
}

/** The steps that can be undone with one more: a word being typed is one step. */
function stepsWith(steps: readonly Step[], { changes, group }: PendingEdit, says: string): Step[] {
  const last = steps.at(-1);
  if (last === undefined || group === null || last.group !== group)
    return [...steps, { says, group, changes }].slice(-UNDO_DEPTH);
  return [...steps.slice(0, -1), { says, group, changes: joinChanges(last.changes, changes) }];
}

export const siteActions = siteSlice.actions;
