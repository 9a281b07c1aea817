import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What documents add to the addresses of their site (see `standsFor`), so that a list of sites reads none of them. */
export class Standing1764600000000 implements MigrationInterface {
  readonly name = 'Standing1764600000000';

  async up(runner: QueryRunner): Promise<void> {
    for (const statement of [
      'ALTER TABLE documents ADD COLUMN stands text',
      `UPDATE documents SET stands = CASE
         WHEN kind = 'entry' THEN body->>'type'
         WHEN body->>'path' LIKE '%<slug>' THEN body->>'entries'
         ELSE '' END
       WHERE kind IN ('page', 'entry') AND body->'draft' IS DISTINCT FROM 'true'`,
      'CREATE INDEX documents_standing ON documents (site, kind, stands) WHERE stands IS NOT NULL',
    ])
      await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE documents DROP COLUMN stands');
  }
}
