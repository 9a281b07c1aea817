import Papa from 'papaparse';
import { say } from '../../said';
import { tableOf, type Table, type TableFault, type TableRow } from './table';

/** Signs that may stand between the cells of a row. */
export const DELIMITERS = [',', ';', '\t', '|'] as const;
/** One of these signs. */
export type Delimiter = (typeof DELIMITERS)[number];

/** How a file of rows is written. */
export interface CsvWays {
  readonly delimiter: Delimiter;
  /** What stands around a cell that holds a delimiter or a new line. */
  readonly quote: '"' | "'";
  /** Whether its first row says what the columns are called. */
  readonly header: boolean;
}

/** How a text is written, as far as it shows: by the sign with which its first rows come out even. */
export function csvWaysOf(text: string): CsvWays {
  const begin = text.slice(0, 20_000);
  let best: { delimiter: Delimiter; score: number } = { delimiter: ',', score: -1 };
  for (const delimiter of DELIMITERS) {
    const rows = parse(begin, { delimiter, quote: '"', header: false })
      .slice(0, 50)
      .filter(({ cells }) => cells.some((cell) => cell !== ''));
    const widths = rows.map(({ cells }) => cells.length);
    const first = widths[0] ?? 1;
    const even = widths.filter((each) => each === first).length / Math.max(1, widths.length);
    const score = first === 1 ? 0 : even * 10 + Math.min(first, 20) / 100;
    if (score > best.score) best = { delimiter, score };
  }
  const quote =
    /(^|[,;\t|\n])'[^'\n]*'([,;\t|\n]|$)/.test(begin) && !begin.includes('"') ? "'" : '"';
  return { delimiter: best.delimiter, quote, header: true };
}

/**
 * A file of comma-separated values (RFC 4180), or with another sign between them; lines may end in any way.
 * Rows of nothing are left out.
 */
export function readCsv(text: string, ways: CsvWays): Table {
  const faults: TableFault[] = [];
  const rows = parse(text, ways, faults).filter(({ cells }) => cells.some((cell) => cell !== ''));
  const [first, ...rest] = rows;
  if (!first) return tableOf([], [], faults);
  return ways.header
    ? tableOf(first.cells, rest, faults)
    : tableOf(
        first.cells.map(() => ''),
        rows,
        faults,
      );
}

/** The rows as they stand, each with its line. */
function parse(text: string, { delimiter, quote }: CsvWays, faults: TableFault[] = []): TableRow[] {
  const { data, errors } = Papa.parse<string[]>(text, { delimiter, quoteChar: quote });
  let line = 1;
  const lines: number[] = [];
  const rows = data.map((cells): TableRow => {
    const begins = line;
    lines.push(begins);
    line += 1;
    // A cell may go over several lines.
    for (const cell of cells) for (const sign of cell) if (sign === '\n') line += 1;
    return { line: begins, cells };
  });
  for (const { code, row } of errors)
    if (code === 'MissingQuotes' || code === 'InvalidQuotes')
      faults.push({ line: lines[row ?? 0] ?? line, why: say('quote-not-closed') });
  return rows;
}
