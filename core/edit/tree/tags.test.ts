import fc from 'fast-check';
import { TAGS, text, type PageDoc } from '../../model';
import { saidText } from '../../said';
import { component, documentsOf, page } from '../../test';
import { doEdit } from '../edits';
import { isRefusal } from '../changes';
import { tagsFor } from './tags';

const frame = component('frame', { tag: 'div', children: [{ slot: 'in' }] }, {}, ['in']);
const home = page('home', '/', {
  id: 'root',
  tag: 'main',
  children: [
    { id: 'list', tag: 'ul', children: [{ id: 'item', tag: 'li', text: 'One' }] },
    { id: 'words', tag: 'p', attributes: { lang: text('en'), title: text('T') }, text: 'Two' },
    {
      id: 'link',
      tag: 'a',
      attributes: { target: text('_blank') },
      children: [{ id: 'in', tag: 'span', text: 'x' }],
    },
    { id: 'empty', tag: 'div' },
    { id: 'made', component: 'frame', slots: { in: [{ id: 'inside', tag: 'p', text: 'Three' }] } },
  ],
});
const start = documentsOf(frame, home);
const setTag = (node: string, tag: string) =>
  doEdit(start, { name: 'setTag', args: { doc: 'home', node, tag } });

test('an element becomes another one; attributes that one does not take go', () => {
  const done = setTag('link', 'p');
  if (isRefusal(done)) throw new Error(saidText(done.refused));
  expect((done.documents.get('home') as PageDoc).nodes['link']).toMatchObject({
    tag: 'p',
    attributes: {},
  });
  const words = setTag('words', 'h2');
  if (isRefusal(words)) throw new Error(saidText(words.refused));
  expect((words.documents.get('home') as PageDoc).nodes['words']).toMatchObject({
    attributes: { lang: text('en'), title: text('T') },
  });
});

test('what may not stand there is refused with a reason', () => {
  const reason = (node: string, tag: string) => {
    const done = setTag(node, tag);
    return isRefusal(done) ? done.refused.code : 'done';
  };
  expect(reason('item', 'div')).toContain('holds-li');
  expect(reason('words', 'hr')).toContain('holds-nothing');
  expect(reason('words', 'script')).toContain('no-element');
  expect(reason('made', 'div')).toContain('only-element-has-tag');
});

test('every tag that is offered may stand there, and every other one may not, within one document', () => {
  fc.assert(
    fc.property(
      fc.constantFrom('list', 'item', 'words', 'link', 'in', 'empty'),
      fc.constantFrom(...TAGS),
      (node, tag) => {
        const offered = tagsFor(start, home, node).includes(tag);
        expect([node, tag, !isRefusal(setTag(node, tag))]).toEqual([node, tag, offered]);
      },
    ),
    { numRuns: 300 },
  );
});
