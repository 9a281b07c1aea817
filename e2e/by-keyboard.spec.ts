import { expect, type Page } from '@playwright/test';
import { seriousFindings } from './axe';
import { BenchHand, ownPage } from './bench';
import { test } from './test';

/** What has the focus: its role and name, as whoever hears the page is told. */
function focused(page: Page): Promise<string> {
  return page.evaluate(() => {
    const at = document.activeElement;
    if (!at || at === document.body) return 'nothing';
    const name = at.getAttribute('aria-label') ?? at.textContent?.trim().slice(0, 40) ?? '';
    return `${at.getAttribute('role') ?? at.tagName.toLowerCase()} ${name}`;
  });
}

/** Tab until something has the focus; fails when it never has. */
async function tabTo(page: Page, wanted: RegExp, most = 80): Promise<void> {
  for (let i = 0; i < most; i += 1) {
    await page.keyboard.press('Tab');
    if (wanted.test(await focused(page))) return;
  }
  throw new Error(`${wanted} never had the focus; last: ${await focused(page)}`);
}

test('every screen is reached and used by the keyboard alone', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('link', { name: 'Brackenfold', exact: true })).toBeVisible();
  await tabTo(page, /^a Brackenfold$/);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Pages' })).toBeVisible();
  for (const [name, heading] of [
    ['Library', 'Library'],
    ['Content', 'Content'],
    ['Releases', 'Releases'],
    ['Settings', 'Settings'],
    ['Pages', 'Pages'],
  ] as const) {
    await tabTo(page, new RegExp(`^a ${name}$`), 120);
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: heading, exact: true })).toBeVisible();
  }
  await tabTo(page, /^a About$/, 120);
  await page.keyboard.press('Enter');
  await expect(new BenchHand(page).canvas.locator('main')).toBeVisible();
});

test('the main job by the keyboard alone: placed, written, declared, made reusable, exposed, set, on its way to publishing', async ({
  page,
}) => {
  test.setTimeout(240_000);
  const bench = new BenchHand(page);
  await ownPage(page, 'own-keys');
  await page.keyboard.press('g');
  await page.keyboard.type('place words only');
  await page.keyboard.press('Enter');
  await expect(bench.canvas.locator('[contenteditable]')).toBeVisible();
  await page.keyboard.type('By keys alone');
  await page.keyboard.press('Escape');
  const heading = bench.canvas.getByText('By keys alone');
  await expect(heading).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  await expect(bench.sentence).toContainText('Heading');
  await page.keyboard.press('s');
  await tabTo(page, /font-size, base/, 200);
  await page.keyboard.type('3rem');
  await page.keyboard.press('Enter');
  await expect(heading).toHaveCSS('font-size', '48px');
  await page.keyboard.press('Escape');
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('ArrowLeft');
  await expect(bench.sentence).toContainText('Words');
  await page.keyboard.press('m');
  const name = page.getByRole('textbox', { name: 'Name of the component' });
  await expect(name).toBeFocused();
  await page.keyboard.press('Control+a');
  const component = `By keys ${Date.now().toString(36)}`;
  await page.keyboard.type(`Sections/${component}`);
  await page.keyboard.press('Enter');
  await expect(bench.definition.locator('h2')).toHaveText('By keys alone');
  await tabTo(page, /select its root/, 200);
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await page.keyboard.press('v');
  await tabTo(page, /Expose Heading text/, 200);
  await page.keyboard.press('Space');
  await tabTo(page, /Expose 1 control/, 200);
  await page.keyboard.press('Enter');
  await expect(page.locator('.ledger code')).toHaveText(['headingText']);
  await page.keyboard.press('Escape');
  await page.keyboard.press('b');
  await expect(page.locator('.pane-definition')).toHaveCount(0);
  await tabTo(page, /treeitem|tree Outline/, 200);
  await page.keyboard.press('End');
  await expect(bench.sentence).toContainText(component);
  await tabTo(page, /Heading text, set here/, 200);
  await page.keyboard.type('Set by keys');
  await expect(bench.canvas.getByText('Set by keys')).toBeVisible();
  await bench.saved();
  await tabTo(page, /^button (Publish|All published)/, 250);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Releases', exact: true })).toBeVisible();
});

