import { rowsOf, typed } from './felt-keys';
import { inBrowser } from './in-browser';
import type { Row } from './measure';

/**
 * In Chromium on the demo, as its own trace tells it: from a key pressed in the ledger, on the page, and in a bare
 * text field whose listener changes the same text by hand, to the frame being presented, with the main thread's work.
 */
export async function canvasInBrowser(): Promise<Row[]> {
  return inBrowser({ width: 1280, height: 800 }, async (page, bench, session) => {
    await bench.open('page-home');
    const heading = bench.canvas.locator('h1');
    await bench.clickOn(heading);
    await bench.tab('Values');
    await bench.row('Heading text').getByRole('textbox').click();
    const ledger = await typed(page, session);
    await page.keyboard.press('Escape');
    await bench.clickOn(heading, 'page', true);
    const onPage = await typed(page, session);
    await page.keyboard.press('Escape');
    await page.evaluate(putFieldByHand);
    const hand = await typed(page, session);
    return [
      ...rowsOf('a key in the ledger', ledger, hand),
      ...rowsOf('a key on the page', onPage, hand),
    ];
  });
}

/** A text field of its own beside the application, with the focus, that writes into the page's heading. */
function putFieldByHand(): void {
  const frame = document.querySelector<HTMLIFrameElement>('iframe[title="The page"]')!;
  const heading = frame.contentDocument!.querySelector('h1')!;
  const field = document.createElement('textarea');
  field.style.cssText = 'position:fixed;right:8px;bottom:8px;z-index:9';
  document.body.append(field);
  field.addEventListener('input', () => {
    heading.textContent = field.value;
  });
  field.focus();
}
