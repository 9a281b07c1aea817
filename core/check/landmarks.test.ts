import { landmarkFindings } from '.';
import { brackenfold } from '@sormet/demo';
import type { Branch } from '../ready';
import { allOf, literal, text, type Documents } from '../model';
import { build, Linker } from '../resolve';
import { documentsOf, page } from '../test';
import { dataOf } from '../value';

const builtOf = (documents: Documents, id: string) =>
  build(new Linker().link(documents, id), dataOf(documents), undefined).root;

function says(...children: Branch[]): string[] {
  const documents = documentsOf(page('home', '/', { tag: 'div', children }));
  return landmarkFindings(builtOf(documents, 'home')).map((finding) => finding.says.code);
}

const skip: Branch = {
  tag: 'a',
  attributes: { href: literal({ type: 'link', value: { to: 'address', href: '#main' } }) },
  text: 'Skip',
};
const main: Branch = { tag: 'main', attributes: { id: text('main') } };

test('a page with all of them is right', () => {
  expect(says(skip, { tag: 'header' }, { tag: 'nav' }, main, { tag: 'footer' })).toEqual([]);
});

test.each<[string, Branch[], string]>([
  ['nothing', [], 'no-landmark'],
  ['two mains', [main, { tag: 'main' }], 'landmark-twice'],
  ['a footer of a part only', [{ tag: 'section', children: [{ tag: 'footer' }] }], 'no-landmark'],
  ['two navs without names', [{ tag: 'nav' }, { tag: 'nav' }], 'navs-unnamed'],
  ['a skip link that leads nowhere', [skip, { tag: 'main' }], 'no-skip-link'],
])('%s is said', (_, children, reason) => {
  expect(says(...children)).toContain(reason);
});

test('every page of the demo that is made from no entries has its landmarks and a skip link', () => {
  const { documents } = brackenfold();
  for (const { id, entries } of allOf(documents, 'page'))
    if (entries === null) expect([id, landmarkFindings(builtOf(documents, id))]).toEqual([id, []]);
});
