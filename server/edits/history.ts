import type { DataSource } from 'typeorm';
import type { HistoryEntry, HistoryLine } from '@sormet/core/api';
import { HistoryEntity } from '../database/entities';

/** How many edits one answer holds at most, and about how many bytes of them. */
const MOST_EDITS = 500;
const MOST_BYTES = 2 * 1024 * 1024;
const MOST_LINES = 200;

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
    edits: rows.map(({ revision, edit, who, at, name, says, changes }) => ({
      revision,
      edit,
      who,
      at: at.toISOString(),
      name,
      says,
      changes,
    })),
  };
}

/** What was done before a revision, newest first: one line for one stretch of typing or moving. */
export async function historyLines(
  database: DataSource,
  site: string,
  before: number,
): Promise<{ lines: HistoryLine[]; more: boolean }> {
  const rows = await database
    .getRepository(HistoryEntity)
    .createQueryBuilder('h')
    .select(['h.site', 'h.revision', 'h.who', 'h.at', 'h.says', 'h.stretch'])
    .where('h.site = :site AND h.revision < :before', { site, before })
    .orderBy('h.revision', 'DESC')
    .take(MOST_EDITS)
    .getMany();
  const lines: HistoryLine[] = [];
  let open: { who: string; stretch: string | null } | undefined;
  for (const { revision, who, at, says, stretch } of rows) {
    const line = lines.at(-1);
    if (line && open && stretch !== null && open.stretch === stretch && open.who === who) {
      line.first = revision;
      continue;
    }
    if (lines.length === MOST_LINES) return { lines, more: true };
    lines.push({ first: revision, last: revision, who, at: at.toISOString(), says });
    open = { who, stretch };
  }
  return { lines, more: rows.length === MOST_EDITS };
}
