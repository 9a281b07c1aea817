import { literal, text, type RichPiece } from '@sormet/core/model';
import { build, Linker, type ResolvedElement } from '@sormet/core/resolve';
import { component, documentsOf, nodesOf, page } from '@sormet/core/test';
import { dataOf } from '@sormet/core/value';
import { textTarget } from './address';
import { valueEdit } from './value-edit';

const said: RichPiece[] = ['Come ', { tag: 'em', children: ['in'] }];
const card = component(
  'card',
  {
    tag: 'article',
    children: [
      { tag: 'h3', text: 'Title' },
      { tag: 'p', children: [{ text: { is: 'property', property: 'line' }, rich: 'line' }] },
      { tag: 'div', children: [{ text: { is: 'property', property: 'body' }, rich: 'blocks' }] },
      { tag: 'b', text: { is: 'property', property: 'line' } },
      { tag: 'i', children: [{ text: { is: 'property', property: 'plain' }, rich: 'line' }] },
    ],
  },
  {
    line: literal({ type: 'rich', value: said }),
    body: literal({ type: 'rich', value: [{ tag: 'h2', children: ['More'] }] }),
    plain: text('Plain'),
  },
);
const documents = documentsOf(
  card,
  page('home', '/', { tag: 'main', children: [{ id: 'it', component: 'card' }] }),
);
const built = build(new Linker().link(documents, 'home'), dataOf(documents), undefined);
const target = (tag: string) =>
  textTarget(
    documents,
    built,
    nodesOf(built.root).find(
      (node): node is ResolvedElement => node.kind === 'element' && node.tag === tag,
    )!,
  );

test('a line of rich text on an instance begins with what it shows, and is set there', () => {
  const found = target('p');
  expect(found).toMatchObject({
    ok: true,
    doc: 'home',
    node: 'it',
    control: { of: 'value', property: 'line' },
    rich: { pieces: said, line: true, lowered: 0 },
  });
  const value = literal({ type: 'rich', value: ['Stay'] });
  expect(found.ok && valueEdit(documents, found, value)).toEqual({
    name: 'setControl',
    args: { doc: 'home', node: 'it', control: { of: 'value', property: 'line' }, source: value },
  });
});

test('blocks know how far their headings are lowered', () => {
  expect(target('div')).toMatchObject({ ok: true, rich: { line: false, lowered: 2 } });
});

test('the words of rich text that show plain somewhere are not typed over there: their look would be lost', () => {
  expect(target('b')).toMatchObject({ ok: false, why: expect.stringContaining('rich text') });
});

test('plain words stay plain, wherever they show', () => {
  const found = target('i');
  expect(found).toMatchObject({ ok: true, control: { of: 'value', property: 'plain' } });
  expect(found.ok && found.rich).toBeUndefined();
});
