import { brackenfold } from '@sormet/demo';
import fc from 'fast-check';
import { HtmlValidate } from 'html-validate';
import { weakPairs } from '../check';
import { doEdit, isRefusal } from '../edit';
import { emptyComponent, plant, STARTERS } from '.';
import { allOf, newId, rootOf, type Documents, type ElementNode } from '../model';
import { build, Linker } from '../resolve';
import { saidText } from '../said';
import { documentsOf, htmlOf } from '../test';
import { dataOf } from '../value';
import { READY_SECTIONS } from './ready-sections';

const demo = brackenfold().documents;

function placed(documents: Documents, key: string): { documents: Documents; component: string } {
  const { branch, styles, components } = STARTERS.find((each) => each.key === key)!.make(documents);
  const component = emptyComponent(`Sections/${key}`);
  const { nodes } = plant(branch, { parent: null, order: 'a0' }, newId);
  const done = doEdit(documents.with(...styles, ...components), {
    name: 'addComponent',
    args: { component: { ...component, nodes } },
  });
  if (isRefusal(done)) throw new Error(saidText(done.refused));
  return { documents: done.documents, component: component.id };
}

test('there are at least sixteen', () => {
  expect(READY_SECTIONS.length).toBeGreaterThanOrEqual(16);
});

test.each(READY_SECTIONS.map(({ key }) => key))(
  '%s is made of tags and shared styles alone',
  (key) => {
    const { documents, component } = placed(demo, key);
    const { nodes } = documents.ofKind('component', component)!;
    for (const node of Object.values(nodes))
      if (node.kind === 'element') expect(node.style).toEqual({});
  },
);

test('on a site that has its own styles of those names, those are put on', () => {
  const { documents } = placed(demo, 'ready-opening');
  const added = allOf(documents, 'style').filter(({ id }) => !demo.get(id));
  const names = allOf(documents, 'style').map(({ name }) => name);
  expect(new Set(names).size).toBe(names.length);
  expect(added.map(({ name }) => name)).not.toContain('Wide');
});

test('styles that are made for it hold the tokens of the site that are near', () => {
  const { documents } = placed(demo, 'ready-features');
  const tinted = allOf(documents, 'style').find(({ name }) => name === 'Tinted')!;
  expect(tinted.style['background-color']!.refs).toEqual({
    t1: { token: 'sand', type: 'colour' },
  });
});

describe('their words are read on their ground, in every theme that begins at them (WCAG 2.2, 1.4.3)', () => {
  const light = { ink: '#20262b', paper: '#fcfbf7', sand: '#efe6d5', brand: '#0b6b6f' };
  const night = { ink: '#f3e6d3', paper: '#20262b', sand: '#262d32', brand: '#f0b48f' };
  const names = ['ink', 'paper', 'sand', 'brand', 'on brand'] as const;
  /** Sites with some of the tokens, of which a theme changes some. */
  const sites = fc.tuple(fc.subarray([...names]), fc.subarray([...names]), fc.boolean());

  const themed = ([there, changed, onBrand]: [string[], string[], boolean]): Documents => {
    const of = (name: string, values: Record<string, string>) =>
      name === 'on brand' ? (onBrand ? '#ffffff' : '#20262b') : values[name]!;
    const tokens = Object.fromEntries(
      there.map((name, i) => [
        name.replace(' ', '-'),
        { name, type: 'colour' as const, order: `a${i}`, value: { css: of(name, light) } },
      ]),
    );
    const values = Object.fromEntries(
      changed
        .filter((name) => there.includes(name))
        .map((name) => [name.replace(' ', '-'), { css: of(name, night) }]),
    );
    const empty = documentsOf();
    return empty.with({
      ...empty.tokens,
      tokens,
      themes: { night: { name: 'Night', order: 'a0', values } },
    });
  };

  test.each(READY_SECTIONS.map(({ key }) => key))('%s', (key) => {
    fc.assert(
      fc.property(sites, (made) => {
        const { documents, component } = placed(themed(made), key);
        const doc = documents.ofKind('component', component)!;
        const root = rootOf(doc.nodes);
        const begun = documents.with({
          ...doc,
          nodes: {
            ...doc.nodes,
            [root]: {
              ...(doc.nodes[root] as ElementNode),
              theme: 'night',
            },
          },
        });
        const built = build(new Linker().link(begun, component), dataOf(begun), undefined);
        const weak = weakPairs(begun, built).map(({ element, ratio }) => [element.tag, ratio]);
        expect(weak).toEqual([]);
      }),
      { numRuns: 12, seed: 20261130 },
    );
  });
});

test('a site without tokens gets values', () => {
  const { documents } = placed(documentsOf(), 'ready-features');
  const tinted = allOf(documents, 'style').find(({ name }) => name === 'Tinted')!;
  expect(tinted.style['background-color']).toEqual({ css: '#8881' });
});

// Source: html-validate, its standard rules for HTML (Living Standard) and WCAG.
test.each(READY_SECTIONS.map(({ key }) => key))('%s is valid HTML', async (key) => {
  const { documents, component } = placed(demo, key);
  const validator = new HtmlValidate({
    extends: ['html-validate:standard'],
    rules: {
      'void-style': 'off',
      'attribute-boolean-style': 'off',
      'attribute-empty-style': 'off',
    },
  });
  const { results } = await validator.validateString(
    htmlOf(build(new Linker().link(documents, component), dataOf(documents), undefined).root),
  );
  expect(results.flatMap(({ messages }) => messages.map(({ message }) => message))).toEqual([]);
});
