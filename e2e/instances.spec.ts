import { expect } from '@playwright/test';
import { BenchHand, ownPage } from './bench';
import { test } from './test';

/** What becomes of instances: made plain, exchanged, removed with their component; each said before, each one step. */

test('an instance is made plain: it shows the same, its text is typed where it stands, one undo brings it back', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  await ownPage(page, 'own-plain');
  await bench.clickOn(bench.canvas.getByRole('heading', { name: 'How it works' }));
  await bench.go('Quotation');
  const words = bench.canvas.getByText('I came with a broken kettle');
  await expect(words).toBeVisible();
  const before = await words.evaluate((element) => getComputedStyle(element).fontSize);
  // What is placed has the cursor in its text already.
  await page.keyboard.press('Escape');
  await expect(bench.sentence).toContainText('Quotation');
  await bench.go('make plain elements');
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('will no longer reach it');
  await dialog.getByRole('button', { name: 'Make plain' }).click();
  await expect(dialog).toBeHidden();
  await expect(words).toBeVisible();
  expect(await words.evaluate((element) => getComputedStyle(element).fontSize)).toBe(before);
  // It is this page’s own now.
  await bench.clickOn(words);
  await expect(bench.sentence).toContainText('/own-plain');
  await expect(page.getByRole('table', { name: 'Values of the element' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await bench.clickOn(words);
  await expect(page.getByRole('table', { name: 'Values of the element' })).toBeHidden();
  await page.keyboard.press('Delete');
  await expect(words).toBeHidden();
  await bench.saved();
});

test('a component that is placed is removed only after its instances were decided on; one undo brings all back', async ({
  page,
}) => {
  await page.goto('/sites/brackenfold/library');
  const row = page.getByRole('row').filter({ has: page.getByRole('link', { name: 'Quotation' }) });
  await row.getByRole('button', { name: 'remove' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('It is placed');
  const remove = dialog.getByRole('button', { name: 'Remove it' });
  await expect(remove).toBeDisabled();
  await dialog.getByRole('radio', { name: 'put another component in their place' }).check();
  await dialog.getByRole('combobox', { name: 'What comes in their place' }).focus();
  await page.keyboard.type('Join band');
  await page.keyboard.press('Enter');
  await expect(dialog).toContainText('Goes over:');
  await dialog.getByRole('radio', { name: 'make them plain elements' }).check();
  await remove.click();
  await expect(dialog).toBeHidden();
  await expect(row).toBeHidden();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(row).toBeVisible();
});

test('a component is put in the place of an element: its words fill what matches, which is said before', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  await ownPage(page, 'own-replace');
  await page.locator('.outline-row', { hasText: 'How it works' }).click();
  await bench.go('put a component in its place');
  const dialog = page.getByRole('dialog', { name: /^Put a component in the place of/ });
  await dialog.getByRole('combobox', { name: 'What comes in its place' }).focus();
  await page.keyboard.type('Mender');
  await page.keyboard.press('Enter');
  await expect(dialog).toContainText('Goes over: Heading text as Name, Text as Mends.');
  await expect(dialog).toContainText('Has no place there: Text.');
  await dialog.getByRole('button', { name: 'Put it there' }).click();
  await expect(dialog).toBeHidden();
  await expect(bench.canvas.locator('article h3')).toHaveText('How it works');
  await expect(bench.canvas.getByText('You come with the thing and stay with it.')).toBeVisible();
  await expect(page.getByRole('table', { name: 'Values of Fittings/Mender' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(bench.canvas.getByText('You pay for the parts.')).toBeVisible();
});
