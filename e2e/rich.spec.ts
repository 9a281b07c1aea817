import { expect, type Locator, type Page } from '@playwright/test';
import { BenchHand, ownPage } from './bench';
import { test } from './test';

/** Rich text and icons: written with keys, stored as data; what is pasted brings no more than words and their shape. */

async function placed(page: Page, name: string, what: string): Promise<BenchHand> {
  const bench = new BenchHand(page);
  await ownPage(page, name);
  await bench.clickOn(bench.canvas.getByRole('heading', { name: 'How it works' }));
  await bench.go(what);
  return bench;
}

async function pasteHtml(editor: Locator, html: string): Promise<void> {
  await editor.evaluate((element, text) => {
    const data = new DataTransfer();
    data.setData('text/html', text);
    data.setData('text/plain', 'plain');
    element.dispatchEvent(
      new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }),
    );
  }, html);
}

/** From the OWASP Cross Site Scripting Filter Evasion Cheat Sheet (from memory), and the URL schemes of its kind. */
const VECTORS = [
  '<script>window.hit=1</script>',
  '<img src=x onerror="window.hit=1">',
  '<IMG SRC="javascript:window.hit=1;">',
  '<IMG SRC=`javascript:window.hit=1`>',
  '<a onmouseover="window.hit=1">link</a>',
  '<a href="javascript:window.hit=1">link</a>',
  '<a href="jav&#x09;ascript:window.hit=1">link</a>',
  '<a href="&#14; javascript:window.hit=1">link</a>',
  '<a href="data:text/html,<script>window.hit=1</script>">link</a>',
  '<a href="vbscript:window.hit=1">link</a>',
  '<BODY ONLOAD=window.hit=1>',
  '<svg onload="window.hit=1"><circle r=9></svg>',
  '<svg><script>window.hit=1</script></svg>',
  '<iframe src="javascript:window.hit=1"></iframe>',
  '<object data="javascript:window.hit=1"></object>',
  '<embed src="javascript:window.hit=1">',
  '<math><a xlink:href="javascript:window.hit=1">m</a></math>',
  '<div style="background-image:url(javascript:window.hit=1)">words</div>',
  '<p style="width:expression(window.hit=1)">words</p>',
  '<link rel="stylesheet" href="javascript:window.hit=1">',
  '<meta http-equiv="refresh" content="0;url=javascript:window.hit=1">',
  '<form action="javascript:window.hit=1"><button>go</button></form>',
  '<input type="image" src="javascript:window.hit=1">',
  '<video><source onerror="window.hit=1"></video>',
  '<details open ontoggle="window.hit=1">words</details>',
  '<marquee onstart="window.hit=1">words</marquee>',
  '<template><script>window.hit=1</script></template>',
  '<noscript><p title="</noscript><img src=x onerror=window.hit=1>"></noscript>',
];

test('rich text is written in the ledger with keys, and shows on the page as it is written', async ({
  page,
}) => {
  const bench = await placed(page, 'own-rich', 'Rich text');
  const editor = page.getByRole('textbox', { name: /Rich text text/ });
  await expect(editor).toContainText('Words with emphasis');
  await editor.click();
  await page.keyboard.press('Control+a');
  await page.keyboard.type('Bring ');
  await page.keyboard.press('Control+b');
  await page.keyboard.type('it');
  await page.keyboard.press('Control+b');
  await page.keyboard.type(' broken');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Control+Shift+8');
  await page.keyboard.type('lamps');
  await page.keyboard.press('Enter');
  await page.keyboard.type('kettles');
  const shown = bench.canvas.locator('div', { has: page.locator('strong') }).last();
  await expect(bench.canvas.locator('strong', { hasText: /^it$/ })).toBeVisible();
  await expect(bench.canvas.getByRole('listitem').filter({ hasText: 'kettles' })).toBeVisible();
  expect(await shown.evaluate((element) => element.querySelectorAll('li').length)).toBe(2);
  await bench.saved();
  await page.reload();
  await expect(bench.canvas.locator('strong', { hasText: /^it$/ })).toBeVisible();
});

test('what is pasted into rich text brings words and their shape, and nothing that runs', async ({
  page,
}) => {
  const bench = await placed(page, 'own-pasted', 'Rich text');
  const editor = page.getByRole('textbox', { name: /Rich text text/ });
  await expect(editor).toBeVisible();
  for (const vector of VECTORS) {
    await editor.click();
    await page.keyboard.press('Control+a');
    await pasteHtml(editor, `<p>before <b>bold</b></p>${vector}<p>after</p>`);
  }
  await editor.click();
  await page.keyboard.press('Control+a');
  await pasteHtml(editor, '<h2>Title</h2><p>a <a href="https://example.com/">good</a> link</p>');
  await expect(bench.canvas.getByRole('heading', { name: 'Title' })).toBeVisible();
  await expect(bench.canvas.locator('a[href="https://example.com/"]')).toHaveText('good');
  for (const frame of page.frames())
    expect(await frame.evaluate(() => (window as { hit?: number }).hit)).toBeUndefined();
  const stray =
    'script, iframe, object, embed, svg, math, form, input, [style*=url], [onerror], [onload]';
  expect(await editor.locator(stray).count()).toBe(0);
  const host = bench.canvas.getByRole('heading', { name: 'Title' }).locator('xpath=..');
  expect(await host.locator(stray).count()).toBe(0);
  expect(
    await host.locator('a').evaluateAll((links) => links.map((link) => link.getAttribute('href'))),
  ).toEqual(['https://example.com/']);
});

