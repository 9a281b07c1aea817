import { brackenfold } from '@sormet/demo';
import { HtmlValidate } from 'html-validate';
import { doEdit, isRefusal } from '../edit';
import { emptyComponent, plant, STARTERS } from '.';
import { allOf, newId, type Documents } from '../model';
import { build, Linker } from '../resolve';
import { saidText } from '../said';
import { documentsOf, htmlOf } from '../test';
import { dataOf } from '../value';
import { READY_SECTIONS } from './ready-sections';

const demo = brackenfold().documents;

function placed(documents: Documents, key: string): { documents: Documents; component: string } {
  const { branch, styles } = STARTERS.find((each) => each.key === key)!.make(documents);
  const component = emptyComponent(`Sections/${key}`);
  const { nodes } = plant(branch, { parent: null, order: 'a0' }, newId);
  const done = doEdit(documents.with(...styles), {
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
