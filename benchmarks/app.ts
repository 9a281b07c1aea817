import { createServer, type Server } from 'node:http';
import { mkdtempSync, rmSync } from 'node:fs';
import { once } from 'node:events';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { AddressInfo } from 'node:net';
import { chromium, type Browser, type CDPSession, type Page } from '@playwright/test';
import { chromiumProgram } from '../scripts/lib/install.mjs';
import express from 'express';
import staticGzip from 'express-static-gzip';
import react from '@vitejs/plugin-react';
import { build } from 'vite';
import { pressFiles } from '../scripts/lib/build.mjs';
import { OwnServer } from '../e2e/own-server';
import { median, rounded, type Report, type Row } from './measure';

const ROUNDS = 5;

/** What opening a page cost, in a browser that has none of it. */
interface Opened {
  /** Bytes on the wire. */
  readonly wire: number;
  /** From asking for it until what it is for is there, in ms. */
  readonly ready: number;
  /** The main thread's work until then, in ms. */
  readonly work: number;
  /** What JavaScript keeps in memory afterwards, in bytes. */
  readonly kept: number;
}

interface Opening {
  readonly what: string;
  readonly address: string;
  readonly ready: (page: Page) => Promise<void>;
}

/** The application opened in a browser that knows nothing of it yet, beside an empty page of React and Ant Design. */
export async function app(): Promise<Report> {
  const folder = mkdtempSync(join(tmpdir(), 'sormet-empty-'));
  const server = await OwnServer.make();
  let beside: Server | undefined;
  const browser = await chromium.launch({
    executablePath: chromiumProgram(),
    args: ['--no-sandbox', '--disable-background-networking'],
  });
  try {
    await server.start();
    beside = await emptyPage(folder);
    const { port } = beside.address() as AddressInfo;
    const openings: Opening[] = [
      {
        what: 'an empty page',
        address: `http://127.0.0.1:${port}/`,
        ready: (page) => page.getByRole('button', { name: 'A button' }).waitFor(),
      },
      {
        what: 'the first screen',
        address: server.address,
        ready: (page) => page.getByRole('link', { name: 'Brackenfold', exact: true }).waitFor(),
      },
      {
        what: 'the bench on the home page',
        address: `${server.address}/sites/brackenfold/bench/page-home`,
        ready: (page) =>
          page
            .frameLocator('iframe[title="The page"]')
            .getByRole('heading', { level: 1 })
            .waitFor(),
      },
    ];
    const opened = new Map<Opening, Opened[]>(openings.map((opening) => [opening, []]));
    for (let round = 0; round < ROUNDS; round += 1)
      for (const opening of openings) opened.get(opening)!.push(await open(browser, opening));
    const [empty, ...own] = openings.map((opening) => ({
      what: opening.what,
      of: (member: keyof Opened) => median(opened.get(opening)!.map((each) => each[member])),
    }));
    return {
      name: 'app',
      about: 'opened in a browser that has none of it',
      rows: own.flatMap(({ what, of }): Row[] => {
        const row = (part: string, member: keyof Opened, words: (n: number) => string): Row => ({
          what: `${what}: ${part}`,
          figure: words(of(member)),
          ratio: rounded(of(member) / empty!.of(member)),
          reference: `an empty page of React and Ant Design, ${words(empty!.of(member))}`,
          aim: '',
        });
        return [
          row('on the wire', 'wire', (n) => `${(n / 1000).toFixed(0)} kB`),
          row('until it is there', 'ready', (n) => `${n.toFixed(0)} ms`),
          row('work of the main thread', 'work', (n) => `${n.toFixed(0)} ms`),
          row('kept by JavaScript', 'kept', (n) => `${(n / 1e6).toFixed(1)} MB`),
        ];
      }),
    };
  } finally {
    await browser.close();
    beside?.close();
    await server.remove();
    rmSync(folder, { recursive: true, force: true });
  }
}

/** Builds the empty page as the application is built, and serves it as that is served. */
async function emptyPage(folder: string): Promise<Server> {
  await build({
    root: join(import.meta.dirname, 'empty-page'),
    configFile: false,
    logLevel: 'warn',
    plugins: [react()],
    build: { outDir: folder, emptyOutDir: true, target: 'es2022', chunkSizeWarningLimit: 4000 },
  });
  pressFiles(folder);
  const serving = express().use(
    staticGzip(folder, { enableBrotli: true, orderPreference: ['br', 'gz'] }),
  );
  const listening = createServer(serving).listen(0, '127.0.0.1');
  await once(listening, 'listening');
  return listening;
}

async function open(browser: Browser, { address, ready }: Opening): Promise<Opened> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  await page.addInitScript(() => localStorage.setItem('sormet.bench.notes', 'true'));
  const session = await context.newCDPSession(page);
  await session.send('Network.enable');
  await session.send('Performance.enable');
  let wire = 0;
  session.on('Network.loadingFinished', ({ encodedDataLength }) => (wire += encodedDataLength));
  const start = performance.now();
  await page.goto(address);
  await ready(page);
  const took = performance.now() - start;
  const work = await metric(session, 'TaskDuration');
  // What is loaded apart is on its way still; a stream of events never ends, so it is given a moment.
  await page.waitForTimeout(1500);
  await session.send('HeapProfiler.collectGarbage');
  const kept = await metric(session, 'JSHeapUsedSize');
  await context.close();
  return { wire, ready: took, work: work * 1000, kept };
}

async function metric(session: CDPSession, name: string): Promise<number> {
  const { metrics } = await session.send('Performance.getMetrics');
  return metrics.find((each) => each.name === name)!.value;
}
