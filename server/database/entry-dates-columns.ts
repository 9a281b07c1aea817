import type { MigrationInterface, QueryRunner } from 'typeorm';

/** The days of entries that a release and what it is made of were made with (see `Moment`), where something read them. */
export class EntryDates1765100000000 implements MigrationInterface {
  readonly name = 'EntryDates1765100000000';

  async up(runner: QueryRunner): Promise<void> {
    for (const table of ['releases', 'compilations'])
      await runner.query(`ALTER TABLE ${table} ADD COLUMN dates jsonb`);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const table of ['releases', 'compilations'])
      await runner.query(`ALTER TABLE ${table} DROP COLUMN dates`);
  }
}
