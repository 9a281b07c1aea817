import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { newId, type State, type Typed } from '@sormet/core/model';
import type { Picks } from '@sormet/core/resolve';
import type { Width } from '@sormet/core/style';
import { keep, kept } from './kept';
import { DEFAULT_KEYMAP, keptKeymap, type Keymap } from './keymap';

/** What is selected: nodes of one document. */
export interface Selection {
  readonly doc: string;
  readonly nodes: readonly string[];
  /** The slot of the one instance that is selected, where that is meant. */
  readonly slot?: string;
  /** What is looked at inside the one instance that is selected, by its address. */
  readonly inside?: string;
}

/** A state that a canvas holds: of the definition that is looked at, or of an instance in the tree of a document. */
export interface HeldAt {
  readonly doc: string;
  readonly node: string | null;
  readonly property: string;
  readonly value: Typed;
}

/** Where what is dragged would land: so many children before it. */
export interface LandingPlace {
  readonly doc: string;
  readonly parent: string;
  readonly slot?: string;
  readonly index: number;
}

/** What can be done about a text that is not typed into, offered by the sentence: to expose it in its definition, to open its entry. */
export type Offer =
  | { readonly is: 'expose'; readonly definition: string; readonly node: string }
  | { readonly is: 'rich'; readonly definition: string; readonly node: string }
  | { readonly is: 'entry'; readonly entry: string };

/** A document as it was after a revision, with the moment of that. */
export interface Earlier {
  readonly doc: string;
  readonly revision: number;
  readonly at: string;
}

export type LedgerTab = 'values' | 'style' | 'acts' | 'history';

/** Whether outline and shelf stand beside each other, and the ledger beside the page. */
export interface Layout {
  readonly left: boolean | null;
  readonly ledger: boolean;
}

/** What of the bench an address may say. */
export type Arrival = Partial<
  Pick<BenchState, 'selection' | 'beside' | 'width' | 'tab' | 'lit' | 'state' | 'picks'>
>;

export interface BenchState {
  readonly selection: Selection | null;
  /** The component whose definition lies beside the page. */
  readonly beside: string | null;
  /** An earlier version of what is open that lies beside it. */
  readonly earlier: Earlier | null;
  /** The states that the canvases hold: looked at, and stored nowhere. */
  readonly held: readonly HeldAt[];
  /** Whether what is open is tried beside it, as visitors use it. */
  readonly trying: boolean;
  readonly width: Width;
  readonly tab: LedgerTab;
  /** The rule that typing in the style ledger goes to; `null` is the nearest: here. */
  readonly lit: string | null;
  /** The state that is styled, and in which the canvas holds what is selected; rest without one. */
  readonly state: State | null;
  /** The variant of a definition that is lit: by axis its option, and the id of its rule where none is made yet. */
  readonly picks: { readonly doc: string; readonly axes: Picks; readonly rule: string } | null;
  /** The theme in which the canvas holds what is drawn; the site's own without one. */
  readonly heldTheme: string | null;
  /** Whether it was asked for the line that declares, and that has not got the focus yet. */
  readonly declareAsked: boolean;
  readonly folded: { readonly left: boolean; readonly ledger: boolean };
  /** How the bench is laid out; `null` where the window decides. */
  readonly layout: Layout;
  /** A text to put the cursor into: the node whose first text is meant, after placing. */
  readonly typeInto: { readonly doc: string; readonly node: string } | null;
  /** Where a brace was typed on the page: behind how many characters of which words a value is to stand. */
  readonly placing: { readonly words: string; readonly at: number } | null;
  /** A short word to the person, shown in the sentence. */
  readonly notice: string | null;
  /** What can be done about what the notice says. */
  readonly offer: Offer | null;
  /** The share of its full size at which a page and a definition are drawn; `null` for the one that fits. */
  readonly zoom: { readonly page: number | null; readonly definition: number | null };
  /** Whether what pages are lined up with is shown over them. */
  readonly guides: boolean;
  /** Whether the variants of a definition stand side by side; `null` while nobody said: where one is open by itself. */
  readonly strip: boolean | null;
  /** Counts how often it was asked to zoom to what is selected. */
  readonly zoomAsked: number;
  /** Where what is being dragged would land, shown on the canvas and in the outline. */
  readonly landing: LandingPlace | null;
  /** What is being given a name of its own, in its row of the outline. */
  readonly naming: { readonly doc: string; readonly node: string } | null;
  readonly goLine: boolean;
  readonly keys: boolean;
  readonly tracing: boolean;
  /** The value whose trace was asked for in its row. */
  readonly traced: string | null;
  readonly keymap: Keymap;
  /** Where in the handbook one reads beside what one does: a chapter, behind a hash the heading. */
  readonly handbook: string | null;
}

