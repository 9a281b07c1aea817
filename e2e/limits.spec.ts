import { expect } from '@playwright/test';
import { BenchHand } from './bench';
import { test } from './test';

/** Limits of a property: told at the cell, held on the page, and nothing that was typed is lost. */

test('what is longer than a property takes is told at its cell, and not taken in on the page', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  await page.goto('/sites/brackenfold/bench/join-band');
  const setLimit = async (most: string) => {
    await page.getByRole('button', { name: 'Heading text: limits' }).click();
    const limits = page.getByRole('dialog').filter({ hasText: 'Longest text' });
    await limits.getByRole('textbox', { name: 'Longest text' }).fill(most);
    await limits.getByRole('button', { name: 'Go on' }).click();
    await page.getByRole('button', { name: 'Change the type' }).click();
    await expect(page.getByRole('button', { name: 'Change the type' })).toBeHidden();
    await bench.saved();
  };
  await setLimit('24');
  await bench.open('page-about');
  const heading = bench.canvas.getByRole('heading', { name: 'Open the door with us' });
  await bench.clickOn(heading);
  const cell = page.getByRole('textbox', { name: 'Heading text, set here' });
  await cell.fill('Open the door of it with us all');
  await expect(bench.row('Heading text')).toContainText('It has 31 characters; 24 are the most.');
  // What was typed is there still, and counts again as soon as it is short enough.
  await expect(cell).toHaveValue('Open the door of it with us all');
  await cell.fill('Open the door with us');
  await expect(bench.row('Heading text')).not.toContainText('are the most');
  await bench.clickOn(heading, 'page', true);
  await expect(bench.canvas.locator('[contenteditable]')).toBeFocused();
  await page.keyboard.press('End');
  await page.keyboard.type(' all');
  // Three more would be one too many: they are not taken in, and that is said.
  await expect(bench.sentence).toContainText('No more than 24 characters may stand here.');
  await expect(
    bench.canvas.getByRole('heading', { name: 'Open the door with us al' }),
  ).toBeVisible();
  await page.keyboard.press('Escape');
  await bench.saved();
  await page.getByRole('button', { name: 'Heading text: back to default' }).click();
  await bench.saved();
  // As it was, for whoever comes next.
  await page.goto('/sites/brackenfold/bench/join-band');
  await setLimit('');
});
