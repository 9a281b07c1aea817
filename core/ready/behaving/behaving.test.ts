import { brackenfold } from '@sormet/demo';
import { HtmlValidate } from 'html-validate';
import { PageCompiler } from '../../compile';
import { doEdit, findingsOf, isRefusal } from '../../edit';
import { addressesOf, allOf, docOf, newId, type Documents } from '../../model';
import { Linker } from '../../resolve';
import { saidText } from '../../said';
import { documentsOf, means, page } from '../../test';
import { plant, STARTERS } from '..';
import { BEHAVING } from '.';

const demo = brackenfold().documents;
const keys = BEHAVING.map(({ key }) => key);

/** A site with a page on which one of them was placed, as somebody places it. */
function placed(from: Documents, key: string, doc: string, parent: string): Documents {
  const { branch, styles, components } = STARTERS.find((each) => each.key === key)!.make(from);
  const { root, nodes } = plant(branch, { parent, order: 'a5' }, newId);
  const done = doEdit(from, {
    name: 'place',
    args: { doc, root, nodes, styles: [...styles], components: [...components] },
  });
  if (isRefusal(done)) throw new Error(saidText(done.refused));
  return done.documents;
}

const empty = documentsOf(page('home', '/', { id: 'all', tag: 'main', children: [] }));
const compiled = (documents: Documents) =>
  new PageCompiler(documents, means(new Linker())).compile(addressesOf(documents)[0]!);

test.each(keys)('%s is sound on a site of its own, and on one that has styles', (key) => {
  for (const [from, doc, parent] of [
    [empty, 'home', 'all'],
    [demo, 'page-about', 'page-about-n2'],
  ] as const) {
    if (!docOf(from, 'page', doc)!.nodes[parent]) continue;
    const before = new Set(findingsOf(from).map((finding) => JSON.stringify(finding)));
    const after = findingsOf(placed(from, key, doc, parent));
    expect(after.filter((finding) => !before.has(JSON.stringify(finding)))).toEqual([]);
  }
});

test.each(keys)('%s that was placed before is placed again, and not made twice', (key) => {
  const twice = placed(placed(empty, key, 'home', 'all'), key, 'home', 'all');
  expect(allOf(twice, 'component')).toHaveLength(1);
});

// Source: HTML Living Standard, as html-validate reads it; ids are ids of the page (3.2.6.1).
test.each(keys)(
  '%s, twice on a page, is valid HTML whose ids are each of one element',
  async (key) => {
    const twice = placed(placed(empty, key, 'home', 'all'), key, 'home', 'all');
    const { html } = compiled(twice);
    const validator = new HtmlValidate({
      extends: ['html-validate:standard'],
      rules: {
        'void-style': 'off',
        'attribute-boolean-style': 'off',
        'attribute-empty-style': 'off',
        'no-inline-style': 'off',
        'doctype-style': 'off',
        'long-title': 'off',
      },
    });
    const { results } = await validator.validateString(html);
    expect(
      results.flatMap(({ messages }) =>
        messages.map(
          ({ message, ruleId, line, column }) => `${ruleId} ${line}:${column} ${message}`,
        ),
      ),
    ).toEqual([]);
  },
);

test('what HTML does itself is no script: an accordion and a dialog have none', () => {
  for (const key of ['ready-accordion', 'ready-accordion-one', 'ready-dialog'])
    expect(compiled(placed(empty, key, 'home', 'all')).script).toBeUndefined();
  expect(compiled(placed(empty, 'ready-tabs', 'home', 'all')).script).toBeDefined();
});
