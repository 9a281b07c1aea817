import { expect } from '@playwright/test';
import { PUBLISHED } from './addresses';
import { BenchHand } from './bench';
import { test } from './test';

/** The main job of Sormet, all of it, as one person does it on the demo. */
test('one section is made reusable, exposed, bound and published', async ({ page, request }) => {
  test.setTimeout(420_000);
  const bench = new BenchHand(page);
  const { canvas, sentence } = bench;

  await test.step('1: from the sites to the bench', async () => {
    await page.goto('/');
    await page.getByRole('link', { name: 'Brackenfold' }).click();
    await page.getByRole('link', { name: 'Home', exact: true }).click();
    await expect(canvas.getByRole('heading', { name: 'Bring it broken.' })).toBeVisible();
  });

  await test.step('2: a ready section is placed by dragging and by the go line; the cursor is in its text', async () => {
    const item = page.locator('.shelf-item', { hasText: 'Words and picture' });
    await item.scrollIntoViewIfNeeded();
    const from = (await item.boundingBox())!;
    const hero = (await canvas.locator('main > section').first().boundingBox())!;
    await page.mouse.move(from.x + 40, from.y + 8);
    await page.mouse.down();
    await page.mouse.move(hero.x + 300, hero.y + 60, { steps: 8 });
    await page.mouse.move(hero.x + 300, hero.y + hero.height * 0.62, { steps: 4 });
    await expect(page.locator('.landing-line')).toBeVisible();
    await page.mouse.up();
    const placed = canvas.locator('main > section').nth(1);
    await expect(placed.locator('h2')).toHaveAttribute('contenteditable', 'plaintext-only');
    await page.keyboard.type('A shed near you');
    await expect(placed.locator('h2')).toHaveText('A shed near you');
    await page.keyboard.press('Escape');
    await bench.go('place words only');
    await expect(canvas.locator('[contenteditable]')).toHaveText('A heading for this section');
    await page.keyboard.press('Escape');
    await page.keyboard.press('Delete');
    await expect(canvas.getByText('A paragraph to begin with.')).toHaveCount(0);
  });

  const section = canvas.locator('main > section').nth(1);

  await test.step('3: ground, padding and text size in the style ledger, and less padding at a narrower width', async () => {
    await bench.clickOn(section.locator('h2'));
    await expect(sentence).toContainText('Heading');
    await bench.tab('Style');
    await bench.declare('font-size', '2.25rem');
    await page.locator('.outline-row', { hasText: 'Words and picture' }).click();
    await bench.declare('background-color', '#f3e6d3');
    await bench.declare('padding', '72px 48px');
    await bench.declare('padding', '32px 20px', '600 and below');
    await expect(section).toHaveCSS('background-color', 'rgb(243, 230, 211)');
    await expect(section).toHaveCSS('padding-top', '72px');
    await expect(section.locator('h2')).toHaveCSS('font-size', '36px');
    await page.getByRole('radio', { name: '600 and below' }).click();
    await expect(section).toHaveCSS('padding-top', '32px');
    await page.getByRole('radio', { name: 'Base, 1280' }).click();
    await bench.declare('padding', 'very much');
    await expect(page.getByRole('alert')).toContainText('does not fit padding');
    await page.keyboard.press('Escape');
  });

  await test.step('4: it becomes the component Sections/Shed intro; both are live', async () => {
    await page.locator('.outline-row', { hasText: 'Words and picture' }).click();
    await page.keyboard.press('m');
    await page.getByRole('textbox', { name: 'Name of the component' }).fill('Sections/Shed intro');
    await page.getByRole('button', { name: 'Make component' }).click();
    await expect(page.locator('.pane-definition')).toContainText('Definition of Shed intro');
    await expect(bench.definition.locator('h2')).toHaveText('A shed near you');
    await expect(section.locator('h2')).toHaveText('A shed near you');
    await expect(sentence).toContainText('Shed intro on / only');
  });

  await test.step('5: every control stands in screen order and is exposed in one go', async () => {
    await page.getByRole('button', { name: 'select its root' }).click();
    await bench.tab('Values');
    await expect(sentence).toHaveAttribute('data-edge', 'definition');
    const groups = page.locator('.ledger th.ledger-group');
    // The section's own look first (common practice, no published source).
    await expect(groups).toHaveText([
      'Words and picture',
      'Columns',
      'Words',
      'Heading',
      'Text',
      'Button',
      'Picture',
    ]);
    for (const label of [
      'Heading text',
      'Text',
      'Button text',
      'Button address',
      'Button shown',
      'Picture',
      'Picture alternative text',
    ])
      await page.getByRole('checkbox', { name: `Expose ${label}`, exact: true }).check();
    await page.getByRole('button', { name: 'Expose 7 controls' }).click();
    await expect(page.locator('.ledger code')).toHaveText([
      'headingText',
      'text',
      'buttonShown',
      'buttonText',
      'buttonAddress',
      'picture',
      'pictureAlternativeText',
    ]);
    await expect(page.locator('.mark-exposed').first()).toBeVisible();
  });

  await test.step('6: the heading is set here; default, set here, bound to and shows stand side by side', async () => {
    await bench.clickOn(section.locator('h2'));
    await expect(sentence).toHaveAttribute('data-edge', 'instance');
    const row = bench.row('Heading text');
    await expect(row.locator('td.default')).toHaveText('A shed near you');
    await row.getByRole('textbox').fill('Twelve sheds, one of them yours');
    await expect(section.locator('h2')).toHaveText('Twelve sheds, one of them yours');
    await expect(row.locator('td.shows')).toContainText('Twelve sheds, one of them yours');
    await expect(row.locator('td.shows')).toContainText('set here');
    await row.getByRole('button', { name: 'back to default' }).click();
    await expect(section.locator('h2')).toHaveText('A shed near you');
    const text = bench.row('Text');
    await text.getByRole('textbox').fill('Tools, benches and a kettle that is always on.');
    await text.getByRole('button', { name: 'make it the default' }).click();
    await expect(page.locator('.ant-popover')).toContainText(
      '0 other instances follow it, none keeps its own',
    );
    await page.getByRole('button', { name: 'Make it the default', exact: true }).last().click();
    await expect(text.locator('td.default')).toHaveText(
      'Tools, benches and a kettle that is always on.',
    );
    await expect(text.locator('td.default')).toHaveClass(/wins/);
    await row.getByRole('textbox').fill('Twelve sheds, one of them yours');
    await page.getByRole('textbox', { name: 'name', exact: true }).fill('on the home page');
    await bench.saved();
  });

  await test.step('7: on /about with other values and the button hidden', async () => {
    await bench.go('go /about');
    await expect(canvas.getByRole('heading', { name: 'Nobody here is an expert' })).toBeVisible();
    await bench.go('place shed intro');
    const placed = canvas.locator('[contenteditable]');
    await expect(placed).toBeVisible();
    await page.keyboard.type('We began in a shed');
    await page.keyboard.press('Escape');
    const about = canvas.locator('main > section').last();
    await expect(about.locator('h2')).toHaveText('We began in a shed');
    await bench.tab('Values');
    await bench.choose('Button shown, set here', 'no');
    await expect(about.locator('a')).toHaveCount(0);
    await page.getByRole('textbox', { name: 'name', exact: true }).fill('how we began');
    await expect(page.locator('.outline-row', { hasText: 'Shed intro' })).toContainText(
      'how we began',
    );
    await bench.saved();
  });

  await test.step('8: on the page of every shed, bound to its fields; the canvas follows the entries', async () => {
    await bench.go('go /sheds/<slug>');
    await expect(page.locator('.bar-entry')).toContainText('1 of 12');
    await bench.go('place shed intro');
    await expect(canvas.locator('[contenteditable]')).toBeVisible();
    await page.keyboard.press('Escape');
    for (let up = 0; up < 3; up += 1) await page.keyboard.press('Alt+ArrowUp');
    await page.getByRole('button', { name: 'what fits' }).click();
    const offers = page.getByRole('group', { name: 'What fits' });
    await expect(offers.locator('.fit')).toHaveCount(5);
    await expect(offers.locator('.bound-holds').first()).toHaveText('Alderhithe');
    await offers.getByRole('button', { name: 'Bind 5 values' }).click();
    await page.getByRole('combobox', { name: 'Picture, bound to' }).click();
    const offered = page.locator('.ant-select-dropdown:visible .bound-name');
    await expect(offered).toHaveText(['shed · picture', 'a new field of sheds: picture']);
    await page.keyboard.press('Escape');
    await bench.choose('Picture, when the field is empty', 'else hide');
    await bench.choose('Picture alternative text, when the field is empty', 'else nothing');
    const shed = canvas.locator('main > section').first();
    await expect(shed.locator('h2')).toHaveText('Alderhithe');
    await expect(shed.locator('img')).toHaveAttribute(
      'alt',
      'A timber boathouse beside calm water',
    );
    await page.locator('.pane-head').first().click();
    await page.keyboard.press(']');
    await expect(shed.locator('h2')).toHaveText('Bellfield');
    await page.keyboard.press('[');
    await page.keyboard.press('[');
    await expect(page.locator('.bar-entry')).toContainText('12 of 12');
    for (let i = 0; i < 2; i += 1) await page.keyboard.press('[');
    await expect(shed.locator('h2')).toHaveText('Juniper Lock');
    await expect(shed.locator('img')).toHaveCount(0);
    await expect(bench.row('Picture').locator('td.shows')).toContainText('hides the element');
    await bench.saved();
  });

  await test.step('9: the definition changes; every instance follows, own and bound values stay', async () => {
    await page.keyboard.press('b');
    await expect(sentence).toContainText('3 instances in 3 documents, on 14 published pages');
    await bench.tab('Style');
    await bench.declare('padding', '96px 48px');
    const shed = canvas.locator('main > section').first();
    await expect(shed).toHaveCSS('padding-top', '96px');
    // The picture before the words.
    await page.locator('.outline-row.is-picture').click();
    await page.keyboard.press('Alt+ArrowUp');
    await page.keyboard.press(']');
    await expect(shed.locator(':scope > div > *').first()).toHaveJSProperty('tagName', 'IMG');
    await expect(shed.locator('h2')).toHaveText('Kettlewick');
    await bench.go('go /about');
    const about = canvas.locator('main > section').last();
    await expect(about).toHaveCSS('padding-top', '96px');
    await expect(about.locator('h2')).toHaveText('We began in a shed');
    await expect(about.locator('a')).toHaveCount(0);
    await bench.saved();
  });

  await test.step('10: all of it is undone and done again, a word at a time', async () => {
    const redo = page.getByRole('button', { name: 'Redo' });
    await bench.open('page-about');
    await bench.clickOn(canvas.locator('main > section').last().locator('h2'), 'page', true);
    await page.keyboard.type('We began again');
    await page.keyboard.press('Escape');
    const heading = canvas.locator('main > section').last().locator('h2');
    await expect(heading).toHaveText('We began again');
    await page.keyboard.press('Control+z');
    await expect(heading).toHaveText('We began');
    await page.keyboard.press('Control+z');
    await expect(heading).toHaveText('We');
    await page.keyboard.press('Control+z');
    await expect(heading).toHaveText('We began in a shed');
    await page.keyboard.press('Control+Shift+z');
    await page.keyboard.press('Control+Shift+z');
    await page.keyboard.press('Control+Shift+z');
    await expect(heading).toHaveText('We began again');
    await expect(redo).toBeDisabled();
    for (let i = 0; i < 3; i += 1) await page.keyboard.press('Control+z');
    await expect(heading).toHaveText('We began in a shed');
    await bench.saved();
  });

  await test.step('11: what will change and why, progress, and the right words on every page', async () => {
    await page.keyboard.press('p');
    await expect(
      page.frameLocator('.preview-frame').locator('h2', { hasText: 'We began in a shed' }),
    ).toBeVisible();
    await page.keyboard.press('p');
    await page.getByRole('button', { name: /^Publish 19 pages/ }).click();
    await expect(page.getByRole('row', { name: /\/sheds\/millgate/ })).toContainText(
      'the page is new',
    );
    await page.getByRole('button', { name: 'Publish 19 pages' }).click();
    await expect(page.getByText('Release 1 is live.')).toBeVisible({ timeout: 20_000 });
    await expect(page.getByText('Nothing would change')).toBeVisible();
    const refused = await request.post('/api/sites/brackenfold/releases');
    expect(refused.status()).toBe(409);
    await page.goto(PUBLISHED + '/');
    await expect(
      page.getByRole('heading', { name: 'Twelve sheds, one of them yours' }),
    ).toBeVisible();
    await page.goto(PUBLISHED + '/about');
    await expect(page.getByRole('heading', { name: 'We began in a shed' })).toBeVisible();
    const { documents } = (await (await request.get('/api/sites/brackenfold')).json()) as {
      documents: Record<
        string,
        { kind: string; type?: string; slug?: string; values?: Record<string, { value: unknown }> }
      >;
    };
    const sheds = Object.values(documents).filter(
      ({ kind, type }) => kind === 'entry' && type === 'shed',
    );
    expect(sheds).toHaveLength(12);
    for (const { slug, values } of sheds) {
      await page.goto(`${PUBLISHED}/sheds/${slug}`);
      const intro = page.locator('main > section').first();
      await expect(intro.locator('h2')).toHaveText(String(values!['shed-name']!.value));
      await expect(intro.locator('p')).toHaveText(String(values!['shed-summary']!.value));
      await expect(intro.locator('img')).toHaveCount(values!['shed-picture'] ? 1 : 0);
      await expect(intro.locator('a')).toHaveAttribute(
        'href',
        `mailto:${slug}@brackenfold.example?subject=A%20bench`,
      );
    }
    await page.goto('/sites/brackenfold/bench/page-home');
    await expect(page.getByRole('button', { name: 'All published' })).toBeVisible();
  });

  await test.step('12: a reload in the middle of typing loses nothing', async () => {
    await bench.clickOn(canvas.locator('main > section').nth(1).locator('h2'), 'page', true);
    await expect(canvas.locator('[contenteditable]')).toBeVisible();
    await page.keyboard.type('Twelve sheds, typed and reloaded');
    await page.reload();
    await expect(canvas.locator('main > section').nth(1).locator('h2')).toHaveText(
      'Twelve sheds, typed and reloaded',
    );
    await expect(page.getByRole('button', { name: 'Publish 1 page' })).toBeVisible();
    await page.getByRole('button', { name: 'Publish 1 page' }).click();
    await expect(page.getByRole('row', { name: /the page \/ changed/ })).toBeVisible();
  });
});
