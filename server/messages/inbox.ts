import Papa from 'papaparse';
import type { DataSource, EntityManager } from 'typeorm';
import type { Mail, Message, MessageList } from '@sormet/core/api';
import { newId } from '@sormet/core/model';

/** A message before it is stored. */
export interface NewMessage {
  readonly site: string;
  readonly path: string;
  readonly form: string;
  readonly fields: Message['fields'];
  /** Why it may be of a robot; nothing for most. */
  readonly held: Message['held'];
}

/** Where mail of a message goes, and what it says. */
export interface MailTo {
  readonly recipient: string;
  readonly siteName: string;
}

/** How many messages are listed at once. */
const LISTED = 50;

/** How many mails the outbox shows. */
const MAILS = 100;

/**
 * Stores a message, and the mail that tells of it: the mail is a stand-in, an outbox that one can read, and leaves this machine
 * never. What may be of a robot is told to nobody.
 */
export async function receive(
  database: DataSource,
  { site, path, form, fields, held }: NewMessage,
  mail: MailTo | undefined,
): Promise<void> {
  const id = newId();
  const words = fields.map(({ value }) => value).join('\n');
  await database.transaction(async (manager) => {
    await manager.query(
      `INSERT INTO messages (id, site, at, path, form, fields, words, held)
       VALUES ($1, $2, now(), $3, $4, $5, $6, $7)`,
      [id, site, path, form, JSON.stringify(fields), words, held],
    );
    if (!mail || held !== null) return;
    const subject = `${form || path} · ${mail.siteName}`.replace(/\s+/g, ' ').slice(0, 200);
    const body = fields.map(({ label, value }) => `${label}: ${value}`).join('\n\n');
    await manager.query(
      `INSERT INTO mails (id, site, message, at, recipient, subject, body)
       VALUES ($1, $2, $3, now(), $4, $5, $6)`,
      [newId(), site, id, mail.recipient, subject, body],
    );
  });
}

/** Which messages are asked for: those that are not held back, unread ones of them, or those that are. */
export type Shown = 'inbox' | 'unread' | 'held';

const SHOWN: Readonly<Record<Shown, string>> = {
  inbox: 'held IS NULL',
  unread: 'held IS NULL AND NOT is_read',
  held: 'held IS NOT NULL',
};

interface MessageRow {
  id: string;
  at: Date;
  path: string;
  form: string;
  fields: Message['fields'];
  held: Message['held'];
  is_read: boolean;
}

const toMessage = ({ is_read: isRead, at, ...row }: MessageRow): Message => ({
  ...row,
  at: at.toISOString(),
  read: isRead,
});

const COLUMNS = 'id, at, path, form, fields, held, is_read';

/**
 * The messages of a site, newest first; those older than the site keeps any are removed before.
 * @param search words that stand in them, whatever their letters' case
 * @param before the message behind which the list goes on
 */
export async function messagesOf(
  database: DataSource,
  site: string,
  {
    shown,
    search,
    before,
    days,
  }: {
    readonly shown: Shown;
    readonly search: string;
    readonly before?: string;
    readonly days?: number;
  },
): Promise<MessageList> {
  await removeOld(database.manager, site, days);
  const found: MessageRow[] = await database.query(
    `SELECT ${COLUMNS} FROM messages
      WHERE site = $1 AND ${SHOWN[shown]} AND ${SEARCHED}
        AND ($3::text IS NULL OR (at, id) < (SELECT at, id FROM messages WHERE site = $1 AND id = $3))
      ORDER BY at DESC, id DESC LIMIT ${LISTED + 1}`,
    [site, searched(search), before ?? null],
  );
  const [counts]: [Record<'all' | 'unread' | 'held', number>] = await database.query(
    `SELECT count(*) FILTER (WHERE held IS NULL)::int AS all,
            count(*) FILTER (WHERE held IS NULL AND NOT is_read)::int AS unread,
            count(*) FILTER (WHERE held IS NOT NULL)::int AS held
       FROM messages WHERE site = $1`,
    [site],
  );
  return {
    messages: found.slice(0, LISTED).map(toMessage),
    more: found.length > LISTED,
    ...counts,
  };
}

