import { expect } from '@playwright/test';
import { BenchHand, ownPage } from './bench';
import { test } from './test';

test('undo says what it takes back, goes to where that was, also after loading anew and from another page', async ({
  page,
}) => {
  const hand = new BenchHand(page);
  const id = await ownPage(page, 'taken');
  const tree = page.getByRole('tree', { name: 'Outline' });
  const heading = tree.getByRole('treeitem', { name: /^Heading/ }).first();
  await heading.click();
  await hand.tab('Style');
  await page.getByRole('combobox', { name: 'Declare line' }).fill('pad 24');
  await page.keyboard.press('Enter');
  const shown = hand.canvas.getByRole('heading', { name: 'How it works' });
  await expect(shown).toHaveCSS('padding-top', '24px');
  await hand.saved();
  await page.reload();
  await expect(shown).toHaveCSS('padding-top', '24px');
  await tree.getByRole('treeitem', { name: /^Join band/ }).click();
  await page.keyboard.press('Control+z');
  await expect(hand.sentence).toContainText('Taken back');
  await expect(hand.sentence).toContainText('padding');
  await expect(heading).toHaveAttribute('aria-selected', 'true');
  await expect(shown).toHaveCSS('padding-top', '0px');
  await page.keyboard.press('Control+Shift+z');
  await expect(hand.sentence).toContainText('Done again');
  await expect(shown).toHaveCSS('padding-top', '24px');
  await hand.saved();

  // From another page it leads back to this one.
  await hand.open('page-about');
  await page.keyboard.press('Control+z');
  await expect(page).toHaveURL(new RegExp(`/bench/${id}`));
  await expect(heading).toHaveAttribute('aria-selected', 'true');
  await expect(hand.sentence).toContainText('Taken back');
  await expect(shown).toHaveCSS('padding-top', '0px');
});

test('undone where a component was that is none any more, it leads to the page that it was made on', async ({
  page,
}) => {
  const hand = new BenchHand(page);
  const id = await ownPage(page, 'made-and-gone');
  await page.getByRole('treeitem', { name: /^How it works/ }).click();
  await page.keyboard.press('m');
  await page.getByRole('textbox', { name: 'Name of the component' }).fill('Soon gone');
  await page.keyboard.press('Enter');
  await hand.saved();
  await page.goto('/sites/brackenfold/library');
  await page.getByRole('link', { name: 'Soon gone' }).click();
  await expect(page.locator('.pane-definition')).toContainText('Definition of Soon gone');
  await page.keyboard.press('Control+z');
  await expect(page).toHaveURL(new RegExp(`/bench/${id}`));
  await expect(hand.sentence).toContainText('Taken back');
  await expect(hand.canvas.getByRole('heading', { name: 'How it works' })).toBeVisible();
});

test('what was done in another window of the same browser is taken back here', async ({ page }) => {
  const hand = new BenchHand(page);
  const id = await ownPage(page, 'windows');
  const other = await page.context().newPage();
  const there = new BenchHand(other);
  await there.open(id);
  await other.getByRole('treeitem', { name: /^Heading/ }).click();
  await other.keyboard.press('Alt+ArrowDown');
  await there.saved();
  const rows = page.getByRole('treeitem', { name: /^(Heading|Text)/ });
  await expect(rows.first()).toHaveText(/^Text/);
  await expect(page.getByRole('button', { name: 'Undo' })).toBeEnabled();
  await page.keyboard.press('Control+z');
  await expect(hand.sentence).toContainText('Taken back');
  await expect(rows.first()).toHaveText(/^Heading/);
  await expect(other.getByRole('treeitem', { name: /^(Heading|Text)/ }).first()).toHaveText(
    /^Heading/,
  );
});

test('letters meant for a field that has gone do nothing, and say so', async ({ page }) => {
  const hand = new BenchHand(page);
  await ownPage(page, 'lost');
  const tree = page.getByRole('tree', { name: 'Outline' });
  await tree.getByRole('treeitem', { name: /^Heading/ }).click();
  await hand.tab('Values');
  await page.getByRole('textbox', { name: 'name' }).focus();
  // Something else takes the thing away while its name is typed.
  await page.evaluate(() => document.activeElement!.closest('tr')!.remove());
  await page.keyboard.press('Delete');
  await page.keyboard.press('m');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect(hand.sentence).toContainText('field that was typed into is gone');
  await expect(tree.getByRole('treeitem', { name: /^Heading/ })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('m');
  await expect(page.getByRole('dialog')).toBeVisible();
});
