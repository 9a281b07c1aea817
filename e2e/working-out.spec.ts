import { expect } from '@playwright/test';
import { seriousFindings } from './axe';
import { BenchHand, ownPage, ownSite } from './bench';
import { test } from './test';

test('a value is worked out by a table and as an expression, the same thing, told what does not fit at its place', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  await bench.open(await ownPage(page, 'own-reckoned'));
  await page.getByRole('treeitem', { name: /How it works/ }).click();
  await page.keyboard.press('m');
  const naming = page.getByRole('dialog');
  await naming.getByRole('textbox', { name: 'Name of the component' }).fill('Reckoned/Works');
  await page.keyboard.press('Enter');
  await expect(page.locator('.pane-definition')).toContainText('Definition of Works');
  await page.getByRole('button', { name: 'select its root' }).click();
  await bench.go('vary');
  await expect(page.getByRole('textbox', { name: 'What the variants differ in' })).toBeFocused();
  await page.keyboard.press('Enter');
  const axis = page.getByRole('radiogroup', { name: 'Variants: Tone' });
  await axis.getByRole('radio', { name: 'plain' }).click();
  const drawn = bench.definition.locator('section');

  // As a table, by the keyboard alone.
  await page.getByRole('treeitem', { name: /^Heading/ }).click();
  await bench.tab('Values');
  await page.getByRole('button', { name: 'Heading text: work it out' }).press('Enter');
  const dialog = page.getByRole('dialog', { name: 'Work out: Heading text' });
  await expect(dialog.getByRole('radio', { name: 'as a table' })).toBeChecked();
  await expect(dialog.getByLabel('Otherwise', { exact: true })).toHaveValue('How it works');
  await dialog.getByLabel('Row 1, condition 1.1: what').selectOption('tone');
  await dialog.getByLabel('Row 1, condition 1.1: value 1').selectOption('tone.quiet');
  const then = dialog.getByLabel('Row 1, then', { exact: true });
  await then.fill('How it works, “quietly”');
  await then.press('Enter');
  await expect(dialog).toContainText('Gives text, here: How it works');
  expect(await seriousFindings(page)).toEqual([]);
  // The same as an expression; what does not fit is told at its place, and not saved.
  await dialog.getByRole('radio', { name: 'as an expression' }).click();
  const field = dialog.getByRole('textbox', { name: 'Expression' });
  await expect(field).toHaveValue(
    'tone == tone.quiet ? "How it works, “quietly”" : "How it works"',
  );
  await field.fill('tone == tone.quiet ? 1 : ');
  await expect(dialog.getByRole('alert')).toContainText('something is missing at the end');
  await expect(dialog.getByRole('button', { name: 'Work it out' })).toBeDisabled();
  await field.fill('tone == 1 ? "a" : "b"');
  await expect(dialog.getByRole('alert')).toContainText('These are never equal');
  await expect(dialog.locator('mark')).toHaveText('tone == 1');
  // Completed while typing, by keys.
  await field.fill('');
  await field.pressSequentially('to');
  await expect(dialog.getByRole('option').first()).toContainText('tone');
  await page.keyboard.press('Enter');
  await expect(field).toHaveValue('tone');
  await field.pressSequentially(' == tone.quiet ? "Quietly" : "Loudly"');
  await expect(dialog).toContainText('It gives something at the one place where it shows.');
  // What fails where it shows is told with what is there.
  const typed = await field.inputValue();
  await field.fill('string(1 / (tone == tone.quiet ? 1 : 0))');
  await expect(dialog).toContainText('It gives nothing at the one place where it shows');
  await expect(dialog.locator('.work-empty')).toContainText('Tone is plain');
  await field.fill(typed);
  await dialog.getByRole('radio', { name: 'as a table' }).click();
  await expect(then).toHaveValue('Quietly');
  await dialog.getByRole('button', { name: 'Work it out' }).click();
  await expect(dialog).toBeHidden();
  await expect(drawn.locator('h2')).toHaveText('Loudly');
  await axis.getByRole('radio', { name: 'quiet' }).click();
  await expect(drawn.locator('h2')).toHaveText('Quietly');
  await axis.getByRole('radio', { name: 'plain' }).click();
  await bench.saved();

  // After loading anew, under another name of what it reads, and taken back.
  await page.reload();
  await page.getByRole('treeitem', { name: /^Heading/ }).click();
  const worked = page.getByRole('button', {
    name: /^Heading text, worked out: tone == tone\.quiet/,
  });
  await expect(worked).toBeVisible();
  await page.getByRole('button', { name: 'Heading text: no longer worked out' }).click();
  await expect(worked).toBeHidden();
  await page.keyboard.press('Control+z');
  await expect(worked).toBeVisible();

  // On an instance: a value of its own is worked out too, and the choice drives it there.
  const placed = bench.canvas.locator('section', { hasText: 'You pay for the parts' });
  await expect(placed.locator('h2')).toHaveText('Loudly');
  await bench.clickOn(placed.locator('h2'));
  await page.getByRole('treeitem', { name: /^Works/ }).click();
  await bench.sentence.getByRole('radio', { name: 'quiet' }).click();
  await expect(placed.locator('h2')).toHaveText('Quietly');
  await bench.saved();
});

test('a property is worked out from others in the definition; instances, roster and ledger say so, and it is worked out no more', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  const address = await ownSite(page, 'reckoned');
  await page.goto(`${address}/bench/mender-card`);
  await page.getByRole('button', { name: 'Mends: work it out', exact: true }).click();
  const dialog = page.getByRole('dialog', { name: 'Work out: Mends' });
  await dialog.getByRole('radio', { name: 'as an expression' }).click();
  const field = dialog.getByRole('textbox', { name: 'Expression' });
  // It cannot be worked out from itself: it is not offered, and not known.
  await field.fill('mends + "!"');
  await expect(dialog.getByRole('alert')).toContainText('There is no “mends” here.');
  await field.fill('name + ", " + string(2026 - since) + " years"');
  await dialog.getByRole('button', { name: 'Work it out' }).click();
  await expect(bench.definition.getByText('Somebody who mends, 2 years')).toBeVisible();
  await page.getByRole('treeitem', { name: /^Mends/ }).click();
  await expect(bench.row('text')).toContainText('worked out');
  await bench.saved();

  // Where an instance says nothing of it, it follows.
  await page.goto(`${address}/bench/page-menders`);
  await page.getByRole('treeitem', { name: 'Mender', exact: true }).first().click();
  await page.getByRole('button', { name: 'Mends: back to default' }).click();
  await expect(bench.canvas.getByText('Orla Finch, 12 years')).toBeVisible();
  await expect(bench.row('Mends')).toContainText('worked out in the definition');
  await bench.saved();
  await page.goto(`${address}/library/mender-card`);
  await expect(page.getByRole('gridcell', { name: 'worked out' })).toHaveCount(1);

  await page.goto(`${address}/bench/mender-card`);
  await page.getByRole('button', { name: /^Mends, worked out: name \+/ }).click();
  await dialog.getByRole('button', { name: 'work it out no more' }).click();
  await expect(page.getByRole('button', { name: 'Mends: work it out', exact: true })).toBeVisible();
  await page.getByRole('treeitem', { name: /^Mender/ }).click();
  await page.keyboard.press('Control+z');
  await expect(bench.definition.getByText('Somebody who mends, 2 years')).toBeVisible();
  await bench.saved();
});
