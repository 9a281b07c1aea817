import {
  memo,
  useDeferredValue,
  useEffect,
  useLayoutEffect,
  useMemo,
  useRef,
  useState,
  type ReactNode,
} from 'react';
import { Tree, type NodeApi, type NodeRendererProps, type TreeApi } from 'react-arborist';
import { Box, Image, LayoutTemplate, List, Repeat, Stamp, Type } from 'lucide-react';
import {
  childrenOf,
  docOf,
  rootOf,
  sameJson,
  treeDocOf,
  inOrder,
  type Documents,
  type TreeDoc,
  type TreeNode,
} from '@sormet/core/model';
import { movesTo, nodeName, shortName } from '@sormet/core/edit';
import { useStore } from 'react-redux';
import { useApp, useAppDispatch, type AppStore } from '../store/store';
import { useDerived, useSync } from '../site/SiteProvider';
import { useStable } from '../parts/use-stable';
import { benchActions, type LandingPlace } from '../store/bench-slice';
import './Outline.css';

interface Row {
  readonly id: string;
  readonly name: string;
  readonly note: string;
  readonly icon: 'stamp' | 'box' | 'text' | 'picture' | 'repeat' | 'slot' | 'list';
  readonly own: string | null;
  /** The document the row belongs to. */
  readonly doc: string;
  readonly slot?: string;
  readonly parent: string | null;
  readonly children?: Row[];
}

const ICONS = {
  stamp: Stamp,
  box: Box,
  text: Type,
  picture: Image,
  repeat: Repeat,
  slot: LayoutTemplate,
  list: List,
};

/** The tree of a document as rows: an element and its only text are one row, slots stand above what fills them. */
function rowsOf(documents: Documents, doc: TreeDoc): Row[] {
  const children = childrenOf(doc.nodes);
  const row = (id: string): Row => {
    const node = doc.nodes[id]!;
    const parent = node.place.parent;
    const name = nodeName(documents, node, doc);
    if (node.kind === 'instance') {
      const component = docOf(documents, 'component', node.component);
      const slots = component ? inOrder(component.slots) : [];
      return {
        id,
        own: id,
        doc: doc.id,
        parent,
        name: component ? shortName(component.name) : name,
        note: node.name ? `“${node.name}”` : '',
        icon: 'stamp',
        ...(slots.length > 0
          ? {
              children: slots.map(([slot, { label }]) => {
                const filled = children.of(id, slot);
                return {
                  id: `${id}/${slot}`,
                  own: null,
                  doc: doc.id,
                  slot,
                  parent: id,
                  name: label,
                  note: filled.length > 0 ? 'slot' : 'slot, empty',
                  icon: 'slot' as const,
                  children: filled.map(row),
                };
              }),
            }
          : {}),
      };
    }
    const inner = children.all(id);
    const onlyText = inner.length === 1 && doc.nodes[inner[0]!]!.kind === 'text';
    return {
      id,
      own: id,
      doc: doc.id,
      parent,
      name,
      note: noteOf(doc, node, onlyText ? doc.nodes[inner[0]!] : undefined),
      icon: iconOf(node),
      ...(inner.length > 0 && !onlyText ? { children: inner.map(row) } : {}),
    };
  };
  return [row(rootOf(doc.nodes))];
}

function iconOf(node: TreeNode): Row['icon'] {
  if (node.kind === 'text') return 'text';
  if (node.kind === 'repeat') return 'repeat';
  if (node.kind === 'slot') return 'slot';
  if (node.kind === 'element' && (node.tag === 'img' || node.tag === 'video')) return 'picture';
  if (
    node.kind === 'element' &&
    /^(h[1-6]|p|a|span|strong|em|small|time|figcaption)$/.test(node.tag)
  )
    return 'text';
  if (node.kind === 'element' && /^[uo]l$/.test(node.tag)) return 'list';
  return 'box';
}

function noteOf(doc: TreeDoc, node: TreeNode, text: TreeNode | undefined): string {
  if (doc.kind === 'component') {
    const exposed = [
      ...(node.kind === 'element' ? Object.values(node.attributes) : []),
      ...(text?.kind === 'text' ? [text.text] : []),
      ...(node.kind !== 'slot' && node.kind !== 'repeat' && node.shown ? [node.shown] : []),
    ].filter((source) => source.is === 'property').length;
    if (exposed > 0) return exposed === 1 ? 'exposed' : `exposed ${exposed}`;
  }
  return node.kind === 'element' ? node.tag : '';
}

