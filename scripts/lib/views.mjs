import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { chromiumProgram } from './install.mjs';

/** Walks the main views of the demo and takes one picture of each. */
export async function takePictures(address, folder, say) {
  const browser = await chromium.launch({
    executablePath: chromiumProgram(),
    args: ['--no-sandbox', '--disable-background-networking'],
  });
  try {
    const page = await browser.newPage({
      baseURL: address,
      viewport: { width: 1280, height: 800 },
    });
    // Whoever takes the pictures has read the notes of the first time.
    await page.addInitScript(() => localStorage.setItem('sormet.bench.notes', 'true'));
    const take = async (name) => {
      await page.waitForTimeout(700);
      await page.screenshot({ path: join(folder, `${name}.png`) });
      say(`docs/screenshots/${name}.png`);
    };
    const canvas = page.frameLocator('iframe[title="The page"]');
    const clickOn = async (locator) => {
      const box = await locator.boundingBox();
      await page.mouse.click(box.x + 14, box.y + 10);
    };

    await page.goto('/');
    await page.goto('/sites/brackenfold');
    await take('pages');
    await page.goto('/sites/brackenfold/library');
    await take('library');
    await page.goto('/sites/brackenfold/library/mender-card');
    await page.locator('#roster-3-1').click();
    for (let i = 0; i < 4; i += 1) await page.keyboard.press('Shift+ArrowDown');
    await take('roster');
    await page.goto('/sites/brackenfold/content/shed/shed-millgate');
    await take('content');
    await page.goto('/sites/brackenfold/files');
    await page.getByRole('table', { name: 'Files in sheds' }).waitFor();
    await take('files');

    await page.goto('/sites/brackenfold/styles');
    await page.frameLocator('iframe[title="The specimen"]').locator('h1').first().waitFor();
    const sheet = page.getByRole('group', { name: /^The sheet/ });
    await sheet.focus();
    for (let i = 0; i < 72; i += 1) await page.keyboard.press('ArrowDown');
    await take('specimen');
    await page.goto('/sites/brackenfold/styles/tokens');
    await page.getByRole('table', { name: 'Tokens' }).waitFor();
    await take('tokens');

    await page.goto('/sites/brackenfold/edit/page-about');
    await page.getByRole('button', { name: 'top', exact: true }).first().click();
    await take('editing');
    await page.goto('/sites/brackenfold/bench/page-sessions');
    await canvas.locator('main').waitFor();
    await page.locator('.outline-row', { hasText: 'repeat: sessions' }).click();
    await take('bench-repeat');
    await page.locator('.shelf-item', { hasText: 'Card row' }).hover();
    await page.locator('.shelf-picture p', { hasText: 'full size' }).waitFor();
    await take('shelf');
    await page.mouse.move(900, 300);
    await page.goto('/sites/brackenfold/bench/button');
    await page.getByRole('radio', { name: /^quiet, large/ }).click();
    await page.locator('.outline-row', { hasText: 'Button' }).last().click();
    await page.getByRole('tab', { name: 'Style' }).click();
    await page.mouse.move(640, 20);
    await page.waitForTimeout(800);
    await take('bench-variants');

    // A button that waits, is refused, and says so: tried four times, as the service is full every fourth.
    await page.goto('/sites/brackenfold/bench/booking');
    await page.frameLocator('iframe[title="The definition"]').getByRole('button').waitFor();
    await page.getByRole('treeitem', { name: /^Button/ }).click();
    await page.keyboard.press('a');
    await page.keyboard.press('t');
    const tried = page.frameLocator('.try-frame');
    await tried.getByRole('button', { name: 'Book a bench' }).click();
    await page.getByRole('table', { name: 'What happened' }).getByText('booked').waitFor();
    await page.mouse.move(640, 20);
    await page.waitForTimeout(400);
    await take('bench-acts');
    await page.keyboard.press('Escape');

    // The main job, as far as its pictures: a section made reusable and bound to the sheds.
    await page.goto('/sites/brackenfold/bench/page-shed?entry=shed-millgate');
    await canvas.locator('main').waitFor();
    await page.waitForTimeout(800);
    await page.keyboard.press('g');
    await page.getByRole('combobox', { name: 'Go line' }).fill('place words and');
    await page.keyboard.press('Enter');
    await canvas.locator('[contenteditable]').waitFor();
    await page.keyboard.type('A shed near you');
    await page.keyboard.press('Escape');
    await page.locator('.outline-row', { hasText: 'Words and picture' }).click();
    for (let i = 0; i < 3; i += 1) await page.keyboard.press('Alt+ArrowUp');
    await page
      .locator('.pane .canvas')
      .first()
      .evaluate((view) => view.scrollTo(0, 0));
    await page.getByRole('tab', { name: 'Style' }).click();
    const declare = async (property, css, width = 'base') => {
      const cell = page.getByRole('combobox', { name: `${property}, ${width}`, exact: true });
      const folded = page.locator('.more-rows[aria-expanded=false]');
      while ((await cell.count()) === 0) await folded.first().click();
      await cell.fill(css);
      await cell.press('Enter');
    };
    await declare('background-color', '#f3e6d3');
    await declare('padding', '56px 80px');
    await declare('padding', '28px 20px', '600 and below');
    await page.keyboard.press('Escape');
    await page.keyboard.press('m');
    await page.getByRole('textbox', { name: 'Name of the component' }).fill('Sections/Shed intro');
    await page.getByRole('button', { name: 'Make component' }).click();
    await page
      .locator('.pane .canvas')
      .first()
      .evaluate((view) => view.scrollTo(0, 0));
    await page.getByRole('button', { name: 'select its root' }).click();
    await page.getByRole('tab', { name: 'Values' }).click();
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
    await take('bench-exposing');
    await page.getByRole('button', { name: 'Expose 7 controls' }).click();
    await page.locator('.ledger-body').evaluate((body) => body.scrollTo(0, 0));

    await clickOn(canvas.locator('main > section').first().locator('h2'));
    const choose = async (label, option) => {
      await page.getByRole('combobox', { name: label, exact: true }).click();
      await page
        .locator('.ant-select-dropdown:visible .ant-select-item-option', { hasText: option })
        .first()
        .click();
    };
    await page.getByRole('button', { name: 'what fits' }).click();
    await page.getByRole('button', { name: /^Bind \d values/ }).click();
    await choose('Picture, when the field is empty', 'else hide');
    await page.getByRole('textbox', { name: 'Button text, set here' }).fill('Book a bench');
    await page.getByRole('textbox', { name: 'name', exact: true }).fill('top');
    await page.locator('.ledger-body').evaluate((body) => body.scrollTo(0, 0));
    await take('bench-values');

    await page.getByRole('tab', { name: 'Style' }).click();
    await page.getByRole('radio', { name: /definition of Shed intro/ }).click();
    await page.locator('.ledger-body').evaluate((body) => body.scrollTo(0, 190));
    await take('bench-style');

    await page.locator('.pane-title').first().click();
    await page.keyboard.press('p');
    await page.frameLocator('.preview-frame').locator('h2').first().waitFor();
    await take('preview');

    await page.goto('/sites/brackenfold/releases');
    await page.getByRole('button', { name: /^Publish \d+ pages/ }).click();
    await page.getByText('Release 1 is live.').waitFor({ timeout: 30_000 });
    await page.goto('/sites/brackenfold/content/shed/shed-millgate');
    await page
      .getByRole('textbox', { name: 'Summary' })
      .fill('The old dye works by the weir. Lathe, sewing bench, and now a second kettle.');
    await page.locator('.bar-saved', { hasText: 'Saved' }).waitFor();
    await page.waitForTimeout(400);
    await page.goto('/sites/brackenfold/releases');
    await page.getByRole('table', { name: 'Pages that would change' }).waitFor();
    await take('releases');

    // What visitors wrote with the form of the demo; nobody types so fast as this, but who has read the page before.
    const { site } = await (await page.request.get('/api/sites/brackenfold')).json();
    for (const [name, mail, words] of [
      [
        'Marian Oake',
        'marian@oake.example',
        'The lid of my kettle has lost its hinge. Can I come on Thursday?',
      ],
      ['Jo Tarn', 'jo@tarn.example', 'I can mend lamps, and would like to help at Millgate.'],
      [
        'Ines Bell',
        'ines@bell.example',
        'Is there a step at the door of Alderhithe?\nMy mother would like to come along.',
      ],
    ]) {
      await page.goto(`${site.address.replace(/\/$/, '')}/about`);
      await page.getByLabel('Your name').fill(name);
      await page.getByLabel('Your address for mail').fill(mail);
      await page.getByLabel('Your words').fill(words);
      await page.waitForTimeout(1700);
      await page.getByRole('button', { name: 'Send it' }).click();
      await page.getByRole('status').waitFor();
    }
    await page.goto('/sites/brackenfold/messages');
    await page.getByRole('button', { name: /Ines Bell/ }).click();
    await take('messages');

    await page.goto('/sites/brackenfold/bench/page-shed?entry=shed-millgate');
    await canvas.locator('main').waitFor();
    await page.keyboard.press('h');
    await page.locator('.history-list li').nth(1).getByRole('button').click();
    await page.frameLocator('.pane-earlier iframe').locator('main').waitFor();
    await page.waitForTimeout(600);
    await take('history');
  } finally {
    await browser.close();
  }
}
