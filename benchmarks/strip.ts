import { ownSite } from '../e2e/bench';
import { rowsOf, typed } from './felt-keys';
import { inBrowser } from './in-browser';
import type { Report } from './measure';

const OPTIONS = 20;
/** How long is waited from one key to the next, in ms: longer than what a key costs. */
const REST = 200;

/**
 * A key typed into the base of a real section that is drawn in twenty variants side by side, all of them in sight; beside a
 * text field that writes into twenty frames of the same HTML by hand.
 */
export async function strip(): Promise<Report> {
  return inBrowser({ width: 6800, height: 1000 }, async (page, bench, session) => {
    const address = await ownSite(page, 'strip');
    await page.goto(`${address}/bench/opening`);
    await page.getByRole('treeitem', { name: /^Opening/ }).click();
    await bench.go('vary');
    const asked = page.getByRole('dialog', { name: 'Variants' });
    await asked.getByRole('textbox', { name: 'What the variants differ in' }).fill('Look');
    await asked
      .getByRole('textbox', { name: 'Options, the base first' })
      .fill(Array.from({ length: OPTIONS }, (_, i) => `look ${i + 1}`).join(', '));
    await page.keyboard.press('Enter');
    const cells = page.getByRole('radiogroup', { name: /^Variants side by side/ });
    const drawn = cells.locator('iframe');
    await drawn.nth(OPTIONS - 1).waitFor();
    // A few differ: each has a rule of its own, as real variants have.
    for (let i = 1; i <= 4; i += 1) {
      await cells.getByRole('radio').nth(i).click();
      await bench.tab('Style');
      await bench.declare('padding', `${i * 10}px`);
    }
    await cells.getByRole('radio').first().click();
    await page.getByRole('treeitem', { name: /^Heading/ }).click();
    await bench.tab('Values');
    await page
      .getByRole('textbox', { name: /^Heading text/ })
      .first()
      .click();

    const ours = await typed(page, session, REST);
    const many = await drawn.count();
    if (many < OPTIONS) throw new Error(`Only ${many} variants are drawn.`);
    await page.keyboard.press('Escape');
    await page.evaluate(putFramesByHand, OPTIONS);
    const hand = await typed(page, session, REST);
    return {
      name: 'strip',
      about: `${OPTIONS} variants of the demo’s opening, each live in a frame`,
      rows: rowsOf('a key in the base', ours, hand),
    };
  });
}

/** Frames of the same HTML in the place of the application, and a field with the focus that writes into each. */
function putFramesByHand(many: number): void {
  const shown = document.querySelector<HTMLIFrameElement>('.strip-cell iframe')!;
  const html = shown.contentDocument!.documentElement.outerHTML.replace(
    /<script[^]*?<\/script>/g,
    '',
  );
  const { width, height } = shown.getBoundingClientRect();
  document.body.replaceChildren();
  const headings: Element[] = [];
  const row = document.createElement('div');
  row.style.cssText = 'display:flex;gap:12px';
  for (let i = 0; i < many; i += 1) {
    const frame = document.createElement('iframe');
    frame.style.cssText = `width:${width}px;height:${height}px;border:0`;
    row.append(frame);
    document.body.append(row);
    frame.contentDocument!.documentElement.innerHTML = html;
    headings.push(frame.contentDocument!.querySelector('h1, h2')!);
  }
  const field = document.createElement('textarea');
  document.body.append(field);
  field.addEventListener('input', () => {
    for (const heading of headings) heading.textContent = field.value;
  });
  field.focus();
}
