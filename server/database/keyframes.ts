import type { EntityManager } from 'typeorm';
import type { Doc } from '@sormet/core/model';
import { SiteEntity } from './entities';
import { heldSite } from './held-site';

/**
 * Keyframes: revisions at which documents are kept as they stood, so that no state is more edits away than lie between
 * two of them. The first of a site holds every document, each later one those that were touched since.
 */

/** How many edits lie between two keyframes at most. */
export const KEYFRAME_EVERY = 200;

/**
 * Keeps a keyframe at the newest revision of a site, when there is none since the last multiple of that many edits.
 * @param manager a transaction that holds the site's row and has stored that revision
 */
export async function keepKeyframe(
  manager: EntityManager,
  site: string,
  revision: number,
): Promise<void> {
  const last = await lastKeyframe(manager, site, revision);
  if (last === undefined)
    await manager.query(
      `INSERT INTO keyframes (site, id, revision, body)
         SELECT site, id, $2, body FROM documents WHERE site = $1`,
      [site, revision],
    );
  else if (stretchOf(revision) > stretchOf(last))
    await manager.query(
      `INSERT INTO keyframes (site, id, revision, body)
         SELECT $1, touched.id, $2, documents.body
         FROM (SELECT DISTINCT change ->> 'doc' AS id
               FROM history, jsonb_array_elements(history.changes) AS change
               WHERE site = $1 AND revision > $3 AND revision <= $2) AS touched
         LEFT JOIN documents ON documents.site = $1 AND documents.id = touched.id`,
      [site, revision, last],
    );
}

/** The revisions from one multiple to the next count as one stretch, which begins with a keyframe. */
const stretchOf = (revision: number) => Math.floor(revision / KEYFRAME_EVERY);

/** Keeps a keyframe of every site that lacks one: of sites that are new, or from before there were any. */
export async function keepKeyframes(manager: EntityManager): Promise<void> {
  for (const { id } of await manager.getRepository(SiteEntity).find()) {
    const site = await heldSite(manager, id);
    if (site) await keepKeyframe(manager, id, site.revision);
  }
}

/** The revision of the last keyframe up to one. */
async function lastKeyframe(
  manager: EntityManager,
  site: string,
  upTo: number,
): Promise<number | undefined> {
  const [row]: { last: number | null }[] = await manager.query(
    'SELECT max(revision) AS last FROM keyframes WHERE site = $1 AND revision <= $2',
    [site, upTo],
  );
  return row?.last ?? undefined;
}

/** All documents of a site at its last keyframe up to a revision; nothing where it has none so early. */
export async function keyframeBefore(
  manager: EntityManager,
  site: string,
  revision: number,
): Promise<{ revision: number; documents: Doc[] } | undefined> {
  const at = await lastKeyframe(manager, site, revision);
  if (at === undefined) return undefined;
  const rows: { body: Doc | null }[] = await manager.query(
    `SELECT DISTINCT ON (id) body FROM keyframes
       WHERE site = $1 AND revision <= $2 ORDER BY id, revision DESC`,
    [site, at],
  );
  return { revision: at, documents: rows.flatMap(({ body }) => body ?? []) };
}
