import { readFile } from 'node:fs/promises';
import { expect, type Page } from '@playwright/test';
import { BenchHand, ownPage, ownSite } from './bench';
import { test } from './test';

/** Styles as a designer sets them: tokens and themes, rules and whom they reach, states, shared styles, the specimen. */

const STYLES = '/sites/brackenfold/styles';

/** Selects the heading of the plain section of one's own page, with its styles shown. */
async function styleHeading(page: Page, name: string) {
  const bench = new BenchHand(page);
  const id = await ownPage(page, name);
  const heading = bench.canvas.getByRole('heading', { name: 'How it works' });
  await bench.clickOn(heading);
  await bench.tab('Style');
  return { bench, heading, id };
}

async function declareLine(page: Page, line: string): Promise<void> {
  // Escape leaves a field; without one, it would go up to what is around.
  if (await page.locator('input:focus').count()) await page.keyboard.press('Escape');
  await page.keyboard.press('d');
  const field = page.getByRole('combobox', { name: 'Declare line' });
  await expect(field).toBeFocused();
  await page.keyboard.type(line);
  await page.keyboard.press('Enter');
}

test('a few letters declare in the rule that is lit, at a width and in a state, by keys alone', async ({
  page,
}) => {
  const { bench, heading } = await styleHeading(page, 'own-line');
  await declareLine(page, 'pad 24');
  await expect(heading).toHaveCSS('padding-left', '24px');
  await declareLine(page, 'mt 20/16rem');
  await expect(heading).toHaveCSS('margin-top', '20px');
  await declareLine(page, 'ink brand');
  await expect(heading).toHaveCSS('color', 'rgb(154, 59, 23)');
  await expect(await bench.styleCell('color')).toHaveValue('brand');
  await declareLine(page, 'mt 32 @600');
  await expect(heading).toHaveCSS('margin-top', '20px');
  await page.getByRole('radio', { name: '600 and below' }).click();
  await expect(heading).toHaveCSS('margin-top', '32px');
  await page.getByRole('radio', { name: 'Base, 1280' }).click();
  await declareLine(page, 'ink pine :hover');
  await expect(heading).toHaveCSS('color', 'rgb(154, 59, 23)');
  // The canvas holds the state that is chosen.
  await page.getByRole('radio', { name: 'hover' }).click();
  await expect(heading).toHaveCSS('color', 'rgb(47, 93, 98)');
  await page.getByRole('radio', { name: 'rest' }).click();
  await expect(heading).toHaveCSS('color', 'rgb(154, 59, 23)');
  await page.keyboard.press('d');
  await page.keyboard.type('pad lots');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('does not fit padding');
  await expect(heading).toHaveCSS('padding-left', '24px');
});

test('what is typed goes to the rule that is lit and nowhere else; the sentence says whom it reaches', async ({
  page,
}) => {
  const { bench, heading } = await styleHeading(page, 'own-chain');
  await declareLine(page, 'letter-spacing 1px');
  const chain = page.getByRole('radiogroup', { name: 'Writing to' });
  await chain.getByRole('radio', { name: /^h2 tag/ }).click();
  await expect(bench.sentence).toContainText('You are styling every h2');
  await expect(page.locator('.mark-reached').first()).toBeVisible();
  // What is declared here is the stronger, and says so.
  await bench.declare('letter-spacing', '4px');
  await expect(heading).toHaveCSS('letter-spacing', '1px');
  await expect(page.getByRole('button', { name: 'loses to here' })).toBeVisible();
  await page.getByRole('button', { name: 'loses to here' }).click();
  await expect(chain.getByRole('radio', { name: /^here/ })).toBeChecked();
  await chain.getByRole('radio', { name: /^h2 tag/ }).click();
  await bench.declare('letter-spacing', '');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Trace of letter-spacing' }).click();
  const trace = page.getByRole('complementary', { name: 'Where the values come from' });
  await expect(trace.locator('li')).toHaveText(['1px here']);
});

