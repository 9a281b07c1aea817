import { asWritten } from '@sormet/core/compile';
import { expect, type APIRequestContext, type Page } from '@playwright/test';
import { HtmlValidate } from 'html-validate';
import { parse, serialize, type DefaultTreeAdapterTypes } from 'parse5';
import { type Documents } from '@sormet/core/model';
import { build, Linker, rulesOf, type ResolvedElement } from '@sormet/core/resolve';
import { cascade, declaredProperties, widthsOf } from '@sormet/core/style';
import { asSeen } from '@sormet/core/test';
import { dataOf } from '@sormet/core/value';
import { PREVIEW } from './addresses';
import { seriousFindings } from './axe';
import { demoAddresses, documentsOf, elementsOf } from './demo-pages';
import { test } from './test';

/** A page's HTML from the preview, asked for by its host: not every resolver knows names below localhost. */
async function previewHtml(request: APIRequestContext, path: string): Promise<string> {
  const { host, port } = new URL(PREVIEW);
  const answer = await request.get(`http://127.0.0.1:${port}${path}`, { headers: { host } });
  expect([path, answer.status()]).toEqual([path, 200]);
  return answer.text();
}

/** The body of an HTML document as parse5 writes it out. */
function bodyOf(html: string): string {
  const document = parse(html);
  const root = document.childNodes.find(
    (node) => node.nodeName === 'html',
  ) as DefaultTreeAdapterTypes.Element;
  return serialize(
    root.childNodes.find((node) => node.nodeName === 'body') as DefaultTreeAdapterTypes.Element,
  );
}

test('every page passes html-validate: recommended and standard rules (HTML Living Standard)', async ({
  request,
}) => {
  const validator = new HtmlValidate({
    root: true,
    extends: ['html-validate:recommended', 'html-validate:standard'],
    // An empty value is the value left out (HTML, 13.1.2.3): attributes that are there are all written in one way.
    rules: { 'attribute-boolean-style': 'off' },
  });
  for (const { path } of await demoAddresses(request)) {
    const html = await previewHtml(request, path);
    const { results } = await validator.validateString(html);
    expect([
      path,
      results.flatMap(({ messages }) =>
        messages.map(
          ({ ruleId, message, line, column }) => `${ruleId} ${line}:${column} ${message}`,
        ),
      ),
    ]).toEqual([path, []]);
  }
});

test('every page’s body, parsed by parse5 and written out, is unchanged', async ({ request }) => {
  for (const { path } of await demoAddresses(request)) {
    const html = await previewHtml(request, path);
    expect(html).toContain(`<body>${bodyOf(html)}</body>`);
  }
});

test('every page has nothing serious for axe-core (WCAG 2.2 AA)', async ({ browser, request }) => {
  test.setTimeout(240_000);
  const page = await browser.newPage({ bypassCSP: true });
  for (const { path } of await demoAddresses(request)) {
    await page.goto(PREVIEW + path);
    expect([path, await seriousFindings(page)]).toEqual([path, []]);
  }
  await page.close();
});

test('the canvas shows the published body, on every page and for every entry', async ({
  page,
  request,
}) => {
  test.setTimeout(240_000);
  let shown: string | undefined;
  for (const { path, page: doc, entry } of await demoAddresses(request)) {
    const address = `/sites/brackenfold/bench/${doc.id}${entry ? `?entry=${entry.id}` : ''}`;
    // From entry to entry of a page as a link goes, without loading the program anew.
    if (shown === doc.id)
      await page.evaluate((to) => {
        history.pushState(null, '', to);
        dispatchEvent(new PopStateEvent('popstate'));
      }, address);
    else await page.goto(address);
    shown = doc.id;
    const expected = await bodyOnceItRuns(page, await previewHtml(request, path), path);
    await expect
      .poll(() =>
        page
          .locator('iframe[title="The page"]')
          .evaluate((frame: HTMLIFrameElement) => {
            const body = frame.contentDocument?.body?.cloneNode(true) as HTMLElement | undefined;
            body?.normalize();
            // Nothing stands there while the frame is loaded.
            return body?.innerHTML ?? '';
          })
          .then((html) => sortAttributes(asSeen(html))),
      )
      .toBe(sortAttributes(asSeen(expected)));
  }
});

