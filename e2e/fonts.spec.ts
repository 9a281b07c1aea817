import { createRequire } from 'node:module';
import { expect } from '@playwright/test';
import { seriousFindings } from './axe';
import { BenchHand, ownPage } from './bench';
import { test } from './test';

const mono = createRequire(import.meta.url).resolve(
  '@fontsource/atkinson-hyperlegible-mono/files/atkinson-hyperlegible-mono-latin-400-normal.woff2',
);

test('a font of one’s own comes in, and is loaded where words are set in it and nowhere else', async ({
  page,
}) => {
  await page.goto('/sites/brackenfold/settings');
  const fonts = page.locator('.fonts');
  const bringIn = async (path: string) => {
    const asked = page.waitForEvent('filechooser');
    await fonts.getByRole('button', { name: 'Bring a font in' }).click();
    await (await asked).setFiles(path);
  };
  await bringIn(import.meta.filename);
  await expect(fonts.getByRole('alert')).toContainText('no picture that can be used');
  await bringIn(mono);
  await expect(fonts.getByText('Atkinson Hyperlegible Mono')).toBeVisible();
  await expect(fonts.getByRole('alert')).toHaveCount(0);
  // One step: taken back and done again whole.
  await page.keyboard.press('Control+z');
  await expect(fonts.getByText('Atkinson Hyperlegible Mono')).toHaveCount(0);
  await page.keyboard.press('Control+Shift+z');
  await expect(fonts.getByText('Atkinson Hyperlegible Mono')).toBeVisible();
  await bringIn(mono);
  await expect(fonts.getByRole('alert')).toContainText('is here already');
  expect(await seriousFindings(page)).toEqual([]);

  const bench = new BenchHand(page);
  await bench.open(await ownPage(page, 'own-lettered'));
  const heading = bench.canvas.getByRole('heading', { name: 'How it works' });
  const loaded = () =>
    heading.evaluate((element) =>
      [...element.ownerDocument.fonts]
        .filter(({ status }) => status === 'loaded')
        .map(({ family }) => family.replaceAll('"', '')),
    );
  await expect.poll(loaded).not.toContain('Atkinson Hyperlegible Mono');
  await page.getByRole('treeitem', { name: /^Heading/ }).click();
  await bench.tab('Style');
  await bench.declare('font-family', 'Atkinson Hyperlegible Mono, monospace');
  await expect.poll(loaded).toContain('Atkinson Hyperlegible Mono');
  await bench.saved();

  // Where a picture is wanted a font is none: it is said, and nothing is taken in.
  await page.goto('/sites/brackenfold/settings');
  await page.getByText('none yet').click();
  const asked = page.waitForEvent('filechooser');
  await page.getByText('Bring in a picture …').click();
  await (await asked).setFiles(mono);
  await expect(page.getByText('fonts are brought in in the settings')).toBeVisible();

  await page.goto('/sites/brackenfold/settings');
  await fonts.getByRole('button', { name: /^take away: Atkinson Hyperlegible Mono/ }).click();
  await expect(page.getByText('1 place names this family')).toBeVisible();
  await page.getByRole('button', { name: 'Take it away' }).click();
  await expect(fonts.getByText('Atkinson Hyperlegible Mono')).toHaveCount(0);
  await expect(page.locator('.bar-saved').or(page.getByText('Saved')).first()).toBeVisible();
});

test('an open family that ships is chosen by how it looks, taken in as one step, and set by one press; the letters of few languages load where they are', async ({
  page,
}) => {
  await page.goto('/sites/brackenfold/settings');
  const fonts = page.locator('.fonts');
  await fonts.getByRole('button', { name: 'Choose a font' }).click();
  const dialog = page.getByRole('dialog', { name: 'Fonts that ship with Sormet' });
  await expect(dialog.getByRole('listitem')).toHaveCount(12);
  // Each is drawn in its own letters.
  await expect
    .poll(() =>
      page.evaluate(
        () =>
          [...document.fonts].filter(
            ({ family, status }) => family.includes('open-font') && status === 'loaded',
          ).length,
      ),
    )
    .toBe(12);
  expect(await seriousFindings(page)).toEqual([]);
  await dialog.getByRole('button', { name: 'Take it in: Source Sans 3' }).press('Enter');
  await dialog.getByRole('button', { name: 'use as text family: Source Sans 3' }).press('Enter');
  await expect(dialog.getByText('is text family').nth(0)).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(dialog).toBeHidden();
  await expect(fonts.getByText('weights 200 to 900, upright and italic')).toBeVisible();

  const bench = new BenchHand(page);
  await bench.open(await ownPage(page, 'own-family'));
  const loaded = () =>
    bench.canvas
      .locator('body')
      .evaluate(({ ownerDocument }) =>
        [...ownerDocument.fonts]
          .filter(
            ({ family, status }) =>
              family.replaceAll('"', '') === 'Source Sans 3' && status === 'loaded',
          )
          .map(({ unicodeRange }) => (unicodeRange.startsWith('U+0-') ? 'latin' : 'more')),
      );
  const text = bench.canvas.getByText('You pay for the parts.');
  await expect.poll(loaded).toEqual(['latin']);
  await bench.clickOn(text, 'page', true);
  await page.keyboard.press('Control+a');
  await page.keyboard.type('Płacisz za części.');
  await expect.poll(async () => [...(await loaded())].sort()).toEqual(['latin', 'more']);
  await page.keyboard.press('Escape');

  await page.goto('/sites/brackenfold/settings');
  const set = fonts.getByRole('button', { name: 'use as text family: Atkinson Hyperlegible Next' });
  await set.click();
  await expect(set).toHaveCount(0);
  await fonts.getByRole('button', { name: 'take away: Source Sans 3' }).first().click();
  await expect(page.getByText('Nothing names this family.')).toBeVisible();
  await page.getByRole('button', { name: 'Take it away' }).click();
  await expect(fonts.getByText('Source Sans 3')).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(fonts.getByText('4 files')).toBeVisible();
  await page.keyboard.press('Control+Shift+z');
  await expect(fonts.getByText('Source Sans 3')).toHaveCount(0);
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
});