test('a shared style is made of chosen declarations, put on elsewhere by its name, and taken off', async ({
  page,
}) => {
  const { bench, heading } = await styleHeading(page, 'own-shared');
  for (const line of ['ink pine', 'ground sand', 'pad 12', 'size 30px'])
    await declareLine(page, line);
  const name = `Notice ${Date.now().toString(36)}`;
  const put = page.getByRole('combobox', { name: 'Put on a shared style' });
  await put.fill(name);
  await page.getByRole('option', { name: `make “${name}”` }).click();
  const dialog = page.getByRole('dialog', { name: 'Make a shared style' });
  // The size stays with the heading: only the look is taken.
  await dialog.getByRole('checkbox', { name: 'Size: box and type size' }).uncheck();
  await dialog.getByRole('button', { name: 'Make it' }).click();
  await expect(bench.sentence).toContainText('Heading');
  const chain = page.getByRole('radiogroup', { name: 'Writing to' });
  await expect(chain.getByRole('radio', { name: new RegExp(`^${name}`) })).toBeVisible();
  await expect(heading).toHaveCSS('background-color', 'rgb(250, 244, 230)');
  await expect(heading).toHaveCSS('padding-top', '12px');
  const words = bench.canvas.getByText('You pay for the parts.');
  await bench.clickOn(words);
  await declareLine(page, name);
  await expect(words).toHaveCSS('color', 'rgb(47, 93, 98)');
  await expect(words).toHaveCSS('padding-top', '0px');
  await chain.getByRole('radio', { name: new RegExp(`^${name}`) }).click();
  await expect(bench.sentence).toContainText(`the shared style ${name}: 2 elements on 1 page`);
  await bench.declare('color', 'ink');
  await expect(heading).toHaveCSS('color', 'rgb(32, 38, 43)');
  // A style of its own: what is said there is said of this alone, the rest follows.
  await page.getByRole('button', { name: `A style of its own that begins from ${name}` }).click();
  await expect(bench.sentence).toContainText(`${name}, own: 1 element on 1 page`);
  await bench.declare('color', 'brand');
  await expect(words).toHaveCSS('color', 'rgb(154, 59, 23)');
  await expect(words).toHaveCSS('background-color', 'rgb(250, 244, 230)');
  await expect(heading).toHaveCSS('color', 'rgb(32, 38, 43)');
  await page.getByRole('button', { name: `Take ${name} off` }).click();
  await expect(words).toHaveCSS('background-color', 'rgba(0, 0, 0, 0)');
  await expect(heading).toHaveCSS('background-color', 'rgb(250, 244, 230)');
});

test('a value is saved as a token where it stands, or wherever the same stands', async ({
  page,
}) => {
  const { bench, heading } = await styleHeading(page, 'own-token');
  await declareLine(page, 'letter-spacing 0.7px');
  const words = bench.canvas.getByText('You pay for the parts.');
  await bench.clickOn(words);
  await declareLine(page, 'letter-spacing 0.7px');
  const cell = await bench.styleCell('letter-spacing');
  await cell.focus();
  await page.getByRole('button', { name: 'letter-spacing, base: save as a token' }).click();
  const dialog = page.getByRole('dialog', { name: 'Save as a token' });
  const name = `airy ${Date.now().toString(36)}`;
  await dialog.getByRole('textbox', { name: 'Name of the token' }).fill(name);
  await dialog
    .getByRole('radio', { name: 'wherever the same value stands: 2 declarations' })
    .check();
  await dialog.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(await bench.styleCell('letter-spacing')).toHaveValue(name);
  await bench.clickOn(heading);
  await expect(await bench.styleCell('letter-spacing')).toHaveValue(name);
  await expect(heading).toHaveCSS('letter-spacing', '0.7px');
});

test('several things are styled together: mixed is shown as mixed, and one undo takes it back', async ({
  page,
}) => {
  const { bench, heading } = await styleHeading(page, 'own-mixed');
  await declareLine(page, 'pad 10');
  const words = bench.canvas.getByText('You pay for the parts.');
  await page.keyboard.down('Control');
  await bench.clickOn(words);
  await page.keyboard.up('Control');
  await expect(await bench.styleCell('padding')).toHaveAttribute('placeholder', 'mixed');
  // What the first has already is something else for the second.
  await bench.declare('padding', '10px');
  await expect(words).toHaveCSS('padding-top', '10px');
  await bench.declare('padding', '30px');
  await expect(heading).toHaveCSS('padding-top', '30px');
  await expect(words).toHaveCSS('padding-top', '30px');
  await page.keyboard.press('Escape');
  await page.keyboard.press('Control+z');
  await expect(heading).toHaveCSS('padding-top', '10px');
  await expect(words).toHaveCSS('padding-top', '10px');
});

