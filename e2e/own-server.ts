import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, readFileSync, chmodSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const root = join(import.meta.dirname, '..');

/** A Sormet of a test's own, started as people start it, that may be killed and started again. */
export class OwnServer {
  readonly folder = mkdtempSync(join(tmpdir(), 'sormet-own-'));
  private child: ChildProcess | undefined;
  output = '';

  constructor(
    readonly port: number,
    readonly sitesPort: number,
  ) {
    // The user that runs the database must be able to pass through.
    chmodSync(this.folder, 0o755);
  }

  get address(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  /** Starts it and waits until it answers. @throws with its output when it ends instead */
  async start(): Promise<void> {
    const child = this.launch();
    for (let i = 0; i < 600; i += 1) {
      if (child.exitCode !== null) throw new Error(this.output);
      if (await this.answers()) return;
      await new Promise((done) => setTimeout(done, 100));
    }
    throw new Error('It did not start:\n' + this.output);
  }

  /** Starts it where it cannot serve. @returns what it said when it ended */
  async startInVain(): Promise<string> {
    const child = this.launch();
    await once(child, 'close');
    return this.output;
  }

  private launch(): ChildProcess {
    const child = spawn(process.execPath, ['scripts/start.mjs'], {
      cwd: root,
      env: {
        ...process.env,
        SORMET_PORT: String(this.port),
        SORMET_SITES_PORT: String(this.sitesPort),
        SORMET_DATA: this.folder,
      },
    });
    this.child = child;
    this.output = '';
    for (const stream of [child.stdout, child.stderr])
      stream.on('data', (chunk: Buffer) => (this.output += chunk.toString()));
    return child;
  }

  async answers(): Promise<boolean> {
    try {
      return (await fetch(this.address + '/api/health')).ok;
    } catch {
      return false; // Nobody listens: that is the answer.
    }
  }

  /** Stops it as a person would, and waits. @returns its exit code */
  async stop(): Promise<number | null> {
    const { child } = this;
    if (!child || child.exitCode !== null) return child?.exitCode ?? null;
    child.kill('SIGTERM');
    await once(child, 'exit');
    return child.exitCode;
  }

  /** Kills everything at once with SIGKILL: the start command, the server, the database. */
  async kill(): Promise<void> {
    const { child } = this;
    if (!child?.pid) return;
    const inner = execFileSync('ps', ['--ppid', String(child.pid), '-o', 'pid='])
      .toString()
      .trim()
      .split(/\s+/);
    const [postmaster] = readFileSync(
      join(this.folder, 'postgres', 'postmaster.pid'),
      'utf8',
    ).split('\n');
    for (const pid of [child.pid, ...inner.map(Number), Number(postmaster)])
      process.kill(pid, 'SIGKILL');
    if (child.exitCode === null && child.signalCode === null) await once(child, 'exit');
  }
}
