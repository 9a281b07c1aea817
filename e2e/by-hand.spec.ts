import { expect, type Locator, type Page } from '@playwright/test';
import { BenchHand, ownPage } from './bench';
import { test } from './test';

/** A page of one's own with its plain section selected and its style shown. */
async function styledSection(page: Page, name: string) {
  const bench = new BenchHand(page);
  await bench.open(await ownPage(page, name));
  await page.getByRole('treeitem', { name: /How it works/ }).click();
  await bench.tab('Style');
  return { bench, section: bench.canvas.locator('section', { hasText: 'You pay for the parts' }) };
}

async function drag(page: Page, what: Locator, by: { x?: number; y?: number }): Promise<void> {
  const box = (await what.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + (by.x ?? 0), y + (by.y ?? 0), { steps: 8 });
  await page.mouse.up();
}

/** Opens the editor by pictures of a property, by keys. */
async function byPicture(page: Page, bench: BenchHand, property: string): Promise<Locator> {
  await (await bench.styleCell(property)).focus();
  await page.keyboard.press('Tab');
  await page.getByRole('button', { name: `${property}, base: by a picture` }).press('Enter');
  return page.getByRole('dialog', { name: `${property} by a picture` });
}

test('a colour is picked: by token, area, sliders and word; one step, taken back by Escape', async ({
  page,
}) => {
  const { bench, section } = await styledSection(page, 'own-colours');
  const cell = await bench.styleCell('background-color');
  await cell.focus();
  await page.getByRole('button', { name: 'background-color, base: pick a colour' }).click();
  const picker = page.getByRole('dialog', { name: 'Pick a colour' });
  await picker.getByRole('radio', { name: 'brand', exact: true }).click();
  await expect(section).toHaveCSS('background-color', 'rgb(154, 59, 23)');
  await expect(cell).toHaveValue('brand');
  // By keys: lightness up, as far as an arrow goes.
  const area = picker.getByRole('slider', { name: 'Lightness and chroma' });
  await area.focus();
  const before = Number(await area.getAttribute('aria-valuenow'));
  await page.keyboard.press('Shift+ArrowUp');
  await expect(area).toHaveAttribute('aria-valuenow', String(before + 5));
  await expect(cell).toHaveValue(/^oklch\(/);
  await picker.getByRole('textbox', { name: 'The colour, as CSS' }).fill('teal');
  await page.keyboard.press('Enter');
  await expect(section).toHaveCSS('background-color', 'rgb(0, 128, 128)');
  await picker.getByRole('textbox', { name: 'The colour, as CSS' }).fill('tael');
  await page.keyboard.press('Enter');
  await expect(picker.getByRole('alert')).toContainText('“tael” is no colour');
  await page.keyboard.press('Escape');
  await expect(section).toHaveCSS('background-color', 'rgb(0, 128, 128)');
  await page.keyboard.press('Escape');
  await expect(picker).toBeHidden();
  await expect(section).toHaveCSS('background-color', 'rgba(0, 0, 0, 0)');
});

test('a number is dragged by its name, stepped along its scale, written in another unit', async ({
  page,
}) => {
  const { bench, section } = await styledSection(page, 'own-numbers');
  await bench.declare('letter-spacing', '2px');
  const name = page.locator('.scrub', { hasText: /^letter-spacing$/ });
  await drag(page, name, { x: 40 });
  await expect(section).toHaveCSS('letter-spacing', '12px');
  await page.keyboard.press('Control+z');
  await expect(section).toHaveCSS('letter-spacing', '2px');
  const cell = await bench.styleCell('letter-spacing');
  await cell.focus();
  await page.getByRole('button', { name: 'letter-spacing, base: another unit' }).press('Enter');
  await expect(page.getByRole('menuitem', { name: '0.125rem as much' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(cell).toHaveValue('0.125rem');
  await bench.declare('gap', 'space 4');
  const gap = await bench.styleCell('gap');
  await gap.focus();
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('Enter');
  await expect(gap).toHaveValue('space 5');
});

test('shadows, gradients, transforms, borders and areas are made by pictures, each the CSS of its cell', async ({
  page,
}) => {
  const { bench, section } = await styledSection(page, 'own-editors');
  const shadow = await byPicture(page, bench, 'box-shadow');
  await shadow.getByRole('button', { name: 'add a shadow' }).click();
  await shadow.getByRole('textbox', { name: 'down' }).fill('10px');
  await page.keyboard.press('Enter');
  await expect(section).toHaveCSS('box-shadow', 'rgba(0, 0, 0, 0.2) 0px 10px 12px 0px');
  await page.keyboard.press('Escape');
  await bench.declare('background-image', 'linear-gradient(brand, sand 40%, #fff)');
  const gradient = await byPicture(page, bench, 'background-image');
  const stop = gradient.getByRole('slider', { name: 'Stop 2' });
  await stop.focus();
  await page.keyboard.press('ArrowRight');
  await expect(await bench.styleCell('background-image')).toHaveValue(/\{sand\} 41%/);
  await gradient.getByRole('radio', { name: 'to the right', exact: true }).click();
  await expect(section).toHaveCSS('background-image', /linear-gradient\(to right/);
  await page.keyboard.press('Escape');
  const turned = await byPicture(page, bench, 'transform');
  await turned.getByRole('button', { name: 'scale' }).click();
  await turned.getByRole('textbox', { name: 'times' }).fill('0.9');
  await page.keyboard.press('Enter');
  await expect(section).toHaveCSS('transform', 'matrix(0.9, 0, 0, 0.9, 0, 0)');
  await page.keyboard.press('Escape');
  const border = await byPicture(page, bench, 'border');
  await border.getByRole('checkbox', { name: 'bottom' }).uncheck();
  await border.getByRole('textbox', { name: 'width' }).fill('3px');
  await page.keyboard.press('Enter');
  await expect(section).toHaveCSS('border-top', /^3px solid/);
  await expect(section).toHaveCSS('border-bottom-width', '0px');
  await page.keyboard.press('Escape');
  const sides = await byPicture(page, bench, 'padding');
  await sides.getByRole('radio', { name: 'in pairs' }).check();
  await sides.getByRole('textbox', { name: 'left' }).fill('33px');
  await page.keyboard.press('Enter');
  await expect(section).toHaveCSS('padding-right', '33px');
  await sides.getByRole('radio', { name: 'each by itself' }).check();
});

test('padding, gap, tracks and width are dragged on the canvas, held by the scale of the site; one step each', async ({
  page,
}) => {
  const { bench, section } = await styledSection(page, 'own-handles');
  await bench.declare('padding', '20px');
  await bench.declare('max-width', '800px');
  await drag(page, page.locator('[data-handle=padding-left]'), { x: 10 });
  await expect(await bench.styleCell('padding')).toHaveValue(/ space \d+$/);
  await page.keyboard.press('Control+z');
  await expect(section).toHaveCSS('padding-left', '20px');
  // Without holding: whole px, however far that is on the screen.
  await page.keyboard.down('Alt');
  await drag(page, page.locator('[data-handle=padding-left]'), { x: 31 });
  await page.keyboard.up('Alt');
  await expect(await bench.styleCell('padding')).toHaveValue(/^20px 20px 20px \d+px$/);
  await page.keyboard.press('d');
  await page.keyboard.type('cols 2');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await page.getByRole('treeitem', { name: /How it works/ }).click();
  await drag(page, page.locator('[data-handle="grid-template-columns 0"]'), { x: -60 });
  await expect(await bench.styleCell('grid-template-columns')).toHaveValue(/^0\.\d+fr 1\.\d+fr$/);
  const before = (await section.boundingBox())!.width;
  await drag(page, page.locator('[data-handle="max-width"]'), { x: -40 });
  await expect(await bench.styleCell('max-width')).toHaveValue(/^\d+px$/);
  await expect.poll(async () => (await section.boundingBox())!.width).toBeLessThan(before - 30);
});

test('the areas of a grid are drawn on the canvas with their names, and dragged to where they end', async ({
  page,
}) => {
  const { bench, section } = await styledSection(page, 'own-areas');
  await page.keyboard.press('d');
  for (const declared of ['cols 3', 'grid-template-areas "top top ." "side main main"']) {
    await page.keyboard.type(declared);
    await page.keyboard.press('Enter');
  }
  await page.keyboard.press('Escape');
  const areas = page.locator('.grid-area');
  await expect(areas).toHaveText(['top', 'side', 'main']);
  const corner = (name: string) => page.locator(`[data-area=${name}]`);
  const wide = (await areas.first().boundingBox())!.width;
  await drag(page, corner('top'), { x: wide / 2 });
  await expect(section).toHaveCSS('grid-template-areas', '"top top top" "side main main"');
  await drag(page, corner('side'), { x: wide / 2 });
  await expect(section).toHaveCSS('grid-template-areas', '"top top top" "side side main"');
  await page.keyboard.press('Control+z');
  await expect(section).toHaveCSS('grid-template-areas', '"top top top" "side main main"');
  // Over the whole of another it does not reach, which is said.
  await drag(page, corner('side'), { x: wide * 1.5 });
  await expect(page.getByText('“side” cannot reach there')).toBeVisible();
  await expect(section).toHaveCSS('grid-template-areas', /"side (side )?main( main)?"/);
  await bench.saved();
});
