import type { Documents, EntryDoc, FieldId, Typed } from '@sormet/core/model';
import { ValueReader } from '@sormet/core/format';
import { pastedLines } from '../../../parts/grid/pasted-lines';
import type { Range } from '../../../parts/grid/walking';
import { sentence } from '../../../words';
import type { EntryColumn } from './columns';

/** A field of an entry with what it gets; `null` empties it. */
export interface Given {
  readonly entry: string;
  readonly field: FieldId;
  readonly value: Typed | null;
}

/**
 * What a block from another program gives to cells of the table.
 * @returns also why some of it cannot be given, in words: then nothing of it is
 */
export function pastedEntries(
  documents: Documents,
  text: string,
  rows: readonly EntryDoc[],
  columns: readonly EntryColumn[],
  range: Range,
): { readonly given: readonly Given[]; readonly wrong: readonly string[] } {
  const lines = pastedLines(text, range);
  const reader = new ValueReader(documents);
  const given: Given[] = [];
  const wrong: string[] = [];
  lines.forEach((cells, i) => {
    cells.forEach((words, j) => {
      const row = rows[range.top + i];
      const column = columns[range.left + j];
      if (!row || !column) return;
      const { field, id } = column;
      if (!field) {
        wrong.push(`${column.label} is not written here.`);
        return;
      }
      if (words.trim() === '') return void given.push({ entry: row.id, field: id, value: null });
      const read = reader.read(field.type, words);
      if (read.ok) given.push({ entry: row.id, field: id, value: read.value });
      else wrong.push(`Row ${range.top + i + 1}, ${field.label}: ${sentence(read.why)}`);
    });
  });
  const over = lines.length - (rows.length - range.top);
  if (over > 0) wrong.push(`There are ${over} more lines than rows below.`);
  return { given, wrong: [...new Set(wrong)] };
}
