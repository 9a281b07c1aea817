import type { EntityManager } from 'typeorm';
import { isPerEntry, type Doc } from '@sormet/core/model';
import { DocumentEntity } from './entities';

/** Stores a document in place of an earlier version of it. */
export async function storeDocument(
  manager: EntityManager,
  site: string,
  version: number,
  doc: Doc,
): Promise<void> {
  await manager
    .getRepository(DocumentEntity)
    .upsert(
      { site, id: doc.id, kind: doc.kind, version, stands: standsFor(doc), body: doc as never },
      ['site', 'id'],
    );
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
