import { readFile } from 'node:fs/promises';
import { expect, type Page } from '@playwright/test';
import { zipSync } from 'fflate';
import { BenchHand, ownSite } from './bench';
import { test } from './test';

/** Content: types and their fields, entries in a table, files in and out, as an agency moves a client's in. */

// All of it on one site, of which each test changes what is its own.
test.describe.configure({ mode: 'serial' });
let made: string | undefined;
const ownSiteOnce = async (page: Page): Promise<string> =>
  (made ??= await ownSite(page, 'content'));

const cell = (page: Page, row: number, column: number) => page.locator(`#entries-${row}-${column}`);

async function choose(page: Page, label: string, option: string): Promise<void> {
  await page.getByRole('combobox', { name: label, exact: true }).click();
  await page
    .locator('.ant-select-dropdown:visible .ant-select-item-option', { hasText: option })
    .first()
    .click();
}

/** The bench on the page of each shed, with a heading that was placed there and its values below. */
async function withHeading(page: Page): Promise<BenchHand> {
  const bench = new BenchHand(page);
  await page.goto(`${await ownSiteOnce(page)}/bench/page-shed`);
  await expect(bench.canvas.locator('main')).toBeVisible();
  await bench.go('place heading');
  await page.keyboard.press('Escape');
  await bench.tab('Values');
  return bench;
}

async function addField(page: Page, name: string, holds: string): Promise<void> {
  await page.getByRole('textbox', { name: 'Name of a new field' }).fill(name);
  await choose(page, 'What the new field holds', holds);
  await page.getByRole('button', { name: 'Add it' }).click();
}

async function takeIn(page: Page, name: string, content: string | Buffer): Promise<void> {
  await page.getByRole('button', { name: 'Take in …' }).click();
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('menuitem', { name: /^a file/ }).click();
  await (
    await chooser
  ).setFiles({
    name,
    mimeType: 'application/octet-stream',
    buffer: Buffer.from(content),
  });
  await expect(page.getByRole('dialog')).toBeVisible();
}

