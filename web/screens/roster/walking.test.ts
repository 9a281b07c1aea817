import { rangeOf, walked, within, type At } from './walking';

const SIZE = { rows: 30, page: 10 };
const at: At = { row: 4, to: 6, column: 1 };
const press = (key: string, shiftKey = false) => walked(at, { key, shiftKey }, SIZE);

test('arrows go on from where somebody is, and what was selected is that alone', () => {
  expect(press('ArrowDown')).toEqual({ row: 7, to: 7, column: 1 });
  expect(press('ArrowUp')).toEqual({ row: 5, to: 5, column: 1 });
  expect(press('ArrowRight')).toEqual({ row: 6, to: 6, column: 2 });
  expect(press('ArrowLeft')).toEqual({ row: 6, to: 6, column: 0 });
});

test('with Shift what is selected grows from where it began', () => {
  expect(press('ArrowDown', true)).toEqual({ row: 4, to: 7, column: 1 });
  expect(press('End', true)).toEqual({ row: 4, to: 29, column: 1 });
  expect(press('Home', true)).toEqual({ row: 4, to: 0, column: 1 });
});

test('pages are as long as what is seen, and other keys lead nowhere', () => {
  expect(press('PageDown')).toEqual({ row: 16, to: 16, column: 1 });
  expect(press('PageUp')).toEqual({ row: -4, to: -4, column: 1 });
  for (const key of ['a', 'Enter', 'Tab', 'constructor', 'toString'])
    expect(press(key)).toBeUndefined();
});

test('nobody walks out of the table, upwards or downwards it is one range', () => {
  expect(within({ row: -4, to: 99, column: 7 }, 30, 3)).toEqual({ row: 0, to: 29, column: 2 });
  expect(within({ row: 3, to: 3, column: 0 }, 0, 0)).toEqual({ row: 0, to: 0, column: 0 });
  expect(rangeOf({ row: 6, to: 2, column: 0 })).toEqual({ first: 2, last: 6 });
});
