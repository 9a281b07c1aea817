import { expect } from '@playwright/test';
import { BenchHand } from './bench';
import { seriousFindings } from './axe';
import { test } from './test';

test('the main screens have nothing serious for axe-core (WCAG 2.2 AA)', async ({ browser }) => {
  test.setTimeout(240_000);
  const page = await browser.newPage({ bypassCSP: true });
  const bench = new BenchHand(page);
  for (const path of [
    '/',
    '/sites/brackenfold',
    '/sites/brackenfold/library',
    '/sites/brackenfold/styles',
    '/sites/brackenfold/styles/tokens',
    '/sites/brackenfold/styles/shared',
    '/sites/brackenfold/content',
    '/sites/brackenfold/content/shed/shed-millgate',
    '/sites/brackenfold/releases',
  ]) {
    await page.goto(path);
    await expect(page.locator('h1').first()).toBeVisible();
    await expect(page.locator('.ant-skeleton')).toHaveCount(0);
    expect([path, await seriousFindings(page)]).toEqual([path, []]);
  }
  await bench.open('page-home');
  expect(await seriousFindings(page)).toEqual([]);
  await bench.clickOn(bench.canvas.locator('h1'));
  expect(['values', await seriousFindings(page)]).toEqual(['values', []]);
  await page.keyboard.press('b');
  await expect(bench.definition.locator('h1')).toBeVisible();
  expect(['exposing', await seriousFindings(page)]).toEqual(['exposing', []]);
  await bench.tab('Style');
  expect(['style', await seriousFindings(page)]).toEqual(['style', []]);
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  expect(['keys', await seriousFindings(page)]).toEqual(['keys', []]);
  await page.close();
});

test.describe('pages', () => {
  test('one is added, moved, made ready and removed; a path that is taken is refused', async ({
    page,
  }) => {
    await page.goto('/sites/brackenfold');
    await page.getByRole('button', { name: 'Add a page' }).click();
    await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Join us');
    await page.getByRole('button', { name: 'Add the page' }).click();
    const path = page.getByRole('textbox', { name: 'Path of Join us' });
    await expect(path).toHaveValue('/join-us');
    await path.fill('/about');
    await path.press('Enter');
    // What was typed stays where it was typed, with the reason; Escape drops it.
    await expect(page.getByRole('alert')).toContainText('would both have the path /about');
    await expect(path).toHaveValue('/about');
    await path.press('Escape');
    await expect(path).toHaveValue('/join-us');
    await page.getByRole('switch', { name: 'Publish /join-us' }).click();
    await path.fill('/join');
    await path.press('Enter');
    await expect(page.getByText('/join-us leads here')).toBeVisible();
    await page.getByRole('link', { name: 'Join us' }).click();
    await expect(new BenchHand(page).canvas.locator('header')).toBeVisible();
    await page.goBack();
    await page.getByRole('button', { name: 'Remove /join', exact: true }).click();
    await expect(page.locator('.ant-popover')).toContainText('This takes 1 element with it');
    await page.locator('.ant-popover').getByRole('button', { name: 'Remove' }).click();
    await expect(path).toHaveCount(0);
  });
});

test.describe('content', () => {
  test('an entry is opened, changed and seen on its page; a slug that is taken is refused', async ({
    page,
  }) => {
    await page.goto('/sites/brackenfold/content/shed');
    await page.getByRole('link', { name: 'Dunmoor' }).click();
    await expect(
      page.getByLabel('Entry Dunmoor').getByRole('textbox', { name: 'Name' }),
    ).toHaveValue('Dunmoor');
    await page
      .getByRole('textbox', { name: 'Summary' })
      .fill('The highest shed, now with a second stove.');
    await page.getByRole('textbox', { name: 'Slug' }).fill('millgate');
    await page.getByRole('textbox', { name: 'Slug' }).press('Enter');
    await expect(page.getByRole('alert')).toContainText('slug millgate is taken');
    await page.getByRole('link', { name: '/sheds/dunmoor' }).click();
    await expect(page.locator('.bar-entry')).toContainText('Dunmoor');
  });

  test('an entry is added as a draft and removed again', async ({ page }) => {
    await page.goto('/sites/brackenfold/content/mender');
    await page.getByRole('button', { name: 'Add a mender' }).click();
    await page.getByRole('textbox', { name: 'Name' }).fill('Ada Thorne');
    await expect(page.getByRole('link', { name: 'Ada Thorne' })).toBeVisible();
    await page.getByRole('button', { name: 'Remove the entry' }).click();
    await page.getByRole('dialog').getByRole('button', { name: 'Remove', exact: true }).click();
    await expect(page.getByRole('link', { name: 'Ada Thorne' })).toHaveCount(0);
  });

  test('a picture is brought in; what is no picture is refused with a reason', async ({ page }) => {
    await page.goto('/sites/brackenfold/content/shed/shed-juniper-lock');
    const bringIn = async (file: { name: string; mimeType: string; buffer: Buffer }) => {
      const chooser = page.waitForEvent('filechooser');
      await new BenchHand(page).choose('Picture', 'Bring in a picture');
      await (await chooser).setFiles(file);
    };
    await bringIn({
      name: 'no-picture.svg',
      mimeType: 'image/svg+xml',
      buffer: Buffer.from('only words'),
    });
    await expect(page.getByRole('alert')).toContainText('This is no picture');
    const svg =
      '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 40 30"><rect width="40" height="30" fill="#9a3b17"/></svg>';
    await bringIn({
      name: 'juniper.svg',
      mimeType: 'image/svg+xml',
      buffer: Buffer.from(svg),
    });
    await expect(page.locator('.entry-form .value-words')).toContainText('juniper.svg');
    await page
      .locator('.entry-form')
      .getByRole('button', { name: 'empty', exact: true })
      .first()
      .click();
  });
});

test.describe('the library', () => {
  test('lists components by folder with their reach, and finds them', async ({ page }) => {
    await page.goto('/sites/brackenfold/library');
    const row = page.getByRole('row', { name: /^Join band/ });
    await expect(row).toContainText(/\d+ instances in \d+ documents, on \d+ published pages/);
    await page.getByRole('textbox', { name: 'Search the library' }).fill('quot');
    await expect(page.getByRole('row', { name: /^Join band/ })).toHaveCount(0);
    await page.getByRole('link', { name: 'Quotation' }).click();
    await expect(page.locator('.pane-definition')).toContainText('Definition of Quotation');
  });
});
