import {
  useMemo,
  useRef,
  useState,
  type ClipboardEvent,
  type KeyboardEvent,
  type ReactNode,
} from 'react';
import { useVirtualizer } from '@tanstack/react-virtual';
import Papa from 'papaparse';
import { newId } from '@sormet/core/model';
import { useLatest } from '../use-latest';
import { GridHead, type Sorted } from './GridHead';
import { GridRow, type RowActs } from './GridRow';
import type { Leaving } from './GridEditor';
import type { GridCell, GridColumn, GridLead, Visit } from './grid-parts';
import { laidOut, USUAL } from './laid-out';
import { atCell, rangeOf, walked, within, type At } from './walking';
import './grid.css';

/** How high a row is, in CSS px. */
const ROW = 28;
const NO_LEADS: readonly GridLead[] = [];

/**
 * A table as people fill it: walked by keys, cells selected as a block, edited where they stand, copied and pasted from
 * and to other programs, filled down, emptied. Only rows in sight are drawn (WAI-ARIA Authoring Practices, Grid Pattern).
 */
export function CellGrid({
  name,
  label,
  rows,
  keyOf,
  leads = NO_LEADS,
  columns,
  at,
  sort,
  onGo,
  onSort,
  onResize,
  cell,
  editor,
  onPaste,
  onFillDown,
  onEmpty,
}: {
  /** What ids of cells begin with. */
  name: string;
  label: string;
  rows: number;
  keyOf: (row: number) => string;
  leads?: readonly GridLead[];
  columns: readonly GridColumn[];
  at: At;
  sort: Sorted | null;
  onGo: (at: At) => void;
  onSort: (sort: Sorted | null) => void;
  onResize?: (column: string, width: number) => void;
  cell: (row: number, column: number) => GridCell;
  editor: (row: number, column: number, visit: Visit) => ReactNode;
  onPaste: (text: string) => void;
  onFillDown: () => void;
  onEmpty: () => void;
}): ReactNode {
  const [visit, setVisit] = useState<string | null>(null);
  const scroller = useRef<HTMLDivElement>(null);
  // oxlint-disable-next-line react/incompatible-library -- nothing here is memoized by what it gives
  const virtual = useVirtualizer({
    count: rows,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW,
    overscan: 12,
  });
  const range = rangeOf(at);
  const go = (to: At) => {
    const now = within(to, rows, columns.length);
    onGo(now);
    virtual.scrollToIndex(now.toRow);
    scroller.current
      ?.querySelector(`#${name}-${now.toRow}-${now.toColumn}`)
      ?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  };
  const edit = () => {
    if (columns[at.toColumn] && !columns[at.toColumn]!.isLocked && rows > 0) setVisit(newId());
  };
  const end = (leaving: Leaving) => {
    setVisit(null);
    scroller.current?.focus();
    const { toRow, toColumn } = at;
    if (leaving === 'down') go(atCell(toRow + 1, toColumn));
    if (leaving === 'right') go(atCell(toRow, toColumn + 1));
    if (leaving === 'left') go(atCell(toRow, toColumn - 1));
  };
  const keys = (event: KeyboardEvent) => {
    if (visit !== null || event.altKey || event.target !== scroller.current) return;
    const { key } = event;
    const does = (act: () => void) => {
      event.preventDefault();
      act();
    };
    const page = Math.max(1, Math.floor(scroller.current.clientHeight / ROW) - 2);
    const to = walked(at, event, { rows, columns: columns.length, page });
    if (to) return does(() => go(to));
    if (event.ctrlKey || event.metaKey) {
      if (key.toLowerCase() === 'd') does(onFillDown);
      return;
    }
    if (key === 'Delete' || key === 'Backspace') return does(onEmpty);
    if (key === 'Enter' || key === 'F2') return does(edit);
    // The letter itself goes into the field, which is there before the browser writes it.
    if (key.length === 1 && columns[at.toColumn]?.isTyped) edit();
  };
  const copy = (event: ClipboardEvent) => {
    if (visit !== null || event.target !== scroller.current || rows === 0) return;
    event.preventDefault();
    const words: string[][] = [];
    for (let row = range.top; row <= range.bottom; row += 1)
      words.push(
        columns.slice(range.left, range.right + 1).map((_, i) => cell(row, range.left + i).words),
      );
    event.clipboardData.setData('text/plain', Papa.unparse(words, { delimiter: '\t' }));
  };
  const paste = (event: ClipboardEvent) => {
    if (visit !== null || event.target !== scroller.current) return;
    event.preventDefault();
    onPaste(event.clipboardData.getData('text/plain'));
  };
  const lies = useMemo(() => laidOut(leads, columns), [leads, columns]);
  const acts = useLatest<RowActs>({
    go,
    reach: (to) => {
      if (visit === null) onGo(to);
    },
    edit,
    leave: () => setVisit(null),
    end,
  });
  return (
    <div
      ref={scroller}
      className="cell-grid"
      role="grid"
      aria-label={label}
      aria-rowcount={rows + 1}
      aria-colcount={leads.length + columns.length}
      aria-multiselectable
      aria-activedescendant={rows > 0 ? `${name}-${at.toRow}-${at.toColumn}` : undefined}
      tabIndex={0}
      onKeyDown={keys}
      onCopy={copy}
      onPaste={paste}
    >
      <GridHead
        headings={[...leads, ...columns].map((each, i) => ({
          id: each.id,
          label: each.label,
          mark: 'mark' in each ? each.mark : undefined,
          width: each.width ?? USUAL,
          style: lies.cells[i],
          className: lies.cells[i] ? ' is-staying' : '',
        }))}
        sort={sort}
        style={lies.row}
        onSort={onSort}
        onResize={onResize}
      />
      <div className="grid-rows" role="rowgroup" style={{ height: virtual.getTotalSize() }}>
        {virtual.getVirtualItems().map(({ index, start }) => (
          <GridRow
            key={keyOf(index)}
            name={name}
            index={index}
            start={start}
            leads={leads}
            columns={columns}
            lies={lies}
            at={at}
            visit={index === at.toRow ? visit : null}
            cell={cell}
            editor={editor}
            acts={acts}
          />
        ))}
      </div>
    </div>
  );
}