test('a type gets fields; what becomes of values is seen before one holds something else, and comes back', async ({
  page,
}) => {
  const site = await ownSiteOnce(page);
  await page.goto(`${site}/content`);
  await page.getByRole('button', { name: 'Make a content type' }).click();
  await page.getByRole('textbox', { name: 'One is called' }).fill('Tool');
  await page.getByRole('button', { name: 'Make it' }).click();
  await expect(page.getByRole('heading', { name: 'Tools', exact: true })).toBeVisible();
  await page.getByRole('link', { name: 'Fields', exact: true }).click();
  await addField(page, 'Age', 'number');
  await addField(page, 'Bought', 'date');
  const table = page.getByRole('table', { name: 'Fields of Tool' });
  await expect(table.getByRole('textbox', { name: 'Label of bought' })).toHaveValue('Bought');
  // Further up by a press, under a heading of its own, required, with help.
  await page.getByRole('button', { name: 'Bought: further up' }).click();
  await expect(
    table.getByRole('row').nth(2).getByRole('textbox', { name: 'Label of bought' }),
  ).toBeVisible();
  await choose(page, 'Heading over Age', 'a new heading');
  await expect(page.getByRole('textbox', { name: 'Name of the heading Age' })).toBeVisible();
  await page.getByRole('checkbox', { name: 'Bought is required' }).check();
  const help = page.getByRole('textbox', { name: 'Help for Bought' });
  await help.fill('The day on the bill.');
  await help.press('Enter');

  await page.getByRole('link', { name: 'Entries', exact: true }).click();
  await page.getByRole('button', { name: 'Add a tool' }).click();
  await page.getByRole('textbox', { name: 'Title' }).fill('Lathe');
  await expect(page.getByRole('note')).toHaveText('Missing: Bought.');
  await expect(page.getByText('The day on the bill.')).toBeVisible();
  await page
    .getByRole('spinbutton', { name: 'Age' })
    .or(page.getByRole('textbox', { name: 'Age' }))
    .fill('40');
  await page.getByRole('textbox', { name: 'Slug' }).focus();
  // An address that nobody typed follows the title.
  await expect(page.getByRole('textbox', { name: 'Slug' })).toHaveValue('lathe');

  await page.getByRole('link', { name: 'Fields', exact: true }).click();
  await choose(page, 'What Age holds', 'date');
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('1 tool holds something in it: 1 shows nothing');
  await expect(dialog.getByRole('link', { name: 'Lathe' })).toBeVisible();
  await dialog.getByRole('button', { name: 'Change the type' }).click();
  await expect(dialog).toBeHidden();
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Remove Age' }).click();
  await expect(dialog).toContainText('Nothing that was written is deleted');
  await dialog.getByRole('button', { name: 'Remove the field' }).click();
  await expect(table.getByRole('textbox', { name: 'Label of age' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('link', { name: 'Entries', exact: true }).click();
  await expect(page.getByRole('grid')).toContainText('40');
  // A page of each, whose address ends in the slug.
  await page.getByRole('link', { name: 'Fields', exact: true }).click();
  await page.getByRole('button', { name: 'Make a page for each tool' }).click();
  await expect(page.getByText('each tool has one at')).toContainText('/tools/<slug>');
});

test('entries are looked through, filled like a sheet by keys alone, and a view is kept with an address', async ({
  page,
}) => {
  const site = await ownSiteOnce(page);
  await page.goto(`${site}/content/session`);
  const grid = page.getByRole('grid', { name: 'Sessions' });
  await expect(grid).toHaveAttribute('aria-rowcount', '61');
  await grid.focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  const hours = cell(page, 0, 2);
  await expect(hours).toHaveAttribute('aria-selected', 'true');
  await page.keyboard.type('9 to 5');
  await page.keyboard.press('Enter');
  await expect(hours).toHaveText('9 to 5');
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('Shift+ArrowDown');
  await page.keyboard.press('Shift+ArrowDown');
  await page.keyboard.press('Control+d');
  await expect(cell(page, 2, 2)).toHaveText('9 to 5');
  await page.keyboard.press('Delete');
  await expect(cell(page, 1, 2)).toHaveText('');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(cell(page, 1, 2)).toHaveText('9 to 5');
  // A block from a spreadsheet, over two columns; one cell that is no day is told, and nothing is taken.
  const paste = (text: string) =>
    grid.evaluate((element, words) => {
      const data = new DataTransfer();
      data.setData('text/plain', words);
      element.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true }));
    }, text);
  await cell(page, 0, 1).click();
  await paste('2026-12-24\tall day\n25 December 2026\tall night');
  await expect(cell(page, 1, 1)).toHaveText('December 25, 2026');
  await expect(cell(page, 0, 2)).toHaveText('all day');
  await paste('someday\tnever');
  await expect(page.getByRole('alert')).toContainText('“someday” is no date');
  await expect(cell(page, 0, 2)).toHaveText('all day');
  // What is copied is what any program reads.
  await cell(page, 0, 1).click();
  await page.keyboard.press('Shift+ArrowRight');
  const copied = await grid.evaluate((element) => {
    const data = new DataTransfer();
    element.dispatchEvent(new ClipboardEvent('copy', { clipboardData: data, bubbles: true }));
    return data.getData('text/plain');
  });
  expect(copied).toBe('2026-12-24\tall day');

  await page.getByRole('button', { name: /Only where/ }).click();
  await page.getByRole('button', { name: 'Add a condition' }).click();
  await choose(page, 'Field of the condition', 'Shed');
  // The list is long: it is looked through by typing.
  await page.getByRole('combobox', { name: 'Shed, compared with', exact: true }).click();
  await page.keyboard.type('Millg');
  await page.keyboard.press('Enter');
  await expect(grid).toHaveAttribute('aria-rowcount', '12');
  await page.keyboard.press('Escape');
  await page.getByRole('columnheader', { name: /^Day/ }).getByRole('button').click();
  await choose(page, 'View', 'Keep this view');
  await page.getByRole('textbox', { name: 'Name of the view' }).fill('At Millgate');
  await page.getByRole('button', { name: 'Keep it', exact: true }).click();
  await expect(page).toHaveURL(/\?view=/);
  await expect(page.locator('.bar-saved')).toHaveText('Saved');
  await page.reload();
  await expect(grid).toHaveAttribute('aria-rowcount', '12');
  await expect(page.getByRole('columnheader', { name: /^Day/ })).toHaveAttribute(
    'aria-sort',
    'ascending',
  );
  await page.getByRole('textbox', { name: 'Find in Sessions' }).fill('zips');
  await expect(grid).toHaveAttribute('aria-rowcount', '2');
});

test('several entries are duplicated, drafted and removed at once; who refers to one is said before', async ({
  page,
}) => {
  const site = await ownSiteOnce(page);
  await page.goto(`${site}/content/shed`);
  const grid = page.getByRole('grid', { name: 'Sheds' });
  await grid.focus();
  await page.keyboard.press('Shift+ArrowDown');
  await page.getByRole('button', { name: 'Duplicate' }).click();
  await expect(grid).toHaveAttribute('aria-rowcount', '15');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(grid).toHaveAttribute('aria-rowcount', '13');
  await page.getByRole('button', { name: 'Remove', exact: true }).click();
  const dialog = page.getByRole('dialog', { name: 'Remove 2 entries?' });
  await expect(dialog.getByRole('note')).toContainText('refer to them');
  await dialog.getByRole('button', { name: 'Remove' }).click();
  await expect(grid).toHaveAttribute('aria-rowcount', '11');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(grid).toHaveAttribute('aria-rowcount', '13');
});

