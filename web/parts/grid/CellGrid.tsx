import {
  useRef,
  useState,
  type ClipboardEvent,
  type CSSProperties,
  type KeyboardEvent,
  type ReactNode,
} from 'react';
import { useVirtualizer } from '@tanstack/react-virtual';
import Papa from 'papaparse';
import { newId } from '@sormet/core/model';
import { GridHead, type Sorted } from './GridHead';
import type { Leaving } from './GridEditor';
import { atCell, isIn, rangeOf, walked, within, type At } from './walking';
import './grid.css';

/** How high a row is, in CSS px. */
const ROW = 28;
/** How wide a column is at least, in CSS px, and as wide as it is where nobody said. */
const NARROWEST = 60;
const USUAL = 130;

/** A column of a table. */
export interface GridColumn {
  readonly id: string;
  readonly label: string;
  /** What stands behind its name. */
  readonly mark?: ReactNode;
  /** How wide, in CSS px; what is left is shared among those that do not say. */
  readonly width?: number | undefined;
  /** Whether it stays in sight while one goes sideways; only the first ones can. */
  readonly stays?: boolean;
  /** Whether typing begins to write in it. */
  readonly isTyped: boolean;
  /** Whether it is not written here. */
  readonly isLocked?: boolean;
}

/** A column before all others that nobody walks through: what leads on from a row. */
export interface GridLead {
  readonly id: string;
  readonly label: string;
  /** In CSS px. */
  readonly width: number;
  readonly cell: (row: number) => ReactNode;
}

/** What a cell shows, and as which words it is copied. */
export interface GridCell {
  readonly words: string;
  readonly shown?: ReactNode;
  readonly className?: string;
  readonly title?: string;
}

/** What the editor of a cell is given. */
export interface Visit {
  /** What is typed in one visit of a cell is one step, under this name. */
  readonly name: string;
  readonly onEnd: (leaving: Leaving) => void;
}

/**
 * A table as people fill it: walked by keys, cells selected as a block, edited where they stand, copied and pasted from
 * and to other programs, filled down, emptied. Only rows in sight are drawn (WAI-ARIA Authoring Practices, Grid Pattern).
 */
export function CellGrid({
  name,
  label,
  rows,
  keyOf,
  leads = [],
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
  const laidOut: CSSProperties = {
    gridTemplateColumns: [
      ...leads.map(({ width }) => `${width}px`),
      ...columns.map(({ width }) =>
        width === undefined ? `minmax(${USUAL}px,1fr)` : `${Math.max(NARROWEST, width)}px`,
      ),
    ].join(' '),
    minWidth:
      leads.reduce((sum, { width }) => sum + width, 0) +
      columns.reduce((sum, { width }) => sum + Math.max(NARROWEST, width ?? USUAL), 0),
  };
  const offsets = staying(leads, columns);
  const stays = (i: number): CSSProperties | undefined =>
    offsets[i] === undefined ? undefined : { position: 'sticky', left: offsets[i], zIndex: 1 };
  const stayClass = (i: number) => (offsets[i] === undefined ? '' : ' is-staying');
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
          style: stays(i),
          className: stayClass(i),
        }))}
        sort={sort}
        style={laidOut}
        onSort={onSort}
        onResize={onResize}
      />
      <div className="grid-rows" role="rowgroup" style={{ height: virtual.getTotalSize() }}>
        {virtual.getVirtualItems().map(({ index, start }) => (
          <div
            key={keyOf(index)}
            className="grid-row"
            role="row"
            aria-rowindex={index + 2}
            style={{ ...laidOut, transform: `translateY(${start}px)` }}
          >
            {leads.map((lead, i) => (
              <div key={lead.id} role="rowheader" style={stays(i)} className={stayClass(i)}>
                {lead.cell(index)}
              </div>
            ))}
            {columns.map((column, i) => {
              const isAt = index === at.toRow && i === at.toColumn;
              const isChosen = isIn(range, index, i);
              const { words, shown, className = '', title } = cell(index, i);
              const place = leads.length + i;
              return (
                <div
                  key={column.id}
                  id={`${name}-${index}-${i}`}
                  role="gridcell"
                  aria-selected={isChosen}
                  className={`${className}${isChosen ? ' is-chosen' : ''}${isAt ? ' is-at' : ''}${stayClass(place)}`}
                  style={stays(place)}
                  title={title ?? words}
                  onMouseDown={({ shiftKey, target, currentTarget }) => {
                    if (isAt && visit !== null) return;
                    // What is edited elsewhere is done with it.
                    setVisit(null);
                    if (currentTarget.contains(target as Node))
                      go(shiftKey ? { ...at, toRow: index, toColumn: i } : atCell(index, i));
                  }}
                  onMouseEnter={({ buttons }) => {
                    if (buttons === 1 && visit === null) onGo({ ...at, toRow: index, toColumn: i });
                  }}
                  onDoubleClick={edit}
                >
                  {isAt && visit !== null ? (
                    editor(index, i, { name: visit, onEnd: end })
                  ) : (
                    <span className="grid-words">{shown ?? words}</span>
                  )}
                </div>
              );
            })}
          </div>
        ))}
      </div>
    </div>
  );
}

/** How far from the edge each of the first columns stays that stay in sight, in CSS px. */
function staying(leads: readonly GridLead[], columns: readonly GridColumn[]): number[] {
  const offsets: number[] = [];
  if (!columns[0]?.stays) return offsets;
  let left = 0;
  for (const { width } of leads) {
    offsets.push(left);
    left += width;
  }
  for (const { stays, width } of columns) {
    if (!stays) break;
    offsets.push(left);
    left += Math.max(NARROWEST, width ?? USUAL);
  }
  return offsets;
}
