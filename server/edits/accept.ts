import { In, type EntityManager } from 'typeorm';
import { docOf, own, sameJson, type Documents } from '@sormet/core/model';
import {
  beyondEditors,
  doEdit,
  EDITS,
  isRefusal,
  mismatches,
  toldOf,
  touched,
  type ArgsOf,
  type Change,
  type Done,
  type NamedEdit,
  type Past,
} from '@sormet/core/edit';
import { say } from '@sormet/core/said';
import { DocumentEntity, HistoryEntity, SiteEntity } from '../database/entities';
import { storeDocuments } from '../database/documents';
import { heldSite } from '../database/held-site';
import { KEYFRAME_EVERY, keepKeyframe } from '../database/keyframes';
import type { SiteStore } from '../database/site-store';
import { storeUses } from '../database/uses';
import { storedAmong } from '../files/stored-files';
import { read } from '../http/check';
import { Problem } from '../http/problem';
import type { EditRequest } from '@sormet/core/api';
import { freeAddress, withFreeAddress } from '../sites/free-address';
import { CHANNEL } from '../live/channel';
import { documentAfter, keepInHistory } from './history';

/**
 * Takes an edit in: compares its guards with what is stored, runs it again, checks what comes out, and
 * stores documents, uses and history in one transaction that holds the site's row. The same edit id a
 * second time gets the first answer, when it is the same edit.
 * @returns the site's revision after it
 * @throws a 409 problem with both sides where the guards differ or the id is taken, 422 where the edit is
 * refused, 400 or 404 for what is no edit; then nothing is changed
 */
export async function acceptEdit(
  store: SiteStore,
  siteId: string,
  request: EditRequest,
): Promise<number> {
  if (!own(EDITS, request.name))
    throw new Problem(400, say('no-edit-named', { name: request.name }), { pointer: '/name' });
  const edit = { name: request.name, args: request.args } as NamedEdit;
  read(EDITS[edit.name].args, request.args);

  const accepted = await store.database.transaction(async (manager) => {
    const site = await heldSite(manager, siteId);
    if (!site || site.removed) throw new Problem(404, say('no-site'));
    const earlier = await manager
      .getRepository(HistoryEntity)
      .findOneBy({ site: siteId, edit: request.id });
    if (earlier) {
      if (isSameEdit(earlier, request)) return { revision: earlier.revision };
      throw new Problem(409, say('edit-id-taken'), { pointer: '/id' });
    }

    const { documents } = await store.state(site, manager);
    const past: Past =
      edit.name === 'revert' ? await store.past(siteId, edit.args.edits, manager) : () => undefined;
    const done = doneEdit(documents, edit, request.changes, past);
    if (request.editing) checkThatEditorsMay(documents, done, edit.name === 'revert');
    await checkFiles(manager, done);
    if (edit.name === 'bringBack') await checkThatItWas(manager, siteId, edit.args);
    const revision = site.revision + 1;
    const count = done.documents.size;
    await storeTouched(manager, siteId, revision, documents, done);
    await keepInHistory(manager, {
      site: siteId,
      revision,
      edit: request.id,
      who: request.who,
      at: new Date(),
      name: request.name,
      args: request.args,
      changes: done.changes,
      said: toldOf(documents, edit, past),
      documents: count,
      stretch: request.stretch ?? null,
    });
    if (revision % KEYFRAME_EVERY === 0) await keepKeyframe(manager, siteId, revision);
    const { name, slug } = done.documents.site;
    const sites = manager.getRepository(SiteEntity);
    if (slug !== site.slug) await freeAddress(sites, slug, siteId);
    await withFreeAddress(slug, () =>
      sites.update({ id: siteId }, { revision, documents: count, name, slug }),
    );
    // Sent when the transaction is committed, and not at all when it is not.
    await manager.query('SELECT pg_notify($1, $2)', [
      CHANNEL,
      JSON.stringify({ site: siteId, revision }),
    ]);
    return { revision, documents: done.documents };
  });
  if (accepted.documents)
    store.keep(siteId, { revision: accepted.revision, documents: accepted.documents });
  return accepted.revision;
}

function isSameEdit(
  earlier: { name: string; args: unknown; changes: unknown },
  { name, args, changes }: EditRequest,
): boolean {
  return (
    earlier.name === name && sameJson(earlier.args, args) && sameJson(earlier.changes, changes)
  );
}

/** What an edit does to what is stored, when its changes are those its author saw. */
function doneEdit(
  documents: Documents,
  edit: NamedEdit,
  expected: readonly Change[],
  past: Past,
): Done {
  const wrong = mismatches(documents, expected)[0];
  if (wrong)
    throw new Problem(409, say('changed-meanwhile'), {
      doc: wrong.change.doc,
      pointer: wrong.change.path,
      was: wrong.change.was ?? null,
      yours: wrong.change.now ?? null,
      stands: wrong.stands ?? null,
    });
  const done = doEdit(documents, edit, past);
  if (isRefusal(done))
    throw new Problem(422, done.refused, { doc: done.doc ?? null, pointer: done.path ?? '' });
  if (!sameJson(done.changes, expected))
    throw new Problem(409, say('touched-meanwhile'), {
      doc: done.changes[0]?.doc ?? null,
      pointer: done.changes[0]?.path ?? '',
    });
  return done;
}

/** @throws a 422 problem when an edit is more than editors may do */
function checkThatEditorsMay(before: Documents, done: Done, isRevert: boolean): void {
  const beyond = beyondEditors(before, done.documents, done.changes, isRevert);
  if (beyond)
    throw new Problem(422, beyond.refused, { doc: beyond.doc ?? null, pointer: beyond.path ?? '' });
}

/** @throws a 422 problem when what should be brought back never was so: the history says what was */
async function checkThatItWas(
  manager: EntityManager,
  site: string,
  { was, revision }: ArgsOf<'bringBack'>,
): Promise<void> {
  const stood = await documentAfter(manager, site, was.id, revision);
  if (!stood || !sameJson(stood, was))
    throw new Problem(422, say('was-not-so', { revision }), { doc: was.id, pointer: '' });
}

/** @throws a 422 problem when an asset names a file that is not stored: no release could be made from then on */
async function checkFiles(manager: EntityManager, { documents, changes }: Done): Promise<void> {
  const assets = [...touched(changes)].flatMap((id) => docOf(documents, 'asset', id) ?? []);
  if (assets.length === 0) return;
  const stored = await storedAmong(
    manager,
    assets.map(({ sha256 }) => sha256),
  );
  const missing = assets.find(({ sha256 }) => !stored.has(sha256));
  if (missing)
    throw new Problem(422, say('file-of-not-stored', { name: missing.name }), {
      doc: missing.id,
      pointer: '/sha256',
    });
}

async function storeTouched(
  manager: EntityManager,
  site: string,
  version: number,
  before: Documents,
  { documents, changes }: Done,
): Promise<void> {
  const ids = [...touched(changes)];
  const stay = ids.flatMap((id) => documents.get(id) ?? []);
  await storeDocuments(manager, site, version, stay);
  const gone = ids.filter((id) => !documents.get(id));
  if (gone.length > 0) await manager.getRepository(DocumentEntity).delete({ site, id: In(gone) });
  await storeUses(
    manager,
    site,
    ids.map((id) => [before.get(id), documents.get(id)]),
  );
}
