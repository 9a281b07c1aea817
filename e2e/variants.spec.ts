import { expect } from '@playwright/test';
import { seriousFindings } from './axe';
import { BenchHand, ownPage } from './bench';
import { test } from './test';

test('a component gets variants; what is typed while one is lit is said of it alone, and instances pick it', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  await bench.open(await ownPage(page, 'own-varied'));
  await page.getByRole('treeitem', { name: /How it works/ }).click();
  await page.keyboard.press('m');
  const naming = page.getByRole('dialog');
  await naming.getByRole('textbox', { name: 'Name of the component' }).fill('Varied/Works');
  await page.keyboard.press('Enter');
  await expect(page.locator('.pane-definition')).toContainText('Definition of Works');
  const drawn = bench.definition.locator('section');
  const placed = bench.canvas.locator('section', { hasText: 'You pay for the parts' });
  await page.getByRole('button', { name: 'select its root' }).click();

  // By the go line: what they differ in, and the options; what may not be is said.
  await bench.go('vary');
  const asked = page.getByRole('dialog', { name: 'Variants' });
  await expect(asked.getByRole('textbox', { name: 'What the variants differ in' })).toBeFocused();
  await page.keyboard.type('Ground');
  const options = asked.getByRole('textbox', { name: 'Options, the base first' });
  await options.fill('paper, Paper');
  await expect(asked).toContainText('“Paper” is there twice.');
  await expect(asked.getByRole('button', { name: 'Give it variants' })).toBeDisabled();
  await options.fill('paper, night, sand');
  await page.keyboard.press('Enter');
  const axis = page.getByRole('radiogroup', { name: 'Variants: Ground' });
  await expect(axis.getByRole('radio')).toHaveText(['paper base', 'night', 'sand']);
  await expect(axis.getByRole('radio', { name: 'night' })).toBeChecked();
  expect(await seriousFindings(page)).toEqual([]);

  // Said before anything is typed, and then nowhere else.
  await bench.tab('Style');
  await expect(bench.sentence).toContainText('only Ground: night');
  await page.keyboard.press('d');
  await page.keyboard.type('bg navy');
  await page.keyboard.press('Enter');
  await page.keyboard.type('pad 40');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await expect(drawn).toHaveCSS('background-color', 'rgb(0, 0, 128)');
  await expect(placed).toHaveCSS('background-color', 'rgba(0, 0, 0, 0)');
  await axis.getByRole('radio', { name: 'paper' }).click();
  await expect(drawn).toHaveCSS('background-color', 'rgba(0, 0, 0, 0)');
  await expect(bench.sentence).not.toContainText('only');
  // What the base says shows wherever it was not varied.
  await bench.declare('padding', '12px');
  await bench.declare('border-radius', '5px');
  await expect(drawn).toHaveCSS('padding-left', '12px');
  await axis.getByRole('radio', { name: 'night' }).click();
  await expect(drawn).toHaveCSS('padding-left', '40px');
  await expect(drawn).toHaveCSS('border-top-left-radius', '5px');
  // The rule and the first thing that it says are one step.
  await axis.getByRole('radio', { name: 'sand' }).click();
  await bench.declare('background-color', 'wheat');
  await expect(drawn).toHaveCSS('background-color', 'rgb(245, 222, 179)');
  await page.getByRole('button', { name: 'select its root' }).click();
  await page.keyboard.press('Control+z');
  await expect(drawn).toHaveCSS('background-color', 'rgba(0, 0, 0, 0)');
  await page.keyboard.press('Control+Shift+z');
  await expect(drawn).toHaveCSS('background-color', 'rgb(245, 222, 179)');
  await bench.saved();

  // What is lit is lit still after loading anew.
  await page.reload();
  await expect(axis.getByRole('radio', { name: 'sand' })).toBeChecked();
  await expect(drawn).toHaveCSS('background-color', 'rgb(245, 222, 179)');
  // What differs is listed: each leads to where it is said, and goes back to the base; by keys.
  await axis.getByRole('radio', { name: 'night' }).click();
  const differ = page.getByRole('button', { name: '5 differences from the base' });
  await differ.press('Enter');
  const list = page.getByRole('group', { name: 'What differs from the base' });
  await expect(list.getByRole('listitem')).toHaveCount(5);
  await expect(list.getByRole('button').first()).toBeFocused();
  expect(await seriousFindings(page)).toEqual([]);
  await list.getByRole('button', { name: /back to the base: .*padding-left/ }).press('Enter');
  await expect(drawn).toHaveCSS('padding-left', '12px');
  await expect(list.getByRole('listitem')).toHaveCount(4);
  await page.keyboard.press('Escape');
  await expect(list).toBeHidden();
  await page.keyboard.press('Control+z');
  await expect(drawn).toHaveCSS('padding-left', '40px');
  await axis.getByRole('radio', { name: 'sand' }).click();
  await page.getByRole('button', { name: '1 difference from the base' }).press('Enter');
  await list.getByRole('button', { name: 'all of it back to the base' }).press('Enter');
  await expect(page.getByText('as the base in everything')).toBeVisible();
  await expect(drawn).toHaveCSS('background-color', 'rgba(0, 0, 0, 0)');
  await bench.saved();

  // An instance picks one, in its values.
  await bench.clickOn(placed.locator('h2'));
  await page.getByRole('treeitem', { name: /^Works/ }).click();
  await bench.tab('Values');
  await expect(placed).toHaveCSS('padding-left', '12px');
  // Where one looks first: in the sentence, by arrow keys; the base is what an instance has that says nothing.
  const picking = bench.sentence.getByRole('radiogroup', { name: 'Ground of this instance' });
  await expect(picking.getByRole('radio', { name: 'paper' })).toBeChecked();
  await picking.getByRole('radio', { name: 'paper' }).press('ArrowRight');
  await expect(picking.getByRole('radio', { name: 'night' })).toBeFocused();
  await expect(placed).toHaveCSS('background-color', 'rgb(0, 0, 128)');
  await expect(placed).toHaveCSS('padding-left', '40px');
  await expect(bench.row('Ground')).toContainText('night');
  expect(await seriousFindings(page)).toEqual([]);
  await picking.getByRole('radio', { name: 'night' }).press('ArrowLeft');
  await expect(placed).toHaveCSS('padding-left', '12px');
  await bench.choose('Ground, set here', 'night');
  await expect(picking.getByRole('radio', { name: 'night' })).toBeChecked();
  await expect(placed).toHaveCSS('background-color', 'rgb(0, 0, 128)');
  await expect(placed).toHaveCSS('padding-left', '40px');
  await bench.saved();
});