test('a file of rows is taken in: matched, mended where it is faulty, one step; written out and read back, nothing changes', async ({
  page,
}) => {
  const site = await ownSiteOnce(page);
  await page.goto(`${site}/content/session`);
  const grid = page.getByRole('grid', { name: 'Sessions' });
  await takeIn(
    page,
    'sessions.csv',
    // As a spreadsheet of a German office writes it: Windows-1252, semicolons, days before months.
    Buffer.from(
      'Title;Day;Hours;Shed;Plätze\r\nRadios;24.12.2026;9:00;Millgate;1.200,5\r\nKettles;31.11.2026;10:00;Nowhere;8\r\n',
      'latin1',
    ),
  );
  const dialog = page.getByRole('dialog');
  await expect(dialog.locator('.taking-way', { hasText: 'Encoding' })).toContainText(
    'windows-1252',
  );
  await expect(dialog.locator('.taking-way', { hasText: 'Between cells' })).toContainText(
    'semicolon',
  );
  await expect(dialog.locator('.taking-way', { hasText: 'Decimals after' })).toContainText(
    'a comma',
  );
  await expect(dialog.locator('.taking-way', { hasText: 'Dates in digits' })).toContainText(
    'day, month, year',
  );
  await expect(dialog.getByRole('row', { name: /Plätze/ })).toContainText('a new field: number');
  const faulty = dialog.getByRole('listitem').filter({ hasText: 'faulty' });
  await expect(faulty).toContainText('There is no entry “Nowhere”.');
  await dialog.getByRole('textbox', { name: 'Day of line 3' }).fill('30.11.2026');
  await dialog.getByRole('textbox', { name: 'Day of line 3' }).press('Enter');
  await dialog.getByRole('checkbox', { name: /Make entries and options/ }).check();
  await expect(faulty).toHaveCount(0);
  await dialog.getByRole('button', { name: 'Take in 2 new' }).click();
  await expect(dialog).toBeHidden();
  await expect(grid).toHaveAttribute('aria-rowcount', '63');
  await page.getByRole('textbox', { name: 'Find in Sessions' }).fill('kettles');
  await expect(grid).toContainText('November 30, 2026');
  await expect(grid).toContainText('Nowhere');
  await page.getByRole('textbox', { name: 'Find in Sessions' }).fill('');

  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Write out …' }).click();
  await page.getByRole('menuitem', { name: /^all 62 as CSV/ }).click();
  const written = await readFile(await (await download).path(), 'utf8');
  // RFC 4180: lines end in CRLF, the first of them names the columns.
  expect(written.split('\r\n')[0]).toBe('slug,draft,Title,Day,Hours,Shed,Plätze');
  await takeIn(page, 'again.csv', written);
  await expect(dialog.getByText('62 left alone')).toBeVisible();
  await expect(dialog.getByRole('button', { name: 'Take it in' })).toBeDisabled();
  await dialog.getByRole('button', { name: 'Leave it' }).click();
  await expect(dialog).toBeHidden();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(grid).toHaveAttribute('aria-rowcount', '61');
});

test('an archive brings rows and the pictures that they name; a new type is made of it', async ({
  page,
}) => {
  const site = await ownSiteOnce(page);
  await page.goto(`${site}/content`);
  const svg = (colour: string) =>
    new TextEncoder().encode(
      `<svg xmlns="http://www.w3.org/2000/svg" width="40" height="30"><rect width="40" height="30" fill="${colour}"/></svg>`,
    );
  const rows = JSON.stringify([
    { name: 'Ash', photo: 'ash.svg', at: { town: 'Millgate' } },
    { name: 'Elm', photo: 'elm.svg', at: { town: 'Dunmoor' } },
  ]);
  await takeIn(
    page,
    'trees.zip',
    Buffer.from(
      zipSync({
        'trees/rows.json': new TextEncoder().encode(rows),
        'trees/photos/ash.svg': svg('teal'),
        'trees/photos/elm.svg': svg('olive'),
      }),
    ),
  );
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByText('2 of 2 pictures came along.')).toBeVisible();
  await choose(page, 'Goes into', 'a new content type');
  await dialog.getByRole('textbox', { name: 'One is called' }).fill('Tree');
  await dialog.getByRole('textbox', { name: 'Many are' }).fill('Trees');
  await expect(dialog.getByRole('row', { name: /photo/ })).toContainText('a new field: image');
  await dialog.getByRole('button', { name: 'Take in 2 new' }).click();
  const grid = page.getByRole('grid', { name: 'Trees' });
  await expect(grid).toHaveAttribute('aria-rowcount', '3');
  await expect(grid.locator('img')).toHaveCount(2);
  await expect(grid).toContainText('Millgate');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('navigation', { name: 'Content types' })).not.toContainText('Trees');
});

