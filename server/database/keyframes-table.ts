import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Where the documents of a site are kept as they were at some revisions, so that any between can be read quickly. */
export class Keyframes1764200000000 implements MigrationInterface {
  readonly name = 'Keyframes1764200000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      `CREATE TABLE keyframes (
         site text NOT NULL REFERENCES sites (id) ON DELETE CASCADE,
         id text NOT NULL,
         revision integer NOT NULL,
         body jsonb,
         PRIMARY KEY (site, id, revision)
       )`,
    );
    await runner.query('CREATE INDEX keyframes_by_revision ON keyframes (site, revision)');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE keyframes');
  }
}
