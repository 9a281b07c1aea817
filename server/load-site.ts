import type { DataSource, EntityManager } from 'typeorm';
import { type Documents } from '@sormet/core/model';
import { findingsOf } from '@sormet/core/edit';
import { saidText } from '@sormet/core/said';
import type { DemoSite } from '@sormet/demo';
import { storeDocuments } from './database/documents';
import { SiteEntity } from './database/entities';
import { storeUses } from './database/uses';
import { storeFiles } from './files/stored-files';

/** Stores the demo, which is made for it, in a database that holds no site yet. */
export async function loadDemo(database: DataSource, makeDemo: () => DemoSite): Promise<void> {
  if ((await database.getRepository(SiteEntity).count()) > 0) return;
  const demo = makeDemo();
  const { files } = demo;
  await database.transaction(async (manager) => {
    await storeFiles(
      manager,
      [...files].map(([sha256, { bytes, mediaType }]) => ({ sha256, mediaType, bytes })),
    );
    await storeSite(manager, demo.documents.site.slug, demo.documents);
  });
}

/**
 * Stores a site under an id. Every document passes its schema and the invariants first.
 * @throws when one does not, or when its id or address is taken
 */
export async function storeSite(
  manager: EntityManager,
  id: string,
  documents: Documents,
): Promise<void> {
  const { slug, name } = documents.site;
  check(documents);
  await manager.getRepository(SiteEntity).insert({
    id,
    slug,
    name,
    revision: 1,
    liveRelease: null,
    documents: documents.size,
    removed: null,
  });
  await storeDocuments(manager, id, 1, [...documents]);
  await storeUses(
    manager,
    id,
    [...documents].map((doc) => [undefined, doc]),
  );
}

/** @throws naming the first document that is not sound. */
function check(documents: Documents): void {
  const [finding] = findingsOf(documents);
  if (finding) throw new Error(`${finding.doc}${finding.path} ${saidText(finding.reason)}`);
}
