/** `npm test`: format, lint, types, unit tests, and the interface in a real browser. */
import { spawnSync } from 'node:child_process';
import { rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { installChromium, installPackages, installPostgres, root } from './lib/install.mjs';
import { buildInterface } from './lib/interface.mjs';
import { startPostgres } from './lib/postgres.mjs';
import { giveUp, say } from './lib/say.mjs';

const folder = join(tmpdir(), `sormet-test-${process.getuid?.() ?? 0}-${process.pid}`);
let database;

/** Runs one part; its failure does not keep the others from being told. */
function part(name, command, args, env = {}) {
  say(`\n== ${name}`);
  const { status } = spawnSync(command, args, {
    cwd: root,
    stdio: ['ignore', 'inherit', 'inherit'],
    env: { ...process.env, ...env },
  });
  return { name, passed: status === 0 };
}

try {
  installPackages();
  const programs = installPostgres();
  installChromium();
  buildInterface();
  const bin = (name) => join(root, 'node_modules', '.bin', name);
  const results = [
    part('Format', bin('prettier'), ['--check', '--log-level', 'warn', '.']),
    part('Lint', bin('eslint'), ['.', '--max-warnings', '0']),
    part('Layers', bin('depcruise'), [
      '--config',
      '.dependency-cruiser.cjs',
      'core',
      'server',
      'web',
      'demo',
    ]),
    part('Types', bin('tsc'), ['--noEmit', '-p', 'tsconfig.json']),
  ];
  database = await startPostgres(programs, folder, { durable: false });
  results.push(part('Core and server', bin('jest'), [], { SORMET_TEST_DATABASE: database.url }));
  database.stop();
  database = undefined;
  rmSync(folder, { recursive: true, force: true });
  results.push(part('Interface', bin('playwright'), ['test', '-c', 'e2e/playwright.config.ts']));
  const failed = results.filter(({ passed }) => !passed);
  for (const { name } of failed) say(`FAILED: ${name}`);
  say(`\n${results.length - failed.length} passed, ${failed.length} failed`);
  process.exit(failed.length === 0 ? 0 : 1);
} catch (error) {
  database?.stop();
  rmSync(folder, { recursive: true, force: true });
  giveUp(error);
}
