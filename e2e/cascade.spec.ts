import { expect } from '@playwright/test';
import fc from 'fast-check';
import { PageCompiler, asWritten } from '@sormet/core/compile';
import {
  EVERY_TAG,
  addressesOf,
  literal,
  type Block,
  type ComponentDoc,
  type Documents,
  type Pseudo,
} from '@sormet/core/model';
import { type Branch } from '@sormet/core/ready';
import { build, Linker, rulesOf, type ResolvedElement } from '@sormet/core/resolve';
import {
  blockOf,
  cascade,
  declarationKey,
  declaredProperties,
  keyParts,
  widthsOf,
} from '@sormet/core/style';
import {
  component,
  documentsOf,
  page as pageDoc,
  sharedStyles,
  site,
  signTokens,
  TONE,
  means,
} from '@sormet/core/test';
import { dataOf } from '@sormet/core/value';
import { elementsOf } from './demo-pages';
import { test } from './test';

/**
 * The computed cascade against Chromium's own (CSS Cascading and Inheritance 5), on components that nobody drew:
 * styles of instances at every height and of their parts, shared styles, several rules in a level, several widths, states, tokens, and
 * values that properties feed.
 */

const PROPERTIES = {
  color: ['rgb(1, 1, 1)', 'rgb(2, 2, 2)', 'rgb(3, 3, 3)', 'rgb(4, 4, 4)'],
  'background-color': ['rgb(5, 5, 5)', 'rgb(6, 6, 6)', 'rgb(7, 7, 7)'],
  'padding-left': ['1px', '2px', '3px', '4px', '5px'],
  'margin-top': ['1px', '2px', '3px'],
  'letter-spacing': ['1px', '2px', '3px'],
  'font-weight': ['100', '400', '900'],
} as const;
const WIDTHS = ['base', 'w900', 'w500'];

const block: fc.Arbitrary<Block> = fc
  .array(
    fc.constantFrom(...(Object.keys(PROPERTIES) as (keyof typeof PROPERTIES)[])).chain((property) =>
      fc.record({
        property: fc.constant(property),
        value: fc.constantFrom(...(PROPERTIES[property] as readonly string[])),
        width: fc.constantFrom(...WIDTHS),
        state: fc.constantFrom(undefined, undefined, undefined, ':hover' as const),
        fed: fc.constantFrom('no', 'no', 'no', 'token', 'source'),
      }),
    ),
    { maxLength: 6 },
  )
  .map((list) => {
    const made: Block = {};
    for (const { property, value, width, state, fed } of list) {
      const key = declarationKey(property, width, state);
      if (fed === 'token' && property === 'color')
        made[key] = { css: 'var(--it)', refs: { it: { token: 'soft', type: 'colour' } } };
      else if (fed === 'source' && property === 'padding-left')
        made[key] = {
          css: 'calc(var(--it)*3px)',
          refs: { it: { source: { is: 'property', property: 'share' }, type: 'number' } },
        };
      else made[key] = Object.values(blockOf({ [property]: value }))[0]!;
    }
    return made;
  });

/** A block that stands on a page, where there are no properties to read. */
const pageBlock = block.map(
  (made) =>
    Object.fromEntries(
      Object.entries(made).filter(([, { refs }]) => !refs?.['it'] || 'token' in refs['it']),
    ) as Block,
);

const shared = fc.constantFrom(
  {},
  { pill: true },
  { pill: true, 'pill-wide': true },
) as fc.Arbitrary<Record<string, true>>;

/** One theme in another, the way back among them. */
const theme = fc.constantFrom(undefined, undefined, 'night', 'dusk', 'plain');
const withTheme = (id: string | undefined) => (id === undefined ? {} : { theme: id });

const rule = fc.record({
  axes: fc.constantFrom(
    {},
    { tone: 'loud' },
    { tone: 'calm' },
    { tone: 'loud', side: 'left' },
    { side: 'left' },
  ),
  pseudo: fc.constantFrom<Pseudo | undefined>(
    undefined,
    undefined,
    { of: 'root', is: ':hover' },
    { of: 'self', is: ':hover' },
  ),
  root: block,
  part: block,
  /** Shared styles that it puts on or takes off, and the theme that it begins: where it is for no state. */
  wears: fc.constantFrom<Record<string, boolean> | undefined>(
    undefined,
    undefined,
    { pill: true },
    { pill: false, 'pill-wide': false },
  ),
  begins: fc.constantFrom(undefined, undefined, undefined, 'night', 'dusk', null),
});

const definition = fc.record({
  root: block,
  part: block,
  shared,
  theme,
  rules: fc.array(rule, { maxLength: 4 }),
});

