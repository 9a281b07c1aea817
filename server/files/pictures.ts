import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import { say } from '@sormet/core/said';
import { Problem } from '../http/problem';
import type { Picture, PictureRead } from './picture';

/** The largest file that can be brought in, in bytes. */
export const LARGEST_FILE = 4 * 1024 * 1024;

/** How long reading one picture may take, in ms; a worker that takes longer is ended. */
const LONGEST = 5_000;
/** How long a new worker may take to be there. */
const STARTING = 15_000;

/** Reads pictures in a thread of their own, one after the other, so that no picture can hold up the server. */
export class Pictures {
  private worker: Worker | undefined;
  private last: Promise<unknown> = Promise.resolve();
  private count = 0;

  /** @throws a 415 problem for what is no picture that can be used, with the reason */
  async read(bytes: Uint8Array): Promise<Picture> {
    const turn = this.last.then(() => this.one(bytes));
    this.last = turn.catch(() => undefined);
    const read = await turn;
    if ('refused' in read) throw new Problem(415, read.refused);
    return read.picture;
  }

  private one(bytes: Uint8Array): Promise<PictureRead> {
    const fresh = this.worker === undefined;
    const worker = (this.worker ??= new Worker(join(import.meta.dirname, 'picture-worker.mjs'), {
      resourceLimits: { maxOldGenerationSizeMb: 256 },
    }));
    worker.unref();
    const id = (this.count += 1);
    return new Promise<PictureRead>((done) => {
      const end = (read: PictureRead, alive: boolean) => {
        clearTimeout(timer);
        worker.off('message', onMessage);
        worker.off('error', onGone);
        worker.off('exit', onGone);
        if (!alive) {
          this.worker = undefined;
          void worker.terminate();
        }
        done(read);
      };
      const onMessage = (message: { id: number; read: PictureRead }) => {
        if (message.id === id) end(message.read, true);
      };
      const onGone = () => end({ refused: say('picture-unreadable') }, false);
      const timer = setTimeout(
        () => end({ refused: say('picture-takes-too-long') }, false),
        fresh ? STARTING + LONGEST : LONGEST,
      );
      worker.on('message', onMessage);
      worker.once('error', onGone);
      worker.once('exit', onGone);
      worker.postMessage({ id, bytes });
    });
  }

  async stop(): Promise<void> {
    await this.worker?.terminate();
    this.worker = undefined;
  }
}