test('the archive that ships is taken in: a type of tools, each with its picture, lent by a shed', async ({
  page,
}) => {
  const site = await ownSiteOnce(page);
  await page.goto(`${site}/content`);
  await takeIn(page, 'tools.zip', await readFile('demo/content/tools.zip'));
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByText('6 of 6 pictures came along.')).toBeVisible();
  await choose(page, 'Goes into', 'a new content type');
  await dialog.getByRole('textbox', { name: 'One is called' }).fill('Implement');
  await dialog.getByRole('textbox', { name: 'Many are' }).fill('Implements');
  await dialog.getByRole('button', { name: 'Take in 6 new' }).click();
  const grid = page.getByRole('grid', { name: 'Implements' });
  await expect(grid.locator('img')).toHaveCount(6);
  await expect(grid).toContainText('Darning egg');
  await page.getByRole('button', { name: 'Undo' }).click();
});

test('files are brought in many at once, the same one twice is told; named, replaced, unused ones removed together', async ({
  page,
}) => {
  const site = await ownSiteOnce(page);
  await page.goto(`${site}/files`);
  const svg = (colour: string, size = 40) => ({
    name: `${colour}.svg`,
    mimeType: 'image/svg+xml',
    buffer: Buffer.from(
      `<svg xmlns="http://www.w3.org/2000/svg" width="${size}" height="30"><rect width="${size}" height="30" fill="${colour}"/></svg>`,
    ),
  });
  const bringIn = async (files: Parameters<Page['setInputFiles']>[1]) => {
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Bring files in', exact: true }).click();
    await (await chooser).setFiles(files);
  };
  await bringIn([svg('teal'), svg('olive'), { ...svg('teal'), name: 'again.svg' }]);
  await expect(page.getByRole('alert')).toContainText('again.svg is there already');
  const row = (name: string) =>
    page.getByRole('row').filter({ has: page.getByRole('textbox', { name: `Name of ${name}` }) });
  await expect(row('teal.svg')).toContainText('nothing');
  const name = page.getByRole('textbox', { name: 'Name of teal.svg' });
  await name.fill('sea.svg');
  await name.press('Enter');
  await expect(row('sea.svg')).toContainText('40 × 30');
  const chooser = page.waitForEvent('filechooser');
  await row('sea.svg').getByRole('button', { name: 'Replace' }).click();
  await (await chooser).setFiles(svg('navy', 90));
  await expect(row('sea.svg')).toContainText('90 × 30');
  await page.getByRole('button', { name: /^Remove \d+ unused/ }).click();
  await page.locator('.ant-popover').getByRole('button', { name: 'Remove' }).click();
  await expect(row('sea.svg')).toHaveCount(0);
  await expect(row('sheds/millgate.svg')).toContainText('Millgate');
  // A name with a slash stands in a folder; what is brought in there, or dropped on it, stands there too.
  await expect(page.getByRole('table', { name: 'Files in sheds' })).toContainText('Bellfield');
  const dropped = await page.evaluateHandle((text) => {
    const data = new DataTransfer();
    data.items.add(new File([text], 'weir.svg', { type: 'image/svg+xml' }));
    return data;
  }, svg('plum').buffer.toString());
  await page
    .getByRole('table', { name: 'Files in sheds' })
    .dispatchEvent('drop', { dataTransfer: dropped });
  await expect(row('sheds/weir.svg')).toContainText('40 × 30');
  await page.getByRole('textbox', { name: 'Name of sheds/weir.svg' }).fill('weirs/old.svg');
  await page.getByRole('textbox', { name: 'Name of sheds/weir.svg' }).press('Enter');
  await expect(page.getByRole('table', { name: 'Files in weirs' })).toContainText('nothing');
  // Several are moved together, as one step; what is chosen is told, and is chosen no more.
  await page.getByRole('checkbox', { name: 'Choose weirs/old.svg' }).press('Space');
  await page.getByRole('checkbox', { name: 'Choose sheds/millgate.svg' }).press('Space');
  const chosen = page.getByRole('group', { name: 'What was chosen' });
  await expect(chosen).toContainText('2 files chosen');
  await chosen.getByRole('combobox', { name: 'Folder to move to' }).fill(' sheds // mills/');
  await page.keyboard.press('Escape');
  await chosen.getByRole('button', { name: 'Move to sheds/mills' }).click();
  const mills = page.getByRole('table', { name: 'Files in sheds/mills' });
  await expect(mills.getByRole('row')).toHaveCount(3);
  await expect(chosen).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(mills).toHaveCount(0);
  await expect(row('sheds/millgate.svg')).toHaveCount(1);
  for (const _ of [1, 2, 3]) await page.getByRole('button', { name: 'Undo' }).click();
  await expect(row('sea.svg')).toHaveCount(1);
});

