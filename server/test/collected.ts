import { setFlagsFromString } from 'node:v8';
import { runInNewContext } from 'node:vm';

setFlagsFromString('--expose-gc');
const collect = runInNewContext('gc') as () => void;

/** How many bytes buffers hold that something still needs: what only waits to be cleaned up is cleaned up first. */
export function bytesHeld(): number {
  collect();
  return process.memoryUsage().arrayBuffers;
}
