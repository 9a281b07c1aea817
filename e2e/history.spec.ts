import { expect } from '@playwright/test';
import { seriousFindings } from './axe';
import { BenchHand, ownPage } from './bench';
import { test } from './test';

test('what was done to a page is listed, looked at beside it, and brought back by keys as a new edit', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  await ownPage(page, 'own-history');
  const heading = bench.canvas.getByRole('heading', { name: 'How it works' });
  await bench.clickOn(heading, 'page', true);
  await page.keyboard.type('What came after');
  await page.keyboard.press('Escape');
  await bench.saved();
  await page.keyboard.press('h');
  const lines = page.locator('.history-list li');
  await expect(lines.first()).toContainText('in this window');
  await expect(page.getByRole('radio', { name: /^\/own-history.* alone$/ })).toBeChecked();
  await expect(lines.getByText('/guides')).toHaveCount(0);

  // The version before is drawn beside, and changes nothing.
  const look = lines.nth(1).getByRole('button', { name: /^look at it then/ });
  await look.focus();
  await page.keyboard.press('Enter');
  const earlier = page.getByRole('region', { name: 'As it was' });
  await expect(earlier.frameLocator('iframe').getByText('How it works')).toBeVisible();
  await expect(bench.canvas.getByRole('heading', { name: 'What came after' })).toBeVisible();
  expect(await seriousFindings(page)).toEqual([]);
  await earlier.getByRole('button', { name: 'Bring it back' }).focus();
  await page.keyboard.press('Enter');
  await expect(heading).toBeVisible();
  await expect(earlier).toHaveCount(0);
  await expect(lines.first()).toContainText(/brought back \/own-history.* as it was after/);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(bench.canvas.getByRole('heading', { name: 'What came after' })).toBeVisible();

  // Of the whole site more is listed.
  await page.getByRole('radio', { name: 'the whole site' }).check();
  await expect(lines.getByRole('button')).toHaveCount(0);
  await expect(lines.first()).toContainText('took back');
});
