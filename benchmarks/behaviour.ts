import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { brotliCompressSync } from 'node:zlib';
import type { Page } from '@playwright/test';
import { addressesOf, type Documents } from '@sormet/core/model';
import { PageCompiler } from '@sormet/core/compile';
import { Linker } from '@sormet/core/resolve';
import { documentsOf, foldingDocs, page as pageDoc } from '@sormet/core/test';
import { brackenfold } from '@sormet/demo';
import { sha256 } from '../server/files/sha256';
import { inBrowser } from './in-browser';
import { median, rounded, type Report, type Row } from './measure';

/** How many instances stand on the page on which something is pressed. */
const INSTANCES = 500;
const PRESSES = 60;
const LOADS = 9;

const pressed = (text: string): number => brotliCompressSync(Buffer.from(text, 'utf8')).length;

/** The scripts that the pages of a site load. */
function scriptsOf(documents: Documents): string[] {
  const compiler = new PageCompiler(documents, { linker: new Linker(), sha256 });
  return addressesOf(documents).map((address) => compiler.compile(address).script?.text ?? '');
}

/** A page of some instances of a component that folds. */
function foldingSite(instances: number): Documents {
  return documentsOf(
    ...foldingDocs,
    pageDoc('home', '/', {
      tag: 'main',
      children: Array.from({ length: instances }, () => ({ component: 'folding' })),
    }),
  );
}

/** A small runtime from the registry that many use for the same, as it comes in its package. */
function otherRuntime(): string {
  const main = createRequire(import.meta.url).resolve('preact');
  return readFileSync(join(dirname(main), 'preact.min.js'), 'utf8');
}

/**
 * What pages that do something load, beside a small runtime from the registry; and what a press costs on a page of many
 * instances, beside listeners by hand that put the same into the same elements.
 */
export async function behaviour(): Promise<Report> {
  const runtime = pressed(otherRuntime());
  const demo = scriptsOf(brackenfold().documents);
  const bytes = (what: string, script: string, aim: string): Row => ({
    what,
    figure: `${script === '' ? 0 : pressed(script)} B`,
    ratio: rounded((script === '' ? 0 : pressed(script)) / runtime),
    reference: `${runtime} B: preact alone, without what a page does`,
    aim,
  });
  const most = demo.reduce((a, b) => (b.length > a.length ? b : a), '');
  const rows = [
    // Of the demo every page does something: its menu folds.
    bytes('script of a page that does nothing', scriptsOf(foldingSite(0))[0]!, '0 B'),
    bytes('script of a page that folds', scriptsOf(foldingSite(1))[0]!, 'under 1,500 B'),
    bytes('script of the demo’s page that does most', most, 'under 6,000 B'),
    ...(await inBrowser({ width: 1280, height: 800 }, (page) => timed(page))),
  ];
  return { name: 'behaviour', about: `brotli; ${INSTANCES} instances on a page`, rows };
}

async function timed(page: Page): Promise<Row[]> {
  const documents = foldingSite(INSTANCES);
  const compiler = new PageCompiler(documents, { linker: new Linker(), sha256 });
  const { html, script } = compiler.compile(addressesOf(documents)[0]!);
  const body = html.replace(/<script[^>]*><\/script>/, '').replace(/<link[^>]*>/, '');
  const ours: number[] = [];
  const hand: number[] = [];
  const oursAtLoad: number[] = [];
  const handAtLoad: number[] = [];
  for (let load = 0; load < LOADS; load += 1) {
    for (const which of load % 2 === 0
      ? (['ours', 'hand'] as const)
      : (['hand', 'ours'] as const)) {
      await page.goto('about:blank');
      await page.setContent(body);
      // What tsx puts around functions that have names.
      await page.evaluate('globalThis.__name = (made) => made');
      const took = await page.evaluate(pressedInPage, {
        script: which === 'ours' ? script!.text : null,
        presses: PRESSES,
      });
      (which === 'ours' ? oursAtLoad : handAtLoad).push(took.load);
      (which === 'ours' ? ours : hand).push(...took.presses);
    }
  }
  const row = (what: string, mine: number[], other: number[], aim: string): Row => ({
    what,
    figure: `${median(mine).toFixed(2)} ms`,
    ratio: rounded(median(mine) / median(other)),
    reference: `${median(other).toFixed(2)} ms by hand`,
    aim,
  });
  return [
    row('a press, to the layout after it', ours, hand, '1.5'),
    row('main thread at load', oursAtLoad, handAtLoad, ''),
  ];
}

/** Loads what reacts to presses, then presses one button after the other, each until the page is laid out again. */
function pressedInPage({ script, presses }: { script: string | null; presses: number }): {
  load: number;
  presses: number[];
} {
  const began = performance.now();
  if (script !== null) {
    const loaded = document.createElement('script');
    loaded.textContent = script;
    document.head.append(loaded);
  } else
    for (const root of document.querySelectorAll('main > section')) {
      const [button] = root.querySelectorAll('button');
      const [inside, count] = root.querySelectorAll<HTMLElement>(':scope > p');
      let isOpen = false;
      let many = 0;
      const show = () => {
        inside!.hidden = !isOpen;
        button!.setAttribute('aria-expanded', String(isOpen));
        count!.textContent = `so many: ${many}`;
      };
      show();
      button!.addEventListener('click', () => {
        isOpen = !isOpen;
        many = Math.min(4, many + 2);
        show();
      });
    }
  void document.body.offsetHeight;
  const load = performance.now() - began;
  const buttons = [
    ...document.querySelectorAll<HTMLElement>('main > section > button:first-child'),
  ];
  const took: number[] = [];
  for (let i = 0; i < presses; i += 1) {
    const button = buttons[(i * 37) % buttons.length]!;
    const start = performance.now();
    button.click();
    void document.body.offsetHeight;
    took.push(performance.now() - start);
  }
  return { load, presses: took };
}
