import { expect, type Locator } from '@playwright/test';
import { seriousFindings } from './axe';
import { BenchHand, ownPage, ownSite } from './bench';
import { test } from './test';

test('a component gets variants; what is typed while one is lit is said of it alone, and instances pick it', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  await bench.open(await ownPage(page, 'own-varied'));
  await page.getByRole('treeitem', { name: /How it works/ }).click();
  await page.keyboard.press('m');
  const naming = page.getByRole('dialog');
  await naming.getByRole('textbox', { name: 'Name of the component' }).fill('Varied/Works');
  await page.keyboard.press('Enter');
  await expect(page.locator('.pane-definition')).toContainText('Definition of Works');
  const drawn = bench.definition.locator('section');
  const placed = bench.canvas.locator('section', { hasText: 'You pay for the parts' });
  await page.getByRole('button', { name: 'select its root' }).click();

  // By the go line: what they differ in, and the options; what may not be is said.
  await bench.go('vary');
  const asked = page.getByRole('dialog', { name: 'Variants' });
  await expect(asked.getByRole('textbox', { name: 'What the variants differ in' })).toBeFocused();
  await page.keyboard.type('Ground');
  const options = asked.getByRole('textbox', { name: 'Options, the base first' });
  await options.fill('paper, Paper');
  await expect(asked).toContainText('“Paper” is there twice.');
  await expect(asked.getByRole('button', { name: 'Give it variants' })).toBeDisabled();
  await options.fill('paper, night, sand');
  await page.keyboard.press('Enter');
  const axis = page.getByRole('radiogroup', { name: 'Variants: Ground' });
  await expect(axis.getByRole('radio')).toHaveText(['paper base', 'night', 'sand']);
  await expect(axis.getByRole('radio', { name: 'night' })).toBeChecked();
  expect(await seriousFindings(page)).toEqual([]);

  // Said before anything is typed, and then nowhere else.
  await bench.tab('Style');
  await expect(bench.sentence).toContainText('only Ground: night');
  await page.keyboard.press('d');
  await page.keyboard.type('bg navy');
  await page.keyboard.press('Enter');
  await page.keyboard.type('pad 40');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await expect(drawn).toHaveCSS('background-color', 'rgb(0, 0, 128)');
  await expect(placed).toHaveCSS('background-color', 'rgba(0, 0, 0, 0)');
  await axis.getByRole('radio', { name: 'paper' }).click();
  await expect(drawn).toHaveCSS('background-color', 'rgba(0, 0, 0, 0)');
  await expect(bench.sentence).not.toContainText('only');
  // What the base says shows wherever it was not varied.
  await bench.declare('padding', '12px');
  await bench.declare('border-radius', '5px');
  await expect(drawn).toHaveCSS('padding-left', '12px');
  await axis.getByRole('radio', { name: 'night' }).click();
  await expect(drawn).toHaveCSS('padding-left', '40px');
  await expect(drawn).toHaveCSS('border-top-left-radius', '5px');
  // The rule and the first thing that it says are one step.
  await axis.getByRole('radio', { name: 'sand' }).click();
  await bench.declare('background-color', 'wheat');
  await expect(drawn).toHaveCSS('background-color', 'rgb(245, 222, 179)');
  await page.getByRole('button', { name: 'select its root' }).click();
  await page.keyboard.press('Control+z');
  await expect(drawn).toHaveCSS('background-color', 'rgba(0, 0, 0, 0)');
  await page.keyboard.press('Control+Shift+z');
  await expect(drawn).toHaveCSS('background-color', 'rgb(245, 222, 179)');
  await bench.saved();

  // What is lit is lit still after loading anew.
  await page.reload();
  await expect(axis.getByRole('radio', { name: 'sand' })).toBeChecked();
  await expect(drawn).toHaveCSS('background-color', 'rgb(245, 222, 179)');
  // What differs is listed: each leads to where it is said, and goes back to the base; by keys.
  await axis.getByRole('radio', { name: 'night' }).click();
  const differ = page.getByRole('button', { name: '5 differences from the base' });
  await differ.press('Enter');
  const list = page.getByRole('group', { name: 'What differs from the base' });
  const lines = list.getByRole('button', { name: /^back to the base: / });
  await expect(lines).toHaveCount(5);
  await expect(list.getByRole('button').first()).toBeFocused();
  expect(await seriousFindings(page)).toEqual([]);
  await list.getByRole('button', { name: /^back to the base: .*padding-left/ }).press('Enter');
  await expect(drawn).toHaveCSS('padding-left', '12px');
  await expect(lines).toHaveCount(4);
  await page.keyboard.press('Escape');
  await expect(list).toBeHidden();
  await page.keyboard.press('Control+z');
  await expect(drawn).toHaveCSS('padding-left', '40px');
  await axis.getByRole('radio', { name: 'sand' }).click();
  await page.getByRole('button', { name: '1 difference from the base' }).press('Enter');
  // The first of the list gets the focus once it is there: until then a key goes to who had it.
  await expect(list.getByRole('button').first()).toBeFocused();
  await list.getByRole('button', { name: 'all of it back to the base' }).press('Enter');
  await expect(page.getByText('as the base in everything')).toBeVisible();
  await expect(drawn).toHaveCSS('background-color', 'rgba(0, 0, 0, 0)');
  await bench.saved();

  // An instance picks one, in its values.
  await bench.clickOn(placed.locator('h2'));
  await page.getByRole('treeitem', { name: /^Works/ }).click();
  await bench.tab('Values');
  await expect(placed).toHaveCSS('padding-left', '12px');
  // Where one looks first: in the sentence, by arrow keys; the base is what an instance has that says nothing.
  const picking = bench.sentence.getByRole('radiogroup', { name: 'Ground of this instance' });
  await expect(picking.getByRole('radio', { name: 'paper' })).toBeChecked();
  await picking.getByRole('radio', { name: 'paper' }).press('ArrowRight');
  await expect(picking.getByRole('radio', { name: 'night' })).toBeFocused();
  await expect(placed).toHaveCSS('background-color', 'rgb(0, 0, 128)');
  await expect(placed).toHaveCSS('padding-left', '40px');
  await expect(bench.row('Ground')).toContainText('night');
  expect(await seriousFindings(page)).toEqual([]);
  await picking.getByRole('radio', { name: 'night' }).press('ArrowLeft');
  await expect(placed).toHaveCSS('padding-left', '12px');
  await bench.choose('Ground, set here', 'night');
  await expect(picking.getByRole('radio', { name: 'night' })).toBeChecked();
  await expect(placed).toHaveCSS('background-color', 'rgb(0, 0, 128)');
  await expect(placed).toHaveCSS('padding-left', '40px');
  await bench.saved();
});

