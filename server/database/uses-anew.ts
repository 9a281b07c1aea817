import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What documents use is told by one table of members now, which knows more of it: the rows are made anew at the start. */
export class UsesAnew1764700000000 implements MigrationInterface {
  readonly name = 'UsesAnew1764700000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query('DELETE FROM uses');
  }

  async down(): Promise<void> {
    // What was deleted is made anew by whatever reads it.
  }
}
