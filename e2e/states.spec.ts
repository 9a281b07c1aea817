import { expect } from '@playwright/test';
import { seriousFindings } from './axe';
import { BenchHand, ownPage } from './bench';
import { test } from './test';

test('saved, waiting, away and who else is here are told apart by words and mark', async ({
  page,
  context,
}) => {
  const bench = new BenchHand(page);
  await bench.open('page-about');
  const saved = page.locator('.bar-saved');
  await expect(saved).toHaveText('Saved');
  const mark = () => saved.locator('svg').getAttribute('class');
  const whenSaved = await mark();
  await expect(page.locator('.bar-others')).toHaveCount(0);
  const other = await context.newPage();
  await new BenchHand(other).open('page-home');
  await expect(page.locator('.bar-others')).toContainText('1 other here');
  expect(await seriousFindings(page)).toEqual([]);
  await other.close();
  await expect(page.locator('.bar-others')).toHaveCount(0);
  await context.setOffline(true);
  await bench.clickOn(bench.canvas.locator('section h2').first());
  await page.keyboard.press('Control+d');
  await expect(saved).toHaveText(/Not connected: 1 edit kept here/);
  expect(await mark()).not.toBe(whenSaved);
  await page.keyboard.press('Control+z');
  await context.setOffline(false);
  await expect(saved).toHaveText('Saved');
});

test('an edit that is not taken in stands where it was made, with why, until somebody decides', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  await ownPage(page, 'own-refused');
  await bench.clickOn(bench.canvas.locator('h1'));
  await page.route('**/edits', (route) =>
    route.fulfill({
      status: 422,
      contentType: 'application/problem+json',
      body: JSON.stringify({
        type: 'about:blank',
        title: 'Unprocessable Content',
        status: 422,
        said: { code: 'value-not-stored' },
      }),
    }),
  );
  const cell = page.getByRole('textbox', { name: 'Heading text, set here' });
  await cell.fill('Refused words');
  const mark = page.locator('.cell.is-wrong .refused-mark');
  await expect(mark).toHaveAttribute('title', 'It holds a value that cannot be stored.');
  expect(await seriousFindings(page)).toEqual([]);
  await page.unroute('**/edits');
  await mark.click();
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('Refused words');
  await dialog.getByRole('button', { name: 'Use mine' }).click();
  await expect(dialog).toContainText('Everything is decided.');
  await page.keyboard.press('Escape');
  await expect(bench.canvas.locator('h1')).toHaveText('Refused words');
  await bench.saved();
});
