import { expect } from '@playwright/test';
import { BenchHand, ownPage } from './bench';
import { test } from './test';

test('emphasis and links in a plain text, by their keys: it becomes rich, says so, and undo makes it plain again', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  await bench.open(await ownPage(page, 'own-plain'));
  const paragraph = bench.canvas.locator('p', { hasText: 'You pay for the' });
  await bench.clickOn(paragraph, 'page', true);
  await expect(bench.canvas.locator('[contenteditable]')).toBeFocused();
  await page.keyboard.press('End');
  for (const key of ['ArrowLeft', 'Control+Shift+ArrowLeft']) await page.keyboard.press(key);
  await page.keyboard.press('Control+b');
  await expect(paragraph.locator('strong')).toHaveText('parts');
  await expect(bench.sentence).toContainText('This text is rich from now on');
  // What was marked is marked still, and typing goes on there.
  await page.keyboard.press('Control+k');
  await expect(page.getByRole('toolbar', { name: /Rich text on the page/ })).toBeVisible();
  await expect(page.locator('.rich-linking :focus')).toHaveCount(1);
  await page.keyboard.press('Escape');
  await page.keyboard.type('bolts');
  await expect(paragraph).toHaveText('You pay for the bolts.');
  await page.keyboard.press('Escape');
  await expect(bench.canvas.locator('[contenteditable]')).toHaveCount(0);
  await bench.saved();
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect(paragraph).toHaveText('You pay for the parts.');
  await expect(paragraph.locator('strong')).toHaveCount(0);

  // The same in its cell.
  await page.getByRole('treeitem', { name: /^Heading/ }).click();
  const words = bench.row('text').getByRole('textbox');
  await words.click();
  await words.selectText();
  await page.keyboard.press('Control+i');
  const heading = bench.canvas.getByRole('heading', { name: 'How it works' });
  await expect(heading.locator('em')).toHaveText('How it works');
  await page.keyboard.press('End');
  await page.keyboard.type(' here');
  await expect(bench.canvas.getByRole('heading', { name: 'How it works here' })).toBeVisible();

  // Where words stay plain, that is said.
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Page', exact: true }).click();
  await bench.row('title').getByRole('textbox').click();
  await page.keyboard.press('Control+b');
  await expect(bench.sentence).toContainText('These words are plain');
});

test('what an instance says is plain where its definition says so; it is made rich there, with whom that reaches', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  await bench.open(await ownPage(page, 'own-plain-instance'));
  const lead = bench.canvas.locator('main h1').first();
  await bench.clickOn(lead, 'page', true);
  await expect(bench.canvas.locator('[contenteditable]')).toBeFocused();
  await page.keyboard.press('Control+b');
  await expect(bench.sentence).toContainText('is plain text in the definition of Opening');
  await bench.sentence.getByRole('button', { name: /^Make it rich there: / }).click();
  await expect(bench.sentence).toContainText('It is rich in the definition now');
  await bench.clickOn(lead, 'page', true);
  await expect(bench.canvas.locator('[contenteditable=true]')).toBeFocused();
  await page.keyboard.press('Control+i');
  await expect(lead.locator('em')).toHaveCount(1);
  await page.keyboard.press('Escape');
  await bench.saved();
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect(lead.locator('em')).toHaveCount(0);
  // The same is offered where the value stands in the ledger.
  await bench.clickOn(lead);
  await bench.row('Heading text').getByRole('textbox').press('Control+i');
  await expect(bench.sentence).toContainText('is plain text in the definition of Opening');
  await expect(bench.sentence.getByRole('button', { name: /^Make it rich there: / })).toBeVisible();
  await bench.saved();
});
