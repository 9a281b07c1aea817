import { isAway } from './database/away';
import { connect } from './database/connect';
import { SiteStore } from './database/site-store';
import { CompileQueue } from './compile/queue';
import { Worker } from './compile/worker';
import { logFault } from './http/log';
import { databaseFrom } from './settings';

/** The worker process: makes pages until it is told to stop, or until the process that started it is gone. */
async function main(): Promise<void> {
  const url = databaseFrom(process.env);
  const database = await connect(url, false);
  const queue = new CompileQueue(database, url, false);
  const worker = new Worker(new SiteStore(database), queue, url);
  await queue.start();
  await worker.start();
  let stopping = false;
  const stop = () => {
    if (stopping) return;
    stopping = true;
    worker
      .stop()
      .then(() => queue.stop())
      .then(() => database.destroy())
      .then(
        () => process.exit(0),
        (error: unknown) => {
          logFault('The end of a worker', error);
          process.exit(1);
        },
      );
  };
  process.send?.('ready');
  process.on('SIGTERM', stop);
  process.on('SIGINT', stop);
  process.on('disconnect', stop);
  // Whoever started it may have gone while it was not listening yet.
  if (process.send && !process.connected) stop();
}

/** A promise that nobody waited for has failed: never unsaid, and the end of it unless only the database is away. */
process.on('unhandledRejection', (error) => {
  logFault('A failure that nobody waited for', error);
  if (!isAway(error)) process.exit(1);
});

main().catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : String(error));
  process.exit(1);
});