// WAI-ARIA Authoring Practices Guide, Tree View Pattern.
test('the outline is a tree: levels, states, arrows, Home and End', async ({ page }) => {
  const bench = new BenchHand(page);
  await bench.open('page-home');
  const tree = page.getByRole('tree', { name: 'Outline' });
  const item = (name: string) => tree.getByRole('treeitem').filter({ hasText: name }).first();
  await expect(item('Site surround')).toHaveAttribute('aria-level', '1');
  await expect(item('main')).toHaveAttribute('aria-level', '2');
  await expect(item('main')).toHaveAttribute('aria-expanded', 'true');
  await page.locator('.outline-row', { hasText: 'Opening' }).click();
  await expect(item('Opening')).toHaveAttribute('aria-selected', 'true');
  await page.keyboard.press('End');
  await expect(page.locator('[role=treeitem]:focus')).toContainText('Join band');
  await page.keyboard.press('Home');
  await expect(page.locator('[role=treeitem]:focus')).toContainText('page');
  await page.keyboard.press('ArrowDown');
  await expect(page.locator('[role=treeitem]:focus')).toContainText('Site surround');
  await page.keyboard.press('ArrowLeft');
  await expect(item('Site surround')).toHaveAttribute('aria-expanded', 'false');
  await page.keyboard.press('ArrowRight');
  await expect(item('Site surround')).toHaveAttribute('aria-expanded', 'true');
  await page.keyboard.press('ArrowRight');
  await expect(page.locator('[role=treeitem]:focus')).toContainText('main');
});

// WAI-ARIA Authoring Practices Guide, Tabs Pattern (manual names, automatic activation).
test('the ledger’s tabs are tabs: one stop, arrows, Home and End', async ({ page }) => {
  const bench = new BenchHand(page);
  await bench.open('page-about');
  const tab = (name: string) => page.getByRole('tab', { name });
  await tab('Values').click();
  for (const [key, name] of [
    ['ArrowRight', 'Style'],
    ['End', 'History'],
    ['ArrowRight', 'Values'],
    ['ArrowLeft', 'History'],
    ['Home', 'Values'],
  ] as const) {
    await page.keyboard.press(key);
    await expect(tab(name)).toBeFocused();
    await expect(tab(name)).toHaveAttribute('aria-selected', 'true');
  }
  await expect(page.locator('[role=tab][tabindex="0"]')).toHaveCount(1);
  const panel = await tab('Values').getAttribute('aria-controls');
  await expect(page.locator(`#${panel}`)).toHaveAttribute('role', 'tabpanel');
});

// WAI-ARIA Authoring Practices Guide, Combobox Pattern (select-only, and editable with a list).
test('choices are comboboxes: closed at rest, opened by keys, chosen by arrows', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  await ownPage(page, 'own-combobox');
  await bench.clickOn(bench.canvas.getByText('You pay for the parts.'));
  const tag = page.getByRole('combobox', { name: 'tag', exact: true });
  await expect(tag).toHaveAttribute('aria-expanded', 'false');
  await expect(tag).toHaveAttribute('aria-haspopup', 'listbox');
  await tag.focus();
  await page.keyboard.press('ArrowDown');
  await expect(page.locator('.ant-select-dropdown:visible')).toBeVisible();
  await page.keyboard.type('blockquote');
  await page.keyboard.press('Enter');
  await expect(bench.canvas.locator('blockquote')).toHaveText('You pay for the parts.');
  await page.keyboard.press('Escape');
  await page.keyboard.press('g');
  const line = page.getByRole('combobox', { name: 'Go line' });
  await expect(line).toBeFocused();
  await expect(line).toHaveAttribute('aria-expanded', 'true');
  await page.keyboard.press('Escape');
  await bench.saved();
});

