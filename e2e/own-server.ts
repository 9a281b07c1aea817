import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { chmodSync, mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { freePort } from '../scripts/lib/ports.mjs';
import { removeWithWriters } from '../scripts/lib/postgres.mjs';

const root = join(import.meta.dirname, '..');

/** A Sormet of a test's own, started as people start it, that may be killed and started again. */
export class OwnServer {
  private child: ChildProcess | undefined;
  output = '';

  private constructor(
    readonly port: number,
    readonly sitesPort: number,
    readonly folder: string,
    private readonly env: Readonly<Record<string, string>>,
  ) {}

  /**
   * @param options a data folder and ports of another's, where that is what is tested; settings beside them
   */
  static async make(
    options: { port?: number; folder?: string; env?: Readonly<Record<string, string>> } = {},
  ): Promise<OwnServer> {
    const folder = options.folder ?? mkdtempSync(join(tmpdir(), 'sormet-own-'));
    // The user that runs the database must be able to pass through.
    if (options.folder === undefined) chmodSync(folder, 0o755);
    return new OwnServer(
      options.port ?? (await freePort()),
      await freePort(),
      folder,
      options.env ?? {},
    );
  }

  /** The process of the database. */
  get postmaster(): number {
    const [pid] = readFileSync(join(this.folder, 'postgres', 'postmaster.pid'), 'utf8').split('\n');
    return Number(pid);
  }

  /** The start command and what it started, apart from the database. */
  get processes(): number[] {
    return [this.child!.pid!, ...this.started('server/dist/main.mjs')];
  }

  /** The process of its worker; nothing while there is none. */
  get worker(): number | undefined {
    return this.started('server/dist/worker.mjs')[0];
  }

  /** The processes that it started to run a program. */
  private started(program: string): number[] {
    return execFileSync('ps', ['--ppid', String(this.child!.pid), '-o', 'pid=,args='])
      .toString()
      .trim()
      .split('\n')
      .filter((line) => line.includes(program))
      .map((line) => Number(line.trim().split(/\s+/)[0]));
  }

  /**
   * Stops it and takes everything away that it left on disk, when nobody writes there any more: a start that was killed
   * leaves what it had begun at work.
   */
  async remove(): Promise<void> {
    await this.stop();
    await removeWithWriters(this.folder);
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

  launch(): ChildProcess {
    const child = spawn(process.execPath, ['scripts/start.mjs'], {
      cwd: root,
      env: {
        ...process.env,
        SORMET_PORT: String(this.port),
        SORMET_SITES_PORT: String(this.sitesPort),
        SORMET_DATA: this.folder,
        ...this.env,
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
    for (const pid of [...this.processes, this.postmaster]) process.kill(pid, 'SIGKILL');
    if (child.exitCode === null && child.signalCode === null) await once(child, 'exit');
  }
}
