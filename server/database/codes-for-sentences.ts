import type { MigrationInterface, QueryRunner } from 'typeorm';
import { isSaid, say, type Said } from '@sormet/core/said';
import { toldHistory, type OldEdit } from './told-history';

/** How many rows are read and written at once. */
const ROWS = 200;

/**
 * What was stored as sentences becomes codes with what they are about: lines of the history, told anew from what each
 * edit was done to; reasons in the plans of releases, and why releases failed. What can no longer be told anew keeps the
 * words it was told with.
 */
export class CodesForSentences1764900000000 implements MigrationInterface {
  readonly name = 'CodesForSentences1764900000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE history ADD COLUMN said jsonb');
    const sites: { id: string }[] = await runner.query('SELECT id FROM sites');
    for (const { id } of sites) await this.history(runner, id);
    await runner.query('ALTER TABLE history ALTER COLUMN said SET NOT NULL');
    await runner.query('ALTER TABLE history DROP COLUMN says');

    // What is compiled is made again whenever it is asked for.
    await runner.query('DELETE FROM compilations');
    await runner.query('ALTER TABLE compilations DROP COLUMN error, ADD COLUMN error jsonb');
    await runner.query('ALTER TABLE releases RENAME COLUMN error TO told');
    await runner.query('ALTER TABLE releases ADD COLUMN error jsonb');
    const releases: { id: string }[] = await runner.query('SELECT id FROM releases');
    for (const { id } of releases) await this.release(runner, id);
    await runner.query('ALTER TABLE releases DROP COLUMN told');
  }

  /** Tells the history of a site anew, from now to its beginning: each edit was done to what stood before it. */
  private async history(runner: QueryRunner, site: string): Promise<void> {
    const documents: { id: string; body: unknown }[] = await runner.query(
      'SELECT id, body FROM documents WHERE site = $1',
      [site],
    );
    const history = toldHistory(documents.map(({ body }) => body));
    for (let before: number | null = null; ;) {
      const rows: OldEdit[] = await runner.query(
        `SELECT revision, edit, name, args, changes, says FROM history
           WHERE site = $1 AND ($2::int IS NULL OR revision < $2) ORDER BY revision DESC LIMIT $3`,
        [site, before, ROWS],
      );
      for (const row of rows) history.add(row);
      if (rows.length < ROWS) break;
      before = rows.at(-1)!.revision;
    }
    const told = history.told();
    for (let i = 0; i < told.length; i += ROWS) {
      const part = told.slice(i, i + ROWS);
      await runner.query(
        `UPDATE history SET said = told.said FROM
           (SELECT * FROM unnest($2::int[], $3::jsonb[]) AS each(revision, said)) AS told
           WHERE history.site = $1 AND history.revision = told.revision`,
        [site, part.map(({ revision }) => revision), part.map(({ said }) => JSON.stringify(said))],
      );
    }
  }

  private async release(runner: QueryRunner, id: string): Promise<void> {
    const [row]: { plan: { reasons: readonly string[] }[] | null; told: string | null }[] =
      await runner.query('SELECT plan, told FROM releases WHERE id = $1', [id]);
    if (!row) return;
    const plan = row.plan?.map((page) => ({ ...page, reasons: page.reasons.map(reasonOf) }));
    await runner.query('UPDATE releases SET plan = $2, error = $3 WHERE id = $1', [
      id,
      JSON.stringify(plan ?? []),
      row.told === null ? null : JSON.stringify(reasonOf(row.told)),
    ]);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE history ADD COLUMN says text');
    await runner.query('UPDATE history SET says = said::text');
    await runner.query('ALTER TABLE history ALTER COLUMN says SET NOT NULL');
    await runner.query('ALTER TABLE history DROP COLUMN said');
    for (const table of ['compilations', 'releases'])
      await runner.query(`ALTER TABLE ${table} ALTER COLUMN error TYPE text USING error::text`);
  }
}

/** What releases were told with before there were codes: what stands in brackets is what each is about. */
const REASONS: readonly [RegExp, Said['code'], string?][] = [
  [/^no page has this path any more$/, 'no-page-here'],
  [/^leads to (.+) now$/, 'leads-to', 'path'],
  [/^the page is new$/, 'page-is-new'],
  [/^something it is made from changed$/, 'made-from-changed'],
  [/^the list of (.+) changed$/, 'list-changed', 'of'],
  [/^the address of a page it links to changed$/, 'linked-address-changed'],
  [/^the style of every (.+) changed$/, 'tag-style-changed', 'tag'],
  [/^the token (.+) changed$/, 'token-changed', 'token'],
  [/^the page (.+) changed$/, 'page-changed', 'path'],
  [/^the definition of (.+) changed$/, 'definition-changed', 'component'],
  [/^the entry (.+) changed$/, 'entry-changed', 'slug'],
  [/^the tokens changed$/, 'tokens-changed'],
  [/^the tag styles changed$/, 'tag-styles-changed'],
  [/^the style (.+) changed$/, 'style-changed', 'style'],
  [/^the settings of the site changed$/, 'settings-changed'],
  [/^the file (.+) changed$/, 'file-changed', 'file'],
  [/^the content type (.+) changed$/, 'type-changed', 'type'],
  [/^The site was removed while this was published\.$/, 'site-removed'],
  [/^Every page is published as it is; there is nothing to publish\.$/, 'nothing-to-publish'],
  [/^The file of (.+) is not stored; bring it in again\.$/, 'file-not-stored', 'path'],
  [/^No worker could make it, though it was tried several times; /, 'failed-too-often'],
];

function reasonOf(words: string): Said {
  for (const [pattern, code, about] of REASONS) {
    const found = pattern.exec(words);
    if (!found) continue;
    const said = about === undefined ? { code } : { code, about: { [about]: found[1]! } };
    if (isSaid(said)) return said;
  }
  return say('as-it-was-told', { words });
}
