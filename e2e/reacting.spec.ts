import { expect } from '@playwright/test';
import { PageCompiler } from '@sormet/core/compile';
import {
  addressesOf,
  literal,
  type ComponentDoc,
  type Pseudo,
  type Rule,
  type Source,
} from '@sormet/core/model';
import { Linker } from '@sormet/core/resolve';
import { blockOf } from '@sormet/core/style';
import {
  component,
  documentsOf,
  means,
  page as pageDoc,
  signTokens,
  TONE,
} from '@sormet/core/test';
import { test } from './test';

/**
 * Components that react, in each of their variants, against Chromium: hover, focus and pressed (Selectors 4, 9), how long a
 * change takes (CSS Transitions 1, 2), and less of it for who asks for that (Media Queries 5, 12.1).
 */

const REST = 'rgb(1, 1, 1)';
const COLOURS: Record<Pseudo['is'], Record<'calm' | 'loud', string>> = {
  ':hover': { calm: 'rgb(10, 0, 0)', loud: 'rgb(20, 0, 0)' },
  ':focus-visible': { calm: 'rgb(0, 10, 0)', loud: 'rgb(0, 20, 0)' },
  ':active': { calm: 'rgb(0, 0, 10)', loud: 'rgb(0, 0, 20)' },
};

/** What a rule says of the part of a card while its root is in a state, in all variants or in one. */
function reacting(is: Pseudo['is'], tone: 'calm' | 'loud', part: string): Rule {
  return {
    order: { ':hover': 'a0', ':focus-visible': 'a1', ':active': 'a2' }[is],
    when: { axes: tone === 'loud' ? { tone } : {}, pseudo: { of: 'root', is } },
    patch: { [part]: { style: blockOf({ color: COLOURS[is][tone] }) } },
  };
}

/** Something that can be pressed whose words react to it; it changes slowly, and slower still where it is loud. */
function pressed(id: string, slots: string[] = []): ComponentDoc {
  const doc = component(
    id,
    {
      id: `${id}-root`,
      tag: 'div',
      attributes: { tabindex: { is: 'value', type: 'text', value: '0' } },
      style: blockOf({ padding: '20px' }),
      children: [
        {
          id: `${id}-words`,
          tag: 'p',
          text: id,
          style: blockOf({
            color: REST,
            'transition-property': 'color',
            'transition-duration': '1ms',
            'transition-timing-function': 'ease-in',
          }),
        },
        ...slots.map((slot) => ({ slot })),
      ],
    },
    { tone: literal({ type: 'choice', value: 'calm' }) },
    slots,
  );
  doc.properties['tone'] = { ...doc.properties['tone']!, type: TONE, axis: true };
  const rules: Record<string, Rule> = {
    slower: {
      order: 'a0',
      when: { axes: { tone: 'loud' } },
      patch: {
        [`${id}-words`]: {
          style: blockOf({
            'transition-duration': '2ms',
            'transition-timing-function': 'linear',
          }),
        },
      },
    },
  };
  for (const is of [':hover', ':focus-visible', ':active'] as const)
    for (const tone of ['calm', 'loud'] as const)
      rules[`${is.slice(1, 4)}-${tone}`] = reacting(is, tone, `${id}-words`);
  return { ...doc, rules };
}

const tone = (value: string) => ({ tone: literal({ type: 'choice', value }) });
const documents = documentsOf(
  signTokens,
  pressed('inner'),
  pressed('outer', ['more']),
  pageDoc('home', '/', {
    tag: 'main',
    children: ['calm', 'loud'].map((value) => ({
      component: 'outer',
      values: tone(value),
      slots: { more: [{ component: 'inner', values: tone(value) }] },
    })),
  }),
);

test('a component reacts in each variant as it says, what stands in its slot by itself, and with less motion at once', async ({
  page,
}) => {
  const compiled = new PageCompiler(documents, means(new Linker())).compile(
    addressesOf(documents)[0]!,
  );
  await page.setContent(
    compiled.html.replace(
      /<link rel="stylesheet"[^>]*>/,
      () => `<style>${compiled.css.text}</style>`,
    ),
  );
  const words = (of: 'inner' | 'outer', i: number) => page.getByText(of, { exact: true }).nth(i);
  for (const [i, tone] of (['calm', 'loud'] as const).entries()) {
    const [outer, inner] = [words('outer', i), words('inner', i)];
    // Pointed at beside its words: the part reacts, what is in the slot does not.
    await outer.hover();
    await expect(outer).toHaveCSS('color', COLOURS[':hover'][tone]);
    await expect(inner).toHaveCSS('color', REST);
    // Pointed at inside the slot: what stands there reacts, and so does what is around, whose inside it is.
    await inner.hover();
    await expect(inner).toHaveCSS('color', COLOURS[':hover'][tone]);
    await expect(outer).toHaveCSS('color', COLOURS[':hover'][tone]);
    // Pressed is the stronger, as it stands later.
    await page.mouse.down();
    await expect(inner).toHaveCSS('color', COLOURS[':active'][tone]);
    await page.mouse.up();
    await page.mouse.move(1, 700);
    await page.mouse.click(1, 700);
    await expect(inner).toHaveCSS('color', REST);
    // By keys: what has the focus reacts; what is around it does not have it.
    await page.keyboard.press('Tab');
    if (i === 1) {
      await page.keyboard.press('Tab');
      await page.keyboard.press('Tab');
    }
    await expect(outer).toHaveCSS('color', COLOURS[':focus-visible'][tone]);
    await expect(inner).toHaveCSS('color', REST);
    await page.keyboard.press('Tab');
    await expect(inner).toHaveCSS('color', COLOURS[':focus-visible'][tone]);
    await expect(outer).toHaveCSS('color', REST);
    await page.mouse.click(1, 700);
    // How long it takes is the variant's own.
    await expect(outer).toHaveCSS('transition-duration', tone === 'loud' ? '0.002s' : '0.001s');
    await expect(outer).toHaveCSS(
      'transition-timing-function',
      tone === 'loud' ? 'linear' : 'ease-in',
    );
  }
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await expect(words('outer', 1)).toHaveCSS('transition-duration', '0.001s');
  await words('outer', 1).hover();
  await expect(words('outer', 1)).toHaveCSS('color', COLOURS[':hover'].loud);
});

