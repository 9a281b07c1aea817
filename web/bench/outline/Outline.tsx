import {
  memo,
  useDeferredValue,
  useEffect,
  useLayoutEffect,
  useMemo,
  useRef,
  useState,
  type ReactNode,
  type RefObject,
} from 'react';
import { Tree, type NodeApi, type TreeApi } from 'react-arborist';
import { useStore } from 'react-redux';
import { sameJson, treeDocOf } from '@sormet/core/model';
import { movesTo, topmost } from '@sormet/core/edit';
import { useStable } from '../../parts/use-stable';
import { useDerived, useSync } from '../../site/SiteProvider';
import { benchActions, type LandingPlace, type Selection } from '../../store/bench-slice';
import { keep, kept } from '../../store/kept';
import { useApp, useAppDispatch, type AppStore } from '../../store/store';
import { OutlineItem, OutlineRow } from './OutlineRow';
import { rowsOf, WHOLE, type Row } from './rows';
import { SelectingContext, type Selecting } from './selecting';
import './Outline.css';

/** The outline: one row for each thing of the open document, selected together with canvas and ledger. */
export function Outline({ doc: id }: { doc: string }): ReactNode {
  // What is typed does not wait for the rows to follow, and most of it leaves them alone.
  const documents = useDeferredValue(useDerived().documents);
  const doc = treeDocOf(documents, id);
  const rows = useStable(useMemo(() => (doc ? rowsOf(documents, doc) : []), [documents, doc]));
  // The tree of the library changes its list while it is drawn: it must not be drawn in a turn that is given up again for
  // something more urgent, as those of values that lag behind are, or rows are asked for that are not there.
  const [drawn, draw] = useState(rows);
  useEffect(() => {
    let isOver = false;
    queueMicrotask(() => {
      if (!isOver) draw(rows);
    });
    return () => {
      isOver = true;
    };
  }, [rows]);
  const isOther = drawn[0]?.doc !== id;
  return <OutlineTree key={id} doc={id} rows={isOther ? rows : drawn} />;
}

/** How long something is held over a closed row before it opens, in ms. */
const HOLDS = 600;

