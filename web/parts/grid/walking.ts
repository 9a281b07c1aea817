import { own } from '@sormet/core/model';

/** Where somebody is in a table, and from where what is selected grows to there: a rectangle of cells. */
export interface At {
  /** Where what is selected begins. */
  readonly row: number;
  readonly column: number;
  /** Where somebody is. */
  readonly toRow: number;
  readonly toColumn: number;
}

/** The cells that are selected: from the first row and column to the last, these among them. */
export interface Range {
  readonly top: number;
  readonly bottom: number;
  readonly left: number;
  readonly right: number;
}

/** One cell alone. */
export function atCell(row: number, column: number): At {
  return { row, column, toRow: row, toColumn: column };
}

/** The cells that are selected. */
export function rangeOf({ row, column, toRow, toColumn }: At): Range {
  return {
    top: Math.min(row, toRow),
    bottom: Math.max(row, toRow),
    left: Math.min(column, toColumn),
    right: Math.max(column, toColumn),
  };
}

/** Whether a cell is among those selected. */
export function isIn({ top, bottom, left, right }: Range, row: number, column: number): boolean {
  return row >= top && row <= bottom && column >= left && column <= right;
}

interface Pressed {
  readonly key: string;
  readonly shiftKey: boolean;
  readonly ctrlKey: boolean;
  readonly metaKey: boolean;
}

interface Size {
  readonly rows: number;
  readonly columns: number;
  /** How many rows are seen at once. */
  readonly page: number;
}

/** Where a key leads to, as in any table (WAI-ARIA Authoring Practices, Grid Pattern); nothing for other keys. */
export function walked(at: At, pressed: Pressed, { rows, columns, page }: Size): At | undefined {
  const { key, shiftKey } = pressed;
  const far = pressed.ctrlKey || pressed.metaKey;
  if (far && key.toLowerCase() === 'a')
    return { row: 0, column: 0, toRow: rows - 1, toColumn: columns - 1 };
  const down = own({ ArrowDown: 1, ArrowUp: -1, PageDown: page, PageUp: -page }, key);
  const across = own({ ArrowRight: 1, ArrowLeft: -1 }, key);
  const end = own({ Home: 0, End: 1 }, key);
  if (down === undefined && across === undefined && end === undefined) return undefined;
  let { toRow, toColumn } = at;
  // With Control it goes on as far as there is anything.
  if (down !== undefined) toRow = far ? (down < 0 ? 0 : rows - 1) : toRow + down;
  if (across !== undefined) toColumn = far ? (across < 0 ? 0 : columns - 1) : toColumn + across;
  if (end !== undefined) {
    toColumn = end * (columns - 1);
    if (far) toRow = end * (rows - 1);
  }
  return shiftKey ? { ...at, toRow, toColumn } : atCell(toRow, toColumn);
}

/** The same within a table. */
export function within(at: At, rows: number, columns: number): At {
  const inside = (each: number, many: number) => Math.max(0, Math.min(many - 1, each));
  return {
    row: inside(at.row, rows),
    column: inside(at.column, columns),
    toRow: inside(at.toRow, rows),
    toColumn: inside(at.toColumn, columns),
  };
}
