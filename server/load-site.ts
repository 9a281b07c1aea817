import type { DataSource } from 'typeorm';
import { documentFindings, siteOf, type Documents } from '@sormet/core/model';
import { findingsAfter } from '@sormet/core/edit';
import type { DemoSite } from '@sormet/demo';
import { DocumentEntity, FileEntity, SiteEntity } from './database/entities';
import { replaceUses } from './edits/accept';

/**
 * Stores a site with its files, when no site with its slug is there. Every document passes its schema
 * and the invariants first. @returns whether it was stored
 */
export async function loadSite(
  database: DataSource,
  { documents, files }: DemoSite,
): Promise<boolean> {
  const { slug, name } = siteOf(documents);
  check(documents);
  return database.transaction(async (manager) => {
    const inserted = await manager
      .createQueryBuilder()
      .insert()
      .into(SiteEntity)
      .values({ id: slug, slug, name, revision: 1, liveRelease: null })
      .orIgnore()
      .returning('id')
      .execute();
    if ((inserted.raw as unknown[]).length === 0) return false;
    for (const [sha256, { bytes, mediaType }] of files)
      await manager.getRepository(FileEntity).upsert({ sha256, mediaType, bytes }, ['sha256']);
    for (const doc of Object.values(documents)) {
      await manager
        .getRepository(DocumentEntity)
        .insert({ site: slug, id: doc.id, kind: doc.kind, version: 1, body: doc as never });
      await replaceUses(manager, slug, doc);
    }
    return true;
  });
}

/** @throws naming the first document that is not sound. */
function check(documents: Documents): void {
  for (const doc of Object.values(documents)) {
    const [finding] = documentFindings(doc);
    if (finding) throw new Error(`${doc.id}${finding.path} ${finding.reason}`);
  }
  const changes = Object.keys(documents).map((doc) => ({ doc, path: '', now: documents[doc] }));
  const [finding] = findingsAfter(documents, changes);
  if (finding) throw new Error(`${finding.doc}${finding.path} ${finding.reason}`);
}
