import { readdirSync } from 'node:fs';
import { expect, type BrowserContext, type Page } from '@playwright/test';
import { PORT } from './addresses';
import { BenchHand } from './bench';
import { OwnServer } from './own-server';
import { seriousFindings } from './axe';
import { test } from './test';

/** A window of its own on the same site. */
async function anotherWindow(context: BrowserContext): Promise<BenchHand> {
  return new BenchHand(await context.newPage());
}

const aboutText = (bench: BenchHand) =>
  bench.canvas.locator('main > section').nth(1).locator('p').first();

async function typeOver(bench: BenchHand, words: string): Promise<void> {
  await bench.clickOn(aboutText(bench), 'page', true);
  await expect(bench.canvas.locator('[contenteditable]')).toBeVisible();
  await bench.page.keyboard.type(words);
}

test.describe('two windows on one site', () => {
  test('see each other’s edits, and keep edits to different things', async ({ page, context }) => {
    const one = new BenchHand(page);
    const two = await anotherWindow(context);
    await one.open('page-about');
    await two.open('page-about');
    await typeOver(one, 'From the first window.');
    await expect(aboutText(two)).toHaveText('From the first window.', { timeout: 3000 });
    await two.clickOn(two.canvas.locator('h1'), 'page');
    await two.tab('Values');
    await two.row('Heading text').getByRole('textbox').fill('From the second window');
    await expect(one.canvas.locator('h1')).toHaveText('From the second window', { timeout: 3000 });
    // Both at once, to different things.
    await Promise.all([
      one.page.keyboard.type(' And more.'),
      two.row('Text').getByRole('textbox').fill('Written meanwhile'),
    ]);
    for (const bench of [one, two]) {
      await expect(aboutText(bench)).toHaveText('From the first window. And more.');
      await expect(bench.canvas.locator('main > section').first().locator('p')).toHaveText(
        'Written meanwhile',
      );
    }
    await one.page.keyboard.press('Escape');
  });

  test('that set the same value while one is away: both sides are shown, nothing is lost', async ({
    page,
    context,
  }) => {
    const one = new BenchHand(page);
    const two = await anotherWindow(context);
    await one.open('page-sheds');
    await two.open('page-sheds');
    const heading = (bench: BenchHand) => bench.canvas.locator('h1');
    await one.page.route('**/api/**', (route) => route.abort());
    await one.clickOn(heading(one), 'page', true);
    await one.page.keyboard.type('Mine');
    await one.page.keyboard.press('Escape');
    await expect(one.page.locator('.bar-saved')).toContainText('kept here');
    await two.clickOn(heading(two), 'page', true);
    await two.page.keyboard.type('Theirs');
    await two.page.keyboard.press('Escape');
    await two.saved();
    await one.page.unroute('**/api/**');
    await one.page.getByRole('button', { name: 'Two versions' }).click();
    const dialog = one.page.getByRole('dialog', { name: 'Two versions of the same value' });
    await expect(dialog).toContainText('Mine');
    await expect(dialog).toContainText('Theirs');
    await dialog.getByRole('button', { name: 'Use mine' }).last().click();
    await expect(heading(two)).toHaveText('Mine', { timeout: 3000 });
  });
});

test.describe('an edit that the server fails on', () => {
  test('is set aside with what it held, later edits are sent, the site opens, and it can be dropped', async ({
    page,
  }) => {
    const bench = new BenchHand(page);
    await page.route('**/edits', (route) =>
      (route.request().postData() ?? '').includes('The server fails on this')
        ? route.fulfill({ status: 500, contentType: 'application/problem+json', body: '{}' })
        : route.continue(),
    );
    await bench.open('page-guides');
    const heading = bench.canvas.locator('h1').first();
    await bench.clickOn(heading);
    const name = page.getByRole('textbox', { name: 'name', exact: true });
    await name.fill('The server fails on this');
    await expect(page.getByRole('button', { name: 'Not taken in' })).toBeVisible();
    await name.fill('Taken in');
    await bench.saved();
    await page.reload();
    await expect(bench.canvas.locator('main')).toBeVisible();
    await page.getByRole('button', { name: 'Not taken in' }).click();
    const dialog = page.getByRole('dialog', { name: 'What the server did not take in' });
    await expect(dialog).toContainText('The server fails on this');
    await dialog.getByRole('button', { name: 'Drop it' }).click();
    await expect(dialog).toContainText('Everything is decided.');
  });
});

