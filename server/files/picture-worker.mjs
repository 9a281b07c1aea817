/** Reads one picture or font for each message, away from the thread that serves. A thread translates TypeScript for itself. */
import { parentPort } from 'node:worker_threads';
import { register } from 'tsx/esm/api';

register();
const { readUpload } = await import('./read-upload.ts');

parentPort.on('message', async ({ id, bytes }) => {
  parentPort.postMessage({ id, read: await readUpload(bytes) });
});
