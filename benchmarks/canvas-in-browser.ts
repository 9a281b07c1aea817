import { chromium } from '@playwright/test';
import { BenchHand } from '../e2e/bench';
import { OwnServer } from '../e2e/own-server';
import { median, rounded, type Row } from './measure';

const KEYS = 40;

interface Felt {
  readonly frames: number;
  readonly work: number;
}

/**
 * In Chromium on the demo: from an input event in the ledger to the painted text, in frames and in
 * milliseconds of the main thread, beside a listener that changes the same text by hand.
 */
export async function canvasInBrowser(): Promise<Row[]> {
  const server = await OwnServer.make();
  await server.start();
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-background-networking'],
  });
  try {
    const page = await browser.newPage({
      baseURL: server.address,
      viewport: { width: 1280, height: 800 },
    });
    const bench = new BenchHand(page);
    await bench.open('page-home');
    await bench.clickOn(bench.canvas.locator('h1'));
    await bench.tab('Values');
    const field = bench.row('Heading text').getByRole('textbox');
    await field.waitFor();
    // Functions that are named in a page's script get a helper that the translator of this file leaves behind.
    await page.evaluate('globalThis.__name = (target) => target');
    const felt = await field.evaluate(async (input: HTMLTextAreaElement, keys: number) => {
      const frame = document.querySelector<HTMLIFrameElement>('iframe[title="The page"]')!;
      const heading = frame.contentDocument!.querySelector('h1')!;
      const byHand = document.createElement('textarea');
      document.body.append(byHand);
      byHand.addEventListener('input', () => {
        heading.textContent = byHand.value;
      });
      const setValue = Object.getOwnPropertyDescriptor(
        HTMLTextAreaElement.prototype,
        'value',
      )!.set!;
      const type = async (target: HTMLTextAreaElement, words: string): Promise<Felt> => {
        setValue.call(target, words);
        const start = performance.now();
        target.dispatchEvent(new InputEvent('input', { bubbles: true }));
        let work = performance.now() - start;
        for (let frames = 0; frames < 20; frames += 1) {
          // React may do its work in a microtask or a task of its own: it is counted until the text is there.
          if (heading.textContent !== words) {
            const waited = performance.now();
            await Promise.resolve();
            work += performance.now() - waited;
          }
          const shown = heading.textContent === words;
          await new Promise((next) => requestAnimationFrame(next));
          if (shown) return { frames: frames + 1, work };
        }
        throw new Error('The text did not show.');
      };
      const ledger: Felt[] = [];
      const hand: Felt[] = [];
      for (let i = 0; i < keys; i += 1) {
        ledger.push(await type(input, `Bring it broken, key ${i}`));
        await new Promise((next) => setTimeout(next, 30));
        hand.push(await type(byHand, `By hand, key ${i}`));
        await new Promise((next) => setTimeout(next, 30));
        heading.textContent = `Bring it broken, key ${i}`;
      }
      byHand.remove();
      return { ledger: ledger.slice(10), hand: hand.slice(10) };
    }, KEYS);
    const of = (list: readonly Felt[], member: keyof Felt) =>
      median(list.map((each) => each[member]));
    return [
      {
        what: 'from the input event to the painted text',
        figure: `${of(felt.ledger, 'frames')} frame`,
        ratio: rounded(of(felt.ledger, 'frames') / of(felt.hand, 'frames')),
        reference: 'a listener that changes the text by hand',
        aim: '',
      },
      {
        what: 'work of the main thread for it',
        figure: `${of(felt.ledger, 'work').toFixed(2)} ms`,
        ratio: null,
        reference: `by hand ${of(felt.hand, 'work').toFixed(3)} ms`,
        aim: '',
      },
    ];
  } finally {
    await browser.close();
    await server.stop();
  }
}
