import { useRef, useState, type ClipboardEvent, type KeyboardEvent, type ReactNode } from 'react';
import { Link } from 'react-router';
import { useVirtualizer } from '@tanstack/react-virtual';
import Papa from 'papaparse';
import { literal, newId, type ValueKind } from '@sormet/core/model';
import type { RosterRow } from '@sormet/core/edit';
import { useDerived, useSync } from '../../site/SiteProvider';
import { documentWords } from '../../words';
import type { Given } from './pasted-block';
import { RosterCell } from './RosterCell';
import { RosterTableHead } from './RosterTableHead';
import { cellOf, nameOf, type Column, type Looking } from './use-roster';
import { rangeOf, walked, within, type At } from './walking';

/** How high a row is, in CSS px. */
const ROW = 28;
/** Kinds that typing begins to write. */
const TYPED: ReadonlySet<ValueKind> = new Set(['text', 'number', 'length']);

/** The instances, a row each: walked by keys, edited in the cell, copied and pasted as blocks. Only rows in sight are drawn. */
export function RosterTable({
  name,
  rows,
  columns,
  sort,
  at,
  onSort,
  onGo,
  onSet,
  onFillDown,
  onTakeBack,
  onPaste,
}: {
  name: string;
  rows: readonly RosterRow[];
  columns: readonly Column[];
  sort: Looking['sort'];
  at: At;
  onSort: (sort: Looking['sort']) => void;
  onGo: (at: At) => void;
  onSet: (given: readonly Given[], group: string | null) => void;
  onFillDown: () => void;
  onTakeBack: () => void;
  onPaste: (text: string) => void;
}): ReactNode {
  const { documents } = useDerived();
  const { site } = useSync();
  /** What is typed in one visit of a cell is one step. */
  const [visit, setVisit] = useState<string | null>(null);
  const scroller = useRef<HTMLDivElement>(null);
  // eslint-disable-next-line react-hooks/incompatible-library -- nothing here is memoized by what it gives
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW,
    overscan: 12,
  });
  const { first, last } = rangeOf(at);
  const column = columns[at.column];
  const go = (to: At) => {
    const now = within(to, rows.length, columns.length);
    onGo(now);
    virtual.scrollToIndex(now.to);
  };
  const edit = () => setVisit(newId());
  const keys = (event: KeyboardEvent) => {
    if (visit !== null || event.altKey) return;
    const { key } = event;
    const does = (act: () => void) => {
      event.preventDefault();
      act();
    };
    if (event.ctrlKey || event.metaKey) {
      if (key.toLowerCase() === 'd') does(onFillDown);
      return;
    }
    const page = Math.max(1, Math.floor((scroller.current?.clientHeight ?? ROW) / ROW) - 2);
    const to = walked(at, event, { rows: rows.length, page });
    if (to) return does(() => go(to));
    if (key === 'Delete' || key === 'Backspace') return does(onTakeBack);
    if (key === 'Enter' || key === 'F2') return does(edit);
    // The letter itself goes into the field, which is there before the browser writes it.
    if (key.length === 1 && column && TYPED.has(column.property.type.kind)) edit();
  };
  const copy = (event: ClipboardEvent) => {
    if (visit !== null || !column) return;
    event.preventDefault();
    const words = rows.slice(first, last + 1).map((row) => [cellOf(documents, row, column).words]);
    event.clipboardData.setData('text/plain', Papa.unparse(words, { delimiter: '\t' }));
  };
  const paste = (event: ClipboardEvent) => {
    if (visit !== null) return;
    event.preventDefault();
    onPaste(event.clipboardData.getData('text/plain'));
  };
  const laidOut = {
    gridTemplateColumns: `minmax(110px,150px) minmax(110px,160px) ${columns.map(() => 'minmax(130px,1fr)').join(' ')}`,
    minWidth: 220 + 130 * columns.length,
  };
  return (
    <div
      ref={scroller}
      className="roster"
      role="grid"
      aria-label={`Instances of ${name}`}
      aria-rowcount={rows.length + 1}
      aria-colcount={columns.length + 2}
      aria-multiselectable
      aria-activedescendant={`roster-${at.to}-${at.column}`}
      tabIndex={0}
      onKeyDown={keys}
      onCopy={copy}
      onPaste={paste}
    >
      <RosterTableHead columns={columns} sort={sort} style={laidOut} onSort={onSort} />
      <div className="roster-rows" role="rowgroup" style={{ height: virtual.getTotalSize() }}>
        {virtual.getVirtualItems().map(({ index, start }) => {
          const row = rows[index]!;
          return (
            <div
              key={`${row.doc} ${row.node}`}
              className="roster-row"
              role="row"
              aria-rowindex={index + 2}
              style={{ ...laidOut, transform: `translateY(${start}px)` }}
            >
              <div role="rowheader">
                <Link tabIndex={-1} to={`/sites/${site}/bench/${row.doc}#${row.node}`}>
                  {documentWords(documents, row.doc)}
                </Link>
              </div>
              <div role="gridcell">{nameOf(documents, row)}</div>
              {columns.map((each, i) => {
                const isAt = index === at.to && i === at.column;
                return (
                  <RosterCell
                    key={each.id}
                    id={`roster-${index}-${i}`}
                    column={each}
                    cell={cellOf(documents, row, each)}
                    isAt={isAt}
                    isChosen={i === at.column && index >= first && index <= last}
                    isEdited={isAt && visit !== null}
                    onPoint={(grows) => {
                      setVisit(null);
                      go({ row: grows ? at.row : index, to: index, column: i });
                    }}
                    onEdit={edit}
                    onChange={(value, group) =>
                      onSet(
                        [{ row, column: each, source: literal(value) }],
                        group === null ? null : `${visit} ${group}`,
                      )
                    }
                    onEnd={(moved) => {
                      setVisit(null);
                      scroller.current?.focus();
                      if (moved) go({ row: index + 1, to: index + 1, column: i });
                    }}
                  />
                );
              })}
            </div>
          );
        })}
      </div>
    </div>
  );
}
