import { own } from '@sormet/core/model';

/** Where somebody is in the table, and how far down or up what is selected goes; one column at a time. */
export interface At {
  readonly row: number;
  readonly to: number;
  readonly column: number;
}

/** The first and the last row that are selected. */
export function rangeOf({ row, to }: At): { readonly first: number; readonly last: number } {
  return { first: Math.min(row, to), last: Math.max(row, to) };
}

/** Where a key leads to, as in any table (WAI-ARIA Authoring Practices, Grid); nothing for other keys. */
export function walked(
  at: At,
  { key, shiftKey }: { readonly key: string; readonly shiftKey: boolean },
  size: { readonly rows: number; readonly page: number },
): At | undefined {
  const down = own({ ArrowDown: 1, ArrowUp: -1, PageDown: size.page, PageUp: -size.page }, key);
  const across = own({ ArrowRight: 1, ArrowLeft: -1 }, key);
  const end = own({ Home: 0, End: size.rows - 1 }, key);
  if (across !== undefined) return { row: at.to, to: at.to, column: at.column + across };
  const to = end ?? (down === undefined ? undefined : at.to + down);
  return to === undefined ? undefined : { ...at, row: shiftKey ? at.row : to, to };
}

/** The same within a table. */
export function within({ row, to, column }: At, rows: number, columns: number): At {
  const inside = (each: number, many: number) => Math.max(0, Math.min(many - 1, each));
  return { row: inside(row, rows), to: inside(to, rows), column: inside(column, columns) };
}
