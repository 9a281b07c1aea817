import { expect } from '@playwright/test';
import { BenchHand } from './bench';
import { test } from './test';

/** What stands inside an instance: looked at without changing it; only what its definition marks as a part is styled from there. */

test('anyone looks inside an instance by keys alone: what shows and who says so, and nothing there can be written', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  await bench.open('page-guides');
  await bench.clickOn(bench.canvas.locator('article p').first());
  await page.keyboard.press('i');
  await expect(bench.sentence).toContainText('You are looking inside Shed card on /guides');
  const list = page.getByRole('group', { name: 'Inside Shed card' });
  await expect(list.getByRole('radio', { name: 'Card article' })).toBeChecked();
  await page.keyboard.press('ArrowRight');
  await expect(list.getByRole('radio', { name: 'Words div' })).toBeChecked();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  await expect(list.getByRole('radio', { name: 'Link a' })).toBeChecked();
  const values = page.getByRole('table', { name: 'Values of what is looked at' });
  const text = values.getByRole('row', { name: /^text/ });
  await expect(text).toContainText('A zip that splits');
  await expect(text).toContainText('set here, on /guides');
  await page.keyboard.press('s');
  const style = page.getByRole('table', { name: 'Style of what is looked at' });
  await expect(style.getByRole('row', { name: /^text-underline-offset/ })).toContainText('a tag');
  // Nothing in it takes a value.
  await expect(style.locator('input, select, textarea, [role=combobox]')).toHaveCount(0);
  // What would change it says what can be done instead, by key and by the clipboard.
  for (const key of ['Delete', 'w', 'Control+x']) {
    await page.keyboard.press(key);
    await expect(bench.sentence).toContainText('belongs to the definition of Shed card');
    await page.getByRole('button', { name: 'understood' }).click();
    await expect(bench.sentence).toContainText('looking inside');
  }
  await expect(bench.canvas.locator('article')).toHaveCount(3);
  await page.keyboard.press('ArrowLeft');
  await expect(list.getByRole('radio', { name: 'Heading h3' })).toBeChecked();
  await page.keyboard.press('Escape');
  await expect(bench.sentence).toContainText('You are styling Shed card on /guides only');
  await page.keyboard.press('v');
});

test('a part is styled by whoever places it: there, and nowhere else', async ({ page }) => {
  const bench = new BenchHand(page);
  await bench.open('page-guides');
  const words = bench.canvas.locator('article p').first();
  const box = (await words.boundingBox())!;
  await page.keyboard.down('Alt');
  await page.mouse.click(box.x + 10, box.y + 6);
  await page.keyboard.up('Alt');
  await expect(bench.sentence).toContainText('looking inside Shed card on /guides, at Text');
  await bench.tab('Style');
  await expect(bench.sentence).toContainText('You are styling Text of Shed card on /guides only');
  await bench.declare('letter-spacing', '2px');
  const spacing = () =>
    bench.canvas
      .locator('article p')
      .evaluateAll((all) => [...new Set(all.map((each) => getComputedStyle(each).letterSpacing))]);
  await expect.poll(spacing).toEqual(['2px']);
  await page.keyboard.press('Escape');
  await bench.tab('Values');
  await bench.clickOn(bench.canvas.locator('article h3').first());
  const part = bench.row('Text', 'Parts');
  await expect(part).toContainText('2 set');
  await part.getByRole('button', { name: 'Take back what is said of Text' }).click();
  await expect.poll(spacing).toEqual(['normal']);
  await expect(part).not.toContainText('set');
  for (let i = 0; i < 2; i += 1) await page.getByRole('button', { name: 'Undo' }).click();
  await expect(part).toContainText('1 set');
  await bench.saved();
});

test('a definition marks its parts by names of their own', async ({ page }) => {
  const bench = new BenchHand(page);
  await page.goto('/sites/brackenfold/bench/shed-card');
  await page.locator('.outline-row', { hasText: 'Heading' }).click();
  const name = page.getByRole('textbox', { name: 'part, styled by whoever places it, as' });
  await name.fill('Text');
  await name.press('Enter');
  await expect(page.getByRole('alert')).toContainText('Another part is called “Text”: Text');
  await name.fill('Title');
  await name.press('Enter');
  await expect(page.getByRole('alert')).toBeHidden();
  await page.locator('.outline-row', { hasText: 'Text' }).click();
  await expect(name).toHaveValue('Text');
  await expect(bench.row('part')).toContainText('1 instance styles it');
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.locator('.outline-row', { hasText: 'Heading' }).click();
  await expect(name).toHaveValue('');
  await bench.saved();
});
