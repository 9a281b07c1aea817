import { In, type EntityManager } from 'typeorm';
import { differences } from '@sormet/core/edit';
import { Documents, FORMAT, formatOf, newId, upgraded, type Stored } from '@sormet/core/model';
import { say } from '@sormet/core/said';
import { storeDocuments } from './database/documents';
import { DocumentEntity, SiteEntity } from './database/entities';
import { heldSite } from './database/held-site';
import type { SiteStore } from './database/site-store';
import { storeUses } from './database/uses';
import { keepInHistory } from './edits/history';

/**
 * Brings every site of an older format to this one, as a revision in its history like any other: what it was
 * stays readable, and who it was says Sormet.
 */
export async function upgradeSites(store: SiteStore): Promise<void> {
  for (const { id } of await store.database.getRepository(SiteEntity).find())
    await store.database.transaction((manager) => upgradeSite(manager, id));
}

async function upgradeSite(manager: EntityManager, id: string): Promise<void> {
  const site = await heldSite(manager, id);
  if (!site) return;
  const rows = await manager.getRepository(DocumentEntity).findBy({ site: id });
  const stored: Stored = Object.fromEntries(rows.map((row) => [row.id, row.body]));
  const from = formatOf(stored);
  if (from === FORMAT) return;
  const now = upgraded(stored);
  const documents = Documents.fromRecord(now);
  const changes = differences(stored, now);
  const revision = site.revision + 1;
  const count = documents.size;
  const touched = [...new Set(changes.map(({ doc }) => doc))];
  const stay = touched.flatMap((doc) => documents.get(doc) ?? []);
  await storeDocuments(manager, id, revision, stay);
  const gone = touched.filter((doc) => !documents.get(doc));
  if (gone.length > 0)
    await manager.getRepository(DocumentEntity).delete({ site: id, id: In(gone) });
  // What an older format says it uses is not read any more: the table is made anew.
  await manager.query('DELETE FROM uses WHERE site = $1', [id]);
  await storeUses(
    manager,
    id,
    [...documents].map((doc) => [undefined, doc]),
  );
  await keepInHistory(manager, {
    site: id,
    revision,
    edit: newId(),
    who: 'Sormet',
    at: new Date(),
    name: 'upgrade',
    args: { from, to: FORMAT },
    changes,
    said: say('upgraded', { from, to: FORMAT }),
    documents: count,
    stretch: null,
  });
  await manager.getRepository(SiteEntity).update({ id }, { revision, documents: count });
}
