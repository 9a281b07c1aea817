/** `npm test`: format, lint and types, unit tests, and the interface in a real browser. */
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { installChromium, installPackages, installPostgres, root } from './lib/install.mjs';
import { buildAll } from './lib/build.mjs';
import { startPostgres } from './lib/postgres.mjs';
import { giveUp, say } from './lib/say.mjs';
import { temporaryFolder } from './lib/temporary.mjs';
import { bin, interfaceTests, runs } from './lib/testing.mjs';

let database;
const folder = temporaryFolder(() => database?.stop());

/** What makes much and drops it at once cleans up less often with room for it: a fifth of its time. */
const ROOMY = { NODE_OPTIONS: '--max-semi-space-size=64' };

/** Runs one part; its failure does not keep the others from being told. */
function part(name, command, args, env = {}) {
  say(`\n== ${name}`);
  return { name, passed: runs(command, args, env) };
}

/** Runs parts that need nothing of each other at once; what each says is told when it is done, not mixed. */
function together(parts) {
  const running = parts.map(
    ([name, command, args, env = {}]) =>
      new Promise((done) => {
        const child = spawn(command, args, {
          cwd: root,
          stdio: ['ignore', 'pipe', 'pipe'],
          env: { ...process.env, ...env },
        });
        const said = [];
        for (const stream of [child.stdout, child.stderr])
          stream.on('data', (words) => said.push(words));
        const end = (passed) => {
          say(`\n== ${name}`);
          process.stdout.write(Buffer.concat(said));
          done({ name, passed });
        };
        child.on('error', (error) => {
          said.push(Buffer.from(String(error)));
          end(false);
        });
        child.on('close', (code) => end(code === 0));
      }),
  );
  return Promise.all(running);
}

try {
  installPackages();
  const programs = installPostgres();
  installChromium();
  buildAll();
  // Alone: what it measures is a ratio, but a machine with more to do than it has processors is another machine.
  const results = [
    part(
      'Speed of writing',
      process.execPath,
      ['--single-threaded-gc', '--import', 'tsx', 'benchmarks/guard.ts'],
      { NODE_ENV: 'production' },
    ),
  ];
  database = await startPostgres(programs, join(folder, 'unit'), { durable: false, tests: true });
  const layers = ['--config', '.dependency-cruiser.cjs', 'core', 'server', 'web', 'demo'];
  results.push(
    ...(await together([
      ['Lint and types', bin('oxlint'), ['--type-aware', '--type-check', '--deny-warnings']],
      ['Format', bin('oxfmt'), ['--check', '.']],
      ['Layers', bin('depcruise'), layers],
      ['Licences', process.execPath, ['scripts/licences.mjs', '--check']],
      ['Diagrams', process.execPath, ['scripts/diagrams.mjs', '--check']],
      ['Core and server', bin('jest'), [], { ...ROOMY, SORMET_TEST_DATABASE: database.url }],
    ])),
  );
  database.stop();
  database = undefined;
  const env = await interfaceTests(folder);
  results.push(
    part('Interface', bin('playwright'), ['test', '-c', 'e2e/playwright.config.ts'], env),
  );
  const failed = results.filter(({ passed }) => !passed);
  for (const { name } of failed) say(`FAILED: ${name}`);
  say(`\n${results.length - failed.length} passed, ${failed.length} failed`);
  process.exit(failed.length === 0 ? 0 : 1);
} catch (error) {
  giveUp(error);
}