test('words, attributes, tags and what is shown vary, in the ledger and on the page', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  await bench.open(await ownPage(page, 'own-worded'));
  await page.getByRole('treeitem', { name: /How it works/ }).click();
  await page.keyboard.press('m');
  await page
    .getByRole('dialog')
    .getByRole('textbox', { name: 'Name of the component' })
    .fill('Varied/Worded');
  await page.keyboard.press('Enter');
  await expect(page.locator('.pane-definition')).toContainText('Definition of Worded');
  await page.getByRole('button', { name: 'select its root' }).click();
  await bench.go('vary');
  await expect(page.getByRole('textbox', { name: 'What the variants differ in' })).toBeFocused();
  await page.keyboard.press('Enter');
  const axis = page.getByRole('radiogroup', { name: 'Variants: Tone' });
  await expect(axis.getByRole('radio', { name: 'quiet' })).toBeChecked();
  const drawn = bench.definition.locator('section');
  const placed = bench.canvas.locator('section', { hasText: 'You pay for the parts' });

  // In the ledger.
  await page.getByRole('treeitem', { name: /^Heading/ }).click();
  await bench.tab('Values');
  await expect(bench.sentence).toContainText('only Tone: quiet');
  await bench.row('text').getByRole('textbox').fill('Quietly');
  await expect(drawn.locator('h2')).toHaveText('Quietly');
  await expect(placed.locator('h2')).toHaveText('How it works');
  // On the page.
  await bench.clickOn(drawn.locator('p').first(), 'definition', true);
  await expect(bench.definition.locator('[contenteditable]')).toBeFocused();
  await page.keyboard.press('Control+a');
  await page.keyboard.type('Come in.');
  await page.keyboard.press('Escape');
  await expect(drawn.locator('p').first()).toHaveText('Come in.');
  await expect(placed.locator('p').first()).toHaveText('You come with the thing and stay with it.');
  await axis.getByRole('radio', { name: 'plain' }).click();
  await expect(drawn.locator('h2')).toHaveText('How it works');
  await expect(drawn.locator('p').first()).toHaveText('You come with the thing and stay with it.');
  await axis.getByRole('radio', { name: 'quiet' }).click();
  await expect(drawn.locator('h2')).toHaveText('Quietly');
  // What a variant says is marked, and goes back to the base.
  await page.getByRole('treeitem', { name: /^Heading/ }).click();
  await expect(bench.row('text').locator('.is-varied')).toHaveCount(1);
  await expect(bench.row('text').getByRole('textbox')).toHaveValue('Quietly');
  await page.getByRole('button', { name: 'text: back to the base' }).click();
  await expect(drawn.locator('h2')).toHaveText('How it works');
  await page.keyboard.press('Control+z');
  await expect(drawn.locator('h2')).toHaveText('Quietly');
  // So does its tag, as far as that is of one family.
  await page.getByRole('treeitem', { name: /^Heading/ }).click();
  await bench.choose('tag', 'h3');
  await expect(drawn.locator('h3')).toHaveText('Quietly');
  await expect(placed.locator('h2')).toHaveText('How it works');
  await expect(bench.row('tag')).toContainText('base: h2');
  await bench.saved();

  await bench.clickOn(placed.locator('h2'));
  await page.getByRole('treeitem', { name: /^Worded/ }).click();
  await bench.sentence.getByRole('radio', { name: 'quiet' }).click();
  await expect(bench.canvas.getByRole('heading', { name: 'Quietly' })).toBeVisible();
  await expect(bench.canvas.getByText('Come in.')).toBeVisible();
  await bench.saved();
});