test('things are wrapped in a box, the box is arranged in one step, and taken away again', async ({
  page,
}) => {
  const { bench, heading } = await styleHeading(page, 'own-wrap');
  const words = bench.canvas.getByText('You pay for the parts.');
  await page.keyboard.down('Control');
  await bench.clickOn(words);
  await page.keyboard.up('Control');
  await page.keyboard.press('w');
  const box = heading.locator('xpath=..');
  await expect(box).toHaveJSProperty('tagName', 'DIV');
  await bench.go('arrange row');
  await expect(box).toHaveCSS('display', 'flex');
  await expect(box).toHaveCSS('flex-wrap', 'wrap');
  await page.keyboard.press('Control+z');
  await expect(box).toHaveCSS('display', 'block');
  await page.keyboard.press('u');
  await expect(box).toHaveJSProperty('tagName', 'SECTION');
});

test('a theme begins at a section: everything in it follows, its ground too', async ({ page }) => {
  const { bench, heading } = await styleHeading(page, 'own-theme');
  await page.locator('.outline-row', { hasText: 'How it works' }).first().click();
  await page.getByRole('combobox', { name: 'Theme', exact: true }).selectOption('Night');
  const section = heading.locator('xpath=..');
  await expect(section).toHaveCSS('background-color', 'rgb(32, 38, 43)');
  await expect(heading).toHaveCSS('color', 'rgb(243, 230, 211)');
  await expect(bench.canvas.locator('main > section').first()).not.toHaveCSS(
    'background-color',
    'rgb(32, 38, 43)',
  );
});

test('tokens: changed in one place, derived, followed, removed with another in their place', async ({
  page,
}) => {
  await page.goto(`${STYLES}/tokens`);
  const name = `moss ${Date.now().toString(36)}`;
  await page.getByRole('button', { name: 'Add a token' }).click();
  const adding = page.getByRole('dialog', { name: 'Add a token' });
  await adding.getByRole('textbox', { name: 'Name of the token' }).fill(name);
  await adding.getByRole('textbox', { name: 'Value of the token' }).fill('mossy');
  await adding.getByRole('button', { name: 'Add it' }).click();
  await expect(adding).toContainText('“mossy” is no colour');
  await adding.getByRole('textbox', { name: 'Value of the token' }).fill('#336633');
  await adding.getByRole('button', { name: 'Add it' }).click();
  await expect(adding).toBeHidden();
  const acts = (of: string) => page.getByRole('button', { name: `Acts for ${of}`, exact: true });
  await acts(name).click();
  await page.getByRole('menuitem', { name: 'a darker one that follows it' }).click();
  const darker = page.getByLabel(`Value of ${name}, darker`, { exact: true });
  await expect(darker).toHaveValue(`color-mix(in oklab,{${name}},black 18%)`);
  // Made from itself: refused, with the way.
  const value = page.getByLabel(`Value of ${name}`, { exact: true });
  await value.fill(`{${name}, darker}`);
  await value.press('Enter');
  await expect(page.getByRole('alert')).toContainText(`${name} → ${name}, darker → ${name}`);
  await value.press('Escape');
  await acts(name).click();
  await page.getByRole('menuitem', { name: 'remove …' }).click();
  const removing = page.getByRole('dialog', { name: `Remove the token ${name}` });
  await expect(removing).toContainText('1 token is made from it');
  await removing.getByRole('button', { name: 'Remove it' }).click();
  await expect(darker).toHaveCount(1);
  await expect(darker).toHaveValue('color-mix(in oklab,#336633,black 18%)');
});

test('tokens go out and come in as a file; one that is wrong is told where, and nothing is taken', async ({
  page,
}) => {
  await page.goto(`${STYLES}/tokens`);
  const downloading = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as a file' }).click();
  const file = JSON.parse(await readFile(await (await downloading).path(), 'utf8')) as {
    colour: { $type: string; ink: { $value: { hex: string } } };
  };
  expect(file.colour.$type).toBe('color');
  expect(file.colour.ink.$value.hex).toBe('#20262b');
  const give = (json: unknown) =>
    page.getByLabel('A file of tokens').setInputFiles({
      name: 'some.tokens.json',
      mimeType: 'application/json',
      buffer: Buffer.from(JSON.stringify(json)),
    });
  await give({ a: { $type: 'dimension', $value: { value: 1, unit: 'em' } } });
  const wrong = page.getByRole('dialog', { name: 'Nothing was taken in' });
  await expect(wrong).toContainText('/a/$value/unit');
  await wrong.getByRole('button', { name: 'Understood' }).click();
  const name = `from a file ${Date.now().toString(36)}`;
  await give({ space: { $type: 'dimension', [name]: { $value: { value: 3, unit: 'rem' } } } });
  const taking = page.getByRole('dialog', { name: 'Take the tokens in' });
  await expect(taking).toContainText('1 token new');
  await taking.getByRole('button', { name: 'Take them in' }).click();
  await expect(page.getByLabel(`Value of ${name}`, { exact: true })).toHaveValue('3rem');
});

