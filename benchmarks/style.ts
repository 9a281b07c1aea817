import { chromium } from '@playwright/test';
import { chromiumProgram } from '../scripts/lib/install.mjs';
import { cssOf, PageCompiler } from '@sormet/core/compile';
import { doEdit, isRefusal } from '@sormet/core/edit';
import { plant, type Branch } from '@sormet/core/ready';
import { addressesOf, allOf, text, type Documents, type PageDoc } from '@sormet/core/model';
import { Reach, reachOfStyle } from '@sormet/core/reach';
import {
  build,
  Linker,
  reachableStyles,
  rulesOf,
  type Resolved,
  type ResolvedElement,
} from '@sormet/core/resolve';
import { cascade, declaredProperties } from '@sormet/core/style';
import { means } from '@sormet/core/test';
import { dataOf } from '@sormet/core/value';
import { brackenfold } from '@sormet/demo';
import { median, rounded, type Report } from './measure';

/** How many elements the page has, and how often each thing is done. */
const ELEMENTS = 2000;
const TIMES = 300;

/** The demo with a page of so many elements that have its shared styles on. */
function largePage(): Documents {
  const { documents } = brackenfold();
  const styles = allOf(documents, 'style').filter(({ base }) => base === null);
  const children = Array.from({ length: ELEMENTS / 2 }, (_, i): Branch => ({
    tag: 'div',
    shared: { [styles[i % styles.length]!.id]: true, [styles[(i * 7) % styles.length]!.id]: true },
    children: [{ tag: 'p', text: `Words ${i}` }],
  }));
  let next = 0;
  const { nodes } = plant(
    { id: 'large', tag: 'main', children },
    { parent: null, order: 'a0' },
    () => `n${(next += 1)}`,
  );
  const home = documents.get('page-home') as PageDoc;
  const page = { ...home, id: 'page-large', path: '/large', title: text('Large'), nodes };
  return documents.with(page);
}

function elementsOf(node: Resolved | null): ResolvedElement[] {
  if (!node || node.kind === 'text') return [];
  const inner = node.children.flatMap(elementsOf);
  return node.kind === 'element' ? [node, ...inner] : inner;
}

/** Milliseconds of one call, the median of many. */
function timed(run: (i: number) => void): number {
  for (let i = 0; i < TIMES; i += 1) run(i);
  const all = Array.from({ length: TIMES }, (_, i) => {
    const start = performance.now();
    run(i);
    return performance.now() - start;
  });
  return median(all);
}

/** What a designer waits for while styling, beside what the browser needs for its own part of the same. */
export async function style(): Promise<Report> {
  const documents = largePage();
  const linker = new Linker();
  const linked = linker.link(documents, 'page-large');
  const elements = elementsOf(build(linked, dataOf(documents), undefined).root);
  const reach = new Reach(documents);
  const { site } = documents;
  const one = (element: ResolvedElement) => {
    const rules = rulesOf(element, documents, documents.tags);
    for (const property of declaredProperties(rules)) cascade(rules, property, 'base', site);
    for (const { origin } of rules)
      if (origin.is === 'shared') reachOfStyle(documents, reach, origin.doc);
  };
  const chain = timed((i) => one(elements[(i * 37) % elements.length]!));
  const colours = ['#9a3b17', '#9a3b18'];
  const changed = colours.map((css) => {
    const edit = { name: 'setToken' as const, args: { token: 'brand', set: { css } } };
    const done = doEdit(documents, edit);
    return isRefusal(done) ? documents : done.documents;
  });
  const used = reachableStyles(linked);
  const token = timed((i) => cssOf(changed[i % 2]!, used));
  const address = addressesOf(documents).find(({ path }) => path === '/large')!;
  const compiled = new PageCompiler(documents, means(linker)).compile(address);
  const sheets = changed.map((each) => cssOf(each, used));
  const browser = await chromium.launch({
    executablePath: chromiumProgram(),
    args: ['--no-sandbox', '--disable-background-networking'],
  });
  try {
    const page = await browser.newPage();
    await page.setContent(
      compiled.html.replace(/<link rel="stylesheet"[^>]*>/, () => `<style>${sheets[0]}</style>`),
    );
    // The names that the loader gives functions are asked for in the page too.
    await page.evaluate('globalThis.__name = (made) => made');
    const asked = { sheets, times: TIMES };
    const inBrowser = await page.evaluate(({ sheets: both, times }) => {
      const all = [...document.querySelectorAll<HTMLElement>('body *')];
      const sheet = document.querySelector('style')!;
      const middle = (run: (i: number) => void) => {
        const list = Array.from({ length: times }, (_, i) => {
          const start = performance.now();
          run(i);
          return performance.now() - start;
        }).sort((a, b) => a - b);
        return list[times >> 1]!;
      };
      const last = all.at(-1)!;
      return {
        computed: middle((i) => {
          const computed = getComputedStyle(all[(i * 37) % all.length]!);
          for (const name of computed) computed.getPropertyValue(name);
        }),
        replaced: middle((i) => {
          sheet.textContent = both[i % 2]!;
          void last.getBoundingClientRect();
        }),
        byHand: middle((i) => {
          document.documentElement.style.setProperty('--t-brand', i % 2 ? '#9a3b17' : '#9a3b18');
          void last.getBoundingClientRect();
        }),
      };
    }, asked);
    const ms = (time: number) => `${time.toFixed(2)} ms`;
    return {
      name: 'style',
      about: `a page of ${elements.length} elements, ${Object.keys(documents.tokens.tokens).length} tokens`,
      rows: [
        {
          what: 'chain, winners and reach of one element',
          figure: ms(chain),
          ratio: rounded(chain / inBrowser.computed),
          reference: `getComputedStyle of it, every property read, ${ms(inBrowser.computed)}`,
          aim: '',
        },
        {
          what: 'one token changed: the CSS written anew and laid out',
          figure: ms(token + inBrowser.replaced),
          ratio: rounded((token + inBrowser.replaced) / inBrowser.byHand),
          reference: `one custom property set by hand and laid out, ${ms(inBrowser.byHand)}`,
          aim: '',
        },
      ],
    };
  } finally {
    await browser.close();
  }
}
