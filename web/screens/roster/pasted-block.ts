import Papa from 'papaparse';
import { literal, type Documents, type Source } from '@sormet/core/model';
import type { RosterRow } from '@sormet/core/edit';
import { readCell } from './read-cell';
import type { Column } from './use-roster';

/** A cell with what it is given; `null` for the default. */
export interface Given {
  readonly row: RosterRow;
  readonly column: Column;
  readonly source: Source | null;
}

/** Where a block is pasted: rows and columns from the first cell on, and how many rows are selected. */
export interface Target {
  readonly rows: readonly RosterRow[];
  readonly columns: readonly Column[];
  readonly first: number;
  readonly column: number;
  readonly selected: number;
}

/**
 * What a block from a spreadsheet (tab-separated values, IANA text/tab-separated-values) gives to cells.
 * @returns also why some of it cannot be given, in words: then nothing of it is
 */
export function pastedBlock(
  documents: Documents,
  text: string,
  { rows, columns, first, column, selected }: Target,
): { readonly given: readonly Given[]; readonly wrong: readonly string[] } {
  const block = Papa.parse<string[]>(text.replace(/\r?\n$/, ''), { delimiter: '\t' }).data;
  // One cell alone fills all that is selected.
  const single = block.length === 1 && block[0]!.length === 1;
  const lines = single ? Array.from({ length: selected }, () => block[0]!) : block;
  const given: Given[] = [];
  const wrong: string[] = [];
  lines.forEach((cells, i) => {
    cells.forEach((words, j) => {
      const row = rows[first + i];
      const of = columns[column + j];
      if (!row || !of) return;
      if (words.trim() === '') return void given.push({ row, column: of, source: null });
      const read = readCell(documents, of.property.type, words);
      if (read.ok) given.push({ row, column: of, source: literal(read.value) });
      else wrong.push(`Row ${first + i + 1}, ${of.property.label}: ${read.reason}`);
    });
  });
  const over = lines.length - (rows.length - first);
  if (over > 0 && !single) wrong.push(`There are ${over} more lines than rows below.`);
  return { given, wrong };
}