const initialState: BenchState = {
  selection: null,
  beside: null,
  earlier: null,
  held: [],
  trying: false,
  width: 'base',
  tab: 'values',
  lit: null,
  state: null,
  picks: null,
  heldTheme: null,
  declareAsked: false,
  folded: { left: false, ledger: false },
  layout: { left: null, ledger: false },
  typeInto: null,
  placing: null,
  notice: null,
  offer: null,
  zoom: { page: null, definition: null },
  guides: false,
  strip: null,
  zoomAsked: 0,
  landing: null,
  naming: null,
  goLine: false,
  keys: false,
  tracing: false,
  traced: null,
  keymap: DEFAULT_KEYMAP,
  handbook: null,
};

/** Between which shares of its full size something can be drawn. */
export const SMALLEST = 0.1;
export const LARGEST = 4;

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

const LAYOUT = 'sormet.bench.layout';

function keptLayout(): Layout {
  const read = (stored: unknown) => {
    const { left, ledger } = (stored ?? {}) as Partial<Record<keyof Layout, unknown>>;
    return { left: typeof left === 'boolean' ? left : null, ledger: ledger === true };
  };
  return kept(LAYOUT, read, initialState.layout);
}

/** Keeps in this browser how the bench is laid out. */
export function keepLayout(layout: Layout): void {
  keep(LAYOUT, layout);
}

const ZOOM = 'sormet.bench.zoom';

function keptZoom(): BenchState['zoom'] {
  const share = (value: unknown) =>
    typeof value === 'number' && value >= SMALLEST && value <= LARGEST ? value : null;
  const read = (stored: unknown) => {
    const { page, definition } = (stored ?? {}) as Partial<Record<'page' | 'definition', unknown>>;
    return { page: share(page), definition: share(definition) };
  };
  return kept(ZOOM, read, initialState.zoom);
}

/** Keeps in this browser how large things are drawn. */
export function keepZoom(zoom: BenchState['zoom']): void {
  keep(ZOOM, zoom);
}

const GUIDES = 'sormet.bench.guides';

/** Keeps in this browser whether guides are shown. */
export function keepGuides(guides: boolean): void {
  keep(GUIDES, guides);
}

const STRIP = 'sormet.bench.strip';

/** Keeps in this browser whether variants stand side by side. */
export function keepStrip(strip: boolean | null): void {
  keep(STRIP, strip);
}

