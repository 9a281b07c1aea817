import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Files lie in parts of a mebibyte, so that none is ever in memory whole; their size is known without reading them. */
export class FileParts1764500000000 implements MigrationInterface {
  readonly name = 'FileParts1764500000000';

  async up(runner: QueryRunner): Promise<void> {
    for (const statement of [
      'ALTER TABLE files ADD COLUMN size integer',
      'UPDATE files SET size = octet_length(bytes)',
      'ALTER TABLE files ALTER COLUMN size SET NOT NULL',
      `CREATE TABLE file_parts (
         sha256 text NOT NULL REFERENCES files (sha256) ON DELETE CASCADE,
         number integer NOT NULL,
         bytes bytea NOT NULL,
         PRIMARY KEY (sha256, number)
       )`,
      `INSERT INTO file_parts
       SELECT sha256, part, substring(bytes FROM part * 1048576 + 1 FOR 1048576)
         FROM files, generate_series(0, (size - 1) / 1048576) AS part
        WHERE size > 0`,
      'ALTER TABLE files DROP COLUMN bytes',
      'CREATE INDEX files_by_digits ON files (sha256 COLLATE "C")',
    ])
      await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const statement of [
      'DROP INDEX files_by_digits',
      'ALTER TABLE files ADD COLUMN bytes bytea',
      `UPDATE files f SET bytes = coalesce(
         (SELECT string_agg(p.bytes, NULL ORDER BY number) FROM file_parts p WHERE p.sha256 = f.sha256), '')`,
      'ALTER TABLE files ALTER COLUMN bytes SET NOT NULL',
      'DROP TABLE file_parts',
      'ALTER TABLE files DROP COLUMN size',
    ])
      await runner.query(statement);
  }
}
