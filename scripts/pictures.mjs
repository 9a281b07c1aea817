/** `npm run pictures`: docs/screenshots anew, from the demo, at 1280 x 800. */
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { chmodSync, mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { installChromium, installPackages, installPostgres, root } from './lib/install.mjs';
import { buildAll } from './lib/build.mjs';
import { giveUp, say } from './lib/say.mjs';

const port = 5490;
const folder = mkdtempSync(join(tmpdir(), 'sormet-pictures-'));
chmodSync(folder, 0o755);

async function ready(server) {
  for (let i = 0; i < 600; i += 1) {
    if (server.exitCode !== null) throw new Error('Sormet did not start.');
    try {
      if ((await fetch(`http://127.0.0.1:${port}/api/health`)).ok) return;
    } catch {
      // Not listening yet.
    }
    await new Promise((done) => setTimeout(done, 100));
  }
  throw new Error('Sormet did not start.');
}

let server;
try {
  installPackages();
  installPostgres();
  installChromium();
  buildAll();
  server = spawn(process.execPath, ['scripts/start.mjs'], {
    cwd: root,
    stdio: ['ignore', 'ignore', 'inherit'],
    env: {
      ...process.env,
      SORMET_PORT: String(port),
      SORMET_SITES_PORT: String(port + 1),
      SORMET_DATA: folder,
    },
  });
  await ready(server);
  const { takePictures } = await import('./lib/views.mjs');
  mkdirSync(join(root, 'docs', 'screenshots'), { recursive: true });
  await takePictures(`http://127.0.0.1:${port}`, join(root, 'docs', 'screenshots'), say);
} catch (error) {
  process.exitCode = 1;
  server?.kill('SIGTERM');
  giveUp(error);
} finally {
  if (server && server.exitCode === null) {
    server.kill('SIGTERM');
    await once(server, 'exit');
  }
  rmSync(folder, { recursive: true, force: true });
}
