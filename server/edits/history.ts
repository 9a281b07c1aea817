import type { DataSource, EntityManager } from 'typeorm';
import type { HistoryEntry, HistoryLine, LastChanges } from '@sormet/core/api';
import { applyChanges, inverse, touched, type Change } from '@sormet/core/edit';
import { upgradedAlone, Documents, type Doc } from '@sormet/core/model';
import { HistoryEntity, type HistoryRow } from '../database/entities';

/** How many edits one answer holds at most, and about how many bytes of them. */
const MOST_EDITS = 500;
const MOST_BYTES = 2 * 1024 * 1024;
const MOST_LINES = 200;

/** How many edits are read at once on the way back to how a document was. */
const STEP_BACK = 50;

/** Keeps an edit in the history of its site, and for each document it changed that it did. */
export async function keepInHistory(manager: EntityManager, row: HistoryRow): Promise<void> {
  await manager.getRepository(HistoryEntity).insert(row as never);
  await manager.query(
    `INSERT INTO history_documents (site, document, revision)
       SELECT $1, document, $2 FROM unnest($3::text[]) AS document`,
    [row.site, row.revision, [...touched(row.changes)]],
  );
}

/** Edits after a revision, in order: at least one when there is one, and no more than about 2 MB of them. */
export async function historyAfter(
  database: DataSource,
  site: string,
  after: number,
): Promise<{ edits: HistoryEntry[]; more: boolean }> {
  const sizes: { revision: number; bytes: string }[] = await database.query(
    `SELECT revision, octet_length(changes::text) AS bytes FROM history
       WHERE site = $1 AND revision > $2 ORDER BY revision LIMIT $3`,
    [site, after, MOST_EDITS + 1],
  );
  let bytes = 0;
  let count = 0;
  for (const size of sizes) {
    bytes += Number(size.bytes);
    if (count === MOST_EDITS || (count > 0 && bytes > MOST_BYTES)) break;
    count += 1;
  }
  if (count === 0) return { edits: [], more: false };
  const rows = await database
    .getRepository(HistoryEntity)
    .createQueryBuilder('h')
    .where('h.site = :site AND h.revision > :after AND h.revision <= :last', {
      site,
      after,
      last: sizes[count - 1]!.revision,
    })
    .orderBy('h.revision', 'ASC')
    .getMany();
  return {
    more: count < sizes.length,
    edits: rows.map(({ revision, edit, who, at, name, said, changes }) => ({
      revision,
      edit,
      who,
      at: at.toISOString(),
      name,
      said,
      changes,
    })),
  };
}

/**
 * What was done before a revision, newest first: one line for one stretch of typing or moving.
 * @param document of which document alone; of the whole site without one
 */
export async function historyLines(
  database: DataSource,
  site: string,
  before: number,
  document?: string,
): Promise<{ lines: HistoryLine[]; more: boolean }> {
  const query = database
    .getRepository(HistoryEntity)
    .createQueryBuilder('h')
    .select(['h.site', 'h.revision', 'h.who', 'h.at', 'h.said', 'h.stretch'])
    .where('h.site = :site AND h.revision < :before', { site, before });
  if (document !== undefined)
    query.andWhere(
      `h.revision IN (SELECT d.revision FROM history_documents d
         WHERE d.site = :site AND d.document = :document AND d.revision < :before
         ORDER BY d.revision DESC LIMIT :most)`,
      { document, most: MOST_EDITS },
    );
  const rows = await query.orderBy('h.revision', 'DESC').take(MOST_EDITS).getMany();
  const lines: HistoryLine[] = [];
  let open: { who: string; stretch: string | null } | undefined;
  for (const { revision, who, at, said, stretch } of rows) {
    const line = lines.at(-1);
    if (line && open && stretch !== null && open.stretch === stretch && open.who === who) {
      line.first = revision;
      continue;
    }
    if (lines.length === MOST_LINES) return { lines, more: true };
    lines.push({ first: revision, last: revision, who, at: at.toISOString(), said });
    open = { who, stretch };
  }
  return { lines, more: rows.length === MOST_EDITS };
}

/**
 * A document as it was after a revision: what was done to it since is taken back from what it is, so that the work is
 * that of its own edits.
 * @returns nothing when it was not there then
 */
export async function documentAfter(
  manager: EntityManager,
  site: string,
  id: string,
  revision: number,
): Promise<Doc | undefined> {
  const [row]: { body: Doc }[] = await manager.query(
    'SELECT body FROM documents WHERE site = $1 AND id = $2',
    [site, id],
  );
  let documents = row ? Documents.none.with(row.body) : Documents.none;
  for (let last: number | null = null; ;) {
    const rows: { revision: number; changes: Change[] }[] = await manager.query(
      `SELECT h.revision, h.changes FROM history_documents d
         JOIN history h ON h.site = d.site AND h.revision = d.revision
         WHERE d.site = $1 AND d.document = $2 AND d.revision > $3 AND ($4::int IS NULL OR d.revision < $4)
         ORDER BY d.revision DESC LIMIT $5`,
      [site, id, revision, last, STEP_BACK],
    );
    for (const { changes } of rows)
      documents = applyChanges(documents, inverse(changes.filter(({ doc }) => doc === id)));
    if (rows.length < STEP_BACK) {
      const was = documents.get(id);
      // What an older program wrote is read as what it means now.
      return was && upgradedAlone(was);
    }
    last = rows.at(-1)!.revision;
  }
}

/** When each page and component was changed last. */
export async function lastChanges(
  database: DataSource,
  site: string,
): Promise<LastChanges['changed']> {
  const rows: { id: string; version: number; at: Date | null }[] = await database.query(
    `SELECT d.id, d.version, h.at FROM documents d
       LEFT JOIN history h ON h.site = d.site AND h.revision = d.version
       WHERE d.site = $1 AND d.kind IN ('page', 'component')`,
    [site],
  );
  return Object.fromEntries(
    rows.map(({ id, version, at }) => [id, { revision: version, at: at?.toISOString() ?? null }]),
  );
}
