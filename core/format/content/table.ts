import { say, type Said } from '../../said';

/** One row of a table, with the line of its file on which it begins, counted from 1. */
export interface TableRow {
  readonly line: number;
  /** As many as there are columns: those that the file left out are `''`. */
  readonly cells: readonly string[];
}

/** A table as a file holds it: what its columns are called, and its rows. */
export interface Table {
  readonly columns: readonly string[];
  readonly rows: readonly TableRow[];
  /** What of the file is not sound, each with its line: the rest is taken all the same. */
  readonly faults: readonly TableFault[];
}

/** What is wrong with a row of a file. */
export interface TableFault {
  readonly line: number;
  readonly why: Said;
}

/** A table of columns with names and rows of any length. */
export function tableOf(
  names: readonly string[],
  rows: readonly TableRow[],
  faults: readonly TableFault[] = [],
): Table {
  const columns = columnNames(names);
  const found = [...faults];
  const even = rows.map(({ line, cells }) => {
    if (cells.length > columns.length && cells.slice(columns.length).some((cell) => cell !== ''))
      found.push({ line, why: say('row-too-long', { has: cells.length, most: columns.length }) });
    return {
      line,
      cells: columns.map((_, i) => cells[i] ?? ''),
    };
  });
  return { columns, rows: even, faults: found.sort((a, b) => a.line - b.line) };
}

/** Names for columns, each once: what has none is called after its place, what is there already gets a number. */
function columnNames(names: readonly string[]): string[] {
  const taken = new Set<string>();
  return names.map((given, i) => {
    const name = given.trim() === '' ? `Column ${i + 1}` : given.trim();
    let free = name;
    for (let n = 2; taken.has(free.toLowerCase()); n += 1) free = `${name} ${n}`;
    taken.add(free.toLowerCase());
    return free;
  });
}
