import { expect } from '@playwright/test';
import { seriousFindings } from './axe';
import { BenchHand, ownSite } from './bench';
import { publishedSite } from './published-site';
import { test } from './test';

test('on the published demo: the menu folds on narrow widths, sessions go one by one, sheds are found by their size', async ({
  page,
  browser,
}) => {
  const { at } = await publishedSite(page, 'doing');
  await page.goto(at);
  const slides = page.locator('[aria-roledescription=slide]:visible');
  await expect(slides).toHaveCount(1);
  await expect(page.getByRole('region', { name: 'The next evenings' })).toBeVisible();
  const first = await slides.getByRole('heading').innerText();
  await page.getByRole('button', { name: 'Next session' }).click();
  await expect(slides.getByRole('heading')).not.toHaveText(first);
  await page.getByRole('button', { name: 'Session before' }).press('Enter');
  await expect(slides.getByRole('heading')).toHaveText(first);
  // Behind the first comes the last, and on goes the first.
  await page.getByRole('button', { name: 'Session before' }).press('Space');
  await expect(slides).toHaveAttribute('aria-label', /^6: /);
  expect(await seriousFindings(page)).toEqual([]);

  await page.goto(`${at}/sheds`);
  const found = page
    .getByRole('list')
    .filter({ has: page.getByRole('link', { name: 'Bellfield' }) });
  const all = await found.getByRole('listitem').count();
  const size = page.getByLabel('Show');
  await size.focus();
  await page.keyboard.press('ArrowDown');
  await expect(found.getByRole('listitem')).toHaveCount(5);
  expect(all).toBe(12);
  expect(await seriousFindings(page)).toEqual([]);

  const context = await browser.newContext({
    hasTouch: true,
    viewport: { width: 390, height: 800 },
  });
  const narrow = await context.newPage();
  await narrow.goto(`${at}/about`);
  const menu = narrow.getByRole('button', { name: 'Menu' });
  const links = narrow.getByRole('navigation', { name: 'Main' }).getByRole('link');
  await expect(links).toHaveCount(0);
  await expect(menu).toHaveAttribute('aria-expanded', 'false');
  await menu.tap();
  await expect(links).toHaveCount(4);
  await expect(menu).toHaveAttribute('aria-expanded', 'true');
  expect(await seriousFindings(narrow)).toEqual([]);
  await narrow.keyboard.press('Tab');
  await narrow.keyboard.press('Escape');
  await expect(menu).toBeFocused();
  await expect(links).toHaveCount(0);
  await context.close();
  // Wide enough there is no button, and without scripts no link is out of reach.
  await expect(page.getByRole('button', { name: 'Menu' })).toBeHidden();
  const plain = await (await browser.newContext({ javaScriptEnabled: false })).newPage();
  await plain.setViewportSize({ width: 390, height: 800 });
  await plain.goto(`${at}/about`);
  await expect(plain.getByRole('navigation', { name: 'Main' }).getByRole('link')).toHaveCount(4);
  await plain.context().close();
});

test('a ready one is placed by its name, tried beside the bench, held on the canvas; what its attributes name is chosen', async ({
  page,
}) => {
  const site = await ownSite(page, 'ready');
  const bench = new BenchHand(page);
  await page.goto(`${site}/bench/page-about`);
  await page.locator('.outline-row', { hasText: 'Where it began' }).first().click();
  await bench.go('place tabs');
  await expect(bench.canvas.getByRole('tab', { name: 'First' })).toBeVisible();
  await page.keyboard.press('Escape');
  await bench.saved();
  await page.locator('.outline-row', { hasText: 'Tabs' }).first().click();
  await bench.choose('Shown, held at', '2');
  await expect(bench.canvas.getByText('What stands in the second part.')).toBeVisible();
  await expect(page.getByText('held: Tabs · Shown: 2')).toBeVisible();
  await page.getByRole('button', { name: 'let go' }).click();
  await page.keyboard.press('t');
  const tried = page.frameLocator('.try-frame');
  await tried.getByRole('tab', { name: 'Third' }).click();
  await expect(tried.getByText('What stands in the third part.')).toBeVisible();
  await expect(page.getByRole('table', { name: 'What happened' })).toContainText('Shown: 1 → 3');
  // Placed once more it is the same component.
  await page.keyboard.press('t');
  await page.locator('.outline-row', { hasText: 'Where it began' }).first().click();
  await bench.go('place tabs');
  await page.keyboard.press('Escape');
  await bench.saved();
  await page.goto(`${site}/library`);
  await expect(page.getByText('Tabs', { exact: true })).toHaveCount(1);
});
