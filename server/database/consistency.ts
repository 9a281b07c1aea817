import type { MigrationInterface, QueryRunner } from 'typeorm';

/**
 * What makes every state checkable: how many documents a site holds at a revision; which stretch of typing an
 * edit belongs to; which version of the compiler made a release.
 */
export class Consistency1764100000000 implements MigrationInterface {
  readonly name = 'Consistency1764100000000';

  async up(runner: QueryRunner): Promise<void> {
    for (const statement of [
      'ALTER TABLE sites ADD COLUMN documents integer',
      `UPDATE sites SET documents =
         (SELECT count(*) FROM documents WHERE documents.site = sites.id)`,
      'ALTER TABLE sites ALTER COLUMN documents SET NOT NULL',
      'ALTER TABLE history ADD COLUMN documents integer',
      'ALTER TABLE history ADD COLUMN stretch text',
      'ALTER TABLE releases ADD COLUMN compiler integer NOT NULL DEFAULT 1',
    ])
      await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const [table, column] of [
      ['releases', 'compiler'],
      ['history', 'stretch'],
      ['history', 'documents'],
      ['sites', 'documents'],
    ])
      await runner.query(`ALTER TABLE ${table} DROP COLUMN ${column}`);
  }
}
