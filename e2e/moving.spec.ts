import { expect, type Locator } from '@playwright/test';
import { BenchHand, ownPage } from './bench';
import { test } from './test';

async function middle(target: Locator): Promise<{ x: number; y: number }> {
  await target.scrollIntoViewIfNeeded();
  const box = (await target.boundingBox())!;
  return { x: box.x + Math.min(20, box.width / 2), y: box.y + box.height / 2 };
}

test('several selected are dragged together on the canvas; the landing shows in both; Escape gives up', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  await ownPage(page, 'own-moving-1');
  const section = bench.canvas.locator('section', { hasText: 'How it works' }).first();
  const texts = section.locator('p');
  const order = () =>
    section.locator('h2, p').evaluateAll((all) => all.map(({ tagName }) => tagName));
  await expect.poll(order).toEqual(['H2', 'P', 'P']);
  await bench.clickOn(texts.first());
  await page.keyboard.down('Control');
  await bench.clickOn(texts.nth(1));
  await page.keyboard.up('Control');
  await expect(page.locator('.outline-row.selected')).toHaveCount(2);
  const drag = async () => {
    const from = await middle(texts.nth(1));
    const to = (await section.locator('h2').boundingBox())!;
    await page.mouse.move(from.x, from.y);
    await page.mouse.down();
    await page.mouse.move(from.x + 10, from.y - 10, { steps: 3 });
    await page.mouse.move(to.x + 20, to.y + 3, { steps: 6 });
    await expect(page.locator('.landing-line')).toBeVisible();
    await expect(page.locator('.outline-row.landing')).toContainText('How it works');
  };
  await drag();
  await page.keyboard.press('Escape');
  await expect(page.locator('.landing-line')).toHaveCount(0);
  await page.mouse.up();
  await expect.poll(order).toEqual(['H2', 'P', 'P']);
  await drag();
  await page.mouse.up();
  await expect.poll(order).toEqual(['P', 'P', 'H2']);
  await page.keyboard.press('Control+z');
  await expect.poll(order).toEqual(['H2', 'P', 'P']);
  await bench.saved();
});

test('Alt and arrows move before, behind, out of what is around and into what stands before', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  await ownPage(page, 'own-moving-2');
  await bench.clickOn(bench.canvas.locator('section h2').first());
  const rows = () => page.locator('.outline-row .outline-name').allInnerTexts();
  const before = await rows();
  await page.keyboard.press('Alt+ArrowDown');
  await expect.poll(rows).not.toEqual(before);
  await page.keyboard.press('Alt+ArrowUp');
  await expect.poll(rows).toEqual(before);
  await page.keyboard.press('Alt+ArrowLeft');
  await expect(bench.canvas.locator('main > h2')).toHaveText('How it works');
  await page.keyboard.press('Alt+ArrowRight');
  await expect(bench.canvas.locator('main > h2')).toHaveCount(0);
  // The first of its place says so, and nothing moves.
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect.poll(rows).toEqual(before);
  await bench.clickOn(bench.canvas.locator('section h2').first());
  await page.keyboard.press('Alt+ArrowUp');
  await expect(bench.sentence).toContainText('the first already');
  await bench.saved();
});

test('in the outline what is dragged shows on the canvas where it would land', async ({ page }) => {
  const bench = new BenchHand(page);
  await ownPage(page, 'own-moving-3');
  const row = (name: string) => page.locator('.outline-row', { hasText: name }).first();
  const order = () =>
    page
      .locator('.outline-row.is-stamp .outline-name')
      .allInnerTexts()
      .then((names) => names.filter((name) => name !== 'Site surround'));
  await expect.poll(order).toEqual(['Opening', 'Join band']);
  const join = await middle(row('Join band'));
  const opening = (await row('Opening').boundingBox())!;
  await page.mouse.move(join.x, join.y);
  await page.mouse.down();
  await page.mouse.move(join.x + 4, join.y - 8, { steps: 4 });
  // Whoever drags goes on moving until it is shown where it would land.
  await expect(async () => {
    await page.mouse.move(opening.x + 30, opening.y + 1, { steps: 8 });
    await page.mouse.move(opening.x + 31, opening.y + 1, { steps: 2 });
    await expect(page.locator('.landing-line')).toHaveCount(1, { timeout: 1000 });
  }).toPass();
  // Nobody lets go in the frame in which it is shown.
  await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => setTimeout(done))));
  await page.mouse.up();
  await expect.poll(order).toEqual(['Join band', 'Opening']);
  await expect(page.locator('.landing-line')).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect.poll(order).toEqual(['Opening', 'Join band']);
  await bench.saved();
});

test('z zooms to what is selected and back; a size is typed, and remembered', async ({ page }) => {
  const bench = new BenchHand(page);
  await ownPage(page, 'own-moving-4');
  const size = page.getByLabel('Size of the page, in percent');
  const fits = await size.inputValue();
  await bench.clickOn(bench.canvas.getByText('You pay for the parts.'));
  await page.keyboard.press('z');
  await expect.poll(async () => Number(await size.inputValue())).toBeGreaterThan(Number(fits));
  await page.keyboard.press('z');
  await expect(size).toHaveValue(fits);
  await size.fill('50');
  await size.press('Enter');
  await expect(size).toHaveValue('50');
  await page.reload();
  await expect(size).toHaveValue('50');
  await page.getByRole('button', { name: 'fit', exact: true }).click();
  await expect(size).toHaveValue(fits);
  await size.fill('30');
  await size.press('Escape');
  await expect(size).toHaveValue(fits);
});
