import { literal, type Documents, type Source } from '@sormet/core/model';
import type { RosterRow } from '@sormet/core/edit';
import { pastedLines } from '../../parts/grid/pasted-lines';
import type { Range } from '../../parts/grid/walking';
import { ValueReader } from '@sormet/core/format';
import { sentence } from '../../words';
import type { Column } from './use-roster';

/** A cell with what it is given; `null` for the default. */
export interface Given {
  readonly row: RosterRow;
  readonly column: Column;
  readonly source: Source | null;
}

/** Where a block is pasted: all rows and columns, and which of their cells are selected. */
export interface Target extends Range {
  readonly rows: readonly RosterRow[];
  readonly columns: readonly Column[];
}

/**
 * What a block from a spreadsheet (tab-separated values, IANA text/tab-separated-values) gives to cells.
 * @returns also why some of it cannot be given, in words: then nothing of it is
 */
export function pastedBlock(
  documents: Documents,
  text: string,
  { rows, columns, top, bottom, left, right }: Target,
): { readonly given: readonly Given[]; readonly wrong: readonly string[] } {
  const lines = pastedLines(text, { top, bottom, left, right });
  const reader = new ValueReader(documents);
  const given: Given[] = [];
  const wrong: string[] = [];
  lines.forEach((cells, i) => {
    cells.forEach((words, j) => {
      const row = rows[top + i];
      const of = columns[left + j];
      if (!row || !of) return;
      if (words.trim() === '') return void given.push({ row, column: of, source: null });
      const read = reader.read(of.property.type, words);
      if (read.ok) given.push({ row, column: of, source: literal(read.value) });
      else wrong.push(`Row ${top + i + 1}, ${of.property.label}: ${sentence(read.why)}`);
    });
  });
  const over = lines.length - (rows.length - top);
  if (over > 0) wrong.push(`There are ${over} more lines than rows below.`);
  return { given, wrong };
}
