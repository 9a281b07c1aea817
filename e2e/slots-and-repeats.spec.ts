import { expect } from '@playwright/test';
import { dayAfter, dayIn, type Doc } from '@sormet/core/model';
import { PREVIEW } from './addresses';
import { BenchHand, ownPage } from './bench';
import { test } from './test';

test('an empty box is seen as a labelled place, selected and filled on the canvas', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  await ownPage(page, 'own-slots-and-repeats-1');
  await bench.clickOn(bench.canvas.locator('section h2').first());
  await bench.go('place box');
  const box = bench.canvas.locator('[data-sormet-empty][data-sormet-place]');
  await expect(box).toHaveAttribute('data-sormet-place', 'Box · empty');
  expect((await box.boundingBox())!.height).toBeGreaterThan(16);
  await page.keyboard.press('Escape');
  await bench.clickOn(box);
  await expect(bench.sentence).toContainText('Box');
  await bench.go('place text');
  await expect(box).toHaveCount(0);
  await page.keyboard.press('Escape');
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect(bench.canvas.locator('[data-sormet-empty]')).toHaveCount(0);
  await bench.saved();
});

test('a slot is put into a definition, named and limited, and filled on a page by the go line', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  await page.goto('/sites/brackenfold/bench/join-band');
  await expect(bench.definition.locator('section')).toBeVisible();
  await bench.clickOn(bench.definition.locator('p').first(), 'definition');
  await bench.go('place slot');
  await expect(page.locator('table[aria-label^="Values of the slot"]')).toBeVisible();
  const name = page.getByLabel('Name of the slot');
  await name.fill('extras');
  await name.press('Enter');
  await page.getByRole('radio', { name: 'side by side, on as many lines as it takes' }).click();
  // It takes a whole folder, and elements of a tag; what is not let in is told where one places.
  await bench.choose('What the slot takes', 'all of Fittings/');
  await bench.choose('What the slot takes', '<p>');
  const most = page.getByLabel('How many the slot holds at most');
  await most.fill('1');
  await most.press('Enter');
  await bench.saved();
  await expect(bench.definition.locator('[data-sormet-slot]')).toHaveAttribute(
    'data-sormet-place',
    'slot: extras · empty · takes all of Fittings/, <p>, at most 1',
  );

  await ownPage(page, 'own-slots-and-repeats-2');
  const place = bench.canvas.locator('[data-sormet-slot]');
  await expect(place).toHaveAttribute('data-sormet-place', /slot: extras/);
  await bench.clickOn(place);
  await expect(bench.sentence).toContainText('You are filling the slot extras of Join band');
  // The shelf says it before anything is dragged.
  const onShelf = page.getByRole('region', { name: 'Elements' }).locator('.shelf-item');
  await expect(onShelf.filter({ hasText: 'Heading' })).toContainText('not in extras');
  await expect(onShelf.filter({ hasText: 'Text' }).first()).not.toContainText('not in extras');
  await page.keyboard.press('g');
  await page.getByRole('combobox', { name: 'Go line' }).fill('place heading');
  await expect(
    page.getByRole('option', { name: /Heading .*not in the slot extras/ }).first(),
  ).toBeVisible();
  await page.keyboard.press('Escape');
  await bench.go('place text');
  await page.keyboard.press('Escape');
  await expect(place).toHaveCount(0);
  await bench.saved();
  // It holds one: a second is refused with a reason before anything is done.
  await page.locator('.outline-row', { hasText: 'extras' }).click();
  await page.keyboard.press('g');
  await page.getByRole('combobox', { name: 'Go line' }).fill('place text');
  await expect(page.locator('.go-reason')).toContainText('would hold more than 1');
  await page.keyboard.press('Escape');

  await page.locator('.outline-row', { hasText: 'Text' }).last().click();
  await page.keyboard.press('Control+z');
  await expect(place).toHaveCount(1);
  await page.goto('/sites/brackenfold/bench/join-band');
  await page.locator('.outline-row', { hasText: 'slot: extras' }).click();
  await page.keyboard.press('Delete');
  await expect(bench.definition.locator('[data-sormet-slot]')).toHaveCount(0);
  await bench.saved();
});

