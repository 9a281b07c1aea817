/**
 * `npm start`: installs what is missing, starts the database, builds what has changed, serves. It watches
 * over the database, the server and a worker, and starts again what ended.
 */
import { installPackages, installPostgres } from './lib/install.mjs';
import { buildAll } from './lib/build.mjs';
import { FIRST_WAIT, KeptRunning, LONGEST_WAIT } from './lib/keep-running.mjs';
import { checkPorts } from './lib/ports.mjs';
import { accepts, dataFolder, startPostgres } from './lib/postgres.mjs';
import { giveUp, say } from './lib/say.mjs';

let database;
let watching;
let stopping = false;
const env = () => ({ SORMET_DATABASE: database.url });

/** The first of the processes that make pages; `npm run worker` starts more. */
const worker = new KeptRunning({ name: 'worker', program: 'server/dist/worker.mjs', env });
const server = new KeptRunning({
  name: 'server',
  program: 'server/dist/main.mjs',
  env,
  // The server brings the tables up to date that the worker uses.
  ready: () => worker.start(FIRST_WAIT, true),
  failed: (code) => void stop(code),
});

async function stop(code) {
  if (stopping) return;
  stopping = true;
  clearTimeout(watching);
  await Promise.all([server.stop(), worker.stop()]);
  database?.stop();
  process.exit(code);
}

for (const signal of ['SIGTERM', 'SIGINT', 'SIGHUP']) process.on(signal, () => void stop(0));

/** Looks after the database; when it is gone, starts it again, later each time. */
async function watch(wait = FIRST_WAIT) {
  let next = wait;
  if (!stopping && !(await accepts(database.port))) {
    say('The database is gone; it is started again. Everything saved is kept.');
    try {
      await database.restart();
      say('The database is there again.');
      next = FIRST_WAIT;
    } catch (error) {
      next = Math.min(wait * 2, LONGEST_WAIT);
      say(`${error.message}\nIt is tried again in ${next / 1000} s.`);
    }
  } else next = FIRST_WAIT;
  if (!stopping) watching = setTimeout(() => void watch(next), next);
}

try {
  await checkPorts();
  installPackages();
  const programs = installPostgres();
  buildAll();
  database = await startPostgres(programs, dataFolder());
  if (stopping) {
    database.stop();
    process.exit(0);
  }
  server.start();
  watching = setTimeout(() => void watch(), FIRST_WAIT);
} catch (error) {
  database?.stop();
  giveUp(error);
}
