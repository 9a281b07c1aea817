import { join } from 'node:path';
import { expect, type Page } from '@playwright/test';
import { build } from 'esbuild';
import { PREVIEW } from './addresses';
import { test } from './test';

/** A node of Chromium's accessibility tree, as its protocol gives it. */
interface AxNode {
  readonly ignored: boolean;
  readonly role?: { readonly value: string };
  readonly name?: { readonly value: string };
}

async function axTree(page: Page): Promise<AxNode[]> {
  const session = await page.context().newCDPSession(page);
  const { nodes } = (await session.send('Accessibility.getFullAXTree')) as { nodes: AxNode[] };
  await session.detach();
  return nodes.filter(({ ignored }) => !ignored);
}

/** The reference implementation of accname 1.2 that testing libraries use, for a page. */
async function nameReader(): Promise<string> {
  const { outputFiles } = await build({
    stdin: {
      contents: `import { computeAccessibleName } from 'dom-accessibility-api'; globalThis.nameOf = computeAccessibleName;`,
      resolveDir: join(import.meta.dirname),
    },
    bundle: true,
    format: 'iife',
    write: false,
  });
  return outputFiles[0]!.text;
}

test('the link of a card is met once and called as the card: the title alone is the link (accname 1.2)', async ({
  browser,
}) => {
  const page = await browser.newPage({ bypassCSP: true });
  await page.goto(PREVIEW + '/sheds');
  // What finds sheds by their size names them once more.
  await page.locator('section', { has: page.locator('select') }).evaluate((it) => it.remove());
  const cards = page.locator('main article');
  const titles = await cards.locator('h3').allTextContents();
  expect(titles.length).toBeGreaterThan(5);
  const links = (await axTree(page)).filter(({ role }) => role?.value === 'link');
  for (const title of titles)
    expect([title, links.filter(({ name }) => name?.value === title).length]).toEqual([title, 1]);
  // A picture beside a title that says the same is decoration: nothing is read for it.
  expect(await cards.locator('img').first().getAttribute('alt')).toBe('');
  await page.close();
});

test('links, buttons and pictures of the demo are called the same by Chromium and by dom-accessibility-api', async ({
  browser,
}) => {
  const page = await browser.newPage({ bypassCSP: true });
  const reader = await nameReader();
  let compared = 0;
  for (const path of ['/', '/sessions']) {
    await page.goto(PREVIEW + path);
    await page.addScriptTag({ content: reader });
    const named = page.locator('a[href], button, img, nav, h1, h2, h3').filter({ visible: true });
    const session = await page.context().newCDPSession(page);
    await session.send('Accessibility.enable');
    for (const element of await named.all()) {
      const computed = await element.evaluate((each) =>
        (globalThis as unknown as { nameOf: (element: Element) => string }).nameOf(each),
      );
      const handle = await element.elementHandle();
      await handle.evaluate((each) => ((globalThis as { picked?: Element }).picked = each));
      const { result } = await session.send('Runtime.evaluate', { expression: 'picked' });
      const { nodes } = await session.send('Accessibility.getPartialAXTree', {
        objectId: result.objectId!,
        fetchRelatives: false,
      });
      const [node] = nodes;
      if (!node || node.ignored) {
        expect([path, computed]).toEqual([path, '']);
        continue;
      }
      expect([path, computed]).toEqual([path, String(node.name?.value ?? '')]);
      compared += 1;
    }
    await session.detach();
  }
  console.log(`${compared} names are the same in both`);
  expect(compared).toBeGreaterThan(25);
  await page.close();
});
