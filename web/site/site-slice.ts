import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Documents } from '@sormet/core/model';
import { applyChanges, sayEdit, type Change } from '@sormet/core/edit';
import type { HistoryEdit, Plan, SiteSummary } from './api';
import {
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

/** How many steps can be undone. */
const UNDO_DEPTH = 300;

function conflictOf(
  documents: Documents,
  { id, edit, changes }: PendingEdit,
  reason: string,
  stands: unknown,
): Conflict {
  return {
    id,
    edit,
    says: sayEdit(documents, edit),
    reason,
    yours: changes[0]?.now ?? null,
    stands: stands ?? null,
  };
}

/** The state with pending edits laid again on what is confirmed. */
function relaid(state: SiteState, pending: readonly PendingEdit[]): SiteState {
  const { documents, kept, lost } = replay(state.confirmed, pending);
  if (lost.length === 0) return { ...state, documents, pending: kept };
  const conflicts = lost.map(({ edit, stands }) =>
    conflictOf(documents, edit, 'Somebody has changed the same value meanwhile.', stands),
  );
  return { ...state, documents, pending: kept, conflicts: [...state.conflicts, ...conflicts] };
}

export const siteSlice = createSlice({
  name: 'site',
  initialState,
  reducers: {
    opening: () => ({ ...initialState, status: 'loading' as const }),
    failed: (state, { payload }: PayloadAction<string>) => ({
      ...state,
      status: 'failed' as const,
      error: payload,
    }),
    opened(
      _,
      {
        payload,
      }: PayloadAction<{
        summary: SiteSummary;
        revision: number;
        documents: Documents;
        conflicts: Conflict[];
      }>,
    ) {
      const { summary, revision, documents, conflicts } = payload;
      return {
        ...initialState,
        status: 'ready' as const,
        summary,
        revision,
        confirmed: documents,
        documents,
        conflicts,
      };
    },
    /** An edit was made here. */
    edited(
      state,
      { payload }: PayloadAction<{ made: PendingEdit; says: string; undo: 'step' | 'none' }>,
    ) {
      const { made, says, undo } = payload;
      const documents = applyChanges(state.documents as Documents, made.changes);
      const last = state.pending.at(-1) as PendingEdit | undefined;
      const joins =
        last &&
        !last.sent &&
        made.group !== null &&
        last.group === made.group &&
        samePlaces(last.changes, made.changes);
      const pending = joins
        ? [
            ...state.pending.slice(0, -1),
            { ...made, id: last.id, changes: joinChanges(last.changes, made.changes) },
          ].filter((edit) => edit.changes.length > 0)
        : [...state.pending, made];
      const before = state.undo.at(-1) as Step | undefined;
      const sameStep = before && made.group !== null && before.group === made.group;
      const step: Step = {
        says,
        group: made.group,
        changes: sameStep ? joinChanges(before.changes, made.changes) : made.changes,
      };
      return {
        ...(state as SiteState),
        documents,
        pending: pending as PendingEdit[],
        refusal: null,
        ...(undo === 'none'
          ? {}
          : {
              undo: [...(sameStep ? state.undo.slice(0, -1) : state.undo), step].slice(
                -UNDO_DEPTH,
              ) as Step[],
              redo: [],
            }),
      };
    },
    /** The last step was taken back, or made again: the stacks move. */
    undone(state) {
      const step = state.undo.at(-1);
      return step
        ? ({
            ...state,
            undo: state.undo.slice(0, -1),
            redo: [...state.redo, { ...step, group: null }],
          } as SiteState)
        : state;
    },
    redone(state) {
      const step = state.redo.at(-1);
      return step
        ? ({ ...state, redo: state.redo.slice(0, -1), undo: [...state.undo, step] } as SiteState)
        : state;
    },
    sending(state, { payload }: PayloadAction<string>) {
      return {
        ...state,
        pending: state.pending.map((edit) =>
          edit.id === payload ? { ...edit, sent: true } : edit,
        ),
      } as SiteState;
    },
    /** The server has taken in the first pending edit as the next revision. */
    accepted(state, { payload }: PayloadAction<{ id: string; revision: number }>) {
      const plain = state as SiteState;
      const first = plain.pending[0];
      if (first?.id !== payload.id || payload.revision !== plain.revision + 1) return plain;
      return {
        ...plain,
        revision: payload.revision,
        confirmed: applyChanges(plain.confirmed, first.changes),
        pending: plain.pending.slice(1),
        connected: true,
      };
    },
    /** The server has refused a pending edit; it is kept aside with both sides. */
    refusedByServer(
      state,
      { payload }: PayloadAction<{ id: string; reason: string; stands: unknown }>,
    ) {
      const plain = state as SiteState;
      const edit = plain.pending.find(({ id }) => id === payload.id);
      if (!edit) return plain;
      const conflict = conflictOf(plain.documents, edit, payload.reason, payload.stands);
      return relaid(
        { ...plain, conflicts: [...plain.conflicts, conflict] },
        plain.pending.filter((other) => other !== edit),
      );
    },
    /** Edits that the server has, in order: others' and our own. */
    heard(state, { payload }: PayloadAction<HistoryEdit[]>) {
      const plain = state as SiteState;
      let { confirmed, revision } = plain;
      const own = new Set<string>();
      for (const edit of payload) {
        if (edit.revision !== revision + 1) continue;
        confirmed = applyChanges(confirmed, edit.changes);
        revision = edit.revision;
        own.add(edit.edit);
      }
      return relaid(
        { ...plain, confirmed, revision, connected: true },
        plain.pending.filter(({ id }) => !own.has(id)),
      );
    },
    decided(state, { payload }: PayloadAction<string>) {
      return {
        ...state,
        conflicts: state.conflicts.filter(({ id }) => id !== payload),
      } as SiteState;
    },
    connection: (state, { payload }: PayloadAction<boolean>) =>
      state.connected === payload ? state : { ...state, connected: payload },
    planned: (state, { payload }: PayloadAction<Plan>) =>
      ({ ...state, plan: payload }) as SiteState,
    refused: (state, { payload }: PayloadAction<string>) => ({
      ...state,
      refusal: { says: payload, at: Date.now() },
    }),
    refusalSeen: (state) => ({ ...state, refusal: null }),
  },
});

export const siteActions = siteSlice.actions;
export type { Change };