export const benchSlice = createSlice({
  name: 'bench',
  initialState: () => ({
    ...initialState,
    keymap: keptKeymap(),
    folded: keptFolds(),
    zoom: keptZoom(),
    guides: kept(GUIDES, (stored) => stored === true, false),
    strip: kept(STRIP, (stored) => (typeof stored === 'boolean' ? stored : null), null),
    layout: keptLayout(),
  }),
  reducers: {
    select(state, { payload }: PayloadAction<Selection | null>) {
      state.selection = payload ? { ...payload, nodes: [...payload.nodes] } : null;
      state.lit = null;
      state.state = null;
      state.notice = null;
    },
    openBeside(state, { payload }: PayloadAction<string | null>) {
      state.beside = payload;
      state.earlier = null;
      state.trying = false;
      if (payload === null && state.selection?.doc !== undefined) state.lit = null;
    },
    lookBack(state, { payload }: PayloadAction<Earlier | null>) {
      state.earlier = payload;
    },
    hold(
      state,
      { payload }: PayloadAction<Omit<HeldAt, 'value'> & { readonly value: Typed | null }>,
    ) {
      const { doc, node, property, value } = payload;
      const others = state.held.filter(
        (each) => each.doc !== doc || each.node !== node || each.property !== property,
      );
      state.held = value === null ? others : [...others, { doc, node, property, value }];
    },
    letGo(state, { payload }: PayloadAction<string>) {
      state.held = state.held.filter(({ doc }) => doc !== payload);
    },
    tryIt(state, { payload }: PayloadAction<boolean>) {
      state.trying = payload;
      if (payload) state.earlier = null;
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
    holdState(state, { payload }: PayloadAction<State | null>) {
      state.state = payload;
    },
    pick: {
      reducer(
        state,
        {
          payload,
        }: PayloadAction<{ doc: string; axis: string; option: string | null; rule: string }>,
      ) {
        const { doc, axis, option, rule } = payload;
        const axes = { ...(state.picks?.doc === doc ? state.picks.axes : {}) };
        if (option === null) delete axes[axis];
        else axes[axis] = option;
        state.picks = Object.keys(axes).length > 0 ? { doc, axes, rule } : null;
        state.lit = null;
        state.notice = null;
      },
      prepare: (asked: { doc: string; axis: string; option: string | null }) => ({
        payload: { ...asked, rule: newId() },
      }),
    },
    pickAll: {
      reducer(state, { payload }: PayloadAction<{ doc: string; axes: Picks; rule: string }>) {
        const { doc, axes, rule } = payload;
        state.picks = Object.keys(axes).length > 0 ? { doc, axes: { ...axes }, rule } : null;
        state.lit = null;
        state.notice = null;
      },
      prepare: (asked: { doc: string; axes: Picks }) => ({ payload: { ...asked, rule: newId() } }),
    },
    showStrip(state, { payload }: PayloadAction<boolean>) {
      state.strip = payload;
    },
    holdTheme(state, { payload }: PayloadAction<string | null>) {
      state.heldTheme = payload;
    },
    openHandbook(state, { payload }: PayloadAction<string | null>) {
      state.handbook = payload;
    },
    askDeclare(state) {
      state.tab = 'style';
      state.folded.ledger = false;
      state.declareAsked = true;
    },
    declareAnswered(state) {
      state.declareAsked = false;
    },
    fold(state, { payload }: PayloadAction<keyof BenchState['folded']>) {
      state.folded[payload] = !state.folded[payload];
    },
    layOut(state, { payload }: PayloadAction<Partial<Layout>>) {
      Object.assign(state.layout, payload);
    },
    typeInto(state, { payload }: PayloadAction<BenchState['typeInto']>) {
      state.typeInto = payload;
    },
    placeValue(state, { payload }: PayloadAction<BenchState['placing']>) {
      state.placing = payload;
      if (payload) {
        state.tab = 'values';
        state.folded.ledger = false;
      }
    },
    notice(state, { payload }: PayloadAction<string | null>) {
      state.notice = payload;
      state.offer = null;
    },
    offer(state, { payload }: PayloadAction<{ notice: string; offer: Offer | null }>) {
      state.notice = payload.notice;
      state.offer = payload.offer;
    },
    setZoom(state, { payload }: PayloadAction<Partial<BenchState['zoom']>>) {
      Object.assign(state.zoom, payload);
    },
    showGuides(state, { payload }: PayloadAction<boolean>) {
      state.guides = payload;
    },
    askZoom(state) {
      state.zoomAsked += 1;
    },
    showLanding(state, { payload }: PayloadAction<LandingPlace | null>) {
      state.landing = payload;
    },
    name(state, { payload }: PayloadAction<BenchState['naming']>) {
      state.naming = payload;
    },
    showGoLine(state, { payload }: PayloadAction<boolean>) {
      state.goLine = payload;
    },
    showKeys(state, { payload }: PayloadAction<boolean>) {
      state.keys = payload;
    },
    showTrace(state, { payload }: PayloadAction<boolean>) {
      state.tracing = payload;
      state.traced = null;
    },
    traceValue(state, { payload }: PayloadAction<string>) {
      state.tracing = true;
      state.traced = payload;
    },
    /** Somebody came by an address: what it says holds, and of what was selected before nothing. */
    arrive: (state, { payload }: PayloadAction<Arrival>) => ({
      ...initialState,
      width: state.width,
      tab: state.tab,
      folded: state.folded,
      zoom: state.zoom,
      guides: state.guides,
      strip: state.strip,
      layout: state.layout,
      keymap: state.keymap,
      handbook: state.handbook,
      ...payload,
      selection: payload.selection
        ? { ...payload.selection, nodes: [...payload.selection.nodes] }
        : null,
    }),
    setKeymap(state, { payload }: PayloadAction<Keymap>) {
      state.keymap = payload;
    },
  },
});

export const benchActions = benchSlice.actions;
