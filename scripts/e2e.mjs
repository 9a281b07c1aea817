/** `npm run e2e -- NAME`: the tests of the interface of the files that NAME is part of, on a server of their own. */
import { installChromium, installPackages, installPostgres } from './lib/install.mjs';
import { buildAll } from './lib/build.mjs';
import { giveUp } from './lib/say.mjs';
import { temporaryFolder } from './lib/temporary.mjs';
import { bin, interfaceTests, runs } from './lib/testing.mjs';

const folder = temporaryFolder();
try {
  installPackages();
  installPostgres();
  installChromium();
  buildAll();
  const asked = process.argv.slice(2);
  // One file needs one server.
  const env = await interfaceTests(folder, asked.length > 0 ? 1 : 2);
  const args = ['test', '-c', 'e2e/playwright.config.ts', '--no-deps', ...asked];
  process.exit(runs(bin('playwright'), args, env) ? 0 : 1);
} catch (error) {
  giveUp(error);
}
