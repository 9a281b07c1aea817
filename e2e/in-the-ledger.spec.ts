import { expect, test } from '@playwright/test';
import { BenchHand } from './bench';

test('an inner property is lifted: the outer component hands it on, each instance sets its own', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  await bench.open('page-sessions');
  await bench.go('place join band');
  await page.keyboard.press('Escape');
  await page.keyboard.press('b');
  await expect(bench.definition.locator('h2')).toBeVisible();
  await page.locator('.outline-row', { hasText: 'Button' }).click();
  await bench.tab('Values');
  await expect(bench.sentence).toHaveAttribute('data-edge', 'definition');
  const shown = page.getByRole('row', { name: /^shown/ });
  await shown.getByRole('button', { name: 'expose' }).click();
  await expect(shown.getByRole('textbox', { name: 'shown, exposed as' })).toHaveValue(
    'Button shown',
  );
  await shown.getByRole('textbox', { name: 'shown, exposed as' }).fill('With a button');
  await page.keyboard.press('Escape');
  await bench.clickOn(bench.canvas.locator('main > section').last().locator('h2'));
  await bench.choose('With a button, set here', 'no');
  await expect(bench.canvas.locator('main > section').last().locator('a')).toHaveCount(0);
  await bench.row('With a button').getByRole('button', { name: 'back to default' }).click();
  await expect(bench.canvas.locator('main > section').last().locator('a')).toHaveCount(1);
});

test('a property is taken back: the definition holds its default itself again, and undo exposes it again', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  await page.goto('/sites/brackenfold/bench/quote');
  await expect(bench.definition.locator('blockquote')).toBeVisible();
  await page.locator('.outline-row').first().click();
  await bench.tab('Values');
  await page.getByRole('button', { name: 'Take back Who said it' }).click();
  await expect(page.getByRole('checkbox', { name: 'Expose Who text' })).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('button', { name: 'Take back Who said it' })).toBeVisible();
});

test('a plain element is bound, and let go again', async ({ page }) => {
  const bench = new BenchHand(page);
  await bench.open('page-shed');
  await bench.go('place heading');
  await page.keyboard.press('Escape');
  await bench.tab('Values');
  await bench.choose('Heading text, bound to', 'shed · street');
  const heading = bench.canvas.locator('main > h2');
  await expect(heading).toHaveText('2 Landing Lane');
  await bench.choose('Heading text, bound to', 'shed · opened');
  await expect(heading).toHaveText('16 March 2019');
  await page.getByRole('button', { name: 'Heading text: no longer bound' }).click();
  await expect(heading).toHaveText('');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(heading).toHaveText('16 March 2019');
  await page.locator('.pane-head').first().click();
  await page.keyboard.press('Delete');
  await expect(heading).toHaveCount(0);
});

test('what cannot stand here is refused with a reason, and nothing changes', async ({ page }) => {
  const bench = new BenchHand(page);
  await bench.open('page-about');
  await bench.clickOn(bench.canvas.locator('h2').first());
  const before = await bench.canvas.locator('main').innerHTML();
  await page.keyboard.press('m');
  await page.getByRole('textbox', { name: 'Name of the component' }).fill('Sections/Join band');
  await page.getByRole('button', { name: 'Make component' }).click();
  await expect(page.getByRole('dialog').getByRole('alert')).toContainText(
    'named Sections/Join band',
  );
  await page.getByRole('button', { name: 'Leave it' }).click();
  expect(await bench.canvas.locator('main').innerHTML()).toBe(before);
});

test('the history says what was done, newest first', async ({ page }) => {
  const bench = new BenchHand(page);
  await bench.open('page-about');
  await bench.clickOn(bench.canvas.locator('h2').first());
  await page.getByRole('textbox', { name: 'name', exact: true }).fill('The way we work');
  await bench.saved();
  await bench.tab('History');
  await expect(page.locator('.history-list li').first()).toContainText('“The way we work”');
});

test('several are selected with Ctrl, and removed together', async ({ page }) => {
  const bench = new BenchHand(page);
  await bench.open('page-about');
  const section = bench.canvas.locator('main > section').nth(1);
  const count = await section.locator('p').count();
  await bench.clickOn(section.locator('p').nth(0));
  const box = (await section.locator('p').nth(1).boundingBox())!;
  await page.keyboard.down('Control');
  await page.mouse.click(box.x + 10, box.y + 8);
  await page.keyboard.up('Control');
  await expect(page.locator('.outline-row.selected')).toHaveCount(2);
  await page.keyboard.press('Delete');
  await expect(section.locator('p')).toHaveCount(count - 2);
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect(section.locator('p')).toHaveCount(count);
});
