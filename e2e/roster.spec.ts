import { expect, type Page } from '@playwright/test';
import { BenchHand } from './bench';
import { test } from './test';

/** The roster: all instances of a component, a row each, filled as people fill tables. */

const ROSTER = '/sites/brackenfold/library/mender-card';

const cell = (page: Page, row: number, column: number) => page.locator(`#roster-${row}-${column}`);

test('twenty-three menders are edited, filled down, taken back and sorted by keys alone, each act one step', async ({
  page,
}) => {
  await page.goto(ROSTER);
  const grid = page.getByRole('grid', { name: 'Instances of Fittings/Mender' });
  await expect(grid).toHaveAttribute('aria-rowcount', '24');
  await grid.focus();
  await page.keyboard.press('ArrowRight');
  await expect(cell(page, 0, 1)).toHaveAttribute('aria-selected', 'true');
  // Typing begins to write; Enter goes on below.
  await page.keyboard.type('Lamps');
  await page.keyboard.press('Enter');
  await expect(cell(page, 0, 1)).toHaveText('Lamps');
  await expect(cell(page, 1, 1)).toHaveAttribute('aria-selected', 'true');
  await page.keyboard.press('ArrowUp');
  for (let i = 0; i < 3; i += 1) await page.keyboard.press('Shift+ArrowDown');
  await page.keyboard.press('Control+d');
  for (const row of [0, 1, 2, 3]) await expect(cell(page, row, 1)).toHaveText('Lamps');
  await page.keyboard.press('Delete');
  for (const row of [0, 1, 2, 3]) {
    await expect(cell(page, row, 1)).toHaveText('What is brought');
    await expect(cell(page, row, 1)).toHaveClass(/is-default/);
  }
  const undo = page.getByRole('button', { name: 'Undo' });
  await undo.click();
  for (const row of [0, 1, 2, 3]) await expect(cell(page, row, 1)).toHaveText('Lamps');
  await undo.click();
  await expect(cell(page, 1, 1)).toHaveText('Bicycles, and the patience of their owners');
  await undo.click();
  await expect(cell(page, 0, 1)).toHaveText('Lamps, leads and anything with a fuse');
  await page.getByRole('columnheader', { name: 'Since' }).getByRole('button').click();
  await expect(cell(page, 0, 2)).toHaveText('2014');
  await page.getByRole('columnheader', { name: 'Since' }).getByRole('button').click();
  await expect(cell(page, 0, 2)).toHaveText('2023');
  await page.getByRole('textbox', { name: 'Find in the roster' }).fill('clocks');
  await expect(grid).toHaveAttribute('aria-rowcount', '2');
  // Every row leads to its instance, which is selected there.
  await cell(page, 0, 0).locator('xpath=..').getByRole('link').click();
  await expect(page.locator('.sentence')).toContainText('Mender');
});

test('a block from a spreadsheet is pasted as one step; one cell that cannot be read is told, and nothing is taken', async ({
  page,
}) => {
  await page.goto(ROSTER);
  const grid = page.getByRole('grid');
  const paste = (text: string) =>
    grid.evaluate((element, words) => {
      const data = new DataTransfer();
      data.setData('text/plain', words);
      element.dispatchEvent(
        new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }),
      );
    }, text);
  await cell(page, 4, 0).click();
  await paste('Ada "Nuts" Bolt\tBolts & nuts\t2001\nBo\tBows\tlong ago\n');
  await expect(page.getByRole('alert')).toContainText('Nothing was pasted.');
  await expect(page.getByRole('alert')).toContainText('Row 6, Since: “long ago” is no number.');
  await expect(cell(page, 4, 0)).toHaveText('Mira Sandoval');
  await paste('Ada "Nuts" Bolt\tBolts & nuts\t2001\n<b>Bo</b>\tBows\t2002\n');
  await expect(page.getByRole('alert')).toBeHidden();
  await expect(cell(page, 4, 1)).toHaveText('Bolts & nuts');
  await expect(cell(page, 5, 0)).toHaveText('<b>Bo</b>');
  await expect(cell(page, 5, 2)).toHaveText('2002');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(cell(page, 4, 0)).toHaveText('Mira Sandoval');
  await expect(cell(page, 5, 2)).toHaveText('2021');
});

