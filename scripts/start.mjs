/**
 * `npm start`: installs what is missing, starts the database, builds the interface when needed, serves. It watches
 * over the database and the server, and starts again what ended.
 */
import { spawn } from 'node:child_process';
import { installPackages, installPostgres, root } from './lib/install.mjs';
import { buildInterface } from './lib/interface.mjs';
import { checkPorts } from './lib/ports.mjs';
import { accepts, dataFolder, startPostgres } from './lib/postgres.mjs';
import { giveUp, say } from './lib/say.mjs';

/** How long to wait before the next try, in ms: twice as long each time. */
const FIRST_WAIT = 500;
const LONGEST_WAIT = 30_000;
/** How long something must have run for its next end to be a first one again, in ms. */
const STEADY = 60_000;

let database;
let server;
let watching;
let stopping = false;

function stop(code) {
  if (stopping) return;
  stopping = true;
  clearTimeout(watching);
  const end = () => {
    database?.stop();
    process.exit(code);
  };
  if (!server || server.exitCode !== null || server.signalCode !== null) return end();
  server.once('exit', end);
  server.kill('SIGTERM');
}

process.on('SIGTERM', () => stop(0));
process.on('SIGINT', () => stop(0));
process.on('SIGHUP', () => stop(0));

/** Runs the server; when it ends after it once served, starts it again, later each time. */
function serve(wait = FIRST_WAIT, served = false) {
  const began = Date.now();
  let ready = served;
  server = spawn(process.execPath, ['--import', 'tsx', 'server/main.ts'], {
    cwd: root,
    env: { NODE_ENV: 'production', ...process.env, SORMET_DATABASE: database.url },
    // The channel tells the server when this process is gone, however it went.
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
  });
  server.on('message', (message) => {
    if (message === 'ready') ready = true;
  });
  server.once('exit', (code, signal) => {
    if (stopping) return;
    if (!ready) return stop(code || 1);
    const next = Date.now() - began > STEADY ? FIRST_WAIT : wait;
    say(
      `The server ended (${signal ?? `code ${code}`}); everything saved is kept. It is started again in ${next / 1000} s.`,
    );
    setTimeout(() => {
      if (!stopping) serve(Math.min(next * 2, LONGEST_WAIT), true);
    }, next);
  });
}

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
  buildInterface();
  database = await startPostgres(programs, dataFolder());
  if (stopping) {
    database.stop();
    process.exit(0);
  }
  serve();
  watching = setTimeout(() => void watch(), FIRST_WAIT);
} catch (error) {
  database?.stop();
  giveUp(error);
}
