import { expect } from '@playwright/test';
import { BenchHand, ownPage } from './bench';
import { test } from './test';
import { seriousFindings } from './axe';

/** Several selected, and a definition's properties in order: what holds for many is done once, as one step. */

test('values of several instances are seen together, written, bound and taken back as one step', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  await bench.open('page-menders');
  const rows = page.locator('.outline-row.is-stamp', { hasText: 'Mender' });
  await rows.nth(0).click();
  for (const n of [1, 2]) await rows.nth(n).click({ modifiers: ['Control'] });
  await expect(bench.sentence).toContainText('3 × Mender');
  const table = page.getByRole('table', { name: 'Values of what is selected' });
  const mends = table.getByRole('textbox', { name: 'Mends of all' });
  await expect(mends).toHaveAttribute('placeholder', 'mixed');
  await expect(table.getByRole('row', { name: /^Mends/ })).toContainText('3 set, 3 values');
  expect(await seriousFindings(page)).toEqual([]);
  await mends.fill('Anything at all');
  await expect(bench.canvas.getByText('Anything at all')).toHaveCount(3);
  await table.getByRole('button', { name: 'Mends of all: back to default' }).click();
  await expect(bench.canvas.getByText('What is brought')).toHaveCount(3);
  await expect(table.getByRole('row', { name: /^Mends/ })).toContainText('all default');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(bench.canvas.getByText('Anything at all')).toHaveCount(3);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(bench.canvas.getByText('Bicycles, and the patience')).toBeVisible();
  await expect(bench.canvas.getByText('Anything at all')).toHaveCount(0);
});

test('what several elements have in common is written at once', async ({ page }) => {
  const bench = new BenchHand(page);
  await ownPage(page, 'own-together');
  for (const words of ['One', 'Two']) {
    await bench.go('Text');
    await page.keyboard.type(words);
    await page.keyboard.press('Escape');
  }
  const all = page.locator('.outline-row', { hasText: /^Text/ });
  await all.first().click();
  await all.last().click({ modifiers: ['Control'] });
  await bench.tab('Values');
  const words = page.getByRole('textbox', { name: 'text of all' });
  await expect(words).toHaveAttribute('placeholder', 'mixed');
  await words.fill('Both');
  await expect(bench.canvas.getByText('Both')).toHaveCount(2);
});

test('properties are put in order by dragging, groups too; a group is taken back as a whole', async ({
  page,
}) => {
  await page.goto('/sites/brackenfold/bench/shed-card');
  const table = page.getByRole('table', { name: 'Properties of the definition' });
  const labels = () =>
    table
      .getByRole('textbox', { name: /^Label of/ })
      .evaluateAll((all) =>
        all.map((each) => (each as HTMLInputElement).value).filter((label) => label !== 'Lies'),
      );
  await expect.poll(labels).toEqual(['Picture', 'Name', 'Address', 'Text']);
  const grips = table.locator('.grip');
  const drag = async (from: number, to: number) => {
    const [a, b] = [await grips.nth(from).boundingBox(), await grips.nth(to).boundingBox()];
    await page.mouse.move(a!.x + 5, a!.y + 10);
    await page.mouse.down();
    await page.mouse.move(a!.x + 5, a!.y + 20, { steps: 3 });
    await page.mouse.move(b!.x + 5, b!.y + 10, { steps: 5 });
    await expect(table.locator('.drop-before, .drop-after')).toHaveCount(1);
    await page.mouse.up();
  };
  await drag(0, 2);
  await expect.poll(labels).toEqual(['Name', 'Address', 'Picture', 'Text']);
  await drag(3, 0);
  await expect.poll(labels).toEqual(['Text', 'Name', 'Address', 'Picture']);
  for (const _ of [1, 2]) await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(labels).toEqual(['Picture', 'Name', 'Address', 'Text']);

  // Two of them in a group, which is taken back with what stands in it.
  const group = async (of: string, chosen: string) => {
    await table.getByRole('combobox', { name: `Group of ${of}` }).click();
    await page.getByRole('option', { name: chosen }).click();
  };
  await group('Address', 'a new group');
  await group('Text', 'Address');
  await expect.poll(labels).toEqual(['Address', 'Text', 'Picture', 'Name']);
  await table.getByRole('button', { name: 'Take back the group Address' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('that instances have of their own show no more');
  await dialog.getByRole('button', { name: 'Take back', exact: true }).click();
  await expect.poll(labels).toEqual(['Picture', 'Name']);
  for (const _ of [1, 2, 3]) await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(labels).toEqual(['Picture', 'Name', 'Address', 'Text']);
});

test('properties that nothing is connected to go together', async ({ page }) => {
  await page.goto('/sites/brackenfold/bench/hours');
  for (const name of ['First', 'Second']) {
    await page.getByRole('textbox', { name: 'A new property' }).fill(name);
    await page.getByRole('button', { name: 'Add it' }).click();
  }
  await page.getByRole('button', { name: /^Take back the 2 not connected/ }).click();
  await expect(page.getByRole('dialog')).toContainText('First, Second');
  await page.getByRole('button', { name: 'Take back', exact: true }).click();
  await expect(page.getByRole('textbox', { name: 'Label of first' })).toHaveCount(0);
  await expect(page.getByRole('textbox', { name: /^Label of/ })).not.toHaveCount(0);
});

test('the properties of an inner instance are lifted together; a wrapper that would leave a gap is found and follows', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  await page.goto('/sites/brackenfold/bench/hours');
  await page.locator('.outline-row').first().click();
  await bench.go('place Mender');
  await page.keyboard.press('Escape');
  await expect(page.locator('.outline-row.selected')).toContainText('Mender');
  await bench.tab('Values');
  await page.getByRole('button', { name: 'all 3 properties' }).click();
  await expect(page.getByRole('textbox', { name: 'name, exposed as' })).toHaveValue('Mender name');
  await expect(page.getByRole('textbox', { name: 'mends, exposed as' })).toHaveValue(
    'Mender mends',
  );

  // In a box with room of its own, shown or not.
  await page
    .getByRole('row', { name: /^shown/ })
    .getByRole('button', { name: 'expose' })
    .click();
  await page.keyboard.press('w');
  await expect(page.locator('.outline-row.selected')).toHaveText(/^Box/);
  await bench.tab('Style');
  await bench.declare('padding', '24px');
  await bench.tab('Values');
  // Nothing selected: what the definition says of itself.
  await page.goto('/sites/brackenfold/bench/hours');
  await expect(page.getByRole('button', { name: 'Box around Mender' })).toBeVisible();
  await page.getByRole('button', { name: 'make it follow' }).click();
  await expect(page.getByRole('button', { name: 'Box around Mender' })).toHaveCount(0);
  await page.locator('.outline-row', { hasText: /^Box/ }).click();
  await expect(page.getByRole('textbox', { name: 'shown, exposed as' })).toHaveValue(
    'Mender shown',
  );
  await page.keyboard.press('Delete');
  await page.keyboard.press('Escape');
  await page.goto('/sites/brackenfold/bench/hours');
  await page.getByRole('button', { name: /^Take back the 4 not connected/ }).click();
  await page.getByRole('button', { name: 'Take back', exact: true }).click();
  await expect(page.getByRole('textbox', { name: 'Label of menderName' })).toHaveCount(0);
});
