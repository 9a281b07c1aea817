import { fireEvent, render, screen } from '@testing-library/react';
import { useState, type ReactNode } from 'react';
import { CellGrid } from './CellGrid';
import type { GridColumn } from './grid-parts';
import { atCell } from './walking';

const ROWS = 500;
const columns: GridColumn[] = [
  { id: 'name', label: 'Name', isTyped: true, stays: true },
  { id: 'day', label: 'Day', isTyped: true },
];
/** Which rows were drawn, each time one is. */
let drawn: number[] = [];
const cell = (row: number, column: number) => {
  if (column === 0) drawn.push(row);
  return { words: `${row} ${column}` };
};
const keyOf = (row: number) => `row ${row}`;
const nothing = () => undefined;
const noEditor = () => null;

function Table(): ReactNode {
  const [at, setAt] = useState(atCell(0, 0));
  return (
    <CellGrid
      name="t"
      label="Many"
      rows={ROWS}
      keyOf={keyOf}
      columns={columns}
      at={at}
      sort={null}
      onGo={setAt}
      onSort={nothing}
      cell={cell}
      editor={noEditor}
      onPaste={nothing}
      onFillDown={nothing}
      onEmpty={nothing}
    />
  );
}

beforeEach(() => {
  drawn = [];
  // Nothing is laid out here: the table is 280 px high, so that ten rows are in sight.
  for (const side of ['clientHeight', 'clientWidth'] as const)
    Object.defineProperty(HTMLElement.prototype, side, { configurable: true, get: () => 280 });
});

test('only rows in sight are drawn; scrolled on, those that stay are not drawn again', async () => {
  render(<Table />);
  await screen.findByText('0 0');
  const grid = screen.getByRole('grid', { name: 'Many' });
  expect(grid).toHaveAttribute('aria-rowcount', String(ROWS + 1));
  const first = new Set(drawn);
  expect(first.size).toBeGreaterThanOrEqual(10);
  expect(first.size).toBeLessThan(60);
  drawn = [];
  Object.defineProperty(grid, 'scrollTop', { configurable: true, value: 90 });
  fireEvent.scroll(grid);
  expect(drawn.length).toBeGreaterThan(0);
  expect(drawn.filter((row) => first.has(row))).toEqual([]);
});
