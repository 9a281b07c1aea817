import { createHash } from 'node:crypto';
import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { join } from 'node:path';
import { compileSite } from '@sormet/core/compile';
import { addressesOf, type Documents } from '@sormet/core/model';
import { Linker } from '@sormet/core/resolve';
import { median, rounded, type Report } from './measure';
import { PlacedSite } from './placed-site';

const ENTRIES = 2000;
const ROUNDS = 3;
const MORE_WORKERS = 2;

/** A first large release: how long it takes beside compiling alone, by one worker and by more, and who waits meanwhile. */
export async function publish(): Promise<Report> {
  const site = await PlacedSite.make(0, 0);
  let more: ChildProcess | undefined;
  try {
    const { entry: shed } = addressesOf(site.documents).find(({ entry }) => entry)!;
    for (let i = 0; i < ENTRIES; i += 1) {
      const entry = { ...shed!, id: `bench-entry-${i}`, slug: `bench-${i}` };
      await site.send({ name: 'addEntry', args: { entry } });
    }
    const idle = await longestWait(site, pause(2000));
    const alone: number[] = [];
    const one: number[] = [];
    const waits: number[] = [];
    for (let round = 0; round < ROUNDS; round += 1) {
      alone.push(compiledIn(site.documents));
      const made = release(site, round);
      waits.push(await longestWait(site, made));
      one.push(await made);
    }
    more = spawn(process.execPath, ['scripts/worker.mjs', String(MORE_WORKERS)], {
      cwd: join(import.meta.dirname, '..'),
      env: { ...process.env, SORMET_DATA: site.server.folder },
    });
    await once(more.stdout!, 'data');
    const three: number[] = [];
    for (let round = 0; round < ROUNDS; round += 1) three.push(await release(site, ROUNDS + round));
    const reference = `compiling alone, ${median(alone).toFixed(0)} ms`;
    const row = (what: string, times: readonly number[]) => ({
      what,
      figure: `${median(times).toFixed(0)} ms`,
      ratio: rounded(median(times) / median(alone)),
      reference,
      aim: '',
    });
    return {
      name: 'publish',
      about: `every one of ${ENTRIES} pages changed, from asking to being live`,
      rows: [
        row('by the worker of npm start', one),
        row(`with ${MORE_WORKERS} more workers`, three),
        {
          what: 'the longest wait of anybody who asks the server meanwhile',
          figure: `${median(waits).toFixed(0)} ms`,
          ratio: rounded(median(waits) / idle),
          reference: `the longest while nothing is made, ${idle.toFixed(0)} ms`,
          aim: '',
        },
      ],
    };
  } finally {
    if (more && more.exitCode === null) {
      more.kill('SIGTERM');
      await once(more, 'exit');
    }
    await site.remove();
  }
}

function compiledIn(documents: Documents): number {
  const start = performance.now();
  compileSite(documents, {
    linker: new Linker(),
    sha256: (text) => createHash('sha256').update(text).digest('hex'),
  });
  return performance.now() - start;
}

/** Changes what every page shows and publishes. @returns how long that took from asking on, in ms */
async function release(site: PlacedSite, round: number): Promise<number> {
  await site.send({ name: 'setSite', args: { set: { language: round % 2 === 0 ? 'de' : 'en' } } });
  const base = `${site.server.address}/api/sites/brackenfold/releases`;
  const start = performance.now();
  const { id } = (await (await fetch(base, { method: 'POST' })).json()) as { id: string };
  for (;;) {
    const row = (await (await fetch(`${base}/${id}`)).json()) as { state: string; error: unknown };
    if (row.state === 'failed') throw new Error(String(row.error));
    if (row.state === 'done') return performance.now() - start;
    await pause(20);
  }
}

/** Asks the server for its health again and again as long as something lasts. @returns the longest wait, in ms */
async function longestWait(site: PlacedSite, lasts: Promise<unknown>): Promise<number> {
  let over = false;
  lasts.then(
    () => (over = true),
    () => (over = true),
  );
  let longest = 0;
  while (!over) {
    const start = performance.now();
    await (await fetch(`${site.server.address}/api/health`)).text();
    longest = Math.max(longest, performance.now() - start);
    await pause(10);
  }
  return longest;
}

const pause = (ms: number) => new Promise<void>((done) => setTimeout(done, ms));
