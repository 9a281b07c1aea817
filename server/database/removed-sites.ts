import type { MigrationInterface, QueryRunner } from 'typeorm';

/** When a site was removed: it is kept for some time, and can be brought back. */
export class RemovedSites1764300000000 implements MigrationInterface {
  readonly name = 'RemovedSites1764300000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE sites ADD COLUMN removed timestamptz');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE sites DROP COLUMN removed');
  }
}