const generated = fc.record({
  inner: definition,
  outer: definition,
  onInner: block,
  partByOuter: block,
  tag: pageBlock,
  /** Of every element only states are said. */
  everywhere: pageBlock.map(
    (made) =>
      Object.fromEntries(Object.entries(made).filter(([key]) => keyParts(key).state)) as Block,
  ),
  placed: fc.array(
    fc.record({
      of: fc.constantFrom('inner', 'outer'),
      tone: fc.constantFrom('calm', 'loud'),
      side: fc.constantFrom('left', 'right'),
      style: pageBlock,
      part: pageBlock,
      shared,
      theme,
    }),
    { minLength: 2, maxLength: 4 },
  ),
});
type Generated = typeof generated extends fc.Arbitrary<infer T> ? T : never;

/** A component with a part and a slot, its axes and its rules; its root is an element, or an instance of another. */
function made(id: string, given: Generated['inner'], root: Branch): ComponentDoc {
  const doc = component(
    id,
    root,
    {
      tone: literal({ type: 'choice', value: 'calm' }),
      side: literal({ type: 'choice', value: 'right' }),
      share: literal({ type: 'number', value: 3 }),
    },
    ['more'],
  );
  Object.assign(doc.properties['tone']!, { type: TONE, axis: true });
  const option = (label: string) => ({ label, order: 'a0' });
  const type = { kind: 'choice', options: { left: option('left'), right: option('right') } };
  Object.assign(doc.properties['side']!, { type, axis: true });
  given.rules.forEach(({ axes, pseudo, root: onRoot, part, wears, begins }, i) => {
    doc.rules[`rule${i}`] = {
      order: `a${i}`,
      when: { axes: axes as Record<string, string>, ...(pseudo ? { pseudo } : {}) },
      patch: {
        [`${id}-root`]: {
          style: onRoot,
          ...(pseudo || !wears ? {} : { shared: wears }),
          ...(pseudo || begins === undefined ? {} : { theme: begins }),
        },
        ...(id === 'inner' ? { 'inner-part': { style: part } } : {}),
      },
    };
  });
  return doc;
}

/** What the whole page is given with the help of tokens, and a theme says again. */
const BODY: Block = {
  color: { css: 'var(--it)', refs: { it: { token: 'soft', type: 'colour' } } },
  'letter-spacing@w900': { css: 'var(--it)', refs: { it: { token: 'step', type: 'length' } } },
  'padding-left': { css: '0' },
};

function siteOfGenerated({
  inner,
  outer,
  onInner,
  partByOuter,
  tag,
  everywhere,
  placed,
}: Generated): Documents {
  const innerDoc = made('inner', inner, {
    id: 'inner-root',
    tag: 'div',
    style: inner.root,
    shared: inner.shared,
    ...withTheme(inner.theme),
    children: [
      { id: 'inner-part', tag: 'p', part: 'Line', style: inner.part, text: 'Part' },
      { slot: 'more' },
    ],
  });
  const outerDoc = made('outer', outer, {
    id: 'outer-root',
    component: 'inner',
    values: { tone: { is: 'property', property: 'tone' } },
    style: onInner,
    parts: { 'inner-part': partByOuter },
    shared: outer.shared,
    ...withTheme(outer.theme),
    slots: { more: [{ slot: 'more' }] },
  });
  const branches = placed.map(
    ({ of, tone, side, style, part, shared: on, theme: begins }, i): Branch => ({
      id: `at-${i}`,
      component: of,
      values: {
        tone: literal({ type: 'choice', value: tone }),
        side: literal({ type: 'choice', value: side }),
      },
      style,
      parts: { 'inner-part': part },
      shared: on,
      ...withTheme(begins),
      // One of the same inside: what holds in a state of the outer must not reach it.
      slots: { more: i % 2 === 0 ? [{ id: `in-${i}`, component: of }] : [] },
    }),
  );
  const home = pageDoc('home', '/', { tag: 'main', children: branches });
  const documents = documentsOf(signTokens, ...sharedStyles, innerDoc, outerDoc, home);
  const tags = documents.tags;
  return documents.with({
    ...tags,
    tags: { [EVERY_TAG]: everywhere, p: tag, div: tag, body: BODY },
  });
}

