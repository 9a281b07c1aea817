import { expect } from '@playwright/test';
import { BenchHand, ownPage } from './bench';
import { test } from './test';

test.describe('selecting', () => {
  test('the outline extends by Shift and adds by Ctrl, by pointer and by keys, as every tree does (WAI-ARIA Authoring Practices, tree view)', async ({
    page,
  }) => {
    const hand = new BenchHand(page);
    await ownPage(page, 'selecting');
    const tree = page.getByRole('tree', { name: 'Outline' });
    await expect(tree).toHaveAttribute('aria-multiselectable', 'true');
    const chosen = tree.getByRole('treeitem', { selected: true });
    const row = (name: RegExp) => tree.getByRole('treeitem', { name });
    await row(/^Heading/).click();
    await expect(chosen).toHaveCount(1);
    await page.keyboard.press('Shift+ArrowDown');
    await page.keyboard.press('Shift+ArrowDown');
    await expect(chosen).toHaveCount(3);
    await page.keyboard.press('Shift+ArrowUp');
    await expect(chosen).toHaveCount(2);
    await expect(hand.sentence).toContainText('Heading, Text');
    // A row that holds others takes them along.
    await row(/^Opening/).click();
    await row(/^Join band/).click({ modifiers: ['Shift'] });
    await expect(chosen).toHaveCount(3);
    await row(/^Opening/).click({ modifiers: ['Control'] });
    await expect(chosen).toHaveCount(2);
    await page.keyboard.press('Control+Space');
    await expect(chosen).toHaveCount(3);
    await row(/^Heading/).click();
    await expect(chosen).toHaveCount(1);
  });

  test('the page itself is the first row, and what Escape, the grey, the title and the empty outline lead to', async ({
    page,
  }) => {
    const hand = new BenchHand(page);
    await ownPage(page, 'whole');
    const tree = page.getByRole('tree', { name: 'Outline' });
    const whole = tree.getByRole('treeitem').first();
    await expect(whole).toHaveText(/^page/);
    const heading = tree.getByRole('treeitem', { name: /^Heading/ });
    const letGo = async () => {
      await expect(whole).toHaveAttribute('aria-selected', 'true');
      await expect(tree.getByRole('treeitem', { selected: true })).toHaveCount(1);
      await expect(page.getByRole('textbox', { name: 'Name of the page' })).toBeVisible();
    };
    await heading.click();
    for (let i = 0; i < 3; i += 1) await page.keyboard.press('Escape');
    await letGo();
    await heading.click();
    await page.getByTitle('Select the whole of it').click();
    await letGo();
    await heading.click();
    await whole.click();
    await letGo();
    await heading.click();
    const box = (await tree.boundingBox())!;
    await page.mouse.click(box.x + 100, box.y + box.height - 6);
    await letGo();
    // A row is met while the outline still scrolls, and a press that ends beside it lets nothing go.
    await heading.click();
    const second = (await tree.getByRole('treeitem').nth(1).boundingBox())!;
    await page.setViewportSize({ width: 1280, height: 560 });
    await expect.poll(async () => (await tree.boundingBox())!.height).toBeLessThan(box.height);
    await page.mouse.move(second.x + 60, second.y + 12);
    await page.mouse.wheel(0, 24);
    await expect
      .poll(() => tree.evaluate(({ firstElementChild }) => firstElementChild!.scrollTop))
      .toBeGreaterThan(0);
    await page.mouse.down();
    await page.mouse.up();
    await expect(heading).toHaveAttribute('aria-selected', 'false');
    await expect(whole).toHaveAttribute('aria-selected', 'false');
    await heading.click();
    await heading.hover();
    await page.mouse.down();
    await page.mouse.move(second.x + 60, second.y - 200);
    await page.mouse.up();
    await expect(heading).toHaveAttribute('aria-selected', 'true');
    await page.setViewportSize({ width: 1280, height: 800 });
    await whole.click();
    await letGo();
    await page.keyboard.press('ArrowDown');
    await expect(tree.getByRole('treeitem', { selected: true })).toHaveText(/^Site surround/);
    await hand.saved();
  });

  test('what is selected, lit and folded outlives loading anew, going elsewhere and back, and stands in the address', async ({
    page,
  }) => {
    const hand = new BenchHand(page);
    const id = await ownPage(page, 'address');
    await expect(page).toHaveTitle(`/${id} · Brackenfold · Sormet`);
    const tree = page.getByRole('tree', { name: 'Outline' });
    const heading = tree.getByRole('treeitem', { name: /^Heading/ });
    await heading.click();
    await hand.tab('Style');
    await page.getByRole('radio', { name: /^h2 tag/ }).click();
    await page.getByRole('radio', { name: '600 and below' }).click();
    const section = tree.getByRole('treeitem', { name: /^How it works/ });
    await tree
      .getByRole('treeitem', { name: /^Opening/ })
      .first()
      .waitFor();
    await expect(page).toHaveURL(/tab=style.*width=|width=.*tab=style/);
    await expect(page).toHaveURL(/rule=/);
    await page.reload();
    const there = async () => {
      await expect(heading).toHaveAttribute('aria-selected', 'true');
      await expect(page.getByRole('tab', { name: 'Style' })).toHaveAttribute(
        'aria-selected',
        'true',
      );
      await expect(page.getByRole('radio', { name: '600 and below' })).toBeChecked();
      await expect(page.locator('.chain-part.lit')).toHaveText(/h2 tag/);
    };
    await there();
    await page.goto(`/sites/brackenfold/library`);
    await expect(page).toHaveTitle('Library · Brackenfold · Sormet');
    await page.goBack();
    await there();
    // What is selected is always seen: another thing is, while this is folded.
    await tree.getByRole('treeitem', { name: /^Join band/ }).click();
    await section.locator('.outline-fold').click();
    await expect(heading).toBeHidden();
    await page.reload();
    await expect(section).toBeVisible();
    await expect(heading).toBeHidden();
  });

  test('a thing is named where it stands in the outline, by F2 and by a double click, spaces and all', async ({
    page,
  }) => {
    const hand = new BenchHand(page);
    await ownPage(page, 'naming');
    const tree = page.getByRole('tree', { name: 'Outline' });
    await tree.getByRole('treeitem', { name: /^Heading/ }).click();
    await page.keyboard.press('F2');
    const field = tree.getByRole('textbox', { name: 'name' });
    await expect(field).toBeFocused();
    await page.keyboard.type('The big one');
    await page.keyboard.press('Enter');
    const named = tree.getByRole('treeitem', { name: /^The big one/ });
    await expect(named).toHaveAttribute('aria-selected', 'true');
    await named.dblclick();
    await page.keyboard.type('not this');
    await page.keyboard.press('Escape');
    await expect(named).toBeVisible();
    await page.keyboard.press('ArrowDown');
    await expect(tree.getByRole('treeitem', { selected: true })).toHaveText(/^Text/);
    await hand.saved();
  });
});
