import { expect } from '@playwright/test';
import { readColour } from '@sormet/core/colour';
import { colourSteps, sizeSteps, spaceSteps } from '@sormet/core/ready';
import { test } from './test';

/** Scales of tokens, against what Chromium makes of `color-mix()` (CSS Color 5, 3) and `clamp()` (CSS Values and Units 4, 10.3). */

const COLOURS = ['#0b6b6f', '#9a3b18', '#ffd400', '#777777', 'oklch(70% 0.2 330)', 'hotpink'];
const WIDTHS = [320, 360, 400, 500, 640, 800, 960, 1200, 1280, 1600];

test('steps of a colour are the colours that the browser mixes', async ({ page }) => {
  await page.goto('/');
  const mixes = COLOURS.flatMap((colour) =>
    colourSteps('x').flatMap((step) => (step ? [step.css.replace('var(--of)', colour)] : [])),
  );
  const computed = await page.evaluate((all) => {
    const probe = document.createElement('i');
    document.body.append(probe);
    const found = all.map((css) => {
      probe.style.color = '';
      probe.style.color = css;
      return getComputedStyle(probe).color;
    });
    probe.remove();
    return found;
  }, mixes);
  mixes.forEach((css, i) => {
    const [ours, theirs] = [readColour(css)!, readColour(computed[i]!)!];
    expect(ours.l, css).toBeCloseTo(theirs.l, 2);
    expect(ours.c, css).toBeCloseTo(theirs.c, 2);
    if (theirs.c > 0.01)
      expect(Math.abs(((ours.h - theirs.h + 540) % 360) - 180), css).toBeLessThan(1);
  });
});

test('sizes and room are at ten widths what their ratio and unit ask for', async ({ page }) => {
  await page.goto('/');
  const scale = {
    base: [16, 20],
    ratio: [1.2, 1.333],
    below: 2,
    above: 5,
    widths: [360, 1280],
  } as const;
  const steps = [...sizeSteps('t', scale), ...spaceSteps('s', scale)];
  for (const width of WIDTHS) {
    await page.setViewportSize({ width, height: 600 });
    const sizes = await page.evaluate(
      (all) => {
        const probe = document.createElement('i');
        document.body.append(probe);
        const found = all.map((css) => {
          probe.style.fontSize = css;
          return parseFloat(getComputedStyle(probe).fontSize);
        });
        probe.remove();
        return found;
      },
      steps.map(({ css }) => css),
    );
    const share = Math.min(1, Math.max(0, (width - 360) / (1280 - 360)));
    const between = (least: number, most: number) => least + (most - least) * share;
    for (let i = 0; i < 8; i += 1)
      expect(sizes[i], `step ${i} at ${width}`).toBeCloseTo(
        between(16 * 1.2 ** (i - 2), 20 * 1.333 ** (i - 2)),
        1,
      );
    expect(sizes[8 + 3], `a unit of room at ${width}`).toBeCloseTo(between(16, 20), 1);
  }
});

test('a scale is begun on the screen of tokens; its steps follow the colour, one undo takes all back', async ({
  page,
}) => {
  await page.goto('/sites/brackenfold/styles/tokens');
  await page.getByRole('button', { name: 'Begin a scale' }).click();
  const dialog = page.getByRole('dialog', { name: 'Begin a scale' });
  await dialog.getByRole('combobox', { name: 'Of the colour' }).click();
  await page.locator('.ant-select-item-option', { hasText: /^brand$/ }).click();
  await dialog.getByRole('textbox', { name: 'Name of the scale' }).fill('rust');
  await page.keyboard.press('Enter');
  await expect(dialog).toBeHidden();
  const steps = page.getByRole('textbox', { name: /^Name of rust \d$/ });
  await expect(steps).toHaveCount(8);
  await page.keyboard.press('Control+z');
  await expect(steps).toHaveCount(0);
  // A name that is taken is told where it was given, and nothing is added.
  await page.getByRole('button', { name: 'Begin a scale' }).click();
  await dialog.getByRole('radio', { name: 'room' }).check();
  await dialog.getByRole('textbox', { name: 'Name of the scale' }).fill('space');
  await page.keyboard.press('Enter');
  await expect(dialog).toContainText(/space \d/);
  await expect(dialog.locator('.ant-form-item-explain-error')).toBeVisible();
});

test('a shared style is begun empty and styled on the specimen, by the declare line, at a width', async ({
  page,
}) => {
  await page.goto('/sites/brackenfold/styles/shared');
  await page.getByRole('button', { name: 'Begin a style' }).click();
  const dialog = page.getByRole('dialog', { name: 'Begin a style' });
  await dialog.getByRole('textbox', { name: 'Name of the style' }).fill('Leaflet');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/styles\?style=/);
  await expect(page.locator('.sentence')).toContainText('You are styling Leaflet');
  await page.keyboard.press('d');
  await page.keyboard.type('pad 31');
  await page.keyboard.press('Enter');
  const card = page
    .frameLocator('iframe[title="The specimen"]')
    .getByText('Leaflet', { exact: true })
    .first();
  await expect(card).toHaveCSS('padding-top', '31px');
  await page.getByRole('radio', { name: '600 and below' }).click();
  await page.keyboard.press('d');
  await page.keyboard.type('pad 7');
  await page.keyboard.press('Enter');
  await expect(card).toHaveCSS('padding-top', '7px');
  await page.getByRole('radio', { name: /^Base/ }).click();
  await expect(card).toHaveCSS('padding-top', '31px');
  await page.getByRole('button', { name: 'Leaflet: weaker' }).click();
  await page.getByRole('button', { name: /^the page itself/ }).click();
  await expect(page.locator('.sentence')).toContainText('You are styling body');
  await page.goto('/sites/brackenfold/styles/shared');
  await expect(page.getByRole('textbox', { name: 'Name of Leaflet' })).toBeVisible();
});