/** The words of a message and where it was sent from. */
const SEARCHED = `($2 = '' OR words ILIKE $2 OR form ILIKE $2 OR path ILIKE $2)`;

/** Words as they are searched for: what means something there means itself (PostgreSQL, 9.7.1). */
function searched(search: string): string {
  const words = search.trim();
  return words === '' ? '' : `%${words.replace(/[\\%_]/g, String.raw`\$&`)}%`;
}

/** Has messages be read or unread, or be no longer held back. */
export async function mark(
  database: DataSource,
  site: string,
  ids: readonly string[],
  set: { read: boolean } | { held: false },
): Promise<void> {
  if ('read' in set)
    await database.query(
      'UPDATE messages SET is_read = $3 WHERE site = $1 AND id = ANY($2::text[])',
      [site, ids, set.read],
    );
  else
    await database.query(
      'UPDATE messages SET held = NULL WHERE site = $1 AND id = ANY($2::text[])',
      [site, ids],
    );
}

/** Removes messages for good, and the mail that told of them. */
export async function remove(
  database: DataSource,
  site: string,
  ids: readonly string[],
): Promise<void> {
  await database.query('DELETE FROM messages WHERE site = $1 AND id = ANY($2::text[])', [
    site,
    ids,
  ]);
}

/** Removes the messages of a site that are older than it keeps any. */
export async function removeOld(
  manager: EntityManager,
  site: string,
  days: number | undefined,
): Promise<void> {
  if (days === undefined) return;
  await manager.query(
    `DELETE FROM messages WHERE site = $1 AND at < now() - make_interval(days => $2)`,
    [site, days],
  );
}

/** The same of every site: how long each keeps its messages stands in what is said of it. */
export async function removeAllOld(manager: EntityManager): Promise<void> {
  await manager.query(
    `DELETE FROM messages USING documents
      WHERE documents.site = messages.site AND documents.kind = 'site'
        AND messages.at < now() - make_interval(days => (documents.body -> 'inbox' ->> 'days')::int)`,
  );
}

/** The messages that are shown as a table (RFC 4180): a column for each label, in the order in which they came up; times in UTC. */
export async function messagesAsCsv(
  database: DataSource,
  site: string,
  shown: Shown,
  search: string,
): Promise<string> {
  const found: MessageRow[] = await database.query(
    `SELECT ${COLUMNS} FROM messages WHERE site = $1 AND ${SHOWN[shown]} AND ${SEARCHED}
      ORDER BY at DESC, id DESC`,
    [site, searched(search)],
  );
  const labels = [...new Set(found.flatMap(({ fields }) => fields.map(({ label }) => label)))];
  const rows = found.map(({ at, form, path, fields }) => [
    at.toISOString(),
    form,
    path,
    ...labels.map((label) =>
      fields
        .filter((field) => field.label === label)
        .map(({ value }) => value)
        .join(', '),
    ),
  ]);
  // Visitors wrote this: what a table program would work out is words (OWASP, CSV Injection).
  return Papa.unparse([['Received', 'Form', 'Page', ...labels], ...rows], {
    newline: '\r\n',
    escapeFormulae: true,
  });
}

/** What the stand-in for mail holds, newest first. */
export async function mailsOf(database: DataSource, site: string): Promise<Mail[]> {
  const rows: (Omit<Mail, 'at'> & { at: Date })[] = await database.query(
    `SELECT id, at, recipient, subject, body FROM mails WHERE site = $1
      ORDER BY at DESC, id DESC LIMIT ${MAILS}`,
    [site],
  );
  return rows.map(({ at, ...mail }) => ({ ...mail, at: at.toISOString() }));
}
