import { memo, type ReactNode, type RefObject } from 'react';
import type { GridCell, GridColumn, GridLead, Visit } from './grid-parts';
import type { LaidOut } from './laid-out';
import { atCell, isIn, rangeOf, type At } from './walking';

/** What pressing in a row does. */
export interface RowActs {
  readonly go: (to: At) => void;
  /** The same without bringing it into sight: what the pointer is over is. */
  readonly reach: (to: At) => void;
  readonly edit: () => void;
  readonly leave: () => void;
  readonly end: Visit['onEnd'];
}

/** One row of a table, drawn anew only when something of it is another: not while one scrolls. */
export const GridRow = memo(function GridRow({
  name,
  index,
  start,
  leads,
  columns,
  lies,
  at,
  visit,
  cell,
  editor,
  acts,
}: {
  name: string;
  index: number;
  /** How far below the first, in CSS px. */
  start: number;
  leads: readonly GridLead[];
  columns: readonly GridColumn[];
  lies: LaidOut;
  at: At;
  /** The visit of a cell of this row, while one is edited. */
  visit: string | null;
  cell: (row: number, column: number) => GridCell;
  editor: (row: number, column: number, visit: Visit) => ReactNode;
  acts: RefObject<RowActs>;
}): ReactNode {
  const range = rangeOf(at);
  const stayClass = (i: number) => (lies.cells[i] ? ' is-staying' : '');
  return (
    <div
      className="grid-row"
      role="row"
      aria-rowindex={index + 2}
      style={{ ...lies.row, transform: `translateY(${start}px)` }}
    >
      {leads.map((lead, i) => (
        <div key={lead.id} role="rowheader" style={lies.cells[i]} className={stayClass(i)}>
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
            style={lies.cells[place]}
            title={title ?? words}
            onMouseDown={({ shiftKey, target, currentTarget }) => {
              if (isAt && visit !== null) return;
              // What is edited elsewhere is done with it.
              acts.current.leave();
              if (currentTarget.contains(target as Node))
                acts.current.go(shiftKey ? { ...at, toRow: index, toColumn: i } : atCell(index, i));
            }}
            onMouseEnter={({ buttons }) => {
              if (buttons === 1) acts.current.reach({ ...at, toRow: index, toColumn: i });
            }}
            onDoubleClick={() => acts.current.edit()}
          >
            {isAt && visit !== null ? (
              editor(index, i, { name: visit, onEnd: (leaving) => acts.current.end(leaving) })
            ) : (
              <span className="grid-words">{shown ?? words}</span>
            )}
          </div>
        );
      })}
    </div>
  );
});