test('a content type is made from a JSON Schema, and written out as one', async ({ page }) => {
  const site = await ownSiteOnce(page);
  await page.goto(`${site}/content`);
  await page.getByRole('button', { name: 'Make a content type' }).click();
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'From a JSON Schema' }).click();
  await (
    await chooser
  ).setFiles({
    name: 'tree.schema.json',
    mimeType: 'application/schema+json',
    buffer: Buffer.from(
      JSON.stringify({
        $schema: 'https://json-schema.org/draft/2020-12/schema',
        title: 'Tree',
        type: 'object',
        required: ['name'],
        properties: {
          name: { type: 'string', maxLength: 40, pattern: '^[A-Z]' },
          planted: { type: 'string', format: 'date', description: 'The day it was planted.' },
          height: { type: 'number', minimum: 0 },
        },
      }),
    ),
  });
  const dialog = page.getByRole('dialog', { name: 'Make a content type' });
  await expect(dialog).toContainText('/properties/name/pattern');
  await dialog.getByRole('button', { name: 'Make it without these' }).click();
  await expect(page.getByRole('table', { name: 'Fields of Tree' })).toBeVisible();
  await expect(page.getByRole('textbox', { name: 'Help for planted' })).toHaveValue(
    'The day it was planted.',
  );
  await expect(page.getByRole('checkbox', { name: 'name is required' })).toBeChecked();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Write it out' }).click();
  const written = JSON.parse(await readFile(await (await download).path(), 'utf8')) as {
    title: string;
    required: string[];
    properties: Record<string, { format?: string }>;
  };
  expect(written).toMatchObject({ title: 'Tree', required: ['name'] });
  expect(written.properties['planted']!.format).toBe('date');
});

test('an entry is published from a time on and taken back at one, by the clocks of the site; how it stands is seen', async ({
  page,
}) => {
  const site = await ownSiteOnce(page);
  await page.goto(`${site}/settings`);
  await choose(page, 'Time zone of the site', 'America/New York');
  await page.goto(`${site}/content/session`);
  const stands = page.getByRole('region', { name: /^Entry/ });
  await page.getByRole('link', { name: 'Open Bicycle chains' }).click();
  await expect(stands.locator('.entry-state')).toContainText(
    'ready: the next release publishes it',
  );
  await expect(stands.locator('.entry-dates')).toContainText(/^made /);
  const from = stands.getByLabel('Published from');
  await from.fill('2099-12-24T08:00');
  await from.press('Enter');
  await expect(stands.locator('.entry-state')).toContainText('from 24 Dec 2099, 08:00');
  // Half typed it is no time, and takes none away.
  await from.focus();
  await page.keyboard.press('Backspace');
  await from.blur();
  await expect(stands.getByRole('alert')).toContainText('not yet a day and a time');
  await expect(stands.locator('.entry-state')).toContainText('from 24 Dec 2099, 08:00');
  await from.press('Escape');
  await expect(from).toHaveValue('2099-12-24T08:00');
  // Refused where it was typed, and nothing of it lost.
  const until = stands.getByLabel('Taken back at');
  await until.fill('2099-12-23T08:00');
  await until.press('Enter');
  await expect(stands.getByRole('alert')).toContainText('taken back before it is published');
  await expect(until).toHaveValue('2099-12-23T08:00');
  await until.press('Escape');
  await expect(until).toHaveValue('');
  await stands.getByText('History').click();
  // Eight o’clock in New York is one in the afternoon in UTC (EST, UTC-5, tz database).
  await expect(stands).toContainText('from 24 December 2099 at 13:00 UTC on');
  await stands.getByRole('button', { name: 'close' }).click();
  await page.getByPlaceholder('find in all texts').fill('Bicycle chains');
  const row = page.getByRole('row', { name: /Bicycle chains/ });
  await expect(row).toContainText('from 24 Dec 2099');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(row).toContainText('ready');
  await page.getByRole('button', { name: 'Redo' }).click();
  await expect(row).toContainText('from 24 Dec 2099');
  await page.reload();
  await expect(row).toContainText('from 24 Dec 2099');
});