test('an element shows and changes its tag and its attributes, checked', async ({ page }) => {
  const bench = new BenchHand(page);
  await ownPage(page, 'own-slots-and-repeats-3');
  const heading = bench.canvas.getByText('How it works');
  await bench.clickOn(heading);
  await bench.choose('tag', 'h3');
  await expect(bench.canvas.locator('h3', { hasText: 'How it works' })).toBeVisible();
  const add = page.getByLabel('Add an attribute');
  await add.fill('onclick');
  await add.press('Enter');
  await expect(page.getByRole('alert')).toContainText('HTML gives h3 no onclick');
  await add.fill('lang');
  await add.press('Enter');
  const lang = page.getByRole('textbox', { name: 'lang', exact: true });
  await lang.fill('not a language');
  await lang.press('Enter');
  await expect(page.getByRole('alert')).toContainText('language tag');
  await lang.fill('en-GB');
  await lang.press('Enter');
  await expect(bench.canvas.locator('h3[lang="en-GB"]')).toBeVisible();
  await add.fill('aria-hidden');
  await add.press('Enter');
  await bench.choose('aria-hidden', 'false');
  await expect(bench.canvas.locator('h3[aria-hidden="false"]')).toBeVisible();
  for (const name of ['aria-hidden', 'lang'])
    await page.getByRole('button', { name: `${name}: take it away` }).click();
  await bench.choose('tag', 'h2');
  await expect(bench.canvas.locator('h2', { hasText: 'How it works' })).toBeVisible();
  await bench.saved();
});

test('what is selected repeats over a content type in one step, is narrowed down, and goes back', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  await ownPage(page, 'own-slots-and-repeats-4');
  await page.locator('.outline-row', { hasText: 'How it works' }).click();
  await bench.go('repeat this over sheds');
  const headings = bench.canvas
    .locator('main > section')
    .filter({ hasText: 'You pay for the parts.' });
  await expect(headings).toHaveCount(6);
  await expect(headings.first().locator('h2')).toHaveText('Alderhithe');
  const most = page.getByLabel('Repeat, at most');
  await most.fill('2');
  await expect(headings).toHaveCount(2);
  await bench.saved();
  await bench.go('repeat no more');
  await expect(headings).toHaveCount(1);
  for (let i = 0; i < 3; i += 1) await page.keyboard.press('Control+z');
  await expect(headings.locator('h2')).toHaveText(['How it works']);
  await bench.saved();
});

test('what stands in a list reads where it stands: the last alone has words of its own, and each its number', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  await ownPage(page, 'own-slots-and-repeats-6');
  await page.locator('.outline-row', { hasText: 'How it works' }).click();
  await bench.go('repeat this over sheds');
  await page.getByLabel('Repeat, at most').fill('3');
  const sections = bench.canvas
    .locator('main > section')
    .filter({ has: page.locator('h2'), hasNotText: 'Good with your hands' });
  await expect(sections).toHaveCount(3);
  await page.locator('.outline-row', { hasText: 'Text' }).last().click();
  await bench.tab('Values');
  const bind = async (label: string, option: string) => {
    await page.locator(`[aria-label="${label}"]`).click();
    await page
      .locator('.ant-select-dropdown:visible .ant-select-item-option', { hasText: option })
      .click();
  };
  await bind('Text shown, bound to', 'whether it is the last');
  await expect(sections.locator('p', { hasText: 'You pay for the parts.' })).toHaveCount(1);
  await expect(sections.last()).toContainText('You pay for the parts.');
  await page.locator('.outline-row', { hasText: 'Heading' }).click();
  await bind('Heading text, bound to', 'which one it is, counted from 1');
  await expect(sections.locator('h2')).toHaveText(['1', '2', '3']);
  // One more in front: each has another number, and the last is still the last.
  await page.locator('.outline-row', { hasText: 'repeat: sheds' }).click();
  await page.getByLabel('Repeat, at most').fill('4');
  await expect(sections.locator('h2')).toHaveText(['1', '2', '3', '4']);
  await expect(sections.last()).toContainText('You pay for the parts.');
  await bench.saved();
});

