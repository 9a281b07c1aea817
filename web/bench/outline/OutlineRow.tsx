import { useContext, useEffect, useRef, useState, type MouseEvent, type ReactNode } from 'react';
import type { NodeRendererProps, RowRendererProps } from 'react-arborist';
import {
  Box,
  ChevronDown,
  ChevronRight,
  File,
  Image,
  LayoutTemplate,
  List,
  Repeat,
  Stamp,
  Type,
} from 'lucide-react';
import { nodeIn } from '@sormet/core/model';
import { useDerived, useSync } from '../../site/SiteProvider';
import { benchActions } from '../../store/bench-slice';
import { useApp, useAppDispatch } from '../../store/store';
import { SelectingContext } from './selecting';
import { WHOLE, type Row } from './rows';

const ICONS = {
  document: File,
  stamp: Stamp,
  box: Box,
  text: Type,
  picture: Image,
  repeat: Repeat,
  slot: LayoutTemplate,
  list: List,
};

/** The element of a row: what is selected is the bench's own, and what holds nothing does not unfold. */
export function OutlineItem({ node, attrs, innerRef, children }: RowRendererProps<Row>): ReactNode {
  const isSelected = useIsSelected(node.data);
  return (
    <div
      {...attrs}
      ref={innerRef}
      aria-selected={isSelected}
      aria-expanded={node.isInternal ? node.isOpen : undefined}
      onFocus={(event) => event.stopPropagation()}
      onClick={(event) => node.handleClick(event)}
    >
      {children}
    </div>
  );
}

function useIsSelected({ own, parent, doc, slot }: Row): boolean {
  const of = own ?? parent;
  return useApp(({ bench: { selection } }) => {
    if (of === null)
      return selection === null || (selection.doc === doc && selection.nodes.length === 0);
    return selection?.doc === doc && selection.nodes.includes(of) && selection.slot === slot;
  });
}

/** One row. The tree takes it as a component, so it must be the same function each time. */
export function OutlineRow({ node, style, dragHandle }: NodeRendererProps<Row>): ReactNode {
  const dispatch = useAppDispatch();
  const selecting = useContext(SelectingContext);
  const { name, note, icon, own, doc, id, slot, parent } = node.data;
  const landing = useApp((state) => state.bench.landing);
  const naming = useApp((state) => state.bench.naming);
  const of = own ?? parent;
  const isSelected = useIsSelected(node.data);
  const isLanding =
    of !== null && landing?.doc === doc && landing.parent === of && landing.slot === slot;
  const isNamed = own !== null && naming?.doc === doc && naming.node === own;
  const Icon = ICONS[icon];
  const press = (event: MouseEvent) => {
    if (event.shiftKey) selecting.extendTo(node);
    else if (event.ctrlKey || event.metaKey) selecting.toggle(node);
    else selecting.select(node);
  };
  const Chevron = node.isOpen ? ChevronDown : ChevronRight;
  return (
    <div
      ref={dragHandle}
      style={style}
      className={`outline-row ${isSelected ? 'selected' : ''} ${isLanding ? 'landing' : ''} ${own === null && id !== WHOLE ? 'is-slot' : ''} is-${icon}`}
      onClick={press}
      onContextMenu={() => {
        if (!isSelected) selecting.select(node);
      }}
      onDoubleClick={() => {
        if (own !== null) dispatch(benchActions.name({ doc, node: own }));
      }}
    >
      {node.isInternal ? (
        <span
          className="outline-fold"
          aria-hidden
          title={node.isOpen ? 'Fold' : 'Unfold'}
          onClick={(event) => {
            event.stopPropagation();
            node.toggle();
          }}
          onDoubleClick={(event) => event.stopPropagation()}
        >
          <Chevron size={11} strokeWidth={2} />
        </span>
      ) : (
        <span className="outline-fold" />
      )}
      <Icon size={13} strokeWidth={1.5} aria-hidden />
      {isNamed ? (
        <NameField doc={doc} node={own} />
      ) : (
        <>
          <span className="outline-name">{name}</span>
          <span className="outline-note">{note}</span>
        </>
      )}
    </div>
  );
}

/** The name of its own that tells a thing from others like it, typed in its row. */
function NameField({ doc, node }: { doc: string; node: string }): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const dispatch = useAppDispatch();
  const stored = nodeIn(documents, doc, node)?.name ?? '';
  const [typed, setTyped] = useState(stored);
  const field = useRef<HTMLInputElement>(null);
  useEffect(() => {
    field.current?.select();
  }, []);
  /** Whether it was given or dropped already: a field that goes away tells of that, too. */
  const isDone = useRef(false);
  const close = (gives: boolean) => {
    if (isDone.current) return;
    isDone.current = true;
    const name = typed.trim();
    if (gives && name !== stored) sync.edit({ name: 'nameNode', args: { doc, node, name } });
    const tree = field.current?.closest<HTMLElement>('[role="tree"]');
    dispatch(benchActions.name(null));
    tree?.focus();
  };
  return (
    <input
      ref={field}
      autoFocus
      className="outline-naming"
      aria-label="name"
      placeholder="a name to tell it from others"
      maxLength={120}
      value={typed}
      onChange={({ target }) => setTyped(target.value)}
      onBlur={() => close(true)}
      onClick={(event) => event.stopPropagation()}
      onDoubleClick={(event) => event.stopPropagation()}
      onKeyDown={(event) => {
        // Keys are letters here: the tree and the bench have no part in them.
        event.stopPropagation();
        if (event.key === 'Enter') close(true);
        if (event.key === 'Escape') close(false);
      }}
    />
  );
}