const OutlineTree = memo(function OutlineTree({
  doc: id,
  rows,
}: {
  doc: string;
  rows: Row[];
}): ReactNode {
  const sync = useSync();
  const store = useStore() as AppStore;
  const dispatch = useAppDispatch();
  const selection = useApp((state) => state.bench.selection);
  const docNow = () => treeDocOf(store.getState().site.documents, id);
  const box = useRef<HTMLDivElement>(null);
  const tree = useRef<TreeApi<Row>>(null);
  const [size, setSize] = useState({ width: 200, height: 200 });
  useLayoutEffect(() => {
    const observer = new ResizeObserver(([entry]) => {
      const { width, height } = entry!.contentRect;
      setSize({ width, height });
    });
    observer.observe(box.current!);
    return () => observer.disconnect();
  }, []);
  const selected = selection?.doc === id ? selection.nodes[0] : undefined;
  const selecting = useSelecting(id, tree);
  /** The row at which the selection stands, when it is here. */
  const at = selected ?? (selection === null || selection.doc === id ? WHOLE : undefined);
  const landing = useRef<LandingPlace | null>(null);
  const showLanding = (at: LandingPlace | null) => {
    if (sameJson(at, landing.current)) return;
    landing.current = at;
    // Asked while the tree is being drawn: told afterwards.
    queueMicrotask(() => dispatch(benchActions.showLanding(at)));
  };
  const naming = useApp((state) => state.bench.naming);
  useEffect(() => {
    if (naming?.doc !== id) return;
    tree.current?.openParents(naming.node);
    void tree.current?.scrollTo(naming.node);
  }, [naming, id]);
  const [openAtFirst] = useState(() => keptFolded(id));
  const folded = useRef(openAtFirst);
  // The tree selects one by itself; several are ours to say.
  useEffect(() => {
    box.current?.querySelector('[role="tree"]')?.setAttribute('aria-multiselectable', 'true');
  });
  const opening = useRef<{ id: string; timer: ReturnType<typeof setTimeout> } | null>(null);
  /** A row that is closed opens when something is held over it. */
  const openSoon = (node: NodeApi<Row>) => {
    if (opening.current?.id === node.id) return;
    clearTimeout(opening.current?.timer);
    const timer = setTimeout(() => {
      if (landing.current?.parent === (node.data.own ?? node.data.parent)) node.open();
      opening.current = null;
    }, HOLDS);
    opening.current = { id: node.id, timer };
  };
  /** Whether what is pressed was begun beside the rows: a row that moved away from under a press lets nothing go. */
  const isBeside = useRef(false);
  /** Whether a key has just been pressed in the outline: only then does the selection follow its focus. */
  const keyed = useRef<'alone' | 'extends' | false>(false);
  // What is selected elsewhere, or moved with Alt and the arrows, takes the focus of the outline along.
  useEffect(() => {
    const isMine = selecting.wasHere();
    if (at === undefined || isMine || !box.current?.contains(document.activeElement)) return;
    const focused = tree.current?.focusedNode;
    if ((focused?.data.own ?? focused?.id) === at) return;
    keyed.current = false;
    tree.current?.focus(at, { scroll: true });
  }, [at, rows, selecting]);
  return (
    <div
      className="outline"
      ref={box}
      onKeyDownCapture={(event) => {
        const { key, altKey, shiftKey, ctrlKey } = event;
        const walks = !altKey && /^(Arrow(Up|Down|Left|Right)|Home|End)$/.test(key);
        keyed.current = !walks ? false : shiftKey ? 'extends' : 'alone';
        const focused = tree.current?.focusedNode;
        if (!focused || event.target instanceof HTMLInputElement) return;
        if (key === ' ' && ctrlKey) {
          event.preventDefault();
          event.stopPropagation();
          selecting.toggle(focused);
        }
        if (key === 'F2' && focused.data.own !== null) {
          event.stopPropagation();
          dispatch(benchActions.name({ doc: id, node: focused.data.own }));
        }
      }}
      onKeyUp={() => {
        keyed.current = false;
      }}
      onPointerDownCapture={({ target }) => {
        keyed.current = false;
        isBeside.current = !isInRow(target);
      }}
      onDragEnd={() => showLanding(null)}
    >
      <SelectingContext value={selecting}>
        <Tree<Row>
          ref={tree}
          data={rows}
          width={size.width}
          height={size.height}
          rowHeight={24}
          indent={12}
          openByDefault
          // Always there: the tree compares how many things it is told.
          selection={selected ?? ''}
          // What is selected is the bench's own, and may be several.
          disableMultiSelection
          onFocus={(row) => {
            // Wherever the arrows lead, that is selected; a slot belongs to its instance.
            if (keyed.current === 'extends') selecting.extendTo(row);
            if (keyed.current === 'alone') selecting.select(row);
          }}
          initialOpenState={openAtFirst}
          onToggle={(row) => {
            const isOpen = tree.current?.get(row)?.isOpen ?? true;
            folded.current = { ...folded.current };
            if (isOpen) delete folded.current[row];
            else folded.current[row] = false;
            keepFolded(id, folded.current);
          }}
          // Beside the rows nothing is: what was selected is let go.
          onClick={({ target }) => {
            if (!isBeside.current || isInRow(target)) return;
            dispatch(benchActions.select({ doc: id, nodes: [] }));
          }}
          renderRow={OutlineItem}
          aria-label="Outline"
          disableDrag={(row) => row.own === null || row.parent === null}
          // Asked while something is dragged over a row: there it is shown where it would land, here and on the canvas.
          disableDrop={({ parentNode, index }) => {
            const row = parentNode.data as Row | undefined;
            const parent = row?.own ?? row?.parent;
            if (!row || parentNode.isRoot || typeof parent !== 'string') return true;
            if (!parentNode.isOpen) openSoon(parentNode);
            showLanding({ doc: id, parent, ...(row.slot ? { slot: row.slot } : {}), index });
            return false;
          }}
          onMove={({ dragIds, parentNode, index }) => {
            const target = parentNode?.data;
            const [dragged] = dragIds;
            const doc = docNow();
            showLanding(null);
            if (!target || dragged === undefined || !doc) return;
            const all = selection?.doc === id ? selection.nodes : [];
            const moving = all.includes(dragged) ? all : [dragged];
            const parent = target.own ?? target.parent;
            if (parent === null) return;
            const moves = movesTo(doc.nodes, moving, parent, index, target.slot);
            sync.edit({ name: 'move', args: { doc: id, moves } });
          }}
        >
          {OutlineRow}
        </Tree>
      </SelectingContext>
    </div>
  );
});

