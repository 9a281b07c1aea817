/**
 * `npm run worker [-- COUNT]`: makes pages of releases beside those that do already, on any machine that reaches the
 * database: the one that SORMET_DATABASE names, else that of the Sormet that runs on this machine. A worker that ends is
 * started again.
 */
import { existsSync, readFileSync } from 'node:fs';
import { buildAll } from './lib/build.mjs';
import { installPackages } from './lib/install.mjs';
import { KeptRunning } from './lib/keep-running.mjs';
import { addressFile, dataFolder } from './lib/postgres.mjs';
import { giveUp, say, Trouble } from './lib/say.mjs';

const MOST = 64;

let last;

/** The address of the database; of one on this machine it is another after each start, and the last while none runs. */
function database() {
  if (process.env.SORMET_DATABASE) return process.env.SORMET_DATABASE;
  const file = addressFile(dataFolder());
  if (existsSync(file)) last = readFileSync(file, 'utf8').trim();
  if (last === undefined)
    throw new Trouble(
      'No Sormet runs on this machine with this data folder. Start it with “npm start”, name its folder in SORMET_DATA, ' +
        'or name the address of a database elsewhere in SORMET_DATABASE.',
    );
  return last;
}

const workers = [];
async function stop(code) {
  await Promise.all(workers.map((worker) => worker.stop()));
  process.exit(code);
}
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void stop(0));

try {
  const count = Number(process.argv[2] ?? 1);
  if (!Number.isInteger(count) || count < 1 || count > MOST)
    throw new Trouble(
      `“${process.argv[2]}” is no number of workers; it is one between 1 and ${MOST}.`,
    );
  database();
  installPackages();
  buildAll();
  let ready = 0;
  for (let i = 1; i <= count; i += 1) {
    const worker = new KeptRunning({
      name: `worker ${i} of ${count}`,
      program: 'server/dist/worker.mjs',
      env: () => ({ SORMET_DATABASE: database() }),
      ready: () => {
        ready += 1;
        if (ready === count)
          say(count === 1 ? 'A worker is ready.' : `${count} workers are ready.`);
      },
      failed: (code) => void stop(code),
    });
    workers.push(worker);
    worker.start();
  }
} catch (error) {
  giveUp(error);
}
