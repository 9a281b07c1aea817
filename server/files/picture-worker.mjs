/** Reads one picture for each message, away from the thread that serves. A thread translates TypeScript for itself. */
import { parentPort } from 'node:worker_threads';
import { register } from 'tsx/esm/api';

register();
const { readPicture } = await import('./picture.ts');

parentPort.on('message', ({ id, bytes }) => {
  parentPort.postMessage({ id, read: readPicture(bytes) });
});