/** For each element what the core says wins, and what would win if that were left out, where the two look different. */
function winnersOf(
  documents: Documents,
  elements: readonly ResolvedElement[],
  width: string,
  pointed: ReadonlySet<ResolvedElement>,
) {
  return elements.map((element) => {
    const rules = rulesOf(element, documents, documents.tags);
    const states: Pseudo['is'][] = pointed.has(element) ? [':hover'] : [];
    // A rule for a state of the root holds where the root of its definition is pointed at.
    const holding = rules
      .filter(({ pseudo, origin }) => {
        if (pseudo?.of !== 'root' || origin.is !== 'rule') return true;
        return [...pointed].some((each) => isRootOf(each, element, origin.doc));
      })
      .map((each) => (each.pseudo?.of === 'root' ? withoutState(each) : each));
    return declaredProperties(holding).flatMap((property): [string, string, string | null][] => {
      const [winner, next] = cascade(holding, property, width, site, states);
      return winner
        ? [[property, asWritten(winner, property), next ? asWritten(next, property) : null]]
        : [];
    });
  });
}

function withoutState<T extends { pseudo?: Pseudo }>({ pseudo: _, ...rest }: T): Omit<T, 'pseudo'> {
  return rest;
}

/** Whether an element is the root of the very instance of a definition that another one stands in. */
function isRootOf(root: ResolvedElement, element: ResolvedElement, doc: string): boolean {
  const around = (each: ResolvedElement) => {
    for (let at: ResolvedElement['scope']['within'] | null = each.scope.within; at; at = at.parent)
      if (at.doc === doc) return at;
    return null;
  };
  const at = around(element);
  return (
    at !== null &&
    around(root) === at &&
    root.attributes['class']!.split(' ').includes(`${doc}-root_${doc}`)
  );
}

test('the winner of every property is Chromium’s, at every width and in every state, and a rule left out is noticed', async ({
  page,
}) => {
  test.setTimeout(300_000);
  let checked = 0;
  let noticed = 0;
  let inState = 0;
  for (const given of fc.sample(generated, { numRuns: 15, seed: 20261125 })) {
    const documents = siteOfGenerated(given);
    const linker = new Linker();
    const compiled = new PageCompiler(documents, means(linker)).compile(addressesOf(documents)[0]!);
    const { root } = build(linker.link(documents, 'home'), dataOf(documents), undefined);
    const elements = elementsOf(root);
    await page.setContent(
      compiled.html.replace(
        /<link rel="stylesheet"[^>]*>/,
        () => `<style>${compiled.css.text}</style>`,
      ),
    );
    expect(await page.locator('body *').count()).toBe(elements.length);
    const roots = elements
      .map((element, i) => ({ element, i }))
      .filter(({ element }) => /(^| )(inner|outer)-root_/.test(element.attributes['class'] ?? ''));
    const targets = [undefined, ...roots.map(({ i }) => i).slice(0, 2)];
    for (const { id, max } of widthsOf(site)) {
      await page.setViewportSize({ width: Math.min(max, 1200), height: 900 });
      for (const target of targets) {
        if (target === undefined) await page.mouse.move(1, 890);
        else {
          // The words of its part: inside it, and inside nothing that stands in its slot.
          const box = (await page
            .locator('body *')
            .nth(target)
            .locator('p')
            .first()
            .boundingBox())!;
          await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
        }
        const hovered = await page.evaluate(() =>
          [...document.querySelectorAll('body *')].map((each) => each.matches(':hover')),
        );
        const pointed = new Set(elements.filter((_, i) => hovered[i]));
        const winners = winnersOf(documents, elements, id, pointed);
        const result = await page.evaluate((all) => {
          const differs: string[] = [];
          let seen = 0;
          let unlike = 0;
          [...document.querySelectorAll<HTMLElement>('body *')].forEach((element, i) => {
            const computed = (property: string) =>
              getComputedStyle(element).getPropertyValue(property);
            for (const [property, value, next] of all[i]!) {
              const before = computed(property);
              const style = element.getAttribute('style');
              const set = (css: string) => {
                element.style.setProperty(property, css);
                const now = computed(property);
                if (style === null) element.removeAttribute('style');
                else element.setAttribute('style', style);
                return now;
              };
              const after = set(value);
              seen += 1;
              if (after !== before)
                differs.push(
                  `<${element.tagName} class="${element.className}"> ${property}: ${before}, not ${after}`,
                );
              if (next !== null && set(next) !== before) unlike += 1;
            }
          });
          return { differs, seen, unlike };
        }, winners);
        expect([id, target, result.differs]).toEqual([id, target, []]);
        checked += result.seen;
        inState += pointed.size;
        noticed += result.unlike;
      }
    }
  }
  console.log(
    `${checked} winners are Chromium’s, ${inState} of their elements pointed at; ${noticed} would look otherwise without the rule that wins`,
  );
  expect(checked).toBeGreaterThan(2000);
  expect(noticed).toBeGreaterThan(300);
  expect(inState).toBeGreaterThan(200);
});