test('the specimen shows two looks by three sizes of a button, their heights kept (common practice, no published source)', async ({
  page,
}) => {
  await page.goto(STYLES);
  const sheet = page.frameLocator('iframe[title="The specimen"]');
  const plain = sheet.locator('section').first();
  for (const look of ['Main look', 'Quiet look'])
    for (const [size, height] of [
      ['Small size', 40],
      ['Usual size', 50],
      ['Large size', 70],
    ] as const) {
      const button = plain.getByText(`${look}, ${size}`, { exact: true });
      await expect(button).toBeVisible();
      expect((await button.boundingBox())!.height).toBe(height);
    }
  // Each theme has all of it; in the dark one the looks differ and the heights do not.
  const night = sheet.locator('section', { hasText: 'Theme: Night' });
  const button = night.getByText('Main look, Usual size', { exact: true });
  await expect(button).toHaveCSS('background-color', 'rgb(240, 180, 143)');
  expect((await button.boundingBox())!.height).toBe(50);
});

test('on the specimen whatever is pressed is edited there, with whom it reaches; by keys too', async ({
  page,
}) => {
  await page.goto(STYLES);
  const sheet = page.frameLocator('iframe[title="The specimen"]');
  const heading = sheet.locator('h5').first();
  await expect(heading).toBeVisible();
  await heading.scrollIntoViewIfNeeded();
  const box = (await heading.boundingBox())!;
  await page.mouse.click(box.x + 20, box.y + 6);
  const below = page.getByRole('region', { name: 'What is pressed' });
  await expect(below).toContainText('You are styling h5 tag');
  const bench = new BenchHand(page);
  await bench.declare('letter-spacing', '2px');
  await expect(heading).toHaveCSS('letter-spacing', '2px');
  await bench.declare('letter-spacing', '');
  await expect(heading).toHaveCSS('letter-spacing', 'normal');
  await page.getByRole('group', { name: /^The sheet/ }).focus();
  await page.keyboard.press('ArrowDown');
  await expect(below).toContainText('You are styling h6 tag');
});

test('shared styles stand in one order; what is unused goes together, and comes back by one undo', async ({
  page,
}) => {
  await page.goto(`${STYLES}/shared`);
  const rows = page.getByRole('row');
  const named = (name: string) =>
    rows.filter({ has: page.getByLabel(`Name of ${name}`, { exact: true }) });
  await page.getByRole('button', { name: 'Acts for Lead', exact: true }).click();
  await page.getByRole('menuitem', { name: 'duplicate' }).click();
  await expect(named('Lead copy')).toContainText('nothing');
  await page.getByRole('button', { name: /^Remove the \d+ unused/ }).click();
  await expect(page.getByRole('dialog', { name: 'Styles that nothing uses' })).toContainText(
    'Lead copy',
  );
  await page.getByRole('button', { name: 'Leave them' }).click();
  await page.getByRole('button', { name: 'Acts for Lead copy', exact: true }).click();
  await page.getByRole('menuitem', { name: 'remove …' }).click();
  await page
    .getByRole('dialog', { name: 'Remove Lead copy' })
    .getByRole('button', { name: 'Remove it' })
    .click();
  await expect(named('Lead copy')).toHaveCount(0);
});

