import { literal, text, type Documents, type PageDoc } from '../../model';
import { component, contentType, documentsOf, page } from '../../test';
import { takingControl, type Giving } from '..';

const card = component(
  'card',
  {
    id: 'card-root',
    tag: 'article',
    children: [
      { tag: 'h3', text: { is: 'property', property: 'name' } },
      { tag: 'p', text: { is: 'property', property: 'summary' } },
      { tag: 'img', attributes: { src: { is: 'property', property: 'picture' } } },
      { tag: 'a', attributes: { href: { is: 'property', property: 'to' } }, text: 'On' },
    ],
  },
  {
    name: text(''),
    summary: text(''),
    picture: literal({ type: 'image', value: null }),
    to: literal({ type: 'link', value: null }),
  },
);
const shed = page(
  'shed',
  '/sheds/<slug>',
  {
    tag: 'main',
    children: [
      { id: 'head', tag: 'h1', text: 'Name' },
      { id: 'photo', tag: 'img', attributes: { src: literal({ type: 'image', value: null }) } },
      {
        id: 'on',
        tag: 'a',
        attributes: { href: literal({ type: 'link', value: null }) },
        text: 'On',
      },
      { id: 'box', tag: 'div' },
      { id: 'card', component: 'card' },
    ],
  },
  'shed',
);
const documents: Documents = documentsOf(contentType('shed', { name: 'text' }), card, shed);
const tree = documents.get('shed') as PageDoc;
const taken = (node: string, field: Giving) => {
  const row = takingControl(documents, tree, node, field);
  return (
    row &&
    ('name' in row.control
      ? row.control.name
      : 'property' in row.control
        ? row.control.property
        : row.control.of)
  );
};
const of = (label: string, kind: Giving['kind']): Giving => ({
  label,
  key: label.toLowerCase(),
  kind,
});

describe('what takes a field that is let go on it', () => {
  test.each([
    ['head', of('Town', 'text'), 'text'],
    ['head', of('Opened', 'date'), 'text'],
    ['photo', of('Picture', 'image'), 'src'],
    ['on', of('Booking', 'link'), 'href'],
    ['on', of('Town', 'text'), 'text'],
    // Of an instance the property that is called the same, else the first that can show it.
    ['card', of('Summary', 'text'), 'summary'],
    ['card', of('Town', 'text'), 'name'],
    ['card', of('Photo', 'image'), 'picture'],
    ['card', of('Booking', 'link'), 'to'],
    ['card', of('Benches', 'number'), 'name'],
  ] as const)('%s, %j: %s', (node, field, expected) => {
    expect(taken(node, field)).toBe(expected);
  });

  test('is nothing where nothing can show it', () => {
    expect(taken('box', of('Picture', 'image'))).toBeUndefined();
    expect(taken('head', of('Picture', 'image'))).toBeUndefined();
    expect(taken('gone', of('Town', 'text'))).toBeUndefined();
  });
});
