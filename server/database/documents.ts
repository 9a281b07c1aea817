import type { EntityManager } from 'typeorm';
import { isPerEntry, type Doc } from '@sormet/core/model';
import { portions } from './rows';

/** Stores documents in place of earlier versions of them, many in one statement. */
export async function storeDocuments(
  manager: EntityManager,
  site: string,
  version: number,
  documents: readonly Doc[],
): Promise<void> {
  for (const some of portions(documents)) {
    const rows = some.map((doc) => ({
      id: doc.id,
      kind: doc.kind,
      stands: standsFor(doc),
      body: doc,
    }));
    await manager.query(
      `INSERT INTO documents (site, id, kind, version, stands, body)
       SELECT $1, id, kind, $2, stands, body
         FROM jsonb_to_recordset($3::jsonb) AS given (id text, kind text, stands text, body jsonb)
       ON CONFLICT (site, id) DO UPDATE
          SET kind = excluded.kind, version = excluded.version, stands = excluded.stands, body = excluded.body`,
      [site, version, JSON.stringify(rows)],
    );
  }
}

/**
 * What a document adds to the addresses of its site, so that they can be counted without reading it: of a page `''`
 * where it is one, the content type where it stands for each entry; of an entry its type; nothing for drafts and others.
 */
export function standsFor(doc: Doc): string | null {
  if (doc.kind === 'page') return doc.draft ? null : isPerEntry(doc) ? doc.entries : '';
  if (doc.kind === 'entry') return doc.draft ? null : doc.type;
  return null;
}
