import { chmodSync, mkdirSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { defineConfig } from '@playwright/test';
import { chromiumProgram } from '../scripts/lib/install.mjs';
import { PORT, PORTS, SITES_PORTS } from './addresses';

/** An empty data folder: the one that `npm test` removes afterwards, else one in the folder for temporary files. */
const dataFolder = (process.env['SORMET_E2E_DATA'] ??= mkdtempSync(join(tmpdir(), 'sormet-e2e-')));
mkdirSync(dataFolder, { recursive: true });
chmodSync(dataFolder, 0o755);

/** The real interface in Debian's Chromium; each worker has a server of its own with the demo in a database of its own. */
export default defineConfig({
  testDir: import.meta.dirname,
  outputDir: '../test-results',
  timeout: 120_000,
  expect: { timeout: 15_000 },
  workers: PORTS.length,
  // What fails is wrong: nothing is tried again.
  retries: 0,
  reporter: [['list'], ['./in-short.ts']],
  // The main job begins on the demo as it is shipped, so it goes first.
  projects: [
    { name: 'main job', testMatch: 'main-job.spec.ts' },
    { name: 'promises', testIgnore: 'main-job.spec.ts' },
  ],
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    actionTimeout: 30_000,
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: chromiumProgram(),
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-background-networking',
        '--disable-sync',
        '--no-first-run',
        // Each load begins anew: code is left before what made it fast is paid for, a tenth of what a browser does here.
        '--js-flags=--no-opt,--no-maglev,--no-flush-bytecode',
      ],
    },
    // Recording costs as much as what is recorded: only where somebody looks into it by hand.
    trace: process.env['CI'] ? 'off' : 'retain-on-failure',
  },
  webServer: PORTS.map((port, worker) => ({
    command: 'node scripts/start.mjs',
    cwd: join(import.meta.dirname, '..'),
    url: `http://127.0.0.1:${port}/api/health`,
    timeout: 180_000,
    gracefulShutdown: { signal: 'SIGTERM', timeout: 10_000 },
    env: {
      SORMET_PORT: String(port),
      SORMET_SITES_PORT: String(SITES_PORTS[worker]),
      SORMET_DATA: join(dataFolder, String(worker)),
    },
  })),
});
