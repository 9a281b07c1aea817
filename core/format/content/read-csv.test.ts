import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import fc from 'fast-check';
import { csvWaysOf, DELIMITERS, readCsv, type CsvWays } from './read-csv';
import { decoded, encodingOf } from './decode';

const PLAIN: CsvWays = { delimiter: ',', quote: '"', header: true };
const spectrum = dirname(require.resolve('csv-spectrum/package.json'));

// csv-spectrum (github.com/max-mapper/csv-spectrum): files of comma-separated values with what they mean as JSON.
// `location_coordinates` is left out: what its JSON says has another telephone number than its file.
const sound = readdirSync(join(spectrum, 'csvs')).filter((name) => !name.startsWith('location'));
test.each(sound.map((name) => [name]))('%s of csv-spectrum is read as it is meant', (name) => {
  const text = readFileSync(join(spectrum, 'csvs', name), 'utf8');
  const meant = JSON.parse(
    readFileSync(join(spectrum, 'json', name.replace(/csv$/, 'json')), 'utf8'),
  ) as Record<string, string>[];
  const { columns, rows } = readCsv(text, PLAIN);
  expect(
    rows.map(({ cells }) => Object.fromEntries(columns.map((column, i) => [column, cells[i]]))),
  ).toEqual(meant);
});

/** RFC 4180, section 2: a file as its grammar makes it, written out here and by nothing of the program. */
const TEXTDATA = /^[\x20-\x21\x23-\x2b\x2d-\x7e]*$/;
const field = (words: string) =>
  TEXTDATA.test(words) ? words : `"${words.replaceAll('"', '""')}"`;
const cell = fc.string({ unit: fc.constantFrom('a', ' ', ',', ';', '"', '\r\n', '\n', 'é', '雨') });

test('what the grammar of RFC 4180 makes of any cells is read as these cells', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 2, max: 5 }).chain((width) =>
        fc.array(fc.array(cell, { minLength: width, maxLength: width }), {
          minLength: 1,
          maxLength: 6,
        }),
      ),
      fc.constantFrom('\r\n', '\n'),
      (rows, end) => {
        const header = rows[0]!.map((_, i) => `c${i}`);
        const text = [header, ...rows].map((row) => row.map(field).join(',')).join(end) + end;
        // Rows of nothing are left out.
        const kept = rows.filter((row) => row.some((each) => each !== ''));
        const table = readCsv(text, PLAIN);
        expect(table.columns).toEqual(header);
        expect(table.rows.map(({ cells }) => cells)).toEqual(kept);
        expect(table.faults).toEqual([]);
      },
    ),
  );
});

test.each(DELIMITERS.map((each) => [each]))('“%s” between the cells is seen', (delimiter) => {
  const text = ['name', 'town', 'note'].join(delimiter) + '\n' + ['a', 'b, c', 'd'].join(delimiter);
  expect(csvWaysOf(delimiter === ',' ? text.replace('b, c', '"b, c"') : text).delimiter).toBe(
    delimiter,
  );
});

test('a row knows the line on which it begins, also behind cells of several lines', () => {
  const { rows } = readCsv('a,b\r\n"one\r\ntwo",x\r\n\r\ny,z\r\n', PLAIN);
  expect(rows.map(({ line }) => line)).toEqual([2, 5]);
});

test('rows that are too long and quotes that are not closed are told with their line; the rest is taken', () => {
  const long = readCsv('a,b\n1,2,3\n4,5\n', PLAIN);
  expect(long.rows.map(({ cells }) => cells)).toEqual([
    ['1', '2'],
    ['4', '5'],
  ]);
  expect(long.faults).toMatchObject([{ line: 2, why: { code: 'row-too-long' } }]);
  const open = readCsv('a,b\n1,"2\n3,4\n', PLAIN);
  expect(open.faults).toMatchObject([{ line: 2, why: { code: 'quote-not-closed' } }]);
});

test('columns without a name, or with that of another, get one', () => {
  expect(readCsv('a,,A\n1,2,3\n', PLAIN).columns).toEqual(['a', 'Column 2', 'A 2']);
  expect(readCsv('1,2\n', { ...PLAIN, header: false })).toMatchObject({
    columns: ['Column 1', 'Column 2'],
    rows: [{ line: 1, cells: ['1', '2'] }],
  });
});

describe('bytes', () => {
  const words = 'näme,stadt\n“Grün”,Köln €\n';
  const marks = { 'utf-8': [0xef, 0xbb, 0xbf], 'utf-16le': [0xff, 0xfe], 'utf-16be': [0xfe, 0xff] };
  // Encoded by Node, which is not what decodes.
  const encode = {
    'utf-8': Buffer.from(words, 'utf8'),
    'utf-16le': Buffer.from(words, 'utf16le'),
    'utf-16be': Buffer.from(words, 'utf16le').swap16(),
  };
  test.each(
    (Object.keys(encode) as (keyof typeof encode)[]).flatMap((encoding) => [
      [encoding, true] as const,
      [encoding, false] as const,
    ]),
  )('%s, with a mark: %s', (encoding, marked) => {
    const bytes = Uint8Array.from([...(marked ? marks[encoding] : []), ...encode[encoding]]);
    expect(encodingOf(bytes)).toBe(encoding);
    expect(decoded(bytes, encoding)).toBe(words);
  });

  test('what is no UTF-8 is Windows-1252', () => {
    // “é” and “€” (Encoding Standard, index windows-1252: 0xE9, 0x80).
    const bytes = Uint8Array.from([0x63, 0x61, 0x66, 0xe9, 0x20, 0x80]);
    expect(encodingOf(bytes)).toBe('windows-1252');
    expect(decoded(bytes, 'windows-1252')).toBe('café €');
  });
});