test('what comes from another site under a name that is taken is shown beside ours, and chosen', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  const address = await ownSite(page, 'clash');
  await page.goto(`${address}/styles/tokens`);
  const brand = page.getByLabel('Value of brand', { exact: true });
  await brand.fill('#006600');
  await brand.press('Enter');
  await expect(page.getByRole('button', { name: 'Value of brand: pick a colour' })).toHaveCSS(
    'background-color',
    'rgb(0, 102, 0)',
  );
  await ownPage(page, 'own-clash');
  await page.locator('.outline-row', { hasText: 'How it works' }).first().click();
  await bench.tab('Style');
  await declareLine(page, 'ground brand');
  await page.keyboard.press('Escape');
  await page.locator('.outline-row', { hasText: 'How it works' }).first().click();
  await page.keyboard.press('Control+c');
  await page.goto(`${address}/bench/page-about`);
  await expect(bench.canvas.locator('h1')).toBeVisible();
  await page.locator('.outline-row', { hasText: 'Opening' }).first().click();
  await page.keyboard.press('Control+v');
  const dialog = page.getByRole('dialog', { name: /that this site uses for something else$/ });
  await expect(dialog.getByRole('row', { name: /^brand/ })).toContainText('#9a3b17');
  await dialog
    .getByRole('radiogroup', { name: 'Of brand, take' })
    .getByRole('radio', { name: 'theirs beside it, under another name' })
    .check();
  await dialog.getByRole('button', { name: 'Paste' }).click();
  const pasted = bench.canvas.locator('section', { hasText: 'You come with the thing' }).first();
  await expect(pasted).toHaveCSS('background-color', 'rgb(154, 59, 23)');
  // Ours is as it was: only what came in looks so.
  await expect(bench.canvas.getByRole('link', { name: 'See the sessions' })).toHaveCSS(
    'background-color',
    'rgb(0, 102, 0)',
  );
});

test('shift and dragging takes what is wholly enclosed; all of it is styled together', async ({
  page,
}) => {
  const { bench, heading } = await styleHeading(page, 'own-enclosed');
  const paragraphs = bench.canvas.locator('section', { has: heading }).last().locator('p');
  await paragraphs.first().scrollIntoViewIfNeeded();
  const from = (await paragraphs.first().boundingBox())!;
  const to = (await paragraphs.last().boundingBox())!;
  await page.keyboard.down('Shift');
  await page.mouse.move(from.x + 1, from.y - 3);
  await page.mouse.down();
  await page.mouse.move(from.x + 40, from.y + 20);
  await expect(page.locator('.mark-area')).toBeVisible();
  await page.mouse.move(to.x + to.width + 6, to.y + to.height + 3, { steps: 4 });
  await page.mouse.up();
  await page.keyboard.up('Shift');
  await expect(page.locator('.outline-row.selected')).toHaveCount(2);
  await declareLine(page, 'ink pine');
  await expect(paragraphs.first()).toHaveCSS('color', 'rgb(47, 93, 98)');
  await expect(paragraphs.last()).toHaveCSS('color', 'rgb(47, 93, 98)');
  await expect(heading).not.toHaveCSS('color', 'rgb(47, 93, 98)');
});

test('the landmarks of a page are told: all there, or which is missing', async ({ page }) => {
  const bench = new BenchHand(page);
  await ownPage(page, 'own-landmarks');
  await page.keyboard.press('Escape');
  await expect(bench.row('of the page')).toContainText('each is there once');
  await bench.choose("The page's surround", 'none');
  await expect(bench.row('of the page')).toContainText('no header');
});

test('a section goes out as a file and comes in from it; the canvas shows all of it in a theme', async ({
  page,
}) => {
  const { bench } = await styleHeading(page, 'own-file');
  await page.locator('.outline-row', { hasText: 'How it works' }).first().click();
  const downloading = page.waitForEvent('download');
  await bench.go('save it as a file');
  const file = await (await downloading).path();
  const clip = JSON.parse(await readFile(file, 'utf8')) as { sormet: string; nodes: object };
  expect(clip.sormet).toBe('clip');
  const choosing = page.waitForEvent('filechooser');
  await bench.go('paste from a file');
  await (await choosing).setFiles(file);
  await expect(bench.canvas.getByRole('heading', { name: 'How it works' })).toHaveCount(2);
  const body = bench.canvas.locator('body');
  await expect(body).toHaveCSS('background-color', 'rgb(255, 253, 248)');
  await page.getByRole('combobox', { name: 'Shown in the theme' }).selectOption('shown in Night');
  await expect(body).toHaveCSS('background-color', 'rgb(32, 38, 43)');
  await page.getByRole('combobox', { name: 'Shown in the theme' }).selectOption('as published');
  await expect(body).toHaveCSS('background-color', 'rgb(255, 253, 248)');
});

