import type { EntityManager } from 'typeorm';
import { documentFindings, sameJson } from '@sormet/core/model';
import {
  applyChanges,
  EDITS,
  isRefusal,
  mismatches,
  runEdit,
  sayEdit,
  touched,
  type Change,
  type NamedEdit,
} from '@sormet/core/edit';
import { usesOf } from '@sormet/core/reach';
import type { Documents } from '@sormet/core/model';
import { DocumentEntity, HistoryEntity, SiteEntity, UseEntity } from '../database/entities';
import type { SiteStore } from '../database/site-store';
import { read } from '../http/check';
import { Problem } from '../http/problem';
import type { EditRequest } from '../http/shapes';
import { CHANNEL } from '../live/channel';

/**
 * Takes an edit in: compares its guards with what is stored, runs it again, checks what comes out, and
 * stores documents, uses and history in one transaction that holds the site's row. The same edit id a
 * second time gets the first answer.
 * @returns the site's revision after it
 * @throws a 409 problem with both sides where the guards differ, 422 where the edit is refused, 400 or
 * 404 for what is no edit; then nothing is changed
 */
export async function acceptEdit(
  store: SiteStore,
  siteId: string,
  request: EditRequest,
): Promise<number> {
  if (!Object.hasOwn(EDITS, request.name))
    throw new Problem(400, 'Bad request', `There is no edit named “${request.name}”.`, {
      pointer: '/name',
      reason: 'is no edit',
    });
  const edit = { name: request.name, args: request.args } as NamedEdit;
  read(EDITS[edit.name].args, request.args);

  const accepted = await store.database.transaction(async (manager) => {
    const site = await manager
      .getRepository(SiteEntity)
      .createQueryBuilder('s')
      .setLock('pessimistic_write')
      .where('s.id = :siteId', { siteId })
      .getOne();
    if (!site) throw new Problem(404, 'Not found', 'There is no such site.');
    const earlier = await manager
      .getRepository(HistoryEntity)
      .findOneBy({ site: siteId, edit: request.id });
    if (earlier) return { revision: earlier.revision };

    const { documents } = await store.state(site, manager);
    const changes = changesOf(documents, edit, request.changes);
    const after = applyChanges(documents, changes);
    checkSchemas(after, changes);
    const revision = site.revision + 1;
    await storeDocuments(manager, siteId, revision, after, changes);
    await manager.getRepository(HistoryEntity).insert({
      site: siteId,
      revision,
      edit: request.id,
      who: request.who,
      at: new Date(),
      name: request.name,
      args: request.args as object,
      changes: changes as never,
      says: sayEdit(documents, edit),
    });
    const siteDoc = Object.values(after).find((doc) => doc.kind === 'site');
    await manager
      .getRepository(SiteEntity)
      .update(
        { id: siteId },
        { revision, ...(siteDoc?.kind === 'site' ? { name: siteDoc.name } : {}) },
      );
    // Sent when the transaction is committed, and not at all when it is not.
    await manager.query('SELECT pg_notify($1, $2)', [
      CHANNEL,
      JSON.stringify({ site: siteId, revision }),
    ]);
    return { revision, documents: after };
  });
  if (accepted.documents)
    store.keep(siteId, { revision: accepted.revision, documents: accepted.documents });
  return accepted.revision;
}

/** The changes an edit makes to what is stored, when they are those its author saw. */
function changesOf(documents: Documents, edit: NamedEdit, expected: readonly Change[]): Change[] {
  const wrong = mismatches(documents, expected)[0];
  if (wrong)
    throw new Problem(409, 'Changed meanwhile', 'Somebody has changed the same value meanwhile.', {
      doc: wrong.change.doc,
      pointer: wrong.change.path,
      was: wrong.change.was ?? null,
      yours: wrong.change.now ?? null,
      stands: wrong.stands ?? null,
    });
  const changes = runEdit(documents, edit);
  if (isRefusal(changes))
    throw new Problem(422, 'Refused', changes.refused, {
      doc: changes.doc ?? null,
      pointer: changes.path ?? '',
      reason: changes.refused,
    });
  if (!sameJson(changes, expected))
    throw new Problem(409, 'Changed meanwhile', 'Something it would touch has changed meanwhile.', {
      doc: changes[0]?.doc ?? null,
      pointer: changes[0]?.path ?? '',
    });
  return changes;
}

function checkSchemas(documents: Documents, changes: readonly Change[]): void {
  for (const id of touched(changes)) {
    const doc = documents[id];
    if (!doc) continue;
    const [finding] = documentFindings(doc);
    const wrongId =
      doc.id === id ? undefined : { path: '/id', reason: 'is not the id it is stored under' };
    const found = finding ?? wrongId;
    if (found)
      throw new Problem(422, 'Not a document', `${found.path} ${found.reason}.`, {
        doc: id,
        pointer: found.path,
        reason: found.reason,
      });
  }
}

async function storeDocuments(
  manager: EntityManager,
  site: string,
  version: number,
  documents: Documents,
  changes: readonly Change[],
): Promise<void> {
  for (const id of touched(changes)) {
    const doc = documents[id];
    if (!doc) {
      await manager.getRepository(DocumentEntity).delete({ site, id });
      await manager.getRepository(UseEntity).delete({ site, from: id });
      continue;
    }
    await manager
      .getRepository(DocumentEntity)
      .upsert({ site, id, kind: doc.kind, version, body: doc as never }, ['site', 'id']);
    await replaceUses(manager, site, doc);
  }
}

/** Writes what a document uses in place of what it used. */
export async function replaceUses(
  manager: EntityManager,
  site: string,
  doc: Documents[string],
): Promise<void> {
  const uses = new Map(
    usesOf(doc).map((use) => [[use.node, use.kind, use.to].join(' '), { site, ...use }]),
  );
  await manager.getRepository(UseEntity).delete({ site, from: doc.id });
  const rows = [...uses.values()];
  for (let i = 0; i < rows.length; i += 500)
    await manager.getRepository(UseEntity).insert(rows.slice(i, i + 500));
}
