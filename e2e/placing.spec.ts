import { expect } from '@playwright/test';
import { BenchHand, ownPage } from './bench';
import { test } from './test';

test.describe('placing', () => {
  test('a button with an icon, a link round a card and a card in a grid are four steps each at the most', async ({
    page,
  }) => {
    const hand = new BenchHand(page);
    await ownPage(page, 'placing');
    const tree = page.getByRole('tree', { name: 'Outline' });
    const main = hand.canvas.locator('main');
    await tree.getByRole('treeitem', { name: /^Heading/ }).click();
    // HTML's word for it, into the go line; then the mark, which goes where the words stand.
    await hand.go('place btn');
    await page.keyboard.press('Escape');
    await hand.go('place svg');
    await expect(main.locator('button svg')).toHaveCount(1);
    await expect(main.locator('button')).toContainText('Button');
    await page.keyboard.press('Escape');

    await tree.getByRole('treeitem', { name: /^Join band/ }).click();
    await hand.go('place shed card');
    await page.keyboard.press('Escape');
    await expect(tree.getByRole('treeitem', { selected: true })).toContainText('Shed card');
    await hand.go('wrap in a grid');
    const box = tree.getByRole('treeitem', { selected: true });
    await expect(box).toContainText('div');
    await expect(main.locator('> div').last()).toHaveCSS('display', 'grid');
    await hand.saved();
  });

  test('what is selected and empty is gone into, by the shelf too; elements are one press away', async ({
    page,
  }) => {
    const hand = new BenchHand(page);
    await ownPage(page, 'into');
    const tree = page.getByRole('tree', { name: 'Outline' });
    await tree.getByRole('treeitem', { name: /^Heading/ }).click();
    await hand.go('place div');
    await expect(tree.getByRole('treeitem', { selected: true })).toContainText('div');
    await page.getByRole('radio', { name: 'elements' }).click();
    await expect(page.locator('.shelf h3')).toHaveText(['Elements']);
    await page.locator('.shelf-item', { hasText: /^Text$/ }).press('Enter');
    const section = hand.canvas.locator('main > section', { hasText: 'You pay for the parts.' });
    await expect(section.locator('> div > p')).toHaveCount(1);
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Pictures in the place of words' }).click();
    await expect(page.locator('.shelf-thumb iframe').first()).toBeVisible();
    await page.reload();
    await expect(page.getByRole('radio', { name: 'elements' })).toBeChecked();
    await expect(page.locator('.shelf-thumb').first()).toBeVisible();
    await page.getByRole('button', { name: 'Words in the place of pictures' }).click();
    await page.getByRole('radio', { name: 'all' }).click();
    await expect(tree).toBeVisible();
  });

  test('the proposed name of a component is selected; a folder that is typed is the one that is meant', async ({
    page,
  }) => {
    const hand = new BenchHand(page);
    await ownPage(page, 'named');
    await page.getByRole('treeitem', { name: /^How it works/ }).click();
    await page.keyboard.press('m');
    const dialog = page.getByRole('dialog');
    const name = `Typed ${Date.now().toString(36)}`;
    await page.keyboard.type(`Fittings/${name}`);
    await expect(dialog).toContainText(`“Fittings/${name}”`);
    await page.keyboard.press('Enter');
    await expect(dialog).toBeHidden();
    await expect(page.locator('.pane-definition')).toContainText(`Definition of ${name}`);
    await hand.saved();
    await page.keyboard.press('Control+z');
    await expect(page.locator('.pane-definition')).toHaveCount(0);
  });
});

test('all instances of a component are replaced by another from its row in the library, which stays', async ({
  page,
}) => {
  const hand = new BenchHand(page);
  await hand.open('page-menders');
  const menders = page.locator('.outline-row.is-stamp', { hasText: 'Mender' });
  await expect(menders).not.toHaveCount(0);
  await page.goto('/sites/brackenfold/library');
  await page
    .getByRole('button', { name: 'exchange all of Fittings/Mender for another component' })
    .click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('combobox', { name: 'What comes in its place' }).click();
  await page.locator('.ant-select-item-option', { hasText: 'Shed card' }).click();
  await expect(dialog).toContainText('Goes over');
  await dialog.getByRole('button', { name: 'Put it there' }).click();
  await expect(dialog).toBeHidden();
  await expect(page.getByRole('link', { name: 'Mender', exact: true })).toBeVisible();
  await hand.open('page-menders');
  await expect(menders).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(menders).not.toHaveCount(0);
  await hand.saved();
});