test('a heading stands between the items of a list where a field is another; what is sorted otherwise is told', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  await ownPage(page, 'own-slots-and-repeats-7');
  await page.locator('.outline-row', { hasText: 'How it works' }).click();
  await bench.go('repeat this over sessions');
  await page.locator('.outline-row', { hasText: 'repeat: sessions' }).click();
  const between = page.locator('[aria-label="A heading between, where what is another"]');
  await between.click();
  await page
    .locator('.ant-select-dropdown:visible .ant-select-item-option', { hasText: 'day: its month' })
    .click();
  // The heading is selected, to be set like any other; it says each month of the list.
  await expect(page.locator('.outline-row.selected')).toHaveText(/^Heading between/);
  await bench.tab('Values');
  await expect(page.getByRole('row', { name: /^shown/ })).toContainText(
    'whether the month of session · day is another than before',
  );
  await expect(page.getByRole('row', { name: /^text/ }).locator('.value-place')).toHaveText(/day/);
  const months = bench.canvas.locator('main h3').filter({ hasText: /^[A-Z][a-z]+ 20\d\d$/ });
  await page.locator('.outline-row', { hasText: 'repeat: sessions' }).click();
  await expect(page.getByText('so one may come again')).toBeVisible();
  await page.getByRole('button', { name: 'sort by it first' }).click();
  await page.getByLabel('Repeat, at most').fill('60');
  await expect(months).toHaveText(['December 2026', 'January 2027', 'February 2027', 'March 2027']);
  await expect(page.getByText('so one may come again')).toHaveCount(0);
  await page.getByLabel('Repeat, at most').fill('3');
  await expect(months).toHaveText(['December 2026']);
  await bench.saved();
});

test('a list goes by the day: what is of these days alone, whichever they are', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  await ownPage(page, 'own-slots-and-repeats-9');
  await page.locator('.outline-row', { hasText: 'How it works' }).click();
  await bench.go('repeat this over sessions');
  await page.locator('.outline-row', { hasText: 'repeat: sessions' }).click();
  await page.getByLabel('Repeat, at most').fill('60');
  const sections = bench.canvas
    .locator('main > section')
    .filter({ has: page.locator('h2'), hasNotText: 'Good with your hands' });
  await expect(sections).toHaveCount(60);
  const choose = async (label: string, option: string) => {
    await page.locator(`[aria-label="${label}"]`).click();
    await page
      .locator('.ant-select-dropdown:visible .ant-select-item-option', { hasText: option })
      .first()
      .click();
  };
  await page.getByRole('button', { name: 'all of them; add a condition' }).click();
  await choose('Field of the condition', 'day');
  await choose('day, how it is compared', 'is before');
  await page.locator('[aria-label="day, compared with, bound to"]').click();
  await page.keyboard.type('90 days ago');
  await page.keyboard.press('Enter');
  const then = dayAfter(dayIn('Europe/London', new Date()), -90);
  const answer = await page.request.get('/api/sites/brackenfold');
  const { documents } = (await answer.json()) as { documents: Record<string, Doc> };
  const before = Object.values(documents).filter((doc) => {
    const day = doc.kind === 'entry' && doc.type === 'session' && doc.values['session-date'];
    return day && typeof day.value === 'string' && day.value < then;
  });
  await expect(sections).toHaveCount(before.length);
  await bench.saved();
});

