import { expect } from '@playwright/test';
import { BenchHand } from './bench';
import { test } from './test';
import { seriousFindings } from './axe';

/** The chapter “A site in twenty minutes” of the handbook, step by step as it stands there. */
test('a site in twenty minutes: three sections, one of them a component with five properties, published', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  const slug = `twenty-${Date.now().toString(36)}`;
  /** What somebody does by hand: each press, each text, counted. */
  let acts = 0;
  const act = async (done: Promise<unknown>) => {
    acts += 1;
    await done;
  };
  const go = async (words: string) => {
    await act(page.keyboard.press('Escape'));
    await act(page.keyboard.press('g'));
    await expect(page.getByRole('combobox', { name: 'Go line' })).toBeFocused();
    await act(page.keyboard.type(words));
    await act(page.keyboard.press('Enter'));
    await expect(page.getByRole('combobox', { name: 'Go line' })).toBeHidden();
  };
  await page.goto('/');
  // 1
  await act(page.getByRole('button', { name: 'Make a site' }).click());
  await act(page.getByLabel('Name', { exact: true }).fill(slug));
  await act(page.getByRole('radio', { name: /^Reading/ }).click());
  await act(page.getByRole('button', { name: 'Make the site' }).click());
  // 2
  await act(page.getByRole('link', { name: 'Home', exact: true }).click());
  await expect(bench.canvas.locator('main')).toBeVisible();
  // 3 to 5
  const typing = bench.canvas.locator('[contenteditable]');
  for (const [words, heading] of [
    ['hero', 'Come in'],
    ['words and picture', 'How it began'],
    ['call to action', 'Write to us'],
  ] as const) {
    await go(words);
    await expect(typing).toBeFocused();
    await act(page.keyboard.type(heading));
    await expect(bench.canvas.getByRole('heading', { name: heading })).toBeVisible();
  }
  // 6
  await act(page.keyboard.press('Escape'));
  await act(page.getByRole('treeitem', { name: /Words and picture/ }).click());
  await act(page.keyboard.press('m'));
  // As whoever looks before typing.
  await expect(page.getByRole('textbox', { name: 'Name of the component' })).toBeFocused();
  await act(page.keyboard.type('Sections/Story'));
  await act(page.keyboard.press('Enter'));
  await expect(page.locator('.pane-definition')).toContainText('Definition of Story');
  // 7
  await act(page.getByRole('button', { name: 'select its root' }).click());
  for (const control of ['Heading text', 'Text', 'Button text', 'Button address', 'Picture'])
    await act(page.getByRole('checkbox', { name: `Expose ${control}`, exact: true }).check());
  await act(page.getByRole('button', { name: 'Expose 5 controls' }).click());
  // 8
  await act(bench.clickOn(bench.canvas.getByRole('heading', { name: 'How it began' })));
  await act(bench.row('Heading text').getByRole('textbox').fill('How it all began'));
  await expect(bench.canvas.getByText('How it all began')).toBeVisible();
  // 9
  await go('place story');
  await act(page.keyboard.press('Escape'));
  await expect(bench.canvas.getByText('How it began', { exact: true })).toHaveCount(1);
  // 10
  await bench.saved();
  await act(
    page
      .getByRole('link', { name: /^Publish \d+ pages?$/ })
      .or(page.getByRole('button', { name: /^Publish \d+ pages?$/ }))
      .first()
      .click(),
  );
  await act(
    page
      .getByRole('button', { name: /^Publish/ })
      .last()
      .click(),
  );
  // 11
  const opens = page.getByRole('link', { name: 'Open the published site' });
  await expect(opens).toBeVisible({ timeout: 60_000 });
  const tab = page.waitForEvent('popup');
  await act(opens.click());
  const visitor = await tab;
  await expect(visitor.getByRole('heading', { name: 'How it all began' })).toBeVisible();
  await expect(visitor.getByRole('heading', { name: 'How it began', exact: true })).toBeVisible();
  await expect(visitor.getByRole('heading', { name: 'Come in' })).toBeVisible();
  expect(acts, 'acts from nothing to a published page').toBeLessThan(60);
});

test('the handbook opens beside the bench, is searched from the go line, and stands by itself', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  await bench.open('page-about');
  await page.getByRole('button', { name: 'Handbook' }).click();
  const book = page.getByRole('complementary', { name: 'Handbook' });
  await expect(book.getByRole('heading', { name: 'The bench', level: 1 })).toBeVisible();
  await expect(bench.canvas.locator('main')).toBeVisible();
  await book.getByRole('combobox', { name: 'Chapter' }).selectOption('styling');
  await expect(book.getByRole('heading', { name: 'The declare line' })).toBeVisible();
  await expect(book.getByRole('img').first()).toHaveJSProperty('complete', true);
  expect(await seriousFindings(page)).toEqual([]);
  await book.getByRole('button', { name: 'Close the handbook' }).click();
  await expect(book).toHaveCount(0);
  await page.keyboard.press('g');
  const line = page.getByRole('combobox', { name: 'Go line' });
  await line.fill('read themes');
  await expect(page.getByRole('option', { name: /Themes, in Tokens/ })).toBeVisible();
  await line.press('Enter');
  await expect(book.getByRole('heading', { name: 'Themes', exact: true })).toBeInViewport();
  await page.goto('/sites/brackenfold/content');
  await page.getByRole('button', { name: 'Handbook' }).click();
  await expect(book.getByRole('heading', { name: 'Content', level: 1 })).toBeVisible();
  await page.goto('/handbook/content#repeats');
  await expect(page.getByRole('heading', { name: 'Repeats' })).toBeInViewport();
  expect(await seriousFindings(page)).toEqual([]);
});
