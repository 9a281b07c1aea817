/**
 * `npm run dev`: server, worker and interface from source, on a database of its own. What is changed in the interface
 * shows at once; what is changed in the server or the core starts server and worker anew.
 */
import { join } from 'node:path';
import { installPackages, installPostgres, root } from './lib/install.mjs';
import { serverBuild } from './lib/build.mjs';
import { FIRST_WAIT, KeptRunning } from './lib/keep-running.mjs';
import { checkPorts, freePort } from './lib/ports.mjs';
import { dataFolder, startPostgres } from './lib/postgres.mjs';
import { giveUp, say } from './lib/say.mjs';

/** What the server answers, where the interface comes from source. */
const ANSWERED = ['^/api/', '^/files/', '^/canvas$'];

let database;
let building;
let shown;
let processes = [];
let stopping = false;

async function stop(code) {
  if (stopping) return;
  stopping = true;
  await Promise.all([building?.dispose(), shown?.close(), ...processes.map((each) => each.stop())]);
  database?.stop();
  process.exit(code);
}

for (const signal of ['SIGTERM', 'SIGINT', 'SIGHUP']) process.on(signal, () => void stop(0));

try {
  await checkPorts();
  installPackages();
  database = await startPostgres(installPostgres(), dataFolder('dev'));
  const port = Number(process.env.SORMET_PORT || 5180);
  const behind = await freePort();
  const env = () => ({
    NODE_ENV: 'development',
    SORMET_DATABASE: database.url,
    SORMET_PORT: String(behind),
    SORMET_FRONT_PORT: String(port),
  });

  const startProcesses = async () => {
    const before = processes;
    processes = [];
    await Promise.all(before.map((each) => each.stop()));
    if (stopping) return;
    const program = (name) => `node_modules/.cache/sormet-dev/${name}.mjs`;
    const worker = new KeptRunning({ name: 'worker', program: program('worker'), env });
    const server = new KeptRunning({
      name: 'server',
      program: program('main'),
      env,
      ready: () => worker.start(FIRST_WAIT, true),
      failed: () => say('The server ended; it is started again when something is changed.'),
    });
    processes = [server, worker];
    server.start();
  };

  // Installed by now.
  const { context } = await import('esbuild');
  const options = serverBuild(join(root, 'node_modules', '.cache', 'sormet-dev'));
  let turn = Promise.resolve();
  building = await context({
    ...options,
    plugins: [
      ...options.plugins,
      {
        name: 'start anew',
        setup(build) {
          build.onEnd(({ errors }) => {
            if (errors.length === 0) turn = turn.then(startProcesses);
          });
        },
      },
    ],
  });
  await building.watch();
  const { createServer } = await import('vite');
  shown = await createServer({
    configFile: join(root, 'web', 'vite.config.ts'),
    server: {
      host: '127.0.0.1',
      port,
      strictPort: true,
      proxy: Object.fromEntries(
        ANSWERED.map((path) => [path, { target: `http://127.0.0.1:${behind}` }]),
      ),
    },
  });
  await shown.listen();
} catch (error) {
  database?.stop();
  giveUp(error);
}
