import { isJson, readJson } from './read-json';

const cellsOf = (text: string) => {
  const { columns, rows } = readJson(text);
  return rows.map(({ cells }) =>
    Object.fromEntries(columns.map((column, i) => [column, cells[i]!])),
  );
};

test('a list of objects, wherever it stands, and an object for each line', () => {
  const meant = [
    { name: 'Ash', at: '1' },
    { name: 'Elm', at: '2' },
  ];
  expect(cellsOf('[{"name":"Ash","at":1},{"name":"Elm","at":2}]')).toEqual(meant);
  expect(
    cellsOf('{"meta":{"n":2},"data":{"items":[{"name":"Ash","at":1},{"name":"Elm","at":2}]}}'),
  ).toEqual(meant);
  expect(cellsOf('{"name":"Ash","at":1}\n\n{"name":"Elm","at":2}\n')).toEqual(meant);
});

test('what is nested has a path, lists of words are one cell, null is nothing', () => {
  const [row] = cellsOf(
    '[{"name":"Ash","at":{"town":"Millgate","geo":{"x":1.5}},"tags":["a","b"],"none":null,"on":true,"all":[{"a":1}]}]',
  );
  expect(row).toEqual({
    name: 'Ash',
    'at.town': 'Millgate',
    'at.geo.x': '1.5',
    tags: 'a; b',
    none: '',
    on: 'true',
    all: '[{"a":1}]',
  });
});

test('rows know their lines, and a line that is no object is told', () => {
  const text = '[\n  {"a": "[x"},\n  {\n    "a": 2\n  },\n  {"a": 3}\n]';
  expect(readJson(text).rows.map(({ line }) => line)).toEqual([2, 3, 6]);
  const lines = readJson('{"a":1}\nnot this\n{"a":2}');
  expect(lines.rows.map(({ line }) => line)).toEqual([1, 3]);
  expect(lines.faults).toMatchObject([{ line: 2, why: { code: 'line-no-object' } }]);
});

test('JSON is told from rows by how it begins', () => {
  expect(isJson(' \n[1]')).toBe(true);
  expect(isJson('{"a":1}')).toBe(true);
  expect(isJson('name,town')).toBe(false);
});
