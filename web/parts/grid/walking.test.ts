import { atCell, isIn, rangeOf, walked, within, type At } from './walking';

const SIZE = { rows: 30, columns: 5, page: 10 };
const at: At = { row: 4, column: 1, toRow: 6, toColumn: 2 };
const press = (key: string, { shift = false, ctrl = false } = {}) =>
  walked(at, { key, shiftKey: shift, ctrlKey: ctrl, metaKey: false }, SIZE);

test('arrows go on from where somebody is, and what was selected is that alone', () => {
  expect(press('ArrowDown')).toEqual(atCell(7, 2));
  expect(press('ArrowUp')).toEqual(atCell(5, 2));
  expect(press('ArrowRight')).toEqual(atCell(6, 3));
  expect(press('ArrowLeft')).toEqual(atCell(6, 1));
});

test('with Shift what is selected grows from where it began, both ways', () => {
  expect(press('ArrowDown', { shift: true })).toEqual({ ...at, toRow: 7 });
  expect(press('ArrowRight', { shift: true })).toEqual({ ...at, toColumn: 3 });
  expect(press('End', { shift: true })).toEqual({ ...at, toColumn: 4 });
});

test('Home and End are the ends of a row, with Control those of the table; arrows with Control go to the end', () => {
  expect(press('Home')).toEqual(atCell(6, 0));
  expect(press('End', { ctrl: true })).toEqual(atCell(29, 4));
  expect(press('Home', { ctrl: true })).toEqual(atCell(0, 0));
  expect(press('ArrowDown', { ctrl: true })).toEqual(atCell(29, 2));
  expect(press('ArrowUp', { ctrl: true, shift: true })).toEqual({ ...at, toRow: 0 });
  expect(press('a', { ctrl: true })).toEqual({ row: 0, column: 0, toRow: 29, toColumn: 4 });
});

test('pages are as long as what is seen, and other keys lead nowhere', () => {
  expect(press('PageDown')).toEqual(atCell(16, 2));
  expect(press('PageUp')).toEqual(atCell(-4, 2));
  for (const key of ['a', 'Enter', 'Tab', 'constructor', 'toString'])
    expect(press(key)).toBeUndefined();
});

test('nobody walks out of the table; upwards or downwards it is one range', () => {
  expect(within({ row: -4, column: 7, toRow: 99, toColumn: -1 }, 30, 3)).toEqual({
    row: 0,
    column: 2,
    toRow: 29,
    toColumn: 0,
  });
  expect(within(atCell(3, 0), 0, 0)).toEqual(atCell(0, 0));
  const range = rangeOf({ row: 6, column: 1, toRow: 2, toColumn: 0 });
  expect(range).toEqual({ top: 2, bottom: 6, left: 0, right: 1 });
  expect(isIn(range, 3, 1)).toBe(true);
  expect(isIn(range, 3, 2)).toBe(false);
});
