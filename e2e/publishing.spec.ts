import { expect, type Page } from '@playwright/test';
import { PUBLISHED } from './addresses';
import { BenchHand } from './bench';
import { test } from './test';

/** Publishes what there is to publish, as a person does. */
async function publish(page: Page): Promise<void> {
  await page.goto('/sites/brackenfold/releases');
  const section = page.getByLabel('What publishing would change');
  await expect(section.locator('h2, .release-none')).toBeVisible();
  if (await section.locator('.release-none').count()) return;
  await section.getByRole('button', { name: /^Publish/ }).click();
  await expect(page.getByText(/^Release \d+ is live\.$/)).toBeVisible({ timeout: 20_000 });
}

test.describe.configure({ mode: 'serial' });

test('a draft is published when it is made ready, and not before', async ({ page }) => {
  await publish(page);
  expect((await page.goto(PUBLISHED + '/winter'))?.status()).toBe(404);
  await page.goto('/sites/brackenfold');
  await page.getByRole('switch', { name: 'Publish /winter' }).click();
  await expect(page.locator('.bar-saved')).toHaveText('Saved');
  await page.goto('/sites/brackenfold/releases');
  await expect(page.getByRole('row', { name: '/winter new the page is new' })).toBeVisible();
  await publish(page);
  await page.goto(PUBLISHED + '/winter');
  await expect(page.getByRole('heading', { name: 'Winter mending' })).toBeVisible();
});

test('a page that moves keeps every link and leaves a redirect', async ({ page }) => {
  await page.goto('/sites/brackenfold');
  const path = page.getByRole('textbox', { name: 'Path of Guides' });
  await path.fill('/how-to');
  await path.press('Enter');
  await expect(page.getByText('/guides leads here')).toBeVisible();
  await expect(page.locator('.bar-saved')).toHaveText('Saved');
  await publish(page);
  await page.goto(PUBLISHED + '/guides');
  await expect(page).toHaveURL(PUBLISHED + '/how-to');
  await page.goto(PUBLISHED + '/');
  await page.getByRole('link', { name: 'Guides' }).click();
  await expect(page).toHaveURL(PUBLISHED + '/how-to');
});

test('going back makes a past release live at once, and forward again', async ({ page }) => {
  await page.goto('/sites/brackenfold/releases');
  const rows = page.getByRole('table', { name: 'Releases' }).locator('tbody tr');
  const newest = (await rows.first().locator('td').first().textContent())!;
  await rows.nth(1).getByRole('button', { name: 'make it live' }).click();
  await page.locator('.ant-popover').getByRole('button', { name: 'Make it live' }).click();
  await expect(rows.nth(1).getByText('live', { exact: true })).toBeVisible();
  expect((await page.goto(PUBLISHED + '/how-to'))?.status()).toBe(404);
  await page.goto('/sites/brackenfold/releases');
  await page
    .getByRole('row', { name: new RegExp(`^${newest} `) })
    .getByRole('button', { name: 'make it live' })
    .click();
  await page.locator('.ant-popover').getByRole('button', { name: 'Make it live' }).click();
  await expect(page.getByText('Nothing would change')).toBeVisible();
  expect((await page.goto(PUBLISHED + '/how-to'))?.status()).toBe(200);
});

test('the bar counts the pages that would change, and undoing brings the count back', async ({
  page,
}) => {
  await publish(page);
  const bench = new BenchHand(page);
  await bench.open('page-sheds');
  await expect(page.getByRole('button', { name: 'All published' })).toBeVisible();
  await bench.clickOn(bench.canvas.locator('h1'), 'page', true);
  await page.keyboard.type('Thirteen');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: 'Publish 1 page' })).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('button', { name: 'All published' })).toBeVisible();
});

test('a preview shows what is not published yet, at every width, and one key leads back', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  await bench.open('page-sheds');
  await bench.clickOn(bench.canvas.locator('h1'), 'page', true);
  await page.keyboard.type('Only in the preview');
  await page.keyboard.press('Escape');
  await page.keyboard.press('p');
  const frame = page.frameLocator('.preview-frame');
  await expect(frame.locator('h1')).toHaveText('Only in the preview');
  await page.getByRole('radio', { name: '600' }).click();
  await expect(page.locator('.preview-frame')).toHaveCSS('width', '600px');
  await expect(frame.locator('h1')).toHaveCSS('font-size', '32px');
  await page.locator('.bar').click();
  await page.keyboard.press('p');
  await expect(bench.canvas.locator('h1')).toHaveText('Only in the preview');
});