test('“Try again” after the server was away opens with what was kept', async ({ page }) => {
  const bench = new BenchHand(page);
  await bench.open('page-guides');
  await bench.clickOn(bench.canvas.locator('h1').first(), 'page', true);
  await page.route('**/api/**', (route) => route.abort());
  await page.keyboard.type('Kept until it answers');
  await page.keyboard.press('Escape');
  await expect(page.locator('.bar-saved')).toContainText('kept here');
  await page.reload();
  await expect(page.getByText('This site could not be opened')).toBeVisible();
  await page.unroute('**/api/**');
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(bench.canvas.locator('h1').first()).toHaveText('Kept until it answers');
});

test.describe('a server that goes away', () => {
  let own: OwnServer;
  test.beforeAll(async () => {
    own = await OwnServer.make();
  });
  test.afterAll(() => own.remove());

  const heading = (page: Page) => new BenchHand(page).canvas.locator('h1');

  test('killed in the middle of edits loses nothing; editing goes on and all is sent when it is back', async ({
    browser,
  }) => {
    test.setTimeout(240_000);
    await own.start();
    const page = await browser.newPage({ baseURL: own.address });
    const bench = new BenchHand(page);
    await bench.open('page-sheds');
    await bench.clickOn(heading(page), 'page', true);
    await page.keyboard.type('Typed before the end');
    await own.kill();
    await page.keyboard.type(', and after it');
    await expect(heading(page)).toHaveText('Typed before the end, and after it');
    await expect(page.locator('.bar-saved')).toContainText('Not connected');
    await page.keyboard.press('Escape');
    await page.keyboard.press('Control+z');
    await page.keyboard.press('Control+Shift+z');
    await own.start();
    await bench.saved();
    await page.reload();
    await expect(heading(page)).toHaveText('Typed before the end, and after it');
    await page.close();
  });

  test('what was typed while it was away is sent after a reload too', async ({ browser }) => {
    test.setTimeout(240_000);
    const page = await browser.newPage({ baseURL: own.address });
    const bench = new BenchHand(page);
    await bench.open('page-sheds');
    await bench.clickOn(heading(page), 'page', true);
    await page.keyboard.type('Kept in the browser');
    await page.keyboard.press('Escape');
    await bench.saved();
    expect(await own.stop()).toBe(0);
    await bench.clickOn(heading(page), 'page', true);
    await page.keyboard.type('Typed to nobody');
    await page.keyboard.press('Escape');
    await expect(page.locator('.bar-saved')).toContainText('kept here');
    await own.start();
    await page.reload();
    await expect(heading(page)).toHaveText('Typed to nobody');
    await bench.saved();
    await page.close();
  });

  test('a second start on a port in use says so, and what to do', async () => {
    const second = await OwnServer.make({ port: PORT });
    expect(await second.startInVain()).toContain(
      `Port ${PORT} is in use. Stop what uses it, or name another port in SORMET_PORT.`,
    );
    // Ports are looked at before anything is touched.
    expect(readdirSync(second.folder)).toEqual([]);
    await second.remove();
  });
});

test.describe('what throws', () => {
  test.use({ mayThrow: true });

  test('a screen that cannot be drawn says so, and leads on', async ({ page }) => {
    // A document that no server would give: what is drawn of it fails.
    await page.route('**/api/sites/brackenfold', async (route) => {
      const answer = await route.fetch();
      const site = (await answer.json()) as { documents: Record<string, { nodes: object }> };
      site.documents['page-about']!.nodes = { x: { kind: 'element' } };
      await route.fulfill({ response: answer, json: site });
    });
    await page.goto('/sites/brackenfold/bench/page-about');
    await expect(page.getByRole('heading', { name: 'This could not be shown' })).toBeVisible();
    expect(await seriousFindings(page)).toEqual([]);
    await page.unroute('**/api/sites/brackenfold');
    await page.getByRole('button', { name: 'Open it again' }).click();
    await expect(new BenchHand(page).canvas.locator('main')).toBeVisible();
  });
});
