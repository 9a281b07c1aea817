import { expect } from '@playwright/test';
import { BenchHand } from './bench';
import { seriousFindings } from './axe';
import { test } from './test';

test('a site is made, set, removed by its name and brought back', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Make a site' }).click();
  const dialog = page.getByRole('dialog');
  // A width that may not be keeps the dialog open, and is said.
  const width = dialog.getByRole('textbox', { name: 'First narrower width' });
  await width.fill('90');
  await width.press('Enter');
  await expect(dialog.getByText('It is 200 at least.')).toBeVisible();
  await expect(dialog.getByRole('button', { name: 'Make the site' })).toBeDisabled();
  await width.fill('700');
  await dialog.getByRole('button', { name: 'Make the site' }).click();
  await expect(dialog).toContainText('A site has a name.');
  await dialog.getByLabel('Name').fill('Larkhollow Seed Library');
  await expect(dialog.getByLabel('Address')).toHaveAttribute(
    'placeholder',
    'larkhollow-seed-library',
  );
  await dialog.getByLabel('Address').fill('brackenfold');
  await dialog.getByRole('button', { name: 'Make the site' }).click();
  await expect(dialog).toContainText('is the address of Brackenfold already');
  await dialog.getByLabel('Address').fill('larkhollow');
  await dialog.getByRole('button', { name: 'Make the site' }).click();
  await page.waitForURL(/\/sites\/[a-z0-9-]+$/);
  await expect(page.getByRole('link', { name: 'News', exact: true })).toBeVisible();

  await page.getByRole('link', { name: 'Settings' }).click();
  const name = page.getByLabel('Name of the site');
  await name.fill('Larkhollow Seeds');
  await name.press('Enter');
  const language = page.getByLabel('Language of the pages');
  await language.fill('not one');
  await language.press('Enter');
  await expect(page.getByRole('alert')).toBeVisible();
  await language.fill('de-AT');
  await language.press('Enter');
  await page.getByLabel('A new width, in px').fill('480');
  await page.getByRole('button', { name: 'Add a width' }).click();
  await expect(page.locator('.width-line', { hasText: '0 declarations' })).toHaveCount(2);
  await expect(page.locator('.bar-saved')).toHaveText('Saved');

  await page.goto('/');
  await expect(page.getByRole('link', { name: 'Larkhollow Seeds' })).toBeVisible();
  const row = page.locator('.site-list li', { hasText: 'Larkhollow Seeds' });
  await row.getByRole('button', { name: 'remove' }).click();
  const remove = page.getByRole('button', { name: 'Remove it' });
  await expect(remove).toBeDisabled();
  await page.getByLabel('Name of the site to remove').fill('Larkhollow Seeds');
  await remove.click();
  await expect(row).toHaveCount(0);
  await page.getByRole('button', { name: 'Bring it back' }).first().click();
  await expect(row).toHaveCount(1);
});

test('pages are found, duplicated, ordered, moved with what is below, and changed many at once', async ({
  page,
}) => {
  await page.goto('/sites/brackenfold');
  const table = page.getByRole('table', { name: 'Pages' });
  const paths = () =>
    table
      .getByRole('textbox', { name: /^Path of/ })
      .evaluateAll((all) => all.map((each) => (each as HTMLInputElement).value));
  await expect.poll(paths).toContain('/about');
  const before = await paths();
  await page.getByLabel('Search the pages').fill('quotation');
  await expect.poll(paths).toEqual(['/']);
  await page.getByLabel('Search the pages').fill('');
  await page.getByRole('button', { name: 'Duplicate /about' }).click();
  await expect.poll(paths).toContain('/about-2');
  await expect(table.getByRole('link', { name: 'About 2' })).toBeVisible();
  await page.getByRole('button', { name: '/about-2: further down' }).click();
  await expect
    .poll(async () => (await paths()).indexOf('/about-2'))
    .toBe(before.indexOf('/about') + 2);

  const sheds = page.getByRole('textbox', { name: 'Path of Sheds' });
  await sheds.fill('/places');
  await sheds.press('Enter');
  await expect.poll(paths).toContain('/places/<slug>');
  await sheds.fill('/sheds');
  await sheds.press('Enter');
  await expect.poll(paths).toContain('/sheds/<slug>');

  for (const path of ['/about-2', '/winter']) await page.getByLabel(`Choose ${path}`).check();
  const many = page.getByRole('group', { name: 'Chosen pages' });
  await expect(many).toContainText('2 pages chosen');
  await many.getByRole('button', { name: 'Publish with the next release' }).click();
  await expect(page.getByLabel('Publish /winter')).toBeChecked();
  await page.getByLabel('Choose /winter').check();
  await page.getByRole('button', { name: 'Make drafts' }).click();
  await expect(page.getByLabel('Publish /winter')).not.toBeChecked();
  await page.getByRole('link', { name: 'Guides', exact: true }).hover();
  await expect(page.locator('.picture iframe')).toBeVisible();
  expect(await seriousFindings(page)).toEqual([]);
  await page.getByLabel('Choose /about-2').check();
  await many.getByRole('button', { name: 'Remove' }).click();
  await page.getByRole('button', { name: 'Remove them' }).click();
  await expect.poll(paths).not.toContain('/about-2');
  await expect(page.locator('.bar-saved')).toHaveText('Saved');
});

test('an empty page says what to do first and does it with one press', async ({ page }) => {
  const bench = new BenchHand(page);
  await page.goto('/sites/brackenfold');
  await page.getByRole('button', { name: 'Add a page', exact: true }).click();
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Beginnings');
  await page.getByRole('button', { name: 'Add the page' }).click();
  await page.getByRole('link', { name: 'Beginnings' }).click();
  const empty = page.locator('.empty-page');
  await expect(empty).toContainText('Nothing stands on this page yet');
  expect(await seriousFindings(page)).toEqual([]);
  await empty.getByRole('button', { name: 'Words and picture' }).click();
  await expect(bench.canvas.locator('main h2')).toBeVisible();
  await expect(empty).toHaveCount(0);
  await page.keyboard.press('Escape');
  await bench.saved();
  await page.goto('/sites/brackenfold');
  await page.getByRole('button', { name: 'Remove /beginnings' }).click();
  await page.getByRole('button', { name: 'Remove', exact: true }).last().click();
  await expect(page.getByRole('link', { name: 'Beginnings' })).toHaveCount(0);
});

test('the first time at the bench four notes point at what matters, and never again', async ({
  browser,
}) => {
  const context = await browser.newContext({ storageState: { cookies: [], origins: [] } });
  const page = await context.newPage();
  const bench = new BenchHand(page);
  await bench.open('page-about');
  const note = page.getByRole('region', { name: 'First notes' });
  const before = (await bench.canvas.locator('main').boundingBox())!;
  for (const title of ['The sentence', 'The ledger', 'The definition', 'The go line']) {
    await expect(note).toContainText(title);
    await expect(page.locator('.is-noted')).toHaveCount(1);
    await note.getByRole('button', { name: /Next note|Begin/ }).click();
  }
  await expect(note).toHaveCount(0);
  // They stood in a line of their own: nothing lay over the page.
  expect((await bench.canvas.locator('main').boundingBox())!.y).toBeLessThan(before.y);
  await page.reload();
  await expect(bench.canvas.locator('main')).toBeVisible();
  await expect(note).toHaveCount(0);
  await context.close();
});