test('a long list is divided over several pages, with links from one to the next that visitors follow', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  const name = await ownPage(page, 'own-slots-and-repeats-8');
  const path = `/${name}`;
  await page.locator('.outline-row', { hasText: 'How it works' }).click();
  await bench.go('repeat this over sheds');
  await page.locator('.outline-row', { hasText: 'repeat: sheds' }).click();
  await page.getByLabel('Repeat, at most').fill('9');
  const each = page.getByLabel('Repeat, on each page');
  await each.fill('4');
  await each.press('Enter');
  const row = page.getByRole('row', { name: /^on each page/ });
  await expect(row).toContainText(`9 entries on 3 pages: ${path}/page/2`);
  const sections = bench.canvas
    .locator('main > section')
    .filter({ has: page.locator('h2'), hasNotText: 'Good with your hands' });
  await expect(sections).toHaveCount(4);
  await row.getByRole('button', { name: /put links to the page before/ }).click();
  await expect(bench.canvas.getByText('Page 1 of 3')).toBeVisible();
  // They stand in the list of what values are read from, by the name of what they are.
  await expect(bench.canvas.getByRole('link', { name: 'Next' })).toBeVisible();
  await expect(bench.canvas.getByRole('link', { name: 'Previous' })).toHaveCount(0);
  await bench.saved();

  await page.goto(PREVIEW + path);
  await page.getByRole('link', { name: 'Next' }).click();
  await expect(page).toHaveURL(PREVIEW + path + '/page/2');
  await expect(page.getByText('Page 2 of 3')).toBeVisible();
  await page.getByRole('link', { name: 'Next' }).click();
  await expect(page.locator('main h2')).toHaveCount(1 + 1);
  await expect(page.getByRole('link', { name: 'Next' })).toHaveCount(0);
  await page.getByRole('link', { name: 'Previous' }).click();
  await expect(page).toHaveTitle(/ · 2\/3$/);
  expect((await page.goto(PREVIEW + path + '/page/4'))!.status()).toBe(404);
});

test('a field is offered with what it would bring; what fits is bound for all at once', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  await bench.open('page-shed');
  await page.locator('.outline-row', { hasText: 'main' }).first().click();
  await bench.go('place words and picture');
  await page.keyboard.press('Escape');
  await page.keyboard.press('m');
  await page.getByLabel('Name of the component').fill('Sections/Fits');
  await page.getByLabel('Name of the component').press('Enter');
  await expect(bench.definition.locator('section')).toBeVisible();
  await page.getByRole('button', { name: 'select its root' }).click();
  await page.getByLabel('all that could be exposed').check();
  await page.getByRole('button', { name: /^Expose \d+ controls/ }).click();
  await page.keyboard.press('b');
  // Until the page is in the outline again, the row of the definition is called so, too.
  await expect(page.locator('.pane-definition')).toBeHidden();
  const boundTo = page.getByRole('combobox', { name: 'Heading text, bound to' });
  // A row that is pressed while the outline is drawn anew is another one then.
  await expect(async () => {
    await page.locator('.outline-row', { hasText: 'Fits' }).click();
    await expect(boundTo).toBeVisible({ timeout: 3000 });
  }).toPass();
  await boundTo.click();
  const options = page.locator('.ant-select-dropdown:visible');
  await expect(options.locator('.bound-holds').first()).not.toHaveText('');
  await expect(options).toContainText('the page’s shed');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'what fits' }).click();
  const offers = page.getByRole('group', { name: 'What fits' });
  await expect(offers.getByRole('checkbox').first()).toBeChecked();
  await offers.getByRole('button', { name: /^Bind \d/ }).click();
  await expect(page.locator('.bound-field').first()).toBeVisible();
  const bound = await page.locator('.bound-field').count();
  expect(bound).toBeGreaterThan(1);
  await page.keyboard.press('Control+z');
  await expect(page.locator('.bound-field')).toHaveCount(0);
  // As it was, for whoever comes next.
  await page.locator('.outline-row', { hasText: 'Fits' }).click();
  await page.keyboard.press('Delete');
  await bench.saved();
});
