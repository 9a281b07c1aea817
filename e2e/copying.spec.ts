import { expect, type Page } from '@playwright/test';
import { BenchHand, ownPage } from './bench';
import { test } from './test';

/** What lies on the clipboard from elsewhere, pasted as the browser tells of it. */
async function pasteFromElsewhere(
  page: Page,
  what: { text?: string; picture?: string },
): Promise<void> {
  await page.evaluate(({ text, picture }) => {
    const data = new DataTransfer();
    if (text !== undefined) data.setData('text/plain', text);
    if (picture !== undefined)
      data.items.add(new File([picture], 'drawn.svg', { type: 'image/svg+xml' }));
    const event = new ClipboardEvent('paste', {
      clipboardData: data,
      bubbles: true,
      cancelable: true,
    });
    // As a task of the page's own: what runs for the test itself is not held to the policy of the page.
    setTimeout(() => document.body.dispatchEvent(event));
  }, what);
}

async function undo(page: Page, times: number): Promise<void> {
  for (let i = 0; i < times; i += 1) await page.keyboard.press('Control+z');
}

test('what is selected is copied, pasted and duplicated by keys, and one undo takes each back', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  await ownPage(page, 'own-copying-1');
  const headings = bench.canvas.locator('section h2', { hasText: 'How it works' });
  await bench.clickOn(headings.first());
  await page.keyboard.press('Control+c');
  await page.keyboard.press('Control+v');
  await expect(headings).toHaveCount(2);
  await page.keyboard.press('Control+d');
  await expect(headings).toHaveCount(3);
  // Several at once: the two that were pasted, together.
  await page.keyboard.press('Control+a');
  await expect(page.locator('.outline-row.selected')).toHaveCount(5);
  await page.keyboard.press('Control+x');
  await expect(headings).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(headings).toHaveCount(3);
  await undo(page, 2);
  await expect(headings).toHaveCount(1);
  await bench.saved();
});

test('what is cut on one page is pasted on another, after what is selected there', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  await bench.open('page-home');
  await bench.clickOn(bench.canvas.locator('blockquote'));
  await expect(bench.sentence).toContainText('Quotation');
  await page.keyboard.press('Control+c');
  await ownPage(page, 'own-copying-2');
  await bench.clickOn(bench.canvas.locator('h1'));
  await page.keyboard.press('Control+v');
  await expect(bench.canvas.locator('blockquote')).toBeVisible();
  await expect(page.locator('.outline-row.selected')).toContainText('Quotation');
  await page.keyboard.press('Control+z');
  await expect(bench.canvas.locator('blockquote')).toHaveCount(0);
  await bench.saved();
});

test('words from elsewhere become text, a picture is brought in', async ({ page }) => {
  const bench = new BenchHand(page);
  await ownPage(page, 'own-copying-3');
  await bench.clickOn(bench.canvas.getByText('You pay for the parts.'));
  await pasteFromElsewhere(page, { text: 'First <b>words</b>\r\nof one.\r\n\r\nSecond words.' });
  const pasted = bench.canvas.locator('section p');
  await expect(pasted.filter({ hasText: 'First <b>words</b> of one.' })).toBeVisible();
  await expect(pasted.filter({ hasText: 'Second words.' })).toBeVisible();
  await expect(bench.canvas.locator('section p b')).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(pasted.filter({ hasText: 'Second words.' })).toHaveCount(0);
  await bench.clickOn(bench.canvas.getByText('You pay for the parts.'));
  await pasteFromElsewhere(page, {
    picture:
      '<svg xmlns="http://www.w3.org/2000/svg" width="80" height="40" viewBox="0 0 80 40"><script>alert(1)</script><rect width="80" height="40" fill="#a63"/></svg>',
  });
  const picture = bench.canvas.locator('section img[width="80"]');
  await expect(picture).toHaveAttribute('height', '40');
  await undo(page, 2);
  await expect(picture).toHaveCount(0);
  await bench.saved();
});

test('what is copied on one site is pasted on another, its component coming along', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  await page.goto('/');
  await page.getByRole('button', { name: 'Make a site' }).click();
  await page.getByRole('radio', { name: 'empty, with a surround' }).check();
  await page.getByLabel('Name').fill('Larkhollow');
  await page.getByLabel('Address').fill('larkhollow-paste');
  await page.getByRole('button', { name: 'Make the site' }).click();
  await page.waitForURL(/\/sites\/[^/]+$/);
  await bench.open('page-home');
  await bench.clickOn(bench.canvas.locator('blockquote'));
  await page.keyboard.press('Control+c');
  await page.goto('/');
  await page.getByRole('link', { name: 'Larkhollow' }).first().click();
  await page.getByRole('link', { name: 'Home' }).click();
  await expect(bench.canvas.locator('h1')).toBeVisible();
  await bench.clickOn(bench.canvas.locator('h1'));
  await page.keyboard.press('Control+v');
  // The look that a site begins with has names of its own: whose is meant is asked before anything is pasted.
  const clashes = page.getByRole('dialog', { name: /this site uses for something else/ });
  await clashes.getByRole('button', { name: 'Paste' }).click();
  await expect(bench.canvas.locator('blockquote')).toBeVisible();
  await expect(bench.sentence).toContainText('brought along');
  await expect(page.locator('.shelf-item', { hasText: /^Quotation\d*$/ })).toBeVisible();
  await bench.saved();
});

test('the menu of the right button lists what can be done with its keys, also from the keyboard', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  await ownPage(page, 'own-copying-5');
  const heading = bench.canvas.locator('section h2', { hasText: 'How it works' });
  await heading.first().scrollIntoViewIfNeeded();
  const box = (await heading.first().boundingBox())!;
  await page.mouse.click(box.x + 10, box.y + 10, { button: 'right' });
  const menu = page.getByRole('menu');
  await expect(menu.getByRole('menuitem', { name: /duplicate/ })).toContainText('Ctrl+D');
  await menu.getByRole('menuitem', { name: /duplicate/ }).click();
  await expect(heading).toHaveCount(2);
  await page.keyboard.press('Shift+F10');
  await expect(menu).toBeVisible();
  // WAI-ARIA Authoring Practices, Menu Pattern: arrows walk, Enter does, Escape closes.
  const focused = () => page.evaluate(() => document.activeElement?.textContent ?? '');
  await expect.poll(focused).not.toBe('');
  const first = await focused();
  await page.keyboard.press('ArrowDown');
  await expect.poll(focused).not.toBe(first);
  await page.keyboard.press('Escape');
  await expect(menu).toBeHidden();
  await page.keyboard.press('Control+z');
  await expect(heading).toHaveCount(1);
  await bench.saved();
});
