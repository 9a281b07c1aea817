import { expect, type Browser, type Page } from '@playwright/test';
import fc from 'fast-check';
import { PageCompiler } from '@sormet/core/compile';
import { doEdit, isRefusal } from '@sormet/core/edit';
import { addressesOf, allOf, docOf, newId, placeAt, type Documents } from '@sormet/core/model';
import { plant, STARTERS } from '@sormet/core/ready';
import { Linker, prepare, type Held } from '@sormet/core/resolve';
import { documentsOf, means, page as pageDoc } from '@sormet/core/test';
import { dataOf, valuesOfState } from '@sormet/core/value';
import { bothBodies } from './as-written';
import { seriousFindings } from './axe';
import { test } from './test';

/**
 * The ready ones, each held against its pattern of the WAI-ARIA Authoring Practices Guide (w3.org/WAI/ARIA/apg/patterns; its
 * tables of keys and of roles, states and properties, from memory), in Chromium, by keys, mouse and touch, and with axe-core in
 * every state that is come to.
 */

const HOST = 'http://ready.test';
const empty = documentsOf(
  pageDoc('home', '/', { id: 'all', tag: 'main', children: [{ tag: 'h1', text: 'Ready' }] }),
);

/** A site with a page on which one of them was placed, behind what stands there. */
function placed(key: string, on = empty): Documents {
  const { branch, styles, components } = STARTERS.find((each) => each.key === key)!.make(on);
  const { nodes: before } = docOf(on, 'page', 'home')!;
  const { root, nodes } = plant(branch, placeAt(before, 'all', Infinity), newId);
  const done = doEdit(on, {
    name: 'place',
    args: { doc: 'home', root, nodes, styles: [...styles], components: [...components] },
  });
  if (isRefusal(done)) throw new Error(done.refused.code);
  return done.documents;
}

/** A page is opened as visitors get it; in it stands one of them, or what was placed. */
async function open(page: Page, key: string | Documents, tells = false): Promise<void> {
  const documents = typeof key === 'string' ? placed(key) : key;
  const compiled = new PageCompiler(documents, { ...means(new Linker()), tells }).compile(
    addressesOf(documents)[0]!,
  );
  await page.route(`${HOST}/**`, (route) => {
    const { pathname } = new URL(route.request().url());
    if (pathname === '/') return route.fulfill({ contentType: 'text/html', body: compiled.html });
    if (pathname === compiled.css.path)
      return route.fulfill({ contentType: 'text/css', body: compiled.css.text });
    if (pathname === compiled.script?.path)
      return route.fulfill({ contentType: 'text/javascript', body: compiled.script.text });
    return route.abort();
  });
  await page.goto(`${HOST}/`);
}

/** Nothing serious as it is now. */
async function isFine(page: Page): Promise<void> {
  expect(await seriousFindings(page)).toEqual([]);
}

/** How many items the states count that count some. */
const COUNTED = 3;

test('after any presses a page with all of them is what it would be if it were written anew with those states', async ({
  page,
}) => {
  const documents = [
    'ready-tabs',
    'ready-carousel',
    'ready-menu',
    'ready-loading-button',
    'ready-show-more',
    'ready-form-in-steps',
    'ready-filter',
  ].reduce((made, key) => placed(key, made), empty);
  // What the script says that it sets; there is one of each, so a name means one state.
  await page.addInitScript(() => {
    const told: Record<string, number> = {};
    Object.assign(window, { told });
    window.addEventListener('message', ({ data }: MessageEvent<Record<string, unknown>>) => {
      if (data['sormet'] === 'set') told[data['name'] as string] = data['to'] as number;
    });
  });
  await open(page, documents, true);
  const template = prepare(new Linker().link(documents, 'home'), dataOf(documents));
  const states = new Map(
    allOf(documents, 'component').flatMap(({ id, properties }) =>
      Object.entries(properties).map(([property, made]) => [`${id}.${property}`, made] as const),
    ),
  );
  const seen = new Set<string>();
  const presses = fc.sample(fc.nat(), { numRuns: 60, seed: 7 });
  for (const which of presses) {
    await page.evaluate((n) => {
      const all = [...document.querySelectorAll<HTMLElement>('button[type=button],select')];
      const inSight = all.filter((each) => each.checkVisibility());
      const it = inSight[n % inSight.length]!;
      if (!(it instanceof HTMLSelectElement)) return it.click();
      it.selectedIndex = n % it.options.length;
      it.dispatchEvent(new Event('change', { bubbles: true }));
    }, which);
    await page.waitForTimeout(5);
    const told = await page.evaluate(
      () => (window as never as { told: Record<string, number> }).told,
    );
    const held: Held = (_, name) => {
      const at = told[name];
      const { type, state } = states.get(name as `${string}.${string}`)!;
      if (at !== undefined) seen.add(`${name} ${at}`);
      return at === undefined ? undefined : valuesOfState(type, state!, COUNTED)![at];
    };
    const written = template.write(undefined, template.first(undefined), { held }).html;
    const [is, anew] = await bothBodies(page, written);
    expect(is).toBe(anew);
  }
  expect(seen.size).toBeGreaterThan(12);
});

