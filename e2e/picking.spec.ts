import { expect } from '@playwright/test';
import { BenchHand, ownSite } from './bench';
import { test } from './test';

test('a variant of what stands inside is fixed, lifted, worked out, or set by the axis of what is around it', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  const address = await ownSite(page, 'picked');
  const inner = page.getByRole('treeitem', { name: /^Button/ });
  const picking = bench.sentence.getByRole('radiogroup', { name: 'Tone of this instance' });
  const link = bench.definition.getByRole('link', { name: 'Find a shed' });
  const placed = bench.canvas.getByRole('link', { name: 'Find a shed' });
  const [FULL, BARE] = ['rgb(154, 59, 23)', 'rgba(0, 0, 0, 0)'];
  await page.goto(`${address}/bench/page-home?beside=opening`);
  await expect(placed).toHaveCSS('background-color', FULL);
  await bench.clickOn(link, 'definition');

  // Fixed by what is around: one press, and the roster of the inner component has it in its column.
  await picking.getByRole('radio', { name: 'quiet' }).click();
  await expect(placed).toHaveCSS('background-color', BARE);
  await bench.saved();
  await page.goto(`${address}/library/button`);
  await expect(page.getByRole('columnheader', { name: /^Tone variant/ })).toBeVisible();
  const rows = page.getByRole('row');
  await expect(rows.filter({ hasText: 'Opening' })).toContainText('quiet');
  await expect(rows.filter({ hasText: 'Join band' })).not.toContainText('quiet');
  await page.goBack();
  await expect(inner).toHaveAttribute('aria-selected', 'true');
  await page.keyboard.press('Control+z');
  await expect(placed).toHaveCSS('background-color', FULL);

  // Worked out from a choice of what is around.
  await page.getByRole('button', { name: 'select its root' }).click();
  await bench.go('vary');
  const asked = page.getByRole('dialog', { name: 'Variants' });
  await asked.getByRole('textbox', { name: 'What the variants differ in' }).fill('Mood');
  await asked.getByRole('textbox', { name: 'Options, the base first' }).fill('calm, still');
  await page.keyboard.press('Enter');
  const mood = page.getByRole('radiogroup', { name: 'Variants: Mood' });
  await mood.getByRole('radio', { name: 'calm' }).click();
  await bench.clickOn(link, 'definition');
  await bench.tab('Values');
  await page.getByRole('button', { name: 'Button tone: work it out' }).click();
  const dialog = page.getByRole('dialog', { name: 'Work out: Button tone' });
  await dialog.getByLabel('Row 1, condition 1.1: what').selectOption('mood');
  await dialog.getByLabel('Row 1, condition 1.1: value 1').selectOption('mood.still');
  await dialog.getByLabel('Row 1, then', { exact: true }).selectOption({ label: 'quiet' });
  await dialog.getByRole('button', { name: 'Work it out' }).click();
  await expect(placed).toHaveCSS('background-color', FULL);
  await expect(bench.sentence).toContainText('worked out');
  await mood.getByRole('radio', { name: 'still' }).click();
  await expect(link).toHaveCSS('background-color', BARE);
  await mood.getByRole('radio', { name: 'calm' }).click();
  await bench.clickOn(link, 'definition');
  await page.getByRole('button', { name: 'Button tone: no longer worked out' }).click();

  // Set by the axis of what is around: picked while that is lit, and in no other.
  await mood.getByRole('radio', { name: 'still' }).click();
  await expect(link).toHaveCSS('background-color', FULL);
  await picking.getByRole('radio', { name: 'quiet' }).click();
  await expect(link).toHaveCSS('background-color', BARE);
  await expect(bench.row('tone')).toContainText('base: main');
  // There the inner one's own base is said aloud: what is around may have another in its base.
  await picking.getByRole('radio', { name: 'main' }).click();
  await expect(bench.row('tone').locator('.is-varied')).toHaveCount(1);
  await picking.getByRole('radio', { name: 'quiet' }).click();
  await mood.getByRole('radio', { name: 'calm' }).click();
  await expect(link).toHaveCSS('background-color', FULL);
  await bench.clickOn(placed);
  await bench.sentence
    .getByRole('radiogroup', { name: 'Mood of this instance' })
    .getByRole('radio', { name: 'still' })
    .click();
  await expect(placed).toHaveCSS('background-color', BARE);

  // Lifted: whoever places what is around picks it.
  await bench.clickOn(link, 'definition');
  await bench.row('size').getByText('expose').click();
  await page.keyboard.press('Enter');
  await bench.saved();
  await bench.clickOn(placed);
  await bench.choose('Button size, set here', 'large');
  await expect(placed).toHaveCSS('min-height', '70px');
  await expect(link).not.toHaveCSS('min-height', '70px');
  await bench.saved();
});

test('before a property is kept to typed values, each instance that is bound is decided', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  const address = await ownSite(page, 'kept');
  await page.goto(`${address}/bench/shed-card`);
  await page.locator('.outline-row', { hasText: 'definition' }).click();
  const tick = page.getByRole('checkbox', { name: 'Name takes typed values only' });
  await tick.click();
  const asked = page.getByRole('dialog', { name: 'Name: typed values only' });
  await expect(asked.getByRole('listitem')).toHaveCount(3);
  await expect(asked.getByRole('listitem').first()).toContainText('not the same everywhere');
  await page.keyboard.press('Escape');
  await expect(asked).toBeHidden();
  await expect(tick).not.toBeChecked();
  await tick.click();
  await asked.getByRole('combobox', { name: /on \/guides/ }).selectOption('follows the default');
  await asked.getByRole('button', { name: 'Keep it to typed values' }).click();
  await expect(tick).toBeChecked();
  await bench.saved();
  await page.goto(`${address}/library/shed-card`);
  const cell = (path: string) =>
    page
      .getByRole('row')
      .filter({ has: page.getByRole('link', { name: path, exact: true }) })
      .getByRole('gridcell')
      .nth(1);
  await expect(cell('/guides')).toHaveText('A shed near you');
  await expect(cell('/sheds')).toHaveText('↳ shed · name');
  await page.goBack();
  await expect(tick).toBeChecked();
  // It touched an instance on a page, too: what is open is where it is seen to be taken back.
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(tick).not.toBeChecked();
  await page.goto(`${address}/library/shed-card`);
  await expect(cell('/guides')).toHaveText('↳ guide · title');
});
