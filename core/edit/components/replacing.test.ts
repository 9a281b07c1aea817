import { doEdit, elementMatching, isRefusal } from '..';
import { docOf, nodeIn, text, treeDocOf, type Source } from '../../model';
import { saidText } from '../../said';
import { component, documentsOf, page } from '../../test';

const link = (href: string): Source => ({
  is: 'value',
  type: 'link',
  value: { to: 'address', href },
});

const start = documentsOf(
  component(
    'card',
    { id: 'card-root', tag: 'div' },
    {
      words: text(''),
      title: text('Card'),
      target: link('https://example.com/') as never,
    },
  ),
  page('home', '/', {
    tag: 'main',
    children: [
      {
        id: 'box',
        tag: 'article',
        children: [
          { id: 'heading', name: 'Title', tag: 'h3', text: 'Lamps' },
          { tag: 'p', text: 'They flicker.' },
          { tag: 'p', text: 'They hum.' },
          { tag: 'a', attributes: { href: link('https://example.com/lamps') }, text: '' },
        ],
      },
      { id: 'after', tag: 'p', text: 'after' },
    ],
  }),
);
const home = treeDocOf(start, 'home')!;
const card = docOf(start, 'component', 'card')!;

describe('a component in the place of an element', () => {
  test('is filled by what is called alike, then by what holds the same, in the order of the screen', () => {
    const { values, unmatched } = elementMatching(start, home, 'box', card);
    expect(values).toEqual({
      title: text('Lamps'),
      words: text('They flicker.'),
      target: link('https://example.com/lamps'),
    });
    // Said beforehand: what has no place there.
    expect(unmatched).toEqual(['Text']);
  });

  test('stands where it stood, and everything of the element is gone', () => {
    const done = doEdit(start, {
      name: 'replaceElement',
      args: { doc: 'home', node: 'box', component: 'card', instance: 'new' },
    });
    if (isRefusal(done)) throw new Error(saidText(done.refused));
    expect(nodeIn(done.documents, 'home', 'new')).toMatchObject({
      component: 'card',
      place: home.nodes['box']!.place,
      values: { title: text('Lamps') },
    });
    expect(Object.keys(treeDocOf(done.documents, 'home')!.nodes)).toHaveLength(4);
  });

  test('is refused where the element is the root, and where nothing is', () => {
    const put = (node: string) =>
      doEdit(start, {
        name: 'replaceElement',
        args: { doc: 'home', node, component: 'card', instance: 'new' },
      });
    const root = Object.keys(home.nodes).find((id) => home.nodes[id]!.place.parent === null)!;
    expect(put(root)).toMatchObject({ refused: { code: 'root-not-removed' } });
    expect(put('nobody')).toMatchObject({ refused: { code: 'gone' } });
  });
});
