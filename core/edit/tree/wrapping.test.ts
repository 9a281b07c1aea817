import { isRefusal, runEdit, type NamedEdit } from '..';
import { childrenOf, type PageDoc } from '../../model';
import { saidText } from '../../said';
import { documentsOf, page } from '../../test';
import { doEdit } from '../edits';

const start = documentsOf(
  page('home', '/', {
    id: 'root',
    tag: 'main',
    children: [
      { id: 'one', tag: 'p', text: 'One' },
      { id: 'two', tag: 'p', text: 'Two' },
      { id: 'three', tag: 'p', text: 'Three' },
      { id: 'list', tag: 'ul', children: [{ id: 'item', tag: 'li', text: 'Item' }] },
    ],
  }),
);

function after(documents: typeof start, edit: NamedEdit): typeof start {
  const done = doEdit(documents, edit);
  if (isRefusal(done)) throw new Error(saidText(done.refused));
  return done.documents;
}

const inside = (documents: typeof start, node: string) =>
  childrenOf((documents.get('home') as PageDoc).nodes).of(node);

const wrap = (nodes: string[], tag = 'div'): NamedEdit => ({
  name: 'wrap',
  args: { doc: 'home', nodes, box: 'box', tag },
});

test('a box stands in the place of the first, and holds all in their order', () => {
  const documents = after(start, wrap(['three', 'two']));
  expect(inside(documents, 'root')).toEqual(['one', 'box', 'list']);
  expect(inside(documents, 'box')).toEqual(['two', 'three']);
});

test('taking the box away leaves everything where it was', () => {
  const wrapped = after(start, wrap(['one', 'two']));
  const documents = after(wrapped, { name: 'unwrap', args: { doc: 'home', node: 'box' } });
  expect(inside(documents, 'root')).toEqual(['one', 'two', 'three', 'list']);
});

test.each<[string, NamedEdit, string]>([
  ['what stands apart', wrap(['one', 'item']), 'wrap-side-by-side'],
  ['what everything stands in', wrap(['root']), 'not-around-everything'],
  ['an item, in a box that a list does not hold', wrap(['item']), 'holds-li'],
  [
    'a list, whose items need one',
    { name: 'unwrap', args: { doc: 'home', node: 'list' } },
    'li-in-list',
  ],
  ['the root', { name: 'unwrap', args: { doc: 'home', node: 'root' } }, 'everything-stands-in'],
])('%s is refused, with the reason', (_, edit, reason) => {
  const refusal = runEdit(start, edit);
  expect(isRefusal(refusal) && refusal.refused.code).toBe(reason);
});