function isInRow(target: EventTarget): boolean {
  return target instanceof Element && target.closest('.outline-row') !== null;
}

/** How rows are selected: one, all between two, one more or less. */
function useSelecting(
  doc: string,
  tree: RefObject<TreeApi<Row> | null>,
): Selecting & { readonly wasHere: () => boolean } {
  const dispatch = useAppDispatch();
  const store = useStore() as AppStore;
  /** The row from which a selection is extended. */
  const from = useRef<string | null>(null);
  /** What was selected here last: the focus is where it belongs then. */
  const here = useRef<Selection | null>(null);
  return useMemo(() => {
    const select = (selection: Selection) => {
      here.current = selection;
      dispatch(benchActions.select(selection));
    };
    const mine = () => {
      const { selection } = store.getState().bench;
      return selection?.doc === doc ? selection : null;
    };
    return {
      wasHere: () => sameJson(here.current, store.getState().bench.selection),
      select: ({ id, data: { own, parent, slot } }) => {
        from.current = id;
        const node = own ?? parent;
        const now = mine();
        const isSame =
          now !== null &&
          now.slot === slot &&
          now.nodes.length === (node === null ? 0 : 1) &&
          now.nodes[0] === (node ?? undefined);
        if (isSame) return;
        select({
          doc,
          nodes: node === null ? [] : [node],
          ...(own === null && slot ? { slot } : {}),
        });
      },
      extendTo: (row) => {
        const rows = tree.current?.visibleNodes ?? [];
        const begin = from.current ?? mine()?.nodes[0] ?? row.id;
        from.current = begin;
        const [a, b] = [begin, row.id].map((id) => rows.findIndex((each) => each.id === id));
        if (a === undefined || b === undefined || a < 0 || b < 0) return;
        const between = rows
          .slice(Math.min(a, b), Math.max(a, b) + 1)
          .flatMap(({ data }) => data.own ?? []);
        const { documents } = store.getState().site;
        const nodes = treeDocOf(documents, doc)?.nodes;
        if (!nodes || between.length === 0) return;
        // What stands in one of them goes with it.
        const all = topmost(nodes, between);
        select({ doc, nodes: a > b ? [...all].reverse() : all });
      },
      toggle: ({ id, data: { own } }) => {
        if (own === null) return;
        from.current = id;
        const now = mine()?.nodes ?? [];
        select({
          doc,
          nodes: now.includes(own) ? now.filter((each) => each !== own) : [...now, own],
        });
      },
    };
  }, [doc, dispatch, store, tree]);
}

const FOLDED = 'sormet.outline.folded';
/** Of how many documents it is kept which rows are folded. */
const MOST_DOCUMENTS = 100;

/** Which rows of a document are folded, as this browser keeps it. */
function keptFolded(doc: string): Record<string, boolean> {
  return Object.fromEntries((keptOfAll()[doc] ?? []).map((row) => [row, false]));
}

function keepFolded(doc: string, folded: Readonly<Record<string, boolean>>): void {
  const rows = Object.keys(folded);
  const all = Object.entries(keptOfAll())
    .filter(([other]) => other !== doc)
    .slice(-MOST_DOCUMENTS);
  keep(FOLDED, Object.fromEntries(rows.length > 0 ? [...all, [doc, rows]] : all));
}

function keptOfAll(): Record<string, readonly string[]> {
  return kept(
    FOLDED,
    (stored) =>
      typeof stored === 'object' && stored !== null && !Array.isArray(stored)
        ? Object.fromEntries(
            Object.entries(stored).filter(
              ([, rows]) => Array.isArray(rows) && rows.every((row) => typeof row === 'string'),
            ),
          )
        : undefined,
    {},
  );
}