test('what is pasted into rich text on the page itself brings no more', async ({ page }) => {
  const bench = await placed(page, 'own-pasted-here', 'Rich text');
  const here = bench.canvas.locator('[contenteditable=true]');
  await expect(here).toBeFocused();
  for (const vector of VECTORS) {
    await page.keyboard.press('Control+a');
    await pasteHtml(here, `<p>before <b>bold</b></p>${vector}<p>after</p>`);
  }
  await expect(here.locator('strong')).toHaveText('bold');
  for (const frame of page.frames())
    expect(await frame.evaluate(() => (window as { hit?: number }).hit)).toBeUndefined();
  const stray = 'script, iframe, object, embed, svg, math, form, input, video, style, link, meta';
  expect(await here.locator(stray).count()).toBe(0);
  expect(
    await here
      .locator('*')
      .evaluateAll((all) =>
        all.flatMap((each) => each.getAttributeNames().filter((name) => name.startsWith('on'))),
      ),
  ).toEqual([]);
});

test('an icon is chosen from those that ship, or pasted as SVG, and has the colour and size of its words', async ({
  page,
}) => {
  const bench = await placed(page, 'own-icon', 'Icon');
  const opens = page.getByRole('button', { name: /Icon icon: circle/ });
  await opens.click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('textbox', { name: 'Find an icon' }).fill('hammer');
  await dialog.getByRole('button', { name: 'hammer', exact: true }).click();
  const drawing = bench.canvas.locator('svg');
  await expect(drawing.locator('path').first()).toBeVisible();
  await expect(drawing).toHaveCSS('stroke-width', '1.5px');
  await expect(drawing.locator('path').first()).toHaveAttribute(
    'vector-effect',
    'non-scaling-stroke',
  );
  const icon = page.getByRole('button', { name: /Icon icon: hammer/ });
  await icon.click();
  const own = dialog.getByRole('textbox', { name: 'SVG of your own' });
  await own.fill('<svg viewBox="0 0 8 8"><text>no</text></svg>');
  await dialog.getByRole('button', { name: 'Take what is pasted' }).click();
  await expect(dialog.getByRole('alert')).toContainText('an icon is made of shapes alone');
  await own.fill(
    '<svg viewBox="0 0 8 8" onload="window.hit=1"><title>x</title><path d="M0 0h8v8z" onclick="window.hit=1"/></svg>',
  );
  await dialog.getByRole('button', { name: 'Take what is pasted' }).click();
  await expect(dialog).toBeHidden();
  await expect(drawing).toHaveAttribute('viewBox', '0 0 8 8');
  await expect(drawing).toHaveAttribute('fill', 'currentColor');
  expect(await drawing.locator('path').evaluate((path) => path.getAttributeNames())).toEqual(['d']);
});

test('rich text is typed where it stands, with the same keys; its headings stand below that of the section', async ({
  page,
}) => {
  const bench = await placed(page, 'own-typed', 'Rich text');
  const here = bench.canvas.locator('[contenteditable=true]');
  await expect(here).toBeFocused();
  await page.keyboard.type('Bring it ');
  await page.keyboard.press('Control+b');
  await page.keyboard.type('broken');
  await page.keyboard.press('Control+b');
  await page.keyboard.press('Enter');
  await page.keyboard.type('What we have');
  await page.keyboard.press('Control+Alt+2');
  // The section has an h2: a heading in its words is an h3.
  await expect(here.locator('h3')).toHaveText('What we have');
  await page.keyboard.press('Shift+Home');
  await page.keyboard.press('Control+Alt+s');
  const style = page.getByRole('combobox', {
    name: 'Rich text on the page, the shared style of these words',
  });
  await expect(style).toBeFocused();
  await page.keyboard.type('Lead');
  await page.keyboard.press('Enter');
  await expect(here.locator('h3 span')).toHaveClass(/s0_/);
  await expect(here).toBeFocused();
  await page.keyboard.press('Escape');
  await expect(bench.canvas.locator('[contenteditable]')).toHaveCount(0);
  const written = bench.canvas.locator('main div').filter({ hasText: /^Bring it broken/ });
  await expect(written.locator('p')).toHaveText('Bring it broken');
  await expect(written.locator('strong')).toHaveText('broken');
  await expect(written.locator('h3 span')).toHaveText('What we have');
  // Double click goes on there, with all that stands there.
  await bench.clickOn(written.locator('p'), 'page', true);
  await expect(here).toBeFocused();
  await page.keyboard.type(', please');
  await page.keyboard.press('Escape');
  await expect(written.locator('h3')).toHaveText('What we have, please');
  await bench.saved();
  // What was typed in one go is one step.
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(written.locator('h3')).toHaveText('What we have');
  await expect(written.locator('p')).toHaveText('Bring it broken');
});

test('what was marked in the moment before a key is what the key is for, though the browser has not told of it', async ({
  page,
}) => {
  const bench = await placed(page, 'own-marked', 'Rich text');
  const here = bench.canvas.locator('[contenteditable=true]');
  await expect(here).toBeFocused();
  await page.keyboard.type('Bring it broken');
  // Both in one task: what tells of a selection (Selection API, 4.8) is queued behind it.
  await here.evaluate((element) => {
    const { ownerDocument: inner } = element;
    const words = inner.createTreeWalker(element, NodeFilter.SHOW_TEXT).nextNode()!;
    inner.getSelection()!.setBaseAndExtent(words, 9, words, 15);
    element.dispatchEvent(
      new KeyboardEvent('keydown', {
        key: 's',
        code: 'KeyS',
        ctrlKey: true,
        altKey: true,
        bubbles: true,
        cancelable: true,
      }),
    );
  });
  const style = page.getByRole('combobox', { name: /the shared style of these words/ });
  await expect(style).toBeFocused();
  await page.keyboard.type('Lead');
  await page.keyboard.press('Enter');
  await expect(here.locator('span')).toHaveText('broken');
});