test('variants stand side by side, live; a press or an arrow key lights one, and their options are managed there', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  const address = await ownSite(page, 'varied');
  await page.goto(`${address}/bench/button`);
  const strip = page.getByRole('radiogroup', { name: 'Variants side by side: Tone and Size' });
  const cell = (name: RegExp) => strip.getByRole('radio', { name });
  const drawnIn = (name: RegExp) => cell(name).locator('iframe').contentFrame().locator('a');
  await expect(strip.getByRole('radio')).toHaveCount(9);
  await expect(cell(/^main: 2 places · base/)).toBeChecked();
  await expect(drawnIn(/^quiet:/)).toHaveCSS('background-color', 'rgba(0, 0, 0, 0)');
  await expect(drawnIn(/^quiet, large:/)).toHaveCSS('min-height', '70px');
  expect(await seriousFindings(page)).toEqual([]);

  // By keys, and live: what is declared shows where it is not varied.
  await cell(/^main:/).press('ArrowRight');
  await expect(cell(/^quiet:/)).toBeFocused();
  await expect(cell(/^quiet:/)).toBeChecked();
  await page.getByRole('treeitem', { name: /^Button/ }).click();
  await bench.tab('Style');
  await expect(bench.sentence).toContainText('only Tone: quiet');
  await expect(bench.sentence).toContainText('none of 2 instances yet');
  await bench.declare('letter-spacing', '3px');
  await expect(drawnIn(/^quiet, small:/)).toHaveCSS('letter-spacing', '3px');
  await expect(drawnIn(/^main:/)).toHaveCSS('letter-spacing', 'normal');
  await expect(bench.row('letter-spacing')).toContainText('base: nothing');
  // The states of what is lit stand beside it.
  const states = page.getByRole('radiogroup', { name: 'States of Tone: quiet' });
  await states.getByRole('radio', { name: 'hover' }).click();
  await page.keyboard.press('d');
  await page.keyboard.type('letter-spacing 5px');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await expect(
    states.getByRole('radio', { name: 'hover' }).locator('iframe').contentFrame().locator('a'),
  ).toHaveCSS('letter-spacing', '5px');
  await states.getByRole('radio', { name: 'rest' }).click();

  // To the base: all follow that say nothing of it.
  await page.getByRole('button', { name: /differences from the base/ }).click();
  const list = page.getByRole('group', { name: 'What differs from the base' });
  await list
    .getByRole('button', { name: 'to the base: Button: letter-spacing 3px', exact: true })
    .click();
  await expect(drawnIn(/^main, small:/)).toHaveCSS('letter-spacing', '3px');
  await list
    .getByRole('combobox', { name: /^to another variant: Button: Quiet look is on/ })
    .selectOption({ label: 'Size: large' });
  await expect(
    list.getByRole('button', { name: /^back to the base: Button: Quiet look/ }),
  ).toHaveCount(0);
  await page.keyboard.press('Escape');

  // An option is duplicated, renamed and taken away: first who has it then.
  const acts = page.getByRole('button', { name: 'Options of Tone' });
  await acts.click();
  await page.getByRole('menuitem', { name: 'duplicate quiet …' }).click();
  const asked = page.getByRole('dialog', { name: 'Duplicate quiet' });
  await expect(asked.getByRole('textbox')).toBeFocused();
  await page.keyboard.type('on dark');
  await expect(asked).toContainText('There is an option “on dark” already.');
  await asked.getByRole('textbox').fill('still');
  await page.keyboard.press('Enter');
  await expect(strip.getByRole('radio')).toHaveCount(12);
  await expect(cell(/^still:/)).toBeChecked();
  await acts.click();
  await page.getByRole('menuitem', { name: 'remove still …' }).click();
  const removing = page.getByRole('dialog', { name: 'Remove still' });
  await expect(removing).toContainText('No instance chose it.');
  await removing.getByRole('button', { name: 'Remove it' }).click();
  await expect(strip.getByRole('radio')).toHaveCount(9);
  // Which axis wins is moved, with what would look otherwise.
  await page.getByRole('button', { name: 'Options of Size' }).click();
  await page.getByRole('menuitem', { name: /^Size before Tone/ }).click();
  await expect(page.getByRole('dialog', { name: 'Size before Tone' })).toContainText(
    'would look otherwise',
  );
  await page.getByRole('button', { name: 'Leave it' }).click();
  // The same by dragging its name; an option is put in order without being asked about: nothing looks otherwise by that.
  const tone = page.getByRole('radiogroup', { name: 'Variants: Tone' });
  const drag = async (from: Locator, to: Locator) => {
    await from.hover();
    await page.mouse.down();
    await to.hover({ position: { x: 4, y: 4 } });
    await to.hover({ position: { x: 2, y: 4 } });
    await page.mouse.up();
  };
  await drag(
    page.getByRole('radiogroup', { name: 'Variants: Size' }).getByText('Size', { exact: true }),
    tone.getByText('Tone', { exact: true }),
  );
  await page.getByRole('dialog', { name: 'Size before Tone' }).getByText('Move it').click();
  await expect(page.locator('.axes .axis-name')).toHaveText(['Size', 'Tone']);
  await drag(
    tone.getByRole('radio', { name: 'on dark' }),
    tone.getByRole('radio', { name: 'quiet' }),
  );
  await expect(tone.getByRole('radio')).toHaveText([/^main/, 'on dark', 'quiet']);
  await page.keyboard.press('Control+z');
  await expect(tone.getByRole('radio')).toHaveText([/^main/, 'quiet', 'on dark']);
  await page.keyboard.press('Control+z');
  await expect(page.locator('.axes .axis-name')).toHaveText(['Tone', 'Size']);

  // A style made of what a variant says is on in it alone; what the base says itself stays.
  await tone.getByRole('radio', { name: 'quiet' }).click();
  await page.getByRole('treeitem', { name: /^Button/ }).click();
  await bench.declare('opacity', '0.5');
  await bench.declare('letter-spacing', '2px');
  await page.getByRole('combobox', { name: 'Put on a shared style' }).fill('Set off');
  await page.keyboard.press('Enter');
  const making = page.getByRole('dialog', { name: 'Make a shared style' });
  await expect(making).toContainText('stays here, it is stronger than any style: letter-spacing');
  await expect(making.getByRole('checkbox', { name: /opacity/ })).toBeChecked();
  await making.getByRole('button', { name: 'Make it' }).click();
  await expect(drawnIn(/^quiet:/)).toHaveCSS('opacity', '0.5');
  await expect(drawnIn(/^main:/)).toHaveCSS('opacity', '1');
  await page.getByRole('button', { name: /differences from the base/ }).click();
  await expect(list).toContainText('Set off is on');
  await page.keyboard.press('Escape');
  // A picture behind, of the variant alone.
  const behind = await bench.styleCell('background-image');
  await behind.focus();
  await page.getByRole('button', { name: 'background-image, base: by a picture' }).click();
  const editor = page.getByRole('dialog', { name: 'background-image by a picture' });
  await editor.getByRole('combobox', { name: 'The picture behind' }).focus();
  await page.keyboard.type('bench');
  await page.keyboard.press('Enter');
  await expect(drawnIn(/^quiet:/)).toHaveCSS('background-image', /^url\(/);
  await expect(drawnIn(/^main:/)).toHaveCSS('background-image', 'none');
  await page.keyboard.press('Escape');
  await expect(bench.row('background-image')).toContainText('base: nothing');
  await page.getByRole('button', { name: 'one variant at a time' }).click();
  await expect(strip).toBeHidden();
  await page.getByRole('button', { name: 'variants side by side' }).press('Enter');
  await expect(strip).toBeVisible();
  await bench.saved();
});