/** The outline: one row for each thing of the open document, selected together with canvas and ledger. */
export function Outline({ doc: id }: { doc: string }): ReactNode {
  // What is typed does not wait for the rows to follow, and most of it leaves them alone.
  const documents = useDeferredValue(useDerived().documents);
  const doc = treeDocOf(documents, id);
  const rows = useStable(useMemo(() => (doc ? rowsOf(documents, doc) : []), [documents, doc]));
  return <OutlineTree doc={id} rows={rows} />;
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
  const landing = useRef<LandingPlace | null>(null);
  const showLanding = (at: LandingPlace | null) => {
    if (sameJson(at, landing.current)) return;
    landing.current = at;
    // Asked while the tree is being drawn: told afterwards.
    queueMicrotask(() => dispatch(benchActions.showLanding(at)));
  };
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
  /** Whether a key has just been pressed in the outline: only then does the selection follow its focus. */
  const keyed = useRef(false);
  // With Alt the arrows move what is selected: the focus of the outline stays with it.
  useEffect(() => {
    const focused = tree.current?.focusedNode?.data;
    if (selected === undefined || !box.current?.contains(document.activeElement)) return;
    if ((focused?.own ?? focused?.parent) === selected) return;
    keyed.current = false;
    tree.current?.focus(selected, { scroll: true });
  }, [selected, rows]);
  return (
    <div
      className="outline"
      ref={box}
      onKeyDownCapture={({ key, altKey }) => {
        keyed.current = !altKey && /^(Arrow(Up|Down|Left|Right)|Home|End)$/.test(key);
      }}
      onKeyUp={() => {
        keyed.current = false;
      }}
      onPointerDownCapture={() => {
        keyed.current = false;
      }}
      onDragEnd={() => showLanding(null)}
    >
      <Tree<Row>
        ref={tree}
        data={rows}
        width={size.width}
        height={size.height}
        rowHeight={24}
        indent={12}
        openByDefault
        {...(selected === undefined ? {} : { selection: selected })}
        disableMultiSelection
        onFocus={({ data }) => {
          // Wherever the arrows lead, that is selected; a slot belongs to its instance.
          if (!keyed.current) return;
          const focused = data.own ?? data.parent;
          const { slot } = data;
          const isSame =
            selection?.doc === id &&
            focused !== null &&
            selection.nodes.includes(focused) &&
            selection.slot === slot;
          if (focused !== null && !isSame)
            dispatch(benchActions.select({ doc: id, nodes: [focused], ...(slot ? { slot } : {}) }));
        }}
        aria-label="Outline"
        disableDrag={(row) => row.own === null || row.parent === null}
        // Asked while something is dragged over a row: there it is shown where it would land, here and on the canvas.
        disableDrop={({ parentNode, index }) => {
          const row = parentNode.data as Row | undefined;
          if (!row || parentNode.isRoot) return true;
          const parent = row.own ?? row.parent!;
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
          const parent = target.own ?? target.parent!;
          const moves = movesTo(doc.nodes, moving, parent, index, target.slot);
          sync.edit({ name: 'move', args: { doc: id, moves } });
        }}
      >
        {OutlineRow}
      </Tree>
    </div>
  );
});

/** One row. The tree takes it as a component, so it must be the same function each time. */
function OutlineRow({ node, style, dragHandle }: NodeRendererProps<Row>): ReactNode {
  const dispatch = useAppDispatch();
  const { name, note, icon, own, doc } = node.data;
  const selection = useApp((state) => state.bench.selection);
  const landing = useApp((state) => state.bench.landing);
  const mine = selection?.doc === doc ? selection.nodes : [];
  const { slot, parent } = node.data;
  const of = own ?? parent!;
  const isSelected = mine.includes(of) && selection?.slot === slot;
  const isLanding = landing?.doc === doc && landing.parent === of && landing.slot === slot;
  const Icon = ICONS[icon];
  const select = (adds: boolean) => {
    if (adds && own !== null) {
      const nodes = mine.includes(own) ? mine.filter((id) => id !== own) : [...mine, own];
      dispatch(benchActions.select(nodes.length > 0 ? { doc, nodes } : null));
    } else
      dispatch(
        benchActions.select({ doc, nodes: [of], ...(own === null && slot ? { slot } : {}) }),
      );
  };
  return (
    <div
      ref={dragHandle}
      style={style}
      className={`outline-row ${isSelected ? 'selected' : ''} ${isLanding ? 'landing' : ''} ${own === null ? 'is-slot' : ''} is-${icon}`}
      onClick={(event) => select(event.ctrlKey)}
      onContextMenu={() => {
        if (!isSelected) select(false);
      }}
      onDoubleClick={() => node.toggle()}
    >
      <Icon size={13} strokeWidth={1.5} aria-hidden />
      <span className="outline-name">{name}</span>
      <span className="outline-note">{note}</span>
    </div>
  );
}
