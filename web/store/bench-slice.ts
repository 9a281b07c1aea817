import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Width } from '@sormet/core/style';
import { keep, kept } from './kept';
import { DEFAULT_KEYMAP, keptKeymap, type Keymap } from './keymap';

/** What is selected: nodes of one document. */
export interface Selection {
  readonly doc: string;
  readonly nodes: readonly string[];
}

export type LedgerTab = 'values' | 'style' | 'history';

export interface BenchState {
  readonly selection: Selection | null;
  /** The component whose definition lies beside the page. */
  readonly beside: string | null;
  readonly width: Width;
  readonly tab: LedgerTab;
  /** The rule that typing in the style ledger goes to; `null` is the nearest: here. */
  readonly lit: string | null;
  readonly folded: { readonly left: boolean; readonly ledger: boolean };
  /** A text to put the cursor into: the node whose first text is meant, after placing. */
  readonly typeInto: { readonly doc: string; readonly node: string } | null;
  /** A short word to the person, shown in the sentence. */
  readonly notice: string | null;
  readonly goLine: boolean;
  readonly keys: boolean;
  readonly tracing: boolean;
  readonly keymap: Keymap;
}

const initialState: BenchState = {
  selection: null,
  beside: null,
  width: 'base',
  tab: 'values',
  lit: null,
  folded: { left: false, ledger: false },
  typeInto: null,
  notice: null,
  goLine: false,
  keys: false,
  tracing: false,
  keymap: DEFAULT_KEYMAP,
};

const FOLDS = 'sormet.bench.folds';

function keptFolds(): BenchState['folded'] {
  const read = (stored: unknown) => {
    const { left, ledger } = (stored ?? {}) as Partial<BenchState['folded']>;
    return { left: left === true, ledger: ledger === true };
  };
  return kept(FOLDS, read, initialState.folded);
}

/** Keeps in this browser what is folded. */
export function keepFolds(folded: BenchState['folded']): void {
  keep(FOLDS, folded);
}

export const benchSlice = createSlice({
  name: 'bench',
  initialState: () => ({ ...initialState, keymap: keptKeymap(), folded: keptFolds() }),
  reducers: {
    select(state, { payload }: PayloadAction<Selection | null>) {
      state.selection = payload ? { doc: payload.doc, nodes: [...payload.nodes] } : null;
      state.lit = null;
      state.notice = null;
    },
    openBeside(state, { payload }: PayloadAction<string | null>) {
      state.beside = payload;
      if (payload === null && state.selection?.doc !== undefined) state.lit = null;
    },
    setWidth(state, { payload }: PayloadAction<Width>) {
      state.width = payload;
    },
    setTab(state, { payload }: PayloadAction<LedgerTab>) {
      state.tab = payload;
    },
    light(state, { payload }: PayloadAction<string | null>) {
      state.lit = payload;
    },
    fold(state, { payload }: PayloadAction<keyof BenchState['folded']>) {
      state.folded[payload] = !state.folded[payload];
    },
    typeInto(state, { payload }: PayloadAction<BenchState['typeInto']>) {
      state.typeInto = payload;
    },
    notice(state, { payload }: PayloadAction<string | null>) {
      state.notice = payload;
    },
    showGoLine(state, { payload }: PayloadAction<boolean>) {
      state.goLine = payload;
    },
    showKeys(state, { payload }: PayloadAction<boolean>) {
      state.keys = payload;
    },
    showTrace(state, { payload }: PayloadAction<boolean>) {
      state.tracing = payload;
    },
    /** Another document was opened: what was selected in the last one is let go. */
    leave: (state) => ({
      ...initialState,
      width: state.width,
      tab: state.tab,
      folded: state.folded,
      keymap: state.keymap,
    }),
    setKeymap(state, { payload }: PayloadAction<Keymap>) {
      state.keymap = payload;
    },
  },
});

export const benchActions = benchSlice.actions;
