import type { MigrationInterface, QueryRunner } from 'typeorm';

/**
 * At which moment a release and what it is made of was made (see `Moment`), and whether it was made by itself since its
 * time had come; when documents were made, and entries published first and last.
 */
export class Moments1765000000000 implements MigrationInterface {
  readonly name = 'Moments1765000000000';

  async up(runner: QueryRunner): Promise<void> {
    for (const statement of [
      ...['releases', 'compilations'].flatMap((table) => [
        `ALTER TABLE ${table} ADD COLUMN at_today text NOT NULL DEFAULT ''`,
        `ALTER TABLE ${table} ADD COLUMN at_now text NOT NULL DEFAULT ''`,
      ]),
      `ALTER TABLE releases ADD COLUMN by_itself boolean NOT NULL DEFAULT false`,
      `ALTER TABLE documents ADD COLUMN made timestamptz NOT NULL DEFAULT now()`,
      // Of documents from before this was noted it is known since when there is a history of them.
      `UPDATE documents SET made = first.at
         FROM (SELECT site, document, min(at) AS at FROM history_documents JOIN history USING (site, revision)
                GROUP BY site, document) AS first
        WHERE first.site = documents.site AND first.document = documents.id`,
      'DROP INDEX compilations_once',
      `CREATE UNIQUE INDEX compilations_once
         ON compilations (site, revision, coalesce(live, ''), compiler, at_today, at_now)`,
      `CREATE TABLE published_entries (
         site text NOT NULL REFERENCES sites (id) ON DELETE CASCADE,
         entry text NOT NULL,
         first timestamptz NOT NULL,
         last timestamptz NOT NULL,
         PRIMARY KEY (site, entry)
       )`,
    ])
      await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const statement of [
      'DROP TABLE published_entries',
      'ALTER TABLE documents DROP COLUMN made',
      'DROP INDEX compilations_once',
      // Of two that differ in their moment alone only one can stay; all can be made again.
      'DELETE FROM compilations',
      `CREATE UNIQUE INDEX compilations_once ON compilations (site, revision, coalesce(live, ''), compiler)`,
      'ALTER TABLE releases DROP COLUMN by_itself',
      ...['releases', 'compilations'].flatMap((table) => [
        `ALTER TABLE ${table} DROP COLUMN at_today`,
        `ALTER TABLE ${table} DROP COLUMN at_now`,
      ]),
    ])
      await runner.query(statement);
  }
}