test('words, attributes and what is shown vary, in the ledger and on the page; what cannot is refused in words', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  await bench.open(await ownPage(page, 'own-worded'));
  await page.getByRole('treeitem', { name: /How it works/ }).click();
  await page.keyboard.press('m');
  await page
    .getByRole('dialog')
    .getByRole('textbox', { name: 'Name of the component' })
    .fill('Varied/Worded');
  await page.keyboard.press('Enter');
  await expect(page.locator('.pane-definition')).toContainText('Definition of Worded');
  await page.getByRole('button', { name: 'select its root' }).click();
  await bench.go('vary');
  await expect(page.getByRole('textbox', { name: 'What the variants differ in' })).toBeFocused();
  await page.keyboard.press('Enter');
  const axis = page.getByRole('radiogroup', { name: 'Variants: Tone' });
  await expect(axis.getByRole('radio', { name: 'quiet' })).toBeChecked();
  const drawn = bench.definition.locator('section');
  const placed = bench.canvas.locator('section', { hasText: 'You pay for the parts' });

  // In the ledger.
  await page.getByRole('treeitem', { name: /^Heading/ }).click();
  await bench.tab('Values');
  await expect(bench.sentence).toContainText('only Tone: quiet');
  await bench.row('text').getByRole('textbox').fill('Quietly');
  await expect(drawn.locator('h2')).toHaveText('Quietly');
  await expect(placed.locator('h2')).toHaveText('How it works');
  // On the page.
  await bench.clickOn(drawn.locator('p').first(), 'definition', true);
  await expect(bench.definition.locator('[contenteditable]')).toBeFocused();
  await page.keyboard.press('Control+a');
  await page.keyboard.type('Come in.');
  await page.keyboard.press('Escape');
  await expect(drawn.locator('p').first()).toHaveText('Come in.');
  await expect(placed.locator('p').first()).toHaveText('You come with the thing and stay with it.');
  await axis.getByRole('radio', { name: 'plain' }).click();
  await expect(drawn.locator('h2')).toHaveText('How it works');
  await expect(drawn.locator('p').first()).toHaveText('You come with the thing and stay with it.');
  await axis.getByRole('radio', { name: 'quiet' }).click();
  await expect(drawn.locator('h2')).toHaveText('Quietly');
  // What a variant says is marked, and goes back to the base.
  await page.getByRole('treeitem', { name: /^Heading/ }).click();
  await expect(bench.row('text').locator('.is-varied')).toHaveCount(1);
  await expect(bench.row('text').getByRole('textbox')).toHaveValue('Quietly');
  await page.getByRole('button', { name: 'text: back to the base' }).click();
  await expect(drawn.locator('h2')).toHaveText('How it works');
  await page.keyboard.press('Control+z');
  await expect(drawn.locator('h2')).toHaveText('Quietly');
  // The tag is the same in all of them: that is said, and nothing is done.
  await page.getByRole('treeitem', { name: /^Heading/ }).click();
  await bench.choose('tag', 'h3');
  await expect(bench.sentence).toContainText('the same in all variants');
  await expect(drawn.locator('h2')).toHaveText('Quietly');
  await bench.saved();

  await page.getByRole('button', { name: 'understood' }).click();
  await bench.clickOn(placed.locator('h2'));
  await page.getByRole('treeitem', { name: /^Worded/ }).click();
  await bench.sentence.getByRole('radio', { name: 'quiet' }).click();
  await expect(bench.canvas.getByRole('heading', { name: 'Quietly' })).toBeVisible();
  await expect(bench.canvas.getByText('Come in.')).toBeVisible();
  await bench.saved();
});