test('how things line up, columns, pins and room on each side are chosen by pictures, by keys alone', async ({
  page,
}) => {
  const { bench, heading } = await styleHeading(page, 'own-pictures');
  const open = async (property: string) => {
    await (await bench.styleCell(property)).focus();
    await page.keyboard.press('Tab');
    await expect(
      page.getByRole('button', { name: `${property}, base: by a picture` }),
    ).toBeFocused();
    await page.keyboard.press('Enter');
    const dialog = page.getByRole('dialog', { name: `${property} by a picture` });
    await expect(dialog.locator(':focus')).toHaveCount(1);
  };
  await open('text-align');
  await expect(page.getByRole('radio', { name: 'at the start' })).toBeFocused();
  await page.keyboard.press('ArrowRight');
  await expect(heading).toHaveCSS('text-align', 'center');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: 'text-align, base: by a picture' })).toBeFocused();
  await open('grid-template-columns');
  await page.keyboard.press('ArrowDown');
  await expect(await bench.styleCell('grid-template-columns')).toHaveValue('repeat(4,1fr)');
  await page.keyboard.press('Escape');
  await open('padding');
  await page.keyboard.type('12');
  await page.keyboard.press('Tab');
  await page.keyboard.type('20/16rem');
  await page.keyboard.press('Enter');
  await expect(heading).toHaveCSS('padding-top', '12px');
  await expect(heading).toHaveCSS('padding-right', '20px');
  await page.keyboard.type('lots');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('does not fit padding-right');
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');
  await expect(heading).toHaveCSS('padding-right', '20px');
  // Pinned is only what does not stand in the flow: both together, taken back together.
  await open('inset');
  await page.keyboard.press('ArrowRight');
  await expect(heading).toHaveCSS('position', 'absolute');
  await page.keyboard.press('Escape');
  await page.keyboard.press('Control+z');
  await expect(heading).toHaveCSS('position', 'static');
  await expect(await bench.styleCell('inset')).toHaveValue('');
});

test('the ring of focus is said once for every element, on the specimen', async ({ page }) => {
  await page.goto(STYLES);
  const sheet = page.frameLocator('iframe[title="The specimen"]');
  const shown = sheet.getByText('What the keyboard is at').first();
  await expect(shown).toHaveCSS('outline-width', '2px');
  await shown.scrollIntoViewIfNeeded();
  const box = (await shown.boundingBox())!;
  await page.mouse.click(box.x + 20, box.y + 8);
  await expect(page.locator('.sentence')).toContainText('every element');
  await expect(page.getByRole('radio', { name: 'focus' })).toBeChecked();
  const cell = page.getByRole('combobox', { name: 'outline, base, focus' });
  await expect(cell).toHaveValue('2px solid link');
  await cell.fill('3px solid brand');
  await cell.press('Enter');
  await expect(shown).toHaveCSS('outline-width', '3px');
  // At rest nothing is said of every element: the cell says where it belongs.
  await page.getByRole('radio', { name: 'rest' }).click();
  const ink = await new BenchHand(page).styleCell('color');
  await ink.fill('red');
  await ink.press('Enter');
  await expect(page.getByRole('alert')).toContainText('said of the body');
  await ink.press('Escape');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(shown).toHaveCSS('outline-width', '2px');
  await page.keyboard.press('Control+Shift+Z');
  await expect(shown).toHaveCSS('outline-width', '3px');
  await page.keyboard.press('Control+Z');
  await expect(shown).toHaveCSS('outline-width', '2px');
});

test('a picture is laid behind an element under a veil, from its cell by keys, and taken away', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  await ownPage(page, 'own-ground');
  await page.locator('.outline-row', { hasText: 'How it works' }).click();
  await bench.tab('Style');
  const section = bench.canvas.locator('main > section').nth(1);
  const cell = await bench.styleCell('background-image');
  await cell.focus();
  await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  const editor = page.getByRole('dialog', { name: 'background-image by a picture' });
  await editor.getByRole('combobox', { name: 'The picture behind' }).focus();
  await page.keyboard.type('bench');
  await page.keyboard.press('Enter');
  await expect(section).toHaveCSS('background-image', /^url\(/);
  await expect(section).toHaveCSS('background-size', 'cover');
  await editor.getByRole('radio', { name: 'no veil' }).focus();
  await page.keyboard.press('ArrowRight');
  await expect(section).toHaveCSS('background-image', /^linear-gradient\(.*url\(/);
  await expect(cell).toHaveValue(/under a veil$/);
  await editor.getByRole('button', { name: 'take the picture away' }).click();
  await expect(section).toHaveCSS('background-image', 'none');
});