test('several entries get their times at once, in one step for each; which entry was changed last stands first where that is asked', async ({
  page,
}) => {
  const site = await ownSiteOnce(page);
  await page.goto(`${site}/content/shed`);
  await page.getByRole('grid', { name: 'Sheds' }).focus();
  await page.keyboard.press('Shift+ArrowDown');
  await page.keyboard.press('Shift+ArrowDown');
  const names = await Promise.all([0, 1, 2].map((i) => cell(page, i, 0).textContent()));
  const acts = page.getByRole('toolbar', { name: 'What is selected' });
  await acts.getByRole('button', { name: 'Times' }).click();
  const dialog = page.getByRole('dialog', { name: 'When 3 entries are there' });
  const from = dialog.getByLabel('Published from');
  await from.fill('2099-03-01T09:30');
  await from.press('Enter');
  await dialog.getByLabel('Taken back at').fill('2099-03-02T09:30');
  await dialog.getByLabel('Taken back at').press('Enter');
  await page.keyboard.press('Escape');
  await expect(dialog).toBeHidden();
  const timed = page.getByRole('row').filter({ hasText: 'from 1 Mar 2099' });
  await expect(timed).toHaveCount(3);
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(timed).toHaveCount(0);

  // Every entry has days without anybody typing them.
  await page.getByRole('button', { name: /^Columns/ }).click();
  await page.getByRole('checkbox', { name: 'Changed' }).check();
  await page.keyboard.press('Escape');
  await page
    .getByRole('columnheader', { name: /^Changed/ })
    .getByRole('button')
    .click();
  await page
    .getByRole('columnheader', { name: /^Changed/ })
    .getByRole('button')
    .click();
  // The server is asked how entries stand a moment after an edit.
  await expect(async () => {
    for (const i of [0, 1, 2]) expect(names).toContain(await cell(page, i, 0).textContent());
  }).toPass();
});

test('the day on which an entry was changed is bound as a field, sorted by, and published', async ({
  page,
}) => {
  await page.goto(`${await ownSiteOnce(page)}/settings`);
  await choose(page, 'Time zone of the site', 'America/New York');
  const bench = await withHeading(page);
  await bench.choose('Heading text, bound to', 'shed · changed');
  // It is the day on which the site was made, by its clocks: as Intl writes it in the language of the site (ECMA-402).
  const today = new Intl.DateTimeFormat('en', {
    dateStyle: 'long',
    timeZone: 'America/New_York',
  }).format();
  await expect(bench.canvas.locator('main > h2', { hasText: today })).toBeVisible();
  await bench.saved();
  await page.getByRole('button', { name: 'Preview' }).click();
  const preview = page.locator('iframe').contentFrame();
  await expect(preview.locator('main > h2', { hasText: today })).toBeVisible();
});

test('an entry has its page beside it, live, at any width, and its history below', async ({
  page,
}) => {
  await page.goto(`${await ownSiteOnce(page)}/content/shed/shed-millgate`);
  await page.getByRole('button', { name: 'its page beside' }).click();
  await expect(page).toHaveURL(/beside=page/);
  const drawn = page
    .getByRole('region', { name: 'Page /sheds/millgate' })
    .locator('iframe')
    .contentFrame();
  await expect(drawn.locator('body')).toContainText('Sessions here');
  const name = page.getByRole('textbox', { name: 'Name', exact: true });
  await name.fill('Millgate by the weir');
  await expect(drawn.locator('body')).toContainText('Millgate by the weir');
  await page.getByText('600', { exact: true }).click();
  await expect
    .poll(() => drawn.locator('body').evaluate(() => window.innerWidth))
    .toBeLessThanOrEqual(600);
  await page.getByText('History', { exact: true }).click();
  await expect(page.locator('.entry-history li').first()).toContainText('name of Millgate');
  await page.reload();
  await expect(drawn.locator('body')).toContainText('Millgate by the weir');
  await page.getByRole('button', { name: 'table beside' }).click();
  await expect(page.getByRole('grid')).toBeVisible();
});

