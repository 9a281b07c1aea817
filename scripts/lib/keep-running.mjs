import { spawn } from 'node:child_process';
import { root } from './install.mjs';
import { say } from './say.mjs';

/** How long to wait before the next try, in ms: twice as long each time. */
export const FIRST_WAIT = 500;
export const LONGEST_WAIT = 30_000;
/** How long something must have run for its next end to be a first one again, in ms. */
const STEADY = 60_000;

/** A process of ours that is started again when it ends, later each time, once it has been ready. */
export class KeptRunning {
  #child;
  #stopping = false;

  /**
   * What it is, in one object:
   * @param of.name what it is called in what is said
   * @param of.program its program, from the root
   * @param of.env what its environment has beside this one's: asked for at each start
   * @param of.ready called when it is ready for the first time
   * @param of.failed called with its code when it ends and was never ready
   */
  constructor({ name, program, env, ready = () => undefined, failed = () => undefined }) {
    Object.assign(this, { name, program, env, ready, failed });
  }

  /** @param served whether it is started again also when it was never ready */
  start(wait = FIRST_WAIT, served = false) {
    const began = Date.now();
    let ready = served;
    const child = spawn(process.execPath, ['--enable-source-maps', this.program], {
      cwd: root,
      env: { NODE_ENV: 'production', ...process.env, ...this.env() },
      // The channel tells it when this process is gone, however it went.
      stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
    });
    this.#child = child;
    child.on('message', (message) => {
      if (message !== 'ready' || ready) return;
      ready = true;
      this.ready();
    });
    child.once('exit', (code, signal) => {
      if (this.#stopping) return;
      if (!ready) return this.failed(code || 1);
      const next = Date.now() - began > STEADY ? FIRST_WAIT : wait;
      say(
        `The ${this.name} ended (${signal ?? `code ${code}`}); everything saved is kept. It is started again in ${next / 1000} s.`,
      );
      setTimeout(() => {
        if (!this.#stopping) this.start(Math.min(next * 2, LONGEST_WAIT), true);
      }, next);
    });
  }

  /** Ends it for good, and waits until it is gone. */
  stop() {
    this.#stopping = true;
    const child = this.#child;
    if (!child || child.exitCode !== null || child.signalCode !== null) return Promise.resolve();
    return new Promise((done) => {
      child.once('exit', done);
      child.kill('SIGTERM');
    });
  }
}
