import type { EntityManager } from 'typeorm';
import type { Doc } from '@sormet/core/model';
import { usesOf } from '@sormet/core/reach';
import { portions } from './rows';

type Row = readonly [from: string, node: string, kind: string, to: string];

/** A document before and after an edit: nothing where it was not there, or is not any more. */
export type BeforeAndAfter = readonly [before: Doc | undefined, after: Doc | undefined];

/** Brings what documents use up to date, many in one statement: only rows that came or went are written. */
export async function storeUses(
  manager: EntityManager,
  site: string,
  documents: Iterable<BeforeAndAfter>,
): Promise<void> {
  const gone: Row[] = [];
  const come: Row[] = [];
  for (const [before, after] of documents) {
    const was = rowsOf(before);
    const now = rowsOf(after);
    for (const [key, row] of was) if (!now.has(key)) gone.push(row);
    for (const [key, row] of now) if (!was.has(key)) come.push(row);
  }
  for (const rows of portions(gone))
    await manager.query(
      `DELETE FROM uses WHERE site = $1 AND (from_document, from_node, kind, target) IN
         (SELECT * FROM unnest($2::text[], $3::text[], $4::text[], $5::text[]))`,
      [site, ...columnsOf(rows)],
    );
  for (const rows of portions(come))
    await manager.query(
      `INSERT INTO uses (site, from_document, from_node, kind, target)
       SELECT $1, * FROM unnest($2::text[], $3::text[], $4::text[], $5::text[])`,
      [site, ...columnsOf(rows)],
    );
}

function rowsOf(doc: Doc | undefined): Map<string, Row> {
  return new Map(
    (doc ? usesOf(doc) : []).map(({ from, node, kind, to }) => [
      [node, kind, to].join(' '),
      [from, node, kind, to],
    ]),
  );
}

function columnsOf(rows: readonly Row[]): string[][] {
  return [0, 1, 2, 3].map((column) => rows.map((row) => row[column]!));
}
