import type { DataSource } from 'typeorm';
import { type Documents } from '@sormet/core/model';
import { findingsOf } from '@sormet/core/edit';
import type { DemoSite } from '@sormet/demo';
import { DocumentEntity, FileEntity, SiteEntity } from './database/entities';
import { storeUses } from './edits/accept';

/**
 * Stores a site with its files, when no site with its slug is there. Every document passes its schema
 * and the invariants first. @returns whether it was stored
 */
export async function loadSite(
  database: DataSource,
  { documents, files }: DemoSite,
): Promise<boolean> {
  const { slug, name } = documents.site;
  check(documents);
  return database.transaction(async (manager) => {
    const inserted = await manager
      .createQueryBuilder()
      .insert()
      .into(SiteEntity)
      .values({
        id: slug,
        slug,
        name,
        revision: 1,
        liveRelease: null,
        documents: documents.size,
      })
      .orIgnore()
      .returning('id')
      .execute();
    if ((inserted.raw as unknown[]).length === 0) return false;
    for (const [sha256, { bytes, mediaType }] of files)
      await manager.getRepository(FileEntity).upsert({ sha256, mediaType, bytes }, ['sha256']);
    for (const doc of documents) {
      await manager
        .getRepository(DocumentEntity)
        .insert({ site: slug, id: doc.id, kind: doc.kind, version: 1, body: doc as never });
      await storeUses(manager, slug, undefined, doc);
    }
    return true;
  });
}

/** @throws naming the first document that is not sound. */
function check(documents: Documents): void {
  const [finding] = findingsOf(documents);
  if (finding) throw new Error(`${finding.doc}${finding.path} ${finding.reason}`);
}