test('the focus is never lost: after a dialog, an undo, a removal', async ({ page }) => {
  const bench = new BenchHand(page);
  await ownPage(page, 'own-focus');
  await page.locator('.outline-row', { hasText: 'How it works' }).click();
  const isInTree = () =>
    page.evaluate(() => document.activeElement?.closest('[role=tree]') !== null);
  expect(await isInTree()).toBe(true);
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeHidden();
  await expect.poll(isInTree).toBe(true);
  await page.keyboard.press('Shift+F10');
  await expect(page.getByRole('menu')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect.poll(isInTree).toBe(true);
  await page.keyboard.press('Delete');
  await expect(page.locator('.outline-row', { hasText: 'How it works' })).toHaveCount(0);
  // What stands beside it is selected, and keys go on from there.
  await expect(page.locator('.outline-row.selected')).toHaveCount(1);
  await page.keyboard.press('Control+z');
  await expect(page.locator('.outline-row', { hasText: 'How it works' })).toHaveCount(1);
  await page.keyboard.press('ArrowUp');
  await expect(page.locator('.outline-row.selected')).toHaveCount(1);
  await bench.saved();
});

test('a key that is pressed while the menu or a dialog lies over the page is not for the page, wherever the focus is', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  await ownPage(page, 'own-covered');
  const row = page.locator('.outline-row', { hasText: 'How it works' });
  const item = page.getByRole('treeitem', { name: /^How it works/ });
  await row.click();
  // Who is faster than the menu presses its key where the focus still is: said to the row here, whoever has the focus.
  const press = (key: string) => item.dispatchEvent('keydown', { key, code: key, bubbles: true });
  await page.keyboard.press('Shift+F10');
  await expect(page.getByRole('menu')).toBeVisible();
  for (const key of ['Delete', 'd', 'Escape']) await press(key);
  await expect(page.getByRole('menu')).toBeHidden();
  await expect(page.locator('.outline-row.selected')).toHaveText(/How it works/);
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  for (const key of ['Delete', 'd', 'Escape']) await press(key);
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeHidden();
  await expect(page.locator('.outline-row.selected')).toHaveText(/How it works/);
  await expect(page.getByRole('treeitem', { name: /^How it works/ })).toHaveCount(1);
  await page.keyboard.press('Escape');
  await expect(page.locator('.outline-row.selected')).toHaveText(/Site surround/);
  await bench.saved();
});

test('what is selected by keys on the canvas is said', async ({ page }) => {
  const bench = new BenchHand(page);
  await bench.open('page-about');
  const canvas = page.getByRole('group', { name: 'Canvas of the page' });
  await canvas.focus();
  await bench.clickOn(bench.canvas.locator('h1'));
  await page.keyboard.press('ArrowDown');
  const said = page.locator('[aria-live=polite].selection-said');
  await expect(said).toHaveText(/How it works/);
  await page.keyboard.press('ArrowRight');
  await expect(said).toHaveText(/Heading/);
});

test('at twice the size everything is still reached, nothing lies over another thing', async ({
  page,
}) => {
  // 200 % of 1280 x 800 is as much room as 640 x 400 (WCAG 2.2, 1.4.4 and 1.4.10).
  await page.setViewportSize({ width: 640, height: 400 });
  const bench = new BenchHand(page);
  for (const path of ['/', '/sites/brackenfold', '/sites/brackenfold/settings']) {
    await page.goto(path);
    await expect(page.getByRole('heading').first()).toBeVisible();
    expect(await seriousFindings(page)).toEqual([]);
  }
  await bench.open('page-about');
  await bench.clickOn(bench.canvas.locator('h1'));
  await expect(bench.sentence).toContainText('Opening');
  await expect(page.getByRole('button', { name: /^Publish|All published/ })).toBeVisible();
  const beyond = await page.locator('.bar').evaluate((bar) => bar.scrollWidth - bar.clientWidth);
  expect(beyond, 'of the bar, in px').toBeLessThanOrEqual(0);
  await page.keyboard.press('l');
  await expect(page.locator('.ledger')).toHaveCount(0);
  await page.keyboard.press('l');
});

test('with forced colours and less motion the bench is still read', async ({ page }) => {
  await page.emulateMedia({ forcedColors: 'active', reducedMotion: 'reduce' });
  const bench = new BenchHand(page);
  await bench.open('page-about');
  await bench.clickOn(bench.canvas.locator('h1'));
  // What is selected and what is chosen is told by more than a ground: forced colours take grounds away.
  const outline = await page
    .locator('.mark-instance')
    .first()
    .evaluate((mark) => getComputedStyle(mark).outlineStyle);
  expect(outline).toBe('double');
  const chosen = page.getByRole('tab', { name: 'Values' });
  expect(await chosen.evaluate((tab) => getComputedStyle(tab).borderBottomStyle)).toBe('solid');
  const row = page.locator('.outline-row.selected');
  expect(await row.evaluate((each) => getComputedStyle(each).borderLeftStyle)).toBe('solid');
  // Which colours stand on which is then what the person has chosen.
  const findings = await seriousFindings(page);
  expect(findings.filter((finding) => !finding.startsWith('color-contrast'))).toEqual([]);
  const moves = await page.evaluate(() =>
    document
      .getAnimations()
      .filter((each) => each.playState === 'running')
      .map((each) => String((each as CSSAnimation).animationName)),
  );
  expect(moves).toEqual([]);
});
