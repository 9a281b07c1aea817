import type { CSSProperties, ReactNode } from 'react';
import type { Column, Looking } from './use-roster';

/** The heads of the columns: pressed, the rows are in the order of that column, then the other way round, then as they came. */
export function RosterTableHead({
  columns,
  sort,
  style,
  onSort,
}: {
  columns: readonly Column[];
  sort: Looking['sort'];
  style: CSSProperties;
  onSort: (sort: Looking['sort']) => void;
}): ReactNode {
  const heads = [
    ['page', 'Page', false],
    ['name', 'Instance', false],
    ...columns.map(({ id, property }) => [id, property.label, property.axis === true] as const),
  ] as const;
  return (
    <div className="roster-head" role="row" style={style}>
      {heads.map(([by, label, isAxis]) => {
        const mine = sort?.by === by ? sort : null;
        const next = !mine ? { by, down: false } : mine.down ? null : { by, down: true };
        return (
          <div
            key={by}
            role="columnheader"
            aria-sort={mine ? (mine.down ? 'descending' : 'ascending') : 'none'}
          >
            <button type="button" onClick={() => onSort(next)}>
              {label}
              {isAxis ? <span className="roster-axis"> variant</span> : null}{' '}
              {mine ? (mine.down ? '↓' : '↑') : ''}
            </button>
          </div>
        );
      })}
    </div>
  );
}
