import type { MigrationInterface, QueryRunner } from 'typeorm';

/** The first tables. Migrations are only added to, never changed. */
export class FirstTables1764000000000 implements MigrationInterface {
  readonly name = 'FirstTables1764000000000';

  async up(runner: QueryRunner): Promise<void> {
    for (const statement of [
      `CREATE TABLE sites (
         id text PRIMARY KEY,
         slug text NOT NULL UNIQUE,
         name text NOT NULL,
         revision integer NOT NULL,
         live_release text
       )`,
      `CREATE TABLE documents (
         site text NOT NULL REFERENCES sites (id) ON DELETE CASCADE,
         id text NOT NULL,
         kind text NOT NULL,
         version integer NOT NULL,
         body jsonb NOT NULL,
         PRIMARY KEY (site, id)
       )`,
      `CREATE TABLE uses (
         site text NOT NULL REFERENCES sites (id) ON DELETE CASCADE,
         from_document text NOT NULL,
         from_node text NOT NULL,
         kind text NOT NULL,
         target text NOT NULL,
         PRIMARY KEY (site, from_document, from_node, kind, target)
       )`,
      `CREATE INDEX uses_by_target ON uses (site, target)`,
      `CREATE TABLE history (
         site text NOT NULL REFERENCES sites (id) ON DELETE CASCADE,
         revision integer NOT NULL,
         edit text NOT NULL,
         who text NOT NULL,
         at timestamptz NOT NULL,
         name text NOT NULL,
         args jsonb NOT NULL,
         changes jsonb NOT NULL,
         says text NOT NULL,
         PRIMARY KEY (site, revision),
         UNIQUE (site, edit)
       )`,
      `CREATE TABLE releases (
         id text PRIMARY KEY,
         site text NOT NULL REFERENCES sites (id) ON DELETE CASCADE,
         number integer NOT NULL,
         revision integer NOT NULL,
         state text NOT NULL,
         done integer NOT NULL,
         total integer NOT NULL,
         plan jsonb NOT NULL,
         manifest jsonb NOT NULL,
         error text,
         at timestamptz NOT NULL,
         UNIQUE (site, number)
       )`,
      `CREATE TABLE files (
         sha256 text PRIMARY KEY,
         media_type text NOT NULL,
         bytes bytea NOT NULL
       )`,
    ])
      await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const table of ['files', 'releases', 'history', 'uses', 'documents', 'sites'])
      await runner.query(`DROP TABLE ${table}`);
  }
}
