import type { CSSProperties } from 'react';
import type { GridColumn, GridLead } from './grid-parts';

/** How wide a column is at least, in CSS px, and as wide as it is where nobody said. */
const NARROWEST = 60;
export const USUAL = 130;

/** How the columns of a table lie, leads first. */
export interface LaidOut {
  /** Of each row, and of the headings. */
  readonly row: CSSProperties;
  /** Of each cell of a row by its place, where it stays in sight while one goes sideways. */
  readonly cells: readonly (CSSProperties | undefined)[];
}

/** How the columns of a table lie: those that do not say how wide they are share what is left. */
export function laidOut(leads: readonly GridLead[], columns: readonly GridColumn[]): LaidOut {
  const row: CSSProperties = {
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
  const cells = staying(leads, columns).map((left): CSSProperties => ({
    position: 'sticky',
    left,
    zIndex: 1,
  }));
  return { row, cells };
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
