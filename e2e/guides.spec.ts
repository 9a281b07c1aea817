import { expect, type Locator, type Page } from '@playwright/test';
import { seriousFindings } from './axe';
import { BenchHand, ownPage } from './bench';
import { test } from './test';

/** The share of its full size at which the page is drawn. */
async function scaleOf(page: Page): Promise<number> {
  const frame = page.locator('iframe[title="The page"]');
  return frame.evaluate(
    (drawn: HTMLElement) => drawn.getBoundingClientRect().width / drawn.offsetWidth,
  );
}

/** Where something stands on the page, in its own CSS px from the left. */
async function onPage(page: Page, what: Locator): Promise<{ from: number; to: number }> {
  const scale = await scaleOf(page);
  const frame = (await page.locator('iframe[title="The page"]').boundingBox())!;
  const box = (await what.boundingBox())!;
  const from = (box.x - frame.x) / scale;
  return { from, to: from + box.width / scale };
}

async function setGuide(page: Page, label: string, value: string): Promise<void> {
  await page.getByRole('textbox', { name: label, exact: true }).fill(value);
  await page.keyboard.press('Enter');
}

test('columns, margins and a baseline are set for each width, seen at the bench alone, and taken back', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  await bench.open(await ownPage(page, 'own-lined-up'));
  const publish = page
    .getByRole('link', { name: /^Publish/ })
    .or(page.getByRole('button', { name: /^Publish/ }))
    .first();
  const before = await publish.innerText();
  await page.getByRole('button', { name: 'Guides' }).click();
  const panel = page.getByRole('dialog', { name: 'Guides' });
  await expect(panel.getByRole('checkbox')).toBeFocused();
  await page.keyboard.press('Space');
  for (const [label, value] of [
    ['Columns', '12'],
    ['Gutter', '24'],
    ['Margin', '24'],
    ['Widest', '1200'],
    ['Baseline', '8'],
  ] as const)
    await setGuide(page, `${label}, base`, value);
  await expect(panel).toContainText('78px of 1280');
  await setGuide(page, 'Columns, 600 and below', '4');
  await setGuide(page, 'Columns, 960 and below', '99');
  await expect(panel).toContainText('The number of columns must be between 0 and 24.');
  await page.keyboard.press('Escape');
  expect(await seriousFindings(page)).toEqual([]);
  await page.getByRole('textbox', { name: 'Columns, base' }).press('Escape');
  await expect(panel).toBeHidden();
  // 12 columns of 78 px with 24 between them, in the middle of 1280 (common practice, no published source).
  const columns = page.locator('.guide-column');
  await expect(columns).toHaveCount(12);
  const [first, last] = [await onPage(page, columns.first()), await onPage(page, columns.last())];
  expect([first.from, first.to, last.from, last.to].map(Math.round)).toEqual([40, 118, 1162, 1240]);
  await page.locator('body').press('Escape');
  await page.keyboard.press('.');
  await page.keyboard.press(',');
  await page.keyboard.press(',');
  await expect(columns).toHaveCount(4);
  // Nothing of it is on the page, and nothing of it is to be published.
  await bench.saved();
  await expect(publish).toHaveText(before);
  await expect(bench.canvas.locator('.guide-column')).toHaveCount(0);
  await page.keyboard.press('k');
  await expect(columns).toHaveCount(0);
  await page.keyboard.press('k');
  await expect(page).toHaveURL(/width=w600/);
  await page.reload();
  await expect(columns).toHaveCount(4);
  for (let undone = 0; undone < 6; undone += 1) await page.keyboard.press('Control+z');
  await expect(columns).toHaveCount(0);
  await page.keyboard.press('k');
});

test('a line is dragged from a ruler, moved by keys, and dragged off; what is dragged meets it and says so', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  await bench.open(await ownPage(page, 'own-lines'));
  await page.getByRole('treeitem', { name: /How it works/ }).click();
  await bench.tab('Style');
  await bench.declare('width', '700px');
  await page.keyboard.press('Escape');
  await page.locator('[data-canvas=page]').focus();
  await page.keyboard.press('k');
  const scale = await scaleOf(page);
  const frame = (await page.locator('iframe[title="The page"]').boundingBox())!;
  const line = page.getByRole('slider', { name: 'Upright line' });
  const dragTo = async (what: Locator, x: number) => {
    const box = (await what.boundingBox())!;
    const y = (await page.locator('.pane-page .canvas').boundingBox())!.y + 60;
    await page.mouse.move(box.x + Math.min(6, box.width / 2), Math.max(y, box.y + 4));
    await page.mouse.down();
    await page.mouse.move(frame.x + x * scale, y, { steps: 6 });
  };
  await page.keyboard.down('Alt');
  await dragTo(page.locator('[data-ruler=x]'), 500);
  await expect(page.locator('.guide-told')).toHaveText(/^(499|500|501)px$/);
  await page.mouse.up();
  await page.keyboard.up('Alt');
  await line.focus();
  for (let at = Number(await line.getAttribute('aria-valuenow')); at !== 510;)
    if (at < 510) {
      await page.keyboard.press('ArrowRight');
      at += 1;
    } else {
      await page.keyboard.press('ArrowLeft');
      at -= 1;
    }
  await expect(line).toHaveAttribute('aria-valuenow', '510');
  await page.keyboard.press('Shift+ArrowRight');
  await expect(line).toHaveAttribute('aria-valuenow', '520');

  // The right edge of what is selected comes near: it is held, and says by what.
  const section = bench.canvas.locator('section', { hasText: 'You pay for the parts' });
  const handle = page.locator('[data-handle=width]');
  await expect(handle).toBeVisible();
  const edge = (await handle.boundingBox())!;
  await page.mouse.move(edge.x + edge.width / 2, edge.y + edge.height / 2);
  await page.mouse.down();
  await page.mouse.move(frame.x + 523 * scale, edge.y + edge.height / 2, { steps: 8 });
  await expect(page.locator('.handle-told')).toContainText('line at 520px');
  await page.mouse.up();
  const { to } = await onPage(page, section);
  expect(Math.abs(to - 520)).toBeLessThan(1);
  await expect(page.locator('.guide-holds')).toHaveCount(0);

  // Dragged off the page it is gone; undo brings it back, Delete takes it away by the keyboard.
  await dragTo(line, -40);
  await page.mouse.up();
  await expect(line).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(line).toHaveCount(1);
  await line.focus();
  await page.keyboard.press('Delete');
  await expect(line).toHaveCount(0);
  await expect(section).toBeVisible();
  await page.locator('[data-canvas=page]').focus();
  await page.keyboard.press('k');
});
