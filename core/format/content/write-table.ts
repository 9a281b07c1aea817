import Papa from 'papaparse';
import { inOrder, own, type Documents, type EntryDoc, type TypeDoc } from '../../model';
import { ValueReader } from './value-reader';
import { WRITTEN, wordsOfValue } from './words-of-value';

/** The names of the columns that a file of a type has: each field by its label, or its key where two are called the same. */
function columnsOf({ fields }: TypeDoc): [id: string, name: string][] {
  const sorted = inOrder(fields);
  const counts = new Map<string, number>([
    ['slug', 1],
    ['draft', 1],
  ]);
  for (const [, { label }] of sorted) {
    const word = label.trim().toLowerCase();
    counts.set(word, (counts.get(word) ?? 0) + 1);
  }
  return sorted.map(([id, { label, key }]) => [
    id,
    counts.get(label.trim().toLowerCase())! > 1 ? key : label.trim(),
  ]);
}

/** Entries as comma-separated values (RFC 4180), their slugs among them: read back, nothing changes. */
export function writeCsv(
  documents: Documents,
  type: TypeDoc,
  entries: readonly EntryDoc[],
): string {
  const reader = new ValueReader(documents, WRITTEN);
  const columns = columnsOf(type);
  const rows = entries.map((entry) => [
    entry.slug,
    entry.draft ? 'yes' : 'no',
    ...columns.map(([id]) =>
      wordsOfValue(documents, type.fields[id]!.type, own(entry.values, id), reader),
    ),
  ]);
  const names = ['slug', 'draft', ...columns.map(([, name]) => name)];
  return Papa.unparse([names, ...rows], { newline: '\r\n' }) + '\r\n';
}

/** The same as JSON (RFC 8259): a list of objects, fields by key. */
export function writeJson(
  documents: Documents,
  type: TypeDoc,
  entries: readonly EntryDoc[],
): string {
  const reader = new ValueReader(documents, WRITTEN);
  const records = entries.map((entry) => {
    const record: Record<string, unknown> = { slug: entry.slug, draft: entry.draft };
    for (const [id, { key, type: spec }] of inOrder(type.fields)) {
      const value = own(entry.values, id);
      if (!value || value.value === null) continue;
      const isPlain = value.type === 'number' || value.type === 'boolean';
      record[key] = isPlain ? value.value : wordsOfValue(documents, spec, value, reader);
    }
    return record;
  });
  return JSON.stringify(records, null, 2) + '\n';
}
