import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What visitors sent with the forms of a site, and the mail that told of it. */
export class Messages1765200000000 implements MigrationInterface {
  readonly name = 'Messages1765200000000';

  async up(runner: QueryRunner): Promise<void> {
    for (const statement of [
      `CREATE TABLE messages (
         id text PRIMARY KEY,
         site text NOT NULL REFERENCES sites (id) ON DELETE CASCADE,
         at timestamptz NOT NULL,
         path text NOT NULL,
         form text NOT NULL,
         fields jsonb NOT NULL,
         words text NOT NULL,
         held text,
         is_read boolean NOT NULL DEFAULT false
       )`,
      'CREATE INDEX messages_of_site ON messages (site, at DESC, id DESC)',
      `CREATE TABLE mails (
         id text PRIMARY KEY,
         site text NOT NULL REFERENCES sites (id) ON DELETE CASCADE,
         message text NOT NULL REFERENCES messages (id) ON DELETE CASCADE,
         at timestamptz NOT NULL,
         recipient text NOT NULL,
         subject text NOT NULL,
         body text NOT NULL
       )`,
      'CREATE INDEX mails_of_site ON mails (site, at DESC, id DESC)',
      'CREATE INDEX mails_of_message ON mails (message)',
    ])
      await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE mails');
    await runner.query('DROP TABLE messages');
  }
}