test('a page in a language of its own is one for the browser, and what fills a slot that a variant hides is not there', async ({
  page,
}) => {
  const hiding = pressed('outer', ['more']);
  const slot = Object.keys(hiding.nodes).find((id) => hiding.nodes[id]!.kind === 'slot')!;
  const hidden: Rule = {
    order: 'b00',
    when: { axes: { tone: 'loud' } },
    patch: { [slot]: { shown: literal({ type: 'boolean', value: false }) } },
  };
  const day: Source = {
    is: 'words',
    of: 'text',
    pieces: ['am ', { place: 'n0', format: { as: 'date', style: 'long' } }],
    names: { n0: literal({ type: 'date', value: '2026-12-03' }) },
  };
  const site = documentsOf(
    signTokens,
    { ...hiding, rules: { ...hiding.rules, hidden } },
    {
      ...pageDoc('home', '/', {
        tag: 'main',
        children: [
          { tag: 'p', text: day },
          ...['calm', 'loud'].map((value) => ({
            component: 'outer',
            values: tone(value),
            slots: { more: [{ tag: 'b', text: `filled ${value}` }] },
          })),
        ],
      }),
      language: 'de-AT',
    },
  );
  const { html } = new PageCompiler(site, means(new Linker())).compile(addressesOf(site)[0]!);
  await page.setContent(html);
  await expect(page.locator('html')).toHaveAttribute('lang', 'de-AT');
  await expect(page.getByText('am 3. Dezember 2026')).toBeVisible();
  await expect(page.getByText('filled calm')).toBeVisible();
  await expect(page.getByText('filled loud')).toHaveCount(0);
});

test('what the trade expects of variants (common practice, no published source)', async ({
  page,
}) => {
  const button = component(
    'button',
    {
      id: 'button-root',
      tag: 'a',
      text: 'Go',
      attributes: { href: literal({ type: 'link', value: { to: 'address', href: '/' } }) },
      style: blockOf(
        { display: 'inline-flex', padding: '30px', 'text-decoration': 'underline' },
        { w900: { padding: '20px' } },
      ),
    },
    { shape: literal({ type: 'choice', value: 'plain' }) },
  );
  const shapes = ['plain', 'quiet', 'bare', 'round'];
  button.properties['shape'] = {
    ...button.properties['shape']!,
    axis: true,
    type: {
      kind: 'choice',
      options: Object.fromEntries(
        shapes.map((shape, i) => [shape, { label: shape, order: `a${i}` }]),
      ),
    },
  };
  const of = (shape: string, style: Record<string, string>): Rule => ({
    order: 'a0',
    when: { axes: { shape } },
    patch: { 'button-root': { style: blockOf(style) } },
  });
  const site = documentsOf(
    signTokens,
    {
      ...button,
      rules: {
        quiet: of('quiet', { color: REST }),
        bare: of('bare', { 'text-decoration': 'none' }),
        round: of('round', {
          padding: '0',
          width: '56px',
          'aspect-ratio': '1/1',
          'border-radius': '50%',
        }),
      },
    },
    pageDoc('home', '/', {
      tag: 'main',
      children: shapes.map((shape) => ({
        component: 'button',
        values: { shape: literal({ type: 'choice', value: shape }) },
      })),
    }),
  );
  const compiled = new PageCompiler(site, means(new Linker())).compile(addressesOf(site)[0]!);
  await page.setContent(
    compiled.html.replace(
      /<link rel="stylesheet"[^>]*>/,
      () => `<style>${compiled.css.text}</style>`,
    ),
  );
  const link = (shape: string) => page.getByRole('link').nth(shapes.indexOf(shape));
  // An underline on the base shows in every variant until that variant takes it back.
  for (const shape of ['plain', 'quiet', 'round'])
    await expect(link(shape)).toHaveCSS('text-decoration-line', 'underline');
  await expect(link('bare')).toHaveCSS('text-decoration-line', 'none');
  // Padding is 30 px at the base and 20 px at medium, in a variant that says nothing of it, too.
  for (const shape of ['plain', 'quiet'])
    for (const [width, padding] of [
      [1200, '30px'],
      [800, '20px'],
    ] as const) {
      await page.setViewportSize({ width, height: 800 });
      await expect(link(shape)).toHaveCSS('padding-left', padding);
    }
  // A round button is as wide as high.
  await page.setViewportSize({ width: 1200, height: 800 });
  const box = (await link('round').boundingBox())!;
  expect([box.width, box.height]).toEqual([56, 56]);
});
