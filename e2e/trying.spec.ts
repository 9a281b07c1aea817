import { expect, type Page } from '@playwright/test';
import { BenchHand, ownSite } from './bench';
import { test } from './test';

/** What visitors do, seen at the bench: a page tried beside it, states held on the canvas, keys of the preview. */

const tried = (page: Page) => page.frameLocator('.try-frame');
const happened = (page: Page) => page.getByRole('table', { name: 'What happened' });

test('a page is tried beside the bench: what was pressed, what was asked and answered, what came of it', async ({
  page,
}) => {
  await page.goto('/sites/brackenfold/bench/page-shed?entry=shed-kettlewick');
  await expect(page.frameLocator('iframe[title="The page"]').locator('main')).toBeVisible();
  await page.keyboard.press('t');
  const button = tried(page).getByRole('button', { name: 'Book a bench' });
  await button.click();
  await expect(tried(page).getByRole('progressbar', { name: 'Booking …' })).toBeVisible();
  await expect(tried(page).locator('p', { hasText: 'Bench 1 is yours.' })).toBeVisible();
  const all = happened(page).locator('tbody tr');
  await expect(all.nth(0)).toContainText('as the page opens');
  // What the menu does then comes before.
  const rows = all.filter({ hasNotText: /as the page opens|Is: unfolded/ });
  await expect(rows.nth(0)).toContainText('pressed Book a bench');
  await expect(rows.nth(1)).toContainText('Now: idle → waiting');
  await expect(rows.nth(2)).toContainText('does the action it was given');
  await expect(rows.nth(3)).toContainText('asks to change something: /stand-in/bench?shed=');
  await expect(rows.nth(4)).toContainText('answered 201');
  await expect(rows.nth(5)).toContainText('Now: waiting → booked');
  await expect(rows.nth(6)).toContainText('Answer: “Bench 1 is yours.”');
  // Three more times, and there is none left.
  for (let times = 2; times <= 4; times += 1) {
    await tried(page)
      .getByRole('button', { name: /Book a bench/ })
      .click();
    await expect(rows.getByText('answered', { exact: false })).toHaveCount(times);
  }
  await expect(tried(page).locator('p', { hasText: 'All benches are taken.' })).toBeVisible();
  await expect(tried(page).getByRole('button', { name: 'Try again' })).toBeFocused();
  await expect(rows.last()).toContainText('Answer: “All benches are taken.”');
  // Keys go on working after a press in the page.
  await page.keyboard.press('t');
  await expect(page.getByRole('region', { name: 'Try' })).toBeHidden();
});

test('a component is tried by itself, with what it does by default', async ({ page }) => {
  await page.goto('/sites/brackenfold/bench/booking');
  await expect(
    page.frameLocator('iframe[title="The definition"]').getByRole('button'),
  ).toBeVisible();
  await page.keyboard.press('t');
  await tried(page).getByRole('button', { name: 'Book a bench' }).click();
  await expect(happened(page).getByText('booked')).toBeVisible();
  await page.getByRole('button', { name: 'Begin again' }).click();
  await expect(happened(page).getByText('Nothing yet')).toBeVisible();
});

test('the canvas holds an instance in any state and says so, and stores nothing of it', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  await page.goto('/sites/brackenfold/bench/keep-bench');
  await page.locator('.outline-row', { hasText: 'Booking button' }).click();
  await bench.choose('Now, held at', 'failed');
  await expect(bench.definition.getByRole('button', { name: 'Try again' })).toBeVisible();
  await bench.choose('Answer, held at', 'some words');
  await expect(bench.definition.getByText('Words that come while it is used')).toBeVisible();
  const head = page.getByText('held: Booking button · Now: failed');
  await expect(head).toBeVisible();
  await page.getByRole('button', { name: 'let go' }).click();
  await expect(head).toBeHidden();
  await expect(bench.definition.getByRole('button', { name: 'Book a bench' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
});

test('states that are variants stand side by side in the strip', async ({ page }) => {
  await page.goto('/sites/brackenfold/bench/booking');
  const strip = page.getByRole('radiogroup', { name: 'Variants side by side: Now' });
  for (const each of ['idle', 'waiting', 'booked', 'failed'])
    await expect(strip.getByRole('radio', { name: new RegExp(each) })).toBeVisible();
  await strip.getByRole('radio', { name: /waiting/ }).click();
  await expect(page.getByText('1 difference from the base')).toBeVisible();
});

test('in the preview the keys of the bench go on working after a press in the page', async ({
  page,
}) => {
  await page.goto('/sites/brackenfold/preview/page-about');
  const frame = page.frameLocator('.preview-frame');
  await frame.locator('h1').click();
  await page.keyboard.press(',');
  await expect(page.getByRole('radio', { name: '960' })).toHaveAttribute('aria-checked', 'true');
  await page.keyboard.press('.');
  await expect(page.getByRole('radio', { name: 'full' })).toHaveAttribute('aria-checked', 'true');
  await page.keyboard.press('p');
  await page.waitForURL(/\/bench\/page-about/);
  await page.goto('/sites/brackenfold/preview/page-shed?entry=shed-millgate');
  const title = page.frameLocator('.preview-frame').locator('h1');
  await expect(title).toHaveText('Millgate');
  await title.click();
  await page.keyboard.press(']');
  await expect(title).not.toHaveText('Millgate');
  await page.keyboard.press('[');
  await expect(title).toHaveText('Millgate');
});

test('an action is written for an instance, and what a press does for an element, all by keys', async ({
  page,
}) => {
  const site = await ownSite(page, 'acts');
  const bench = new BenchHand(page);
  await page.goto(`${site}/bench/page-shed?entry=shed-millgate`);
  await page.locator('.outline-row', { hasText: 'Keep a bench' }).click();
  await page.keyboard.press('a');
  await bench.choose('What the button does, act 1: how it is asked', 'to read');
  await bench.choose('What the button does, then', 'wait');
  const seconds = page.getByRole('textbox', { name: 'What the button does, act 2: what' });
  await seconds.fill('0.2');
  await seconds.press('Enter');
  await bench.choose('What the button does, act 1: what it does', 'copy');
  const words = page.getByRole('textbox', { name: 'What the button does, act 1: what' });
  await words.fill('A bench at Millgate');
  await page.getByRole('button', { name: 'What the button does, act 1: later' }).click();
  await bench.saved();
  await page.reload();
  await page.locator('.outline-row', { hasText: 'Keep a bench' }).click();
  await bench.tab('Acts');
  await expect(
    page.getByRole('combobox', { name: 'What the button does, act 1: what it does' }),
  ).toHaveText('wait');
  await expect(
    page.getByRole('textbox', { name: 'What the button does, act 2: what' }),
  ).toHaveValue('A bench at Millgate');
});