test('accordion: Enter and Space open and close; of those that are open one at a time the other closes', async ({
  page,
}) => {
  await open(page, 'ready-accordion');
  const asked = page.locator('summary');
  await page.keyboard.press('Tab');
  await expect(asked.first()).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.locator('details').first()).toHaveAttribute('open', '');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Space');
  await expect(page.locator('details[open]')).toHaveCount(2);
  await isFine(page);
  await open(page, 'ready-accordion-one');
  await asked.first().click();
  await asked.nth(1).click();
  await expect(page.locator('details[open]')).toHaveCount(1);
  await isFine(page);
});

test('tabs: one stop for Tab, arrows go round, Home and End; each names its panel, and that is named by it', async ({
  page,
}) => {
  await open(page, 'ready-tabs');
  const tab = (name: string) => page.getByRole('tab', { name });
  await expect(page.getByRole('tablist', { name: 'Parts' })).toBeVisible();
  const isOn = async (name: string) => {
    await expect(tab(name)).toBeFocused();
    await expect(tab(name)).toHaveAttribute('aria-selected', 'true');
    await expect(page.getByRole('tab', { selected: true })).toHaveCount(1);
    await expect(page.getByRole('tabpanel')).toHaveCount(1);
    const panel = page.getByRole('tabpanel', { name });
    await expect(panel).toBeVisible();
    expect(await tab(name).getAttribute('aria-controls')).toBe(await panel.getAttribute('id'));
  };
  await page.keyboard.press('Tab');
  await isOn('First');
  await isFine(page);
  for (const [key, name] of [
    ['ArrowRight', 'Second'],
    ['ArrowRight', 'Third'],
    ['ArrowRight', 'First'],
    ['ArrowLeft', 'Third'],
    ['Home', 'First'],
    ['End', 'Third'],
  ] as const) {
    await page.keyboard.press(key);
    await isOn(name);
  }
  await page.keyboard.press('Tab');
  await expect(page.getByRole('tabpanel', { name: 'Third' })).toBeFocused();
  await tab('Second').click();
  await isOn('Second');
  await isFine(page);
});

test('carousel: named, each slide said with its number, gone through by buttons and dots; by itself until somebody is at it', async ({
  page,
}) => {
  await page.clock.install();
  await open(page, 'ready-carousel');
  const carousel = page.getByRole('region', { name: 'What is on' });
  await expect(carousel).toHaveAttribute('aria-roledescription', 'carousel');
  const slide = (n: number) => page.getByRole('group', { name: `${n}: The` });
  await expect(slide(1)).toHaveAttribute('aria-roledescription', 'slide');
  const only = async (n: number) => {
    await expect(slide(n)).toBeVisible();
    await expect(page.locator('[aria-roledescription=slide]:visible')).toHaveCount(1);
  };
  await only(1);
  await page.getByRole('button', { name: 'Next slide' }).click();
  await only(2);
  await page.getByRole('button', { name: 'Previous slide' }).press('Enter');
  await page.getByRole('button', { name: 'Previous slide' }).press('Space');
  await only(3);
  const dot = page.getByRole('button', { name: '2: The second' });
  await dot.click();
  await only(2);
  await expect(dot).toHaveAttribute('aria-disabled', 'true');
  await isFine(page);
  const pause = page.getByRole('button', { name: 'Play' });
  const live = page.locator('[aria-live]');
  await expect(live).toHaveAttribute('aria-live', 'polite');
  await pause.click();
  await expect(page.getByRole('button', { name: 'Pause' })).toBeVisible();
  await expect(live).toHaveAttribute('aria-live', 'off');
  // Somebody is at it: nothing moves.
  await page.clock.runFor(13_000);
  await only(2);
  await page.mouse.move(2, 780);
  await page.evaluate(() => (document.activeElement as HTMLElement).blur());
  await page.clock.runFor(6_100);
  await only(3);
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await page.clock.runFor(13_000);
  await only(3);
});

test('carousel: swiped by touch', async ({ browser }) => {
  const context = await browser.newContext({
    hasTouch: true,
    viewport: { width: 390, height: 800 },
  });
  const page = await context.newPage();
  await open(page, 'ready-carousel');
  const session = await context.newCDPSession(page);
  const swipe = async (from: number, to: number) => {
    const box = (await page.locator('[aria-roledescription=slide]:visible').boundingBox())!;
    const y = box.y + box.height / 2;
    const at = (type: 'touchStart' | 'touchMove' | 'touchEnd', x?: number) =>
      session.send('Input.dispatchTouchEvent', {
        type,
        touchPoints: x === undefined ? [] : [{ x, y }],
      });
    await at('touchStart', from);
    await at('touchMove', to);
    await at('touchEnd');
  };
  await swipe(300, 60);
  await expect(page.getByRole('group', { name: '2: The second' })).toBeVisible();
  await swipe(60, 300);
  await swipe(60, 300);
  await expect(page.getByRole('group', { name: '3: The third' })).toBeVisible();
  await context.close();
});

