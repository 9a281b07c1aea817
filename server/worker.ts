import { connect } from './database/connect';
import { SiteStore } from './database/site-store';
import { CompileQueue } from './compile/queue';
import { Worker } from './compile/worker';
import { runProcess } from './process';
import { databaseFrom } from './settings';

/** The worker process: makes pages. */
runProcess(async () => {
  const url = databaseFrom(process.env);
  const database = await connect(url, false);
  const queue = new CompileQueue(database, url, false);
  const worker = new Worker(new SiteStore(database), queue, url);
  await queue.start();
  await worker.start();
  return async () => {
    await worker.stop();
    await queue.stop();
    await database.destroy();
  };
});
