/** `npm run unit -- NAME`: the unit tests of the files that NAME is part of, with the database that some need. */
import { join } from 'node:path';
import { installPackages, installPostgres } from './lib/install.mjs';
import { buildAll } from './lib/build.mjs';
import { startPostgres } from './lib/postgres.mjs';
import { giveUp } from './lib/say.mjs';
import { temporaryFolder } from './lib/temporary.mjs';
import { bin, runs } from './lib/testing.mjs';

let database;
const folder = temporaryFolder(() => database?.stop());
try {
  installPackages();
  const programs = installPostgres();
  // Workers that are killed are processes of their own.
  buildAll('the server');
  database = await startPostgres(programs, join(folder, 'unit'), { durable: false, tests: true });
  const passed = runs(bin('jest'), process.argv.slice(2), { SORMET_TEST_DATABASE: database.url });
  process.exit(passed ? 0 : 1);
} catch (error) {
  giveUp(error);
}
