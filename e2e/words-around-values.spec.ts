import { expect } from '@playwright/test';
import { seriousFindings } from './axe';
import { BenchHand, ownSite } from './bench';
import { test } from './test';

test('a value stands between words: typed with a brace, written in a format, by keys alone; it outlives a reload and is undone', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  const address = await ownSite(page, 'around');
  await page.goto(`${address}/bench/mender-card`);
  await page.getByRole('treeitem', { name: /^Since/ }).click();
  const words = bench.row('text').getByRole('textbox');
  await words.click({ position: { x: 3, y: 8 } });
  await page.keyboard.press('Control+a');
  await page.keyboard.type('here since {');
  const choice = page.getByRole('combobox', { name: 'Value between the words' });
  await expect(choice).toBeFocused();
  await page.keyboard.type('sin');
  await expect(page.getByRole('option', { name: /^Since 2/ })).toHaveAttribute(
    'aria-selected',
    'true',
  );
  await page.keyboard.press('Enter');
  await page.keyboard.type(' · {');
  await page.keyboard.type('work');
  await page.keyboard.press('Enter');
  const dialog = page.getByRole('dialog', { name: 'Work out: a value in' });
  await dialog.getByRole('radio', { name: 'as an expression' }).click();
  await dialog.getByRole('textbox', { name: 'Expression' }).fill('2026 - since');
  await dialog.getByRole('button', { name: 'Work it out', exact: true }).click();
  await expect(bench.definition.getByText('here since 2024 · 2')).toBeVisible();

  // Enter at a place is for how it is written: words that go with the number.
  await expect(words).toBeFocused();
  await page.keyboard.press('Enter');
  const format = page.getByRole('dialog', { name: 'How it is written: = 2026 - since' });
  await format.getByRole('combobox', { name: 'How the number is written' }).click();
  await page.getByTitle('with words that follow it').click();
  await format.getByLabel('Words for one').fill('# year');
  await format.getByLabel('Words for all others').fill('# years');
  await expect(format).toContainText('“2 years”');
  expect(await seriousFindings(page)).toEqual([]);
  await page.keyboard.press('Escape');
  await expect(format).toBeHidden();
  await expect(bench.definition.getByText('here since 2024 · 2 years')).toBeVisible();
  await bench.saved();

  // Words alone are typed over on the page; with values among them they are not: nothing is lost.
  await bench.definition.getByText('here since 2024').dblclick();
  await expect(bench.sentence).toContainText('There are values among these words');
  await page.reload();
  await expect(bench.definition.getByText('here since 2024 · 2 years')).toBeVisible();
  await page.goto(`${address}/bench/page-menders`);
  await expect(bench.canvas.getByText('here since 2014 · 12 years').first()).toBeVisible();
});

test('a brace on the page goes on in the ledger; Escape leaves it a letter; a page in another language writes its own dates and numbers', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  const address = await ownSite(page, 'sprache');
  await page.goto(`${address}/bench/page-shed`);
  const heading = bench.canvas.getByRole('heading', { level: 1 });
  await heading.click();
  await expect(bench.row('text')).toContainText('shed · name');
  await bench
    .row('text')
    .getByRole('button', { name: /no longer bound$/ })
    .click();
  await heading.dblclick();
  await page.keyboard.type('Shed {');
  await expect(page.getByRole('combobox', { name: 'Value between the words' })).toBeFocused();
  await page.keyboard.press('Escape');
  await expect(heading).toHaveText('Shed {');
  await page.keyboard.press('Backspace');
  await page.keyboard.type('{name');
  await page.keyboard.press('Enter');
  await page.keyboard.type(', since {opened');
  await page.keyboard.press('Enter');
  await expect(heading).toHaveText(/^Shed Alderhithe, since \w+ \d+, 20\d\d$/);
  await bench.saved();

  await page.getByRole('treeitem', { name: /^page/ }).click();
  const language = page.getByLabel('Language of the page');
  await language.fill('d');
  await language.press('Enter');
  await expect(bench.row('language')).toContainText('must be a language tag');
  await language.fill('de');
  await language.press('Enter');
  await expect(bench.row('language')).toContainText('3. Dezember 2026 · 1.234,5');
  await expect(heading).toHaveText(/^Shed Alderhithe, since \d+\. \p{L}+ 20\d\d$/u);
  await bench.saved();
});
