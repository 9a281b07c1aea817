import { expect } from '@playwright/test';
import { BenchHand } from './bench';
import { test } from './test';

test('an inner property is lifted: the outer component hands it on, each instance sets its own', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  await bench.open('page-sessions');
  await bench.go('place join band');
  await page.keyboard.press('Escape');
  await page.keyboard.press('b');
  await expect(bench.definition.locator('h2')).toBeVisible();
  await page.locator('.outline-row', { hasText: 'Button' }).click();
  await bench.tab('Values');
  await expect(bench.sentence).toHaveAttribute('data-edge', 'definition');
  const shown = page.getByRole('row', { name: /^shown/ });
  await shown.getByRole('button', { name: 'expose' }).click();
  await expect(shown.getByRole('textbox', { name: 'shown, exposed as' })).toHaveValue(
    'Button shown',
  );
  await shown.getByRole('textbox', { name: 'shown, exposed as' }).fill('With a button');
  await page.keyboard.press('Escape');
  await bench.clickOn(bench.canvas.locator('main > section').last().locator('h2'));
  await bench.choose('With a button, set here', 'no');
  await expect(bench.canvas.locator('main > section').last().locator('a')).toHaveCount(0);
  await bench.row('With a button').getByRole('button', { name: 'back to default' }).click();
  await expect(bench.canvas.locator('main > section').last().locator('a')).toHaveCount(1);
});

test('a property is taken back: the definition holds its default itself again, and undo exposes it again', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  await page.goto('/sites/brackenfold/bench/quote');
  await expect(bench.definition.locator('blockquote')).toBeVisible();
  await page.locator('.outline-row').nth(1).click();
  await bench.tab('Values');
  await page.getByRole('button', { name: 'Take back Who said it' }).click();
  await expect(page.getByRole('checkbox', { name: 'Expose Who text' })).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('button', { name: 'Take back Who said it' })).toBeVisible();
});

test('a plain element is bound, and let go again', async ({ page }) => {
  const bench = new BenchHand(page);
  await bench.open('page-shed');
  await bench.go('place heading');
  await page.keyboard.press('Escape');
  await bench.tab('Values');
  await bench.choose('Heading text, bound to', 'shed · street');
  const heading = bench.canvas.locator('main > h2');
  await expect(heading).toHaveText('2 Landing Lane');
  await bench.choose('Heading text, bound to', 'shed · opened');
  await expect(heading).toHaveText('16 March 2019');
  await page.getByRole('button', { name: 'Heading text: no longer bound' }).click();
  await expect(heading).toHaveText('');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(heading).toHaveText('16 March 2019');
  await page.locator('.pane-head').first().click();
  await page.keyboard.press('Delete');
  await expect(heading).toHaveCount(0);
});

test('what cannot stand here is refused with a reason, and nothing changes', async ({ page }) => {
  const bench = new BenchHand(page);
  await bench.open('page-about');
  await bench.clickOn(bench.canvas.locator('h2').first());
  const before = await bench.canvas.locator('main').innerHTML();
  await page.keyboard.press('m');
  await page.getByRole('textbox', { name: 'Name of the component' }).fill('Sections/Join band');
  await page.getByRole('button', { name: 'Make component' }).click();
  await expect(page.getByRole('dialog').getByRole('alert')).toContainText(
    'named Sections/Join band',
  );
  await page.getByRole('button', { name: 'Leave it' }).click();
  expect(await bench.canvas.locator('main').innerHTML()).toBe(before);
});

test('the history says what was done, newest first', async ({ page }) => {
  const bench = new BenchHand(page);
  await bench.open('page-about');
  await bench.clickOn(bench.canvas.locator('h2').first());
  await page.getByRole('textbox', { name: 'name', exact: true }).fill('The way we work');
  await bench.saved();
  await bench.tab('History');
  await expect(page.locator('.history-list li').first()).toContainText('“The way we work”');
});

test('several are selected with Ctrl, and removed together', async ({ page }) => {
  const bench = new BenchHand(page);
  await bench.open('page-about');
  const section = bench.canvas.locator('main > section').nth(1);
  const count = await section.locator('p').count();
  await bench.clickOn(section.locator('p').nth(0));
  const box = (await section.locator('p').nth(1).boundingBox())!;
  await page.keyboard.down('Control');
  await page.mouse.click(box.x + 10, box.y + 8);
  await page.keyboard.up('Control');
  await expect(page.locator('.outline-row.selected')).toHaveCount(2);
  await page.keyboard.press('Delete');
  await expect(section.locator('p')).toHaveCount(count - 2);
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect(section.locator('p')).toHaveCount(count);
});

test('with nothing selected the ledger shows what the page says of itself, and changes it', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  await bench.open('page-guides');
  const title = await bench.row('title').getByRole('textbox').inputValue();
  await bench.row('name').getByRole('textbox').fill('All guides');
  await bench.row('title').getByRole('textbox').fill('How to mend it');
  const path = bench.row('path').getByRole('textbox');
  await path.fill('/about');
  await path.press('Enter');
  await expect(bench.row('path').getByRole('alert')).toContainText('would both have the path');
  await expect(path).toHaveValue('/about');
  await path.fill('/mending');
  await path.press('Enter');
  await expect(bench.row('path').getByRole('alert')).toBeHidden();
  await bench.choose('Whether the page is published', 'no');
  await expect(bench.row('published')).toContainText('a draft');
  await bench.saved();
  await page.reload();
  await expect(bench.row('path').getByRole('textbox')).toHaveValue('/mending');
  await expect(bench.row('title').getByRole('textbox')).toHaveValue('How to mend it');
  await expect(bench.row('published')).toContainText('a draft');
  // Everything as it was, for whoever comes next.
  await bench.row('name').getByRole('textbox').fill('Guides');
  await bench.row('title').getByRole('textbox').fill(title);
  await path.fill('/guides');
  await path.press('Enter');
  await bench.choose('Whether the page is published', 'yes');
  await bench.saved();
});

test('an empty slot of a definition is seen as a labelled place, and on no page that fills it', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  await page.goto('/sites/brackenfold/bench/lines');
  const drawn = bench.definition;
  const place = drawn.locator('[data-sormet-slot]');
  await expect(place).toHaveAttribute('data-sormet-place', 'slot: lines · empty');
  const box = (await place.boundingBox())!;
  expect(box.height).toBeGreaterThan(16);
  await bench.open('page-home');
  await expect(bench.canvas.locator('[data-sormet-slot]')).toHaveCount(0);
});

test('what is edited has two thirds of the room; a definition is drawn at the width one types', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  await bench.open('page-home');
  await bench.clickOn(bench.canvas.locator('h1'));
  await page.keyboard.press('b');
  await expect(bench.definition.locator('h1')).toBeVisible();
  const widthOf = async (kind: 'page' | 'definition') =>
    (await page.locator(`.pane-${kind}`).boundingBox())!.width;
  const share = async () =>
    (await widthOf('definition')) / ((await widthOf('definition')) + (await widthOf('page')));
  await expect.poll(share).toBeGreaterThan(0.6);
  await bench.clickOn(bench.canvas.locator('h1'));
  await expect.poll(share).toBeLessThan(0.4);
  const width = page.getByRole('textbox', { name: 'Width at which the definition is drawn' });
  await width.fill('600');
  await width.press('Enter');
  await expect
    .poll(() => bench.definition.locator('html').evaluate((html) => html.clientWidth))
    .toBe(600);
});
