import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Which edits changed which document, so that the history of one is read without that of the whole site. */
export class HistoryDocuments1764400000000 implements MigrationInterface {
  readonly name = 'HistoryDocuments1764400000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      `CREATE TABLE history_documents (
         site text NOT NULL REFERENCES sites (id) ON DELETE CASCADE,
         document text NOT NULL,
         revision integer NOT NULL,
         PRIMARY KEY (site, document, revision)
       )`,
    );
    await runner.query(
      `INSERT INTO history_documents (site, document, revision)
         SELECT DISTINCT history.site, change->>'doc', history.revision
           FROM history, jsonb_array_elements(history.changes) AS change`,
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE history_documents');
  }
}