/** What a page does as it opens is left out: a canvas shows the first states. */
async function withoutBeginning(page: Page, path: string, html: string): Promise<void> {
  const body = html.replaceAll('[&quot;begin&quot;', '[&quot;never&quot;');
  await page.route(PREVIEW + path, (route) => route.fulfill({ contentType: 'text/html', body }));
}

/**
 * The body of a page as its script leaves it before anything happens, not what is done as the page opens: a canvas shows the first
 * states. Of a page without a script as it was sent.
 */
async function bodyOnceItRuns(page: Page, html: string, path: string): Promise<string> {
  if (!html.includes('<script')) return page.evaluate(bodyIn, html);
  const other = await page.context().newPage();
  await withoutBeginning(other, path, html);
  await other.goto(PREVIEW + path);
  const body = await other.evaluate(() => document.body.innerHTML);
  await other.close();
  return body;
}

function bodyIn(html: string): string {
  return new DOMParser().parseFromString(html, 'text/html').body.innerHTML;
}

/** HTML with the attributes of each tag in the order of their names: the DOM keeps the order of setting. */
function sortAttributes(html: string): string {
  return html.replace(
    /<([a-z0-9]+)((?: [a-z-]+(?:="[^"]*")?)+)>/g,
    (_, tag: string, attributes: string) => {
      const list = attributes.match(/ [a-z-]+(?:="[^"]*")?/g) ?? [];
      return `<${tag}${list.sort().join('')}>`;
    },
  );
}

test('setting each declaration that the core calls the winner inline changes no computed longhand', async ({
  page,
  request,
}) => {
  test.setTimeout(300_000);
  const documents = await documentsOf(request);
  const linker = new Linker();
  const site = documents.site;
  const seen = new Set<string>();
  let checked = 0;
  for (const address of await demoAddresses(request)) {
    // Of the pages made from entries two are enough: their styles are the same.
    const count = [...seen].filter((key) => key.startsWith(address.page.id)).length;
    if (count >= 2) continue;
    seen.add(address.page.id + address.path);
    const root = build(
      linker.link(documents, address.page.id),
      dataOf(documents),
      address.entry,
    ).root;
    const elements = elementsOf(root);
    await withoutBeginning(page, address.path, await previewHtml(request, address.path));
    for (const { id, max } of widthsOf(site)) {
      await page.setViewportSize({ width: Math.min(max, 1280), height: 800 });
      await page.goto(PREVIEW + address.path);
      const winners = elements.map((element) => winnersOf(documents, element, id));
      const result = await page.evaluate((all) => {
        // What is hidden by its states stands there and is no part of what the canvas shows.
        const shown = [...document.body.querySelectorAll<HTMLElement>('*')].filter(
          (each) => !each.closest('[hidden]') && !each.matches('[data-sormet-words]'),
        );
        const differs: string[] = [];
        const read = (element: HTMLElement) => {
          const style = getComputedStyle(element);
          return Array.from(style, (name) => `${name}: ${style.getPropertyValue(name)}`).join('\n');
        };
        let set = 0;
        shown.forEach((element, i) => {
          const before = read(element);
          for (const [property, value] of all[i] ?? []) {
            element.style.setProperty(property, value);
            if (element.style.getPropertyValue(property) === '')
              differs.push(`${property}: ${value} is no CSS`);
            set += 1;
          }
          const after = read(element);
          element.removeAttribute('style');
          if (before !== after) {
            const lines = after.split('\n');
            differs.push(
              `<${element.tagName} class="${element.className}"> ${before
                .split('\n')
                .filter((line, n) => line !== lines[n])
                .slice(0, 4)
                .join('; ')}`,
            );
          }
        });
        return { shown: shown.length, set, differs };
      }, winners);
      expect(result.shown).toBe(elements.length);
      expect([address.path, id, result.differs]).toEqual([address.path, id, []]);
      checked += result.set;
    }
  }
  console.log(`${checked} winning declarations set inline`);
  expect(checked).toBeGreaterThan(1000);
});

function winnersOf(
  documents: Documents,
  element: ResolvedElement,
  width: string,
): [string, string][] {
  const rules = rulesOf(element, documents, documents.tags);
  return declaredProperties(rules).flatMap((property): [string, string][] => {
    const [winner] = cascade(rules, property, width, documents.site);
    return winner ? [[property, asWritten(winner, property)]] : [];
  });
}
