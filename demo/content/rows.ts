import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { readCsv } from '@sormet/core/format';

/** The rows of a file of content beside this one, each by the names of its columns. @throws where the file is not sound */
export function rowsOf(file: string): Readonly<Record<string, string>>[] {
  const text = readFileSync(join(import.meta.dirname, file), 'utf8');
  const { columns, rows, faults } = readCsv(text, { delimiter: ',', quote: '"', header: true });
  if (faults.length > 0) throw new Error(`${file} is not sound: ${JSON.stringify(faults)}`);
  return rows.map(({ cells }) =>
    Object.fromEntries(columns.map((column, i) => [column, cells[i] ?? ''])),
  );
}
