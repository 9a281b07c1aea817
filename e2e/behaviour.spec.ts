import { expect, type Page } from '@playwright/test';
import fc from 'fast-check';
import { PageCompiler } from '@sormet/core/compile';
import { addressesOf, allOf, type Documents, type Source } from '@sormet/core/model';
import { Linker, prepare, type Held } from '@sormet/core/resolve';
import {
  contentType,
  documentsOf,
  entry,
  foldingDocs,
  means,
  page as pageDoc,
  queryOf,
  words,
} from '@sormet/core/test';
import { dataOf, valuesOfState } from '@sormet/core/value';
import { BenchHand, ownSite } from './bench';
import { test } from './test';

/**
 * What a visitor does, in Chromium: after any presses the page is what it would be if it were written anew with the states
 * that those come to. What they come to is worked out here from the acts alone, and knows nothing of how a page is written.
 */

const NAME: Source = { is: 'field', from: { repeat: 'each' }, path: ['name'] };
const documents = documentsOf(
  ...foldingDocs,
  contentType('shed', { name: 'text' }),
  ...['ash', 'birch'].map((slug) => entry('shed', slug, { name: words(`The ${slug} & co`) })),
  pageDoc('home', '/', {
    tag: 'main',
    children: [
      { component: 'folding' },
      {
        component: 'folding',
        values: { 'folding-open': { is: 'value', type: 'boolean', value: true } },
      },
      {
        tag: 'div',
        children: [
          {
            id: 'each',
            repeat: queryOf('shed'),
            children: [
              {
                component: 'folding',
                values: {
                  'folding-words': NAME,
                  'folding-count': { is: 'position', repeat: 'each', as: 'number' },
                },
              },
            ],
          },
        ],
      },
    ],
  }),
);

const compiled = new PageCompiler(documents, means(new Linker())).compile(
  addressesOf(documents)[0]!,
);

/** The page as it is published, its files in it. */
async function open(page: Page, scripts = true): Promise<void> {
  const html = compiled.html
    .replace(/<link rel="stylesheet"[^>]*>/, () => `<style>${compiled.css.text}</style>`)
    .replace(/<script[^>]*><\/script>/, '');
  await page.goto('about:blank');
  await page.setContent(html);
  if (scripts) await page.addScriptTag({ content: compiled.script!.text });
}

/** All values of each state, by its name. */
function valuesIn(
  of: Documents,
): ReadonlyMap<string, NonNullable<ReturnType<typeof valuesOfState>>> {
  return new Map(
    allOf(of, 'component').flatMap(({ id, properties }) =>
      Object.entries(properties).flatMap(([property, { type, state }]) => {
        const values = state && valuesOfState(type, state);
        return values ? [[`${id}.${property}`, values] as const] : [];
      }),
    ),
  );
}

/** What a press sets: which state of which instance, to what. */
type Set = readonly [instance: number, name: string, to: 'next' | 'before' | 'other' | number];

/** A press on one of the buttons in sight, and the acts that stand at it, each with the instance whose state it sets. */
function pressed(page: Page, which: number): Promise<readonly Set[]> {
  return page.evaluate((n) => {
    const seen = [...document.querySelectorAll('button')].filter((each) => each.checkVisibility());
    const button = seen[n % seen.length]!;
    const holders = [...document.querySelectorAll('[data-sormet-states]')];
    const told = JSON.parse(button.getAttribute('data-sormet-acts') ?? '[]') as [
      string,
      [string, string, 'next'][],
    ][];
    button.click();
    return told.flatMap(([, acts]) =>
      acts.map(([, name, to]) => {
        const around = holders.filter(
          (each) =>
            each.contains(button) &&
            name in (JSON.parse(each.getAttribute('data-sormet-states')!) as object),
        );
        return [holders.indexOf(around.at(-1)!), name, to] as const;
      }),
    );
  }, which);
}

