import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { root } from './install.mjs';
import { freePort } from './ports.mjs';

/** A program of an installed package. */
export const bin = (name) => join(root, 'node_modules', '.bin', name);

/** Runs a program of a package, saying what it says. @returns whether it ended well */
export function runs(command, args, env = {}) {
  const { status } = spawnSync(command, args, {
    cwd: root,
    stdio: ['ignore', 'inherit', 'inherit'],
    env: { ...process.env, ...env },
  });
  return status === 0;
}

/**
 * What the tests of the interface are told: some of their files run at once, more than there are processors since most of a test is waiting, each on a server of its own.
 * @param folder where all that they leave is kept
 */
export async function interfaceTests(folder, workers = 3) {
  const ports = async () =>
    (await Promise.all(Array.from({ length: workers }, freePort))).join(',');
  return {
    SORMET_E2E_PORT: await ports(),
    SORMET_E2E_SITES_PORT: await ports(),
    SORMET_E2E_DATA: join(folder, 'interface'),
    TMPDIR: folder,
  };
}