test('a field is dragged from the shelf onto what shows it on the page, and onto a property', async ({
  page,
}) => {
  const site = await ownSiteOnce(page);
  await page.goto(`${site}/bench/page-shed?entry=shed-dunmoor`);
  const canvas = page.frameLocator('iframe[title="The page"]');
  const heading = canvas.locator('main h1');
  await expect(heading).toHaveText('Dunmoor');
  await page.getByRole('radio', { name: 'fields' }).click();
  const field = page.getByText('Street', { exact: true });
  const drag = async (to: { x: number; y: number; width: number; height: number }) => {
    const from = (await field.boundingBox())!;
    await page.mouse.move(from.x + 8, from.y + 8);
    await page.mouse.down();
    await page.mouse.move(to.x + 20, to.y + to.height / 2, { steps: 6 });
    await page.mouse.move(to.x + 24, to.y + to.height / 2, { steps: 2 });
    await page.mouse.up();
  };
  await drag((await heading.boundingBox())!);
  await expect(heading).not.toHaveText('Dunmoor');
  const street = (await heading.textContent())!;
  await expect(page.getByText('is the street of the entry now')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(heading).toHaveText('Dunmoor');
  // Onto the row of a property; and by Enter to what is selected.
  await page.locator('.outline-row', { hasText: 'Join band' }).click();
  const row = page.locator('.ledger tr', { has: page.locator('th', { hasText: 'Heading' }) });
  await drag((await row.first().boundingBox())!);
  await expect(row.first()).toContainText('shed · street');
  await expect(canvas.getByRole('heading', { name: street })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(canvas.getByRole('heading', { name: street })).toHaveCount(0);
  await page.locator('.outline-row', { hasText: 'Heading' }).first().click();
  await page.locator('.shelf-item', { has: field }).focus();
  await page.keyboard.press('Enter');
  await expect(heading).toHaveText(street);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(heading).toHaveText('Dunmoor');
});

test('a field dragged onto a definition, and a picture dropped onto what one shows, become properties that are set on this page', async ({
  page,
}) => {
  const site = await ownSiteOnce(page);
  const bench = new BenchHand(page);
  await page.goto(`${site}/bench/page-shed?entry=shed-dunmoor`);
  await expect(bench.canvas.locator('main h1')).toHaveText('Dunmoor');
  await bench.go('place words and picture');
  await page.keyboard.press('Escape');
  await page.locator('.outline-row', { hasText: 'Words and picture' }).click();
  await page.keyboard.press('m');
  await page.getByRole('textbox', { name: 'Name of the component' }).fill('Sections/Own intro');
  await page.getByRole('button', { name: 'Make component' }).click();
  const inside = bench.definition.locator('h2');
  await expect(inside).toBeVisible();
  const [before, shown] = [await inside.textContent(), bench.canvas.locator('main section h2')];
  const heading = shown.filter({ hasText: before! });
  await expect(heading).toHaveCount(1);

  await page.getByRole('radio', { name: 'fields' }).click();
  const from = (await page.getByText('Street', { exact: true }).boundingBox())!;
  await page.mouse.move(from.x + 8, from.y + 8);
  await page.mouse.down();
  const to = (await inside.boundingBox())!;
  await page.mouse.move(to.x + 20, to.y + to.height / 2, { steps: 6 });
  await page.mouse.move(to.x + 24, to.y + to.height / 2, { steps: 2 });
  await page.mouse.up();
  await expect(page.getByText('Street is a property now')).toBeVisible();
  await expect(heading).toHaveCount(0);
  await expect(inside).toHaveText(before!);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(heading).toHaveCount(1);

  // A picture, from the page alone: there the definition is not open for it.
  const picture = bench.canvas.locator('main section img').last();
  const source = await picture.getAttribute('src');
  const drop = async (name: string, colour: string) => {
    const { x, y, width, height } = (await picture.boundingBox())!;
    const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="80" height="60"><path fill="${colour}" d="M0 0h80v60H0z"/></svg>`;
    const fire = (type: 'dragenter' | 'dragover' | 'drop') =>
      page.locator('[data-canvas=page]').evaluate(
        (over, [event, at, called, drawn]) => {
          const dataTransfer = new DataTransfer();
          dataTransfer.items.add(new File([drawn], called, { type: 'image/svg+xml' }));
          const more = { dataTransfer, bubbles: true, cancelable: true, ...at };
          over.dispatchEvent(new DragEvent(event, more));
        },
        [type, { clientX: x + width / 2, clientY: y + height / 2 }, name, svg] as const,
      );
    await fire('dragenter');
    await fire('dragover');
    await expect(page.locator('.mark-hover')).toBeVisible();
    await fire('drop');
  };
  await picture.scrollIntoViewIfNeeded();
  await drop('gate.svg', 'teal');
  await expect(page.getByText('is a property now: here it is gate.svg')).toBeVisible();
  await expect(picture).not.toHaveAttribute('src', source!);
  await expect(bench.definition.locator('img')).toHaveAttribute('src', source!);
  const first = await picture.getAttribute('src');
  await drop('door.svg', 'peru');
  await expect(page.getByText('It shows door.svg now')).toBeVisible();
  await expect(picture).not.toHaveAttribute('src', first!);
  for (const back of [first, source]) {
    await page.getByRole('button', { name: 'Undo' }).click();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(picture).toHaveAttribute('src', back!);
  }
});

test('a file is moved to another folder by dragging its picture, and with it all that were chosen', async ({
  page,
}) => {
  const site = await ownSiteOnce(page);
  await page.goto(`${site}/files`);
  const folder = page.locator('.file-folder', {
    has: page.getByRole('heading', { name: /^sheds/ }),
  });
  await expect(folder.getByLabel('Name of sheds/millgate.svg')).toBeVisible();
  await page.getByRole('checkbox', { name: 'Choose bench.svg' }).check();
  await page.getByRole('checkbox', { name: 'Choose table.svg' }).check();
  const from = (await page
    .getByRole('row', { name: /bench\.svg/ })
    .locator('.file-picture')
    .boundingBox())!;
  const to = (await folder.getByRole('heading').boundingBox())!;
  await page.mouse.move(from.x + 20, from.y + 20);
  await page.mouse.down();
  await page.mouse.move(to.x + 20, to.y + 10, { steps: 6 });
  await page.mouse.move(to.x + 24, to.y + 12, { steps: 2 });
  await expect(page.locator('.drag-chip')).toHaveText('2 files');
  await page.mouse.up();
  await expect(folder.getByLabel('Name of sheds/bench.svg')).toBeVisible();
  await expect(folder.getByLabel('Name of sheds/table.svg')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(folder.getByLabel('Name of sheds/bench.svg')).toHaveCount(0);
});

test('a picture keeps what it says is kept, wherever it is cropped', async ({ page }) => {
  const site = await ownSiteOnce(page);
  await page.goto(`${site}/files`);
  await page
    .getByRole('button', { name: 'What of sheds/alderhithe.svg is never cropped away' })
    .click();
  const point = page.getByRole('slider', { name: /sheds\/alderhithe.svg/ });
  const box = (await point.boundingBox())!;
  await page.mouse.click(box.x + box.width * 0.2, box.y + box.height * 0.5);
  await expect(point).toHaveAttribute('aria-valuetext', '20 % from the left, 50 % from above');
  await point.press('Shift+ArrowDown');
  await point.press('ArrowLeft');
  await expect(point).toHaveAttribute('aria-valuetext', '19 % from the left, 60 % from above');
  // The browser itself says where it crops (CSS Images Level 3, 5.6: object-position).
  await page.goto(`${site}/bench/page-about`);
  const picture = page.frameLocator('iframe[title="The page"]').locator('article img').first();
  await expect(picture).toHaveCSS('object-position', '19% 60%');
  await page.keyboard.press('Control+z');
  await expect(picture).toHaveCSS('object-position', '50% 50%');
  await page.keyboard.press('Control+Shift+Z');
  await expect(picture).toHaveCSS('object-position', '19% 60%');
  // So does it where the picture lies behind something (CSS Backgrounds and Borders Level 3, 3.6: background-position).
  const bench = new BenchHand(page);
  await page.goto(`${site}/bench/page-shed`);
  await page.locator('.outline-row', { hasText: 'Join band' }).click();
  await bench.tab('Style');
  await (await bench.styleCell('background-image')).focus();
  await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  const editor = page.getByRole('dialog', { name: 'background-image by a picture' });
  await editor.getByRole('combobox', { name: 'The picture behind' }).focus();
  await page.keyboard.type('alderhithe');
  await page.keyboard.press('Enter');
  const band = bench.canvas.locator('main > section', { hasText: 'This shed is looking for you' });
  await expect(band).toHaveCSS('background-image', /^url\(/);
  await expect(band).toHaveCSS('background-position', '19% 60%');
  await editor.getByRole('button', { name: 'take the picture away' }).click();
  await expect(band).toHaveCSS('background-image', 'none');
});

test('what stands for a picture is said once, of the file, and published wherever nothing else is said', async ({
  page,
}) => {
  const site = await ownSiteOnce(page);
  await page.goto(`${site}/files`);
  const said = page.getByRole('textbox', { name: 'Alternative text of bench.svg' });
  await said.fill('Tools over a bench');
  await said.press('Enter');
  await page.goto(`${site}/bench/opening`);
  const picture = page
    .frameLocator('iframe[title="The definition"]')
    .locator('img[src*="/files/"]')
    .first();
  await expect(picture).toHaveAttribute('alt', 'Tools over a bench');
});

test('a field is made where it is missed, and filled where it is empty: counted, one after another', async ({
  page,
}) => {
  const bench = await withHeading(page);
  // The list is long: it is looked through by typing.
  await page.getByRole('combobox', { name: 'Heading text, bound to', exact: true }).click();
  await page.keyboard.type('a new field of sheds');
  await page.keyboard.press('Enter');
  // It is empty for all of them: counted, and filled one after another where that is said.
  await page.getByRole('button', { name: 'Heading text: where it is empty' }).click();
  const dialog = page.getByRole('dialog');
  const [, empty, all] = /nothing at (\d+) of (\d+)/.exec((await dialog.textContent())!)!;
  expect(Number(all)).toBeGreaterThan(5);
  expect(empty).toBe(all);
  await dialog.getByRole('textbox').first().fill('By the weir');
  await page.keyboard.press('Tab');
  await expect(dialog).toContainText(`nothing at ${Number(empty) - 1} of ${all}`);
  await page.keyboard.press('Escape');
  await expect(dialog).toBeHidden();
  await expect(bench.canvas.locator('main > h2', { hasText: 'By the weir' })).toBeVisible();
  // One undo for what was filled, one for the field with what was bound to it.
  for (const _ of [1, 2]) await page.getByRole('button', { name: 'Undo' }).click();
  await page.goto(`${await ownSiteOnce(page)}/content/shed`);
  await expect(page.getByRole('grid', { name: 'Sheds' })).toBeVisible();
  await expect(page.getByRole('columnheader', { name: /^Heading/ })).toHaveCount(0);
});