test('after any presses the page is what it would be if it were written anew with those states', async ({
  page,
}) => {
  test.slow();
  const template = prepare(new Linker().link(documents, 'home'), dataOf(documents));
  const values = valuesIn(documents);
  let changed = 0;
  await fc.assert(
    fc.asyncProperty(fc.array(fc.nat(40), { maxLength: 12 }), async (presses) => {
      await open(page);
      const states = await page.evaluate(() =>
        [...document.querySelectorAll('[data-sormet-states]')].map(
          (each) =>
            JSON.parse(each.getAttribute('data-sormet-states')!) as Record<
              string,
              [number, number, 0 | 1]
            >,
        ),
      );
      for (const press of presses)
        for (const [instance, name, to] of await pressed(page, press)) {
          const state = states[instance]![name]!;
          const [at, many, round] = state;
          const wanted = { next: at + 1, before: at - 1, other: 1 - at }[to] ?? (to as number);
          const end = round ? (wanted + many) % many : Math.min(many - 1, Math.max(0, wanted));
          if (end !== at) changed += 1;
          state[0] = end;
        }
      const held: Held = (instance, name) => {
        const at = states[instance]?.[name]?.[0];
        return at === undefined ? undefined : values.get(name)![at];
      };
      const { html } = template.write(undefined, template.first(undefined), { held });
      const [now, anew] = await page.evaluate((written) => {
        const other = document.implementation.createHTMLDocument();
        other.body.innerHTML = written;
        const body = document.body.cloneNode(true) as HTMLElement;
        for (const each of body.querySelectorAll('script')) each.remove();
        // Where states were when the page was written, the page goes on saying.
        for (const root of [body, other.body])
          for (const each of root.querySelectorAll('[data-sormet-states]'))
            each.removeAttribute('data-sormet-states');
        const alike = (root: HTMLElement) => {
          for (const each of root.querySelectorAll('*')) {
            const names = [...each.getAttributeNames()].sort();
            const all = names.map((name) => [name, each.getAttribute(name)!] as const);
            for (const [name] of all) each.removeAttribute(name);
            for (const [name, value] of all) each.setAttribute(name, value);
          }
          return root.innerHTML;
        };
        return [alike(body), alike(other.body)];
      }, html);
      expect(now).toBe(anew);
    }),
    { numRuns: 40, seed: 20261201 },
  );
  // Presses did something, and often.
  expect(changed).toBeGreaterThan(100);
});

test('without scripts everything is in sight; with them what a state hides at first is hidden, and comes on a press, by keys too', async ({
  page,
}) => {
  await open(page, false);
  await expect(page.getByText('inside')).toHaveCount(4);
  for (const each of await page.getByText('inside').all()) await expect(each).toBeVisible();
  await open(page);
  const first = page.locator('section').first();
  await expect(first.getByText('inside')).toBeHidden();
  const button = first.getByRole('button', { name: 'Fold' }).first();
  await expect(button).toHaveAttribute('aria-expanded', 'false');
  await button.focus();
  await page.keyboard.press('Enter');
  await expect(first.getByText('inside')).toBeVisible();
  await expect(button).toHaveAttribute('aria-expanded', 'true');
  await expect(button).toBeFocused();
  await expect(first.getByText('so many: 2')).toBeVisible();
  // Each instance by itself.
  await expect(page.locator('section').nth(2).getByText('inside')).toBeHidden();
});

test('a property becomes a state, a heading sets it when it is pressed: made at the bench, done in the preview', async ({
  page,
}) => {
  const site = await ownSite(page, 'acting');
  const bench = new BenchHand(page);
  await page.goto(`${site}/bench/page-about`);
  await page.locator('.outline-row', { hasText: 'How it works' }).click();
  await page.keyboard.press('m');
  await page.getByRole('textbox', { name: 'Name of the component' }).fill('Sections/Own steps');
  await page.getByRole('button', { name: 'Make component' }).click();
  await bench.clickOn(bench.definition.locator('p').last(), 'definition');
  await bench.row('shown').getByText('expose', { exact: true }).click();
  await page.locator('.outline-row', { hasText: 'definition' }).click();
  await page.getByRole('checkbox', { name: 'Text shown is a state' }).check();
  await page.locator('.outline-row', { hasText: 'Heading' }).click();
  await page.keyboard.press('a');
  await expect(page.getByRole('tab', { name: 'Acts' })).toHaveAttribute('aria-selected', 'true');
  await bench.choose('When something happens to it', 'pressed');
  await bench.choose('pressed, then', 'set a state');
  await expect(page.getByRole('combobox', { name: 'pressed, act 1: to' })).toHaveText(
    'the other of yes and no',
  );
  await bench.saved();
  // Nothing runs on the canvas; in the preview it does.
  await page.goto(`${site}/preview/page-about`);
  const preview = page.locator('iframe').contentFrame();
  const words = preview.getByText('You pay for the parts');
  await expect(words).toBeVisible();
  await preview.getByRole('heading', { name: 'How it works' }).click();
  await expect(words).toBeHidden();
  await preview.getByRole('heading', { name: 'How it works' }).click();
  await expect(words).toBeVisible();
});
