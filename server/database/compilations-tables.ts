import type { MigrationInterface, QueryRunner } from 'typeorm';

/**
 * What workers make of a revision, until a release takes it: not logged, since it can be made again from what is. Only
 * which worker has taken which job is kept through a crash of the database, as the jobs are.
 */
export class Compilations1764800000000 implements MigrationInterface {
  readonly name = 'Compilations1764800000000';

  async up(runner: QueryRunner): Promise<void> {
    for (const statement of [
      `CREATE UNLOGGED TABLE compilations (
         id text PRIMARY KEY,
         site text NOT NULL REFERENCES sites (id) ON DELETE CASCADE,
         revision integer NOT NULL,
         live text,
         compiler integer NOT NULL,
         state text NOT NULL,
         done integer NOT NULL,
         total integer NOT NULL,
         left_parts integer,
         work jsonb,
         kept integer NOT NULL,
         plan jsonb NOT NULL,
         base text,
         changes jsonb NOT NULL,
         error text,
         at timestamptz NOT NULL
       )`,
      `CREATE UNIQUE INDEX compilations_once ON compilations (site, revision, coalesce(live, ''), compiler)`,
      `CREATE UNLOGGED TABLE compilation_parts (
         compilation text NOT NULL REFERENCES compilations (id) ON DELETE CASCADE,
         number integer NOT NULL,
         paths jsonb NOT NULL,
         made jsonb,
         PRIMARY KEY (compilation, number)
       )`,
      `CREATE UNLOGGED TABLE compilation_texts (
         compilation text NOT NULL REFERENCES compilations (id) ON DELETE CASCADE,
         sha256 text NOT NULL,
         media_type text NOT NULL,
         bytes bytea NOT NULL,
         PRIMARY KEY (compilation, sha256)
       )`,
      `CREATE TABLE taken_jobs (
         job uuid PRIMARY KEY,
         worker integer NOT NULL,
         about jsonb NOT NULL
       )`,
      `ALTER TABLE releases ADD COLUMN compilation text`,
      `CREATE INDEX releases_of_compilation ON releases (compilation) WHERE compilation IS NOT NULL`,
      // What an earlier version had begun, no worker of this one knows how to end.
      `UPDATE releases SET state = 'failed', error = 'It was begun by an earlier version. Publish again.'
        WHERE state IN ('waiting', 'making')`,
    ])
      await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE releases DROP COLUMN compilation');
    for (const table of ['taken_jobs', 'compilation_texts', 'compilation_parts', 'compilations'])
      await runner.query(`DROP TABLE ${table}`);
  }
}
