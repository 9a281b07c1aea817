/** `npm start`: installs what is missing, starts the database, builds the interface when needed, serves. */
import { spawn } from 'node:child_process';
import { installPackages, installPostgres, root } from './lib/install.mjs';
import { buildInterface } from './lib/interface.mjs';
import { dataFolder, startPostgres } from './lib/postgres.mjs';
import { giveUp, say } from './lib/say.mjs';

let database;
let server;
let stopping = false;

function stop(code) {
  if (stopping) return;
  stopping = true;
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

try {
  installPackages();
  const programs = installPostgres();
  buildInterface();
  const folder = dataFolder();
  database = await startPostgres(programs, folder);
  if (stopping) throw new Error('stopped while starting');
  server = spawn(process.execPath, ['--import', 'tsx', 'server/main.ts'], {
    cwd: root,
    env: { NODE_ENV: 'production', ...process.env, SORMET_DATABASE: database.url },
    // The channel tells the server when this process is gone, however it went.
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
  });
  server.once('exit', (code, signal) => {
    if (stopping) return;
    if (signal) say(`The server was ended by ${signal}; everything saved is kept.`);
    stopping = true;
    database.stop();
    process.exit(code || 1);
  });
} catch (error) {
  database?.stop();
  giveUp(error);
}