test('a property is made first and connected later; retyping it says beforehand what each value will show', async ({
  page,
}) => {
  await page.goto('/sites/brackenfold/bench/mender-card');
  const bench = new BenchHand(page);
  await expect(page.getByRole('table', { name: 'Properties of the definition' })).toBeVisible();
  await page.getByRole('textbox', { name: 'Name of a new property' }).fill('Nickname');
  await page.keyboard.press('Enter');
  const label = page.getByRole('textbox', { name: 'Label of nickname' });
  await expect(label).toHaveAttribute('title', 'Nothing is connected to it');
  // Of what they mend, nobody’s is a number: all of it would be empty, and is still there afterwards.
  const type = page.getByRole('combobox', { name: 'What Mends holds' });
  const choose = async (kind: string) => {
    await type.focus();
    await page.keyboard.type(kind);
    await page.keyboard.press('Enter');
  };
  await choose('number');
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('23 instances set it.');
  await expect(dialog).toContainText('24 show nothing');
  await expect(dialog.getByRole('link', { name: /\/menders/ }).first()).toBeVisible();
  await dialog.getByRole('button', { name: 'Leave it' }).click();
  const since = page.getByRole('combobox', { name: 'What Since holds' });
  await since.focus();
  await page.keyboard.type('text');
  await page.keyboard.press('Enter');
  await expect(dialog).toContainText('24 are converted');
  await expect(dialog).toContainText('One value is worked out from it, and would be empty: Since.');
  await dialog.getByRole('button', { name: 'Change the type' }).click();
  await expect(dialog).toBeHidden();
  await expect(bench.definition.getByText('since 2024')).toBeHidden();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(bench.definition.getByText('since 2024 · 1 year')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(label).toBeHidden();
});

test('the level of a heading is exposed, and another on one instance alone', async ({ page }) => {
  await page.goto('/sites/brackenfold/bench/mender-card');
  const bench = new BenchHand(page);
  await page.locator('.outline-row', { hasText: 'Heading' }).first().click();
  const row = (name: string) =>
    page.getByRole('row').filter({ has: page.getByRole('rowheader', { name, exact: true }) });
  await row('tag, chosen').getByRole('button', { name: 'expose' }).click();
  await expect(page.getByRole('textbox', { name: 'tag, exposed as' })).toHaveValue('Heading tag');
  await page.goto('/sites/brackenfold/bench/page-menders#mender-2');
  await expect(bench.sentence).toContainText('Mender');
  await expect(bench.canvas.getByRole('heading', { name: 'Tam Adeyemi', level: 3 })).toBeVisible();
  const tag = page.getByRole('combobox', { name: 'Heading tag, set here' });
  await tag.focus();
  await page.keyboard.type('h4');
  await page.keyboard.press('Enter');
  await expect(bench.canvas.getByRole('heading', { name: 'Tam Adeyemi', level: 4 })).toBeVisible();
  await expect(bench.canvas.getByRole('heading', { name: 'Orla Finch', level: 3 })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.goto('/sites/brackenfold/bench/mender-card');
  await page.getByRole('button', { name: 'Take back Heading tag' }).click();
  await expect(page.getByRole('button', { name: 'Take back Heading tag' })).toBeHidden();
});

test('opening hours are one property: a list that is edited as a table, and shows on the page at once', async ({
  page,
}) => {
  await page.goto('/sites/brackenfold/bench/page-menders');
  const bench = new BenchHand(page);
  const heading = bench.canvas.getByRole('heading', { name: 'When the doors are open' });
  await bench.clickOn(heading);
  await page.getByRole('button', { name: /^Hours, set here/ }).click();
  const dialog = page.getByRole('dialog');
  // It begins from what the definition shows; the fourth day comes behind.
  await dialog.getByRole('button', { name: 'Add a record' }).click();
  await dialog.getByRole('textbox', { name: 'Day of record 4' }).fill('Sunday');
  await dialog.getByRole('textbox', { name: 'From of record 4' }).fill('10:00');
  await expect(bench.canvas.getByRole('rowheader', { name: 'Sunday' })).toBeVisible();
  await dialog.getByRole('button', { name: 'Move record 4 up' }).click();
  await expect(bench.canvas.getByRole('rowheader')).toHaveText([
    'Tuesday',
    'Thursday',
    'Sunday',
    'Saturday',
  ]);
  for (let i = 0; i < 2; i += 1)
    await dialog.getByRole('button', { name: 'Remove record 1' }).click();
  await dialog.getByRole('button', { name: 'Done' }).click();
  await expect(bench.canvas.getByRole('rowheader')).toHaveText(['Sunday', 'Saturday']);
});