test('menu: the button says whether it is unfolded, Escape folds it and gives the focus back', async ({
  page,
}) => {
  await open(page, 'ready-menu');
  const button = page.getByRole('button', { name: 'Menu' });
  await expect(button).toHaveAttribute('aria-expanded', 'false');
  const links = page.getByRole('navigation', { name: 'More pages' }).getByRole('link');
  await expect(links).toHaveCount(0);
  await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  await expect(button).toHaveAttribute('aria-expanded', 'true');
  await expect(links).toHaveCount(3);
  await isFine(page);
  await page.keyboard.press('Tab');
  await expect(links.first()).toBeFocused();
  await page.keyboard.press('Escape');
  await expect(button).toBeFocused();
  await expect(button).toHaveAttribute('aria-expanded', 'false');
  await isFine(page);
});

test('dialog: named by its heading, holds the focus, Escape and its button close it and give the focus back', async ({
  page,
}) => {
  await open(page, 'ready-dialog');
  const opens = page.getByRole('button', { name: 'Tell me more' });
  await opens.press('Enter');
  const dialog = page.getByRole('dialog', { name: 'More of it' });
  await expect(dialog).toBeVisible();
  await isFine(page);
  const isInside = () =>
    dialog.evaluate(
      (it) => it.contains(document.activeElement) || document.activeElement === document.body,
    );
  for (let i = 0; i < 4; i += 1) {
    await page.keyboard.press('Tab');
    expect(await isInside()).toBe(true);
  }
  await page.keyboard.press('Escape');
  await expect(dialog).toBeHidden();
  await expect(opens).toBeFocused();
  await opens.click();
  await page.getByRole('button', { name: 'Close' }).click();
  await expect(dialog).toBeHidden();
  await expect(opens).toBeFocused();
});

test('show more: the button says whether all are shown', async ({ page }) => {
  await open(page, 'ready-show-more');
  await expect(page.getByRole('listitem')).toHaveCount(3);
  const button = page.getByRole('button');
  await expect(button).toHaveAttribute('aria-expanded', 'false');
  await button.press('Space');
  await expect(page.getByRole('listitem')).toHaveCount(5);
  await expect(button).toHaveText('Show less');
  await expect(button).toHaveAttribute('aria-expanded', 'true');
  await expect(button).toBeFocused();
  await isFine(page);
});

test('form in steps: who goes on is told what is missing in this step; the focus goes along', async ({
  page,
}) => {
  await open(page, 'ready-form-in-steps');
  const step = (name: string) => page.getByRole('group', { name });
  await page.getByRole('button', { name: 'Next' }).click();
  await expect(step('Who you are')).toBeVisible();
  await expect(page.getByLabel('Your name')).toBeFocused();
  await page.getByLabel('Your name').fill('Ada');
  await page.getByRole('button', { name: 'Next' }).click();
  await expect(step('How we reach you')).toBeFocused();
  await expect(step('Who you are')).toBeHidden();
  await expect(page.getByRole('progressbar', { name: 'Steps' })).toHaveAttribute('value', '2');
  await isFine(page);
  await page.getByLabel('Your address for mail').fill('ada');
  await page.getByRole('button', { name: 'Next' }).click();
  await expect(page.getByLabel('Your address for mail')).toBeFocused();
  await page.getByRole('button', { name: 'Back' }).click();
  await expect(step('Who you are')).toBeFocused();
  await expect(page.getByLabel('Your name')).toHaveValue('Ada');
});

test('filter: a choice shows those of its kind, all of them again', async ({ page }) => {
  await open(page, 'ready-filter');
  const items = page.getByRole('list').getByRole('listitem');
  await expect(items).toHaveCount(4);
  await page.getByLabel('Show').selectOption('First kind');
  await expect(items).toHaveText(['One thing', 'A fourth thing']);
  await isFine(page);
  await page.getByLabel('Show').selectOption('All of them');
  await expect(items).toHaveCount(4);
});

async function withoutScripts(browser: Browser, key: string, look: (page: Page) => Promise<void>) {
  const context = await browser.newContext({ javaScriptEnabled: false });
  const page = await context.newPage();
  await open(page, key);
  await look(page);
  await context.close();
}

test('without scripts nothing is out of reach', async ({ browser }) => {
  await withoutScripts(browser, 'ready-tabs', (page) =>
    expect(page.getByRole('tabpanel')).toHaveCount(3),
  );
  await withoutScripts(browser, 'ready-carousel', (page) =>
    expect(page.locator('[aria-roledescription=slide]:visible')).toHaveCount(3),
  );
  await withoutScripts(browser, 'ready-menu', (page) =>
    expect(page.getByRole('link')).toHaveCount(3),
  );
  await withoutScripts(browser, 'ready-form-in-steps', (page) =>
    expect(page.getByRole('group')).toHaveCount(3),
  );
  await withoutScripts(browser, 'ready-filter', (page) =>
    expect(page.getByRole('listitem')).toHaveCount(4),
  );
  await withoutScripts(browser, 'ready-dialog', async (page) => {
    await page.getByRole('button', { name: 'Tell me more' }).click();
    await expect(page.getByRole('dialog')).toBeVisible();
  });
});
