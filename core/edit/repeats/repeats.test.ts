import {
  docOf,
  nodeIn,
  placeAt,
  text,
  type Documents,
  type PageDoc,
  type Source,
  type TypeDoc,
} from '../../model';
import { build, Linker } from '../../resolve';
import { saidText } from '../../said';
import { dataOf } from '../../value';
import { component, contentType, documentsOf, entry, page, words } from '../../test';
import { htmlOf } from '../../test/html';
import { doEdit, type NamedEdit } from '../edits';
import { isRefusal } from '../changes';
import { plant } from '../../ready';
import { listsAround } from './over';
import { whatFits } from './what-fits';

const shed = contentType('shed', {
  name: 'text',
  summary: 'text',
  booking: 'link',
  picture: 'image',
  'alternative text': 'text',
});
const NEVER: Source = { is: 'value', type: 'boolean', value: false };
const card = component(
  'card',
  {
    tag: 'article',
    children: [
      { tag: 'h3', text: { is: 'property', property: 'heading' } },
      {
        // Nothing of it shows here: it is read all the same.
        tag: 'div',
        shown: NEVER,
        children: [
          { tag: 'p', text: { is: 'property', property: 'text' } },
          {
            tag: 'a',
            text: { is: 'property', property: 'button text' },
            attributes: { href: { is: 'property', property: 'button address' } },
          },
          {
            tag: 'img',
            attributes: {
              src: { is: 'property', property: 'picture' },
              alt: { is: 'property', property: 'picture alternative text' },
            },
          },
        ],
      },
    ],
  },
  {
    heading: text('Card'),
    text: text('Words'),
    'button text': text('Go'),
    'button address': { is: 'value', type: 'link', value: null },
    picture: { is: 'value', type: 'image', value: null },
    'picture alternative text': text(''),
  },
);
const home = page('home', '/', {
  id: 'root',
  tag: 'main',
  children: [
    { id: 'box', tag: 'section', children: [{ id: 'head', tag: 'h2', text: 'A heading' }] },
    { id: 'inst', component: 'card' },
  ],
});
const each = page(
  'each',
  '/sheds/<slug>',
  { id: 'root', tag: 'main', children: [{ id: 'inst', component: 'card' }] },
  'shed',
);
const start = documentsOf(
  shed,
  card,
  home,
  each,
  entry('shed', 'b', { name: words('Second') }),
  entry('shed', 'a', { name: words('First') }),
);

function after(documents: Documents, edit: NamedEdit): Documents {
  const done = doEdit(documents, edit);
  if (isRefusal(done)) throw new Error(saidText(done.refused));
  return done.documents;
}
const refusal = (edit: NamedEdit) => {
  const done = doEdit(start, edit);
  return isRefusal(done) ? done.refused.code : 'done';
};
const html = (documents: Documents) =>
  htmlOf(build(new Linker().link(documents, 'home'), dataOf(documents), undefined).root);
const repeated = after(start, {
  name: 'repeatThis',
  args: { doc: 'home', node: 'box', repeat: 'rep', type: 'shed' },
});
const written = (...names: string[]) =>
  names.map((name) => `<section><h2>${name}</h2></section>`).join('');
const CARD = '<article><h3>Card</h3></article>';

describe('repeating what is selected', () => {
  test('shows it once for each entry, sorted by title, with what fits bound', () => {
    expect(html(repeated)).toBe(`<main>${written('First', 'Second')}${CARD}</main>`);
  });

  test('and back leaves it once, with what it held for an entry', () => {
    const back = after(repeated, {
      name: 'repeatNoMore',
      args: { doc: 'home', node: 'rep', entry: 'shed-a' },
    });
    expect(html(back)).toBe(`<main>${written('First')}${CARD}</main>`);
    const empty = after(repeated, {
      name: 'repeatNoMore',
      args: { doc: 'home', node: 'rep', entry: null },
    });
    expect(html(empty)).toBe(`<main>${written('')}${CARD}</main>`);
    expect(Object.keys((empty.get('home') as PageDoc).nodes)).not.toContain('rep');
  });

  test('takes what stood there for none away with it', () => {
    const { nodes } = repeated.get('home') as PageDoc;
    const none = plant({ id: 'none', tag: 'p', text: 'None' }, placeAt(nodes, 'rep', 0, 'none'));
    const placed = after(repeated, { name: 'place', args: { doc: 'home', ...none } });
    const back = after(placed, {
      name: 'repeatNoMore',
      args: { doc: 'home', node: 'rep', entry: null },
    });
    expect((back.get('home') as PageDoc).nodes['none']).toBeUndefined();
  });

  test('is refused with a reason where it cannot be', () => {
    const args = { doc: 'home', repeat: 'rep', type: 'shed' };
    expect(refusal({ name: 'repeatThis', args: { ...args, node: 'root' } })).toContain(
      'root-stands-once',
    );
    expect(refusal({ name: 'repeatThis', args: { ...args, node: 'gone' } })).toContain('gone');
    expect(
      refusal({ name: 'repeatThis', args: { ...args, node: 'box', type: 'nobody' } }),
    ).toContain('gone');
    expect(
      refusal({ name: 'repeatNoMore', args: { doc: 'home', node: 'box', entry: null } }),
    ).toContain('no-repeat');
  });
});

describe('what a repeat asks for', () => {
  const set = (
    documents: Documents,
    part: Extract<NamedEdit, { name: 'setQuery' }>['args']['set'],
  ) => after(documents, { name: 'setQuery', args: { doc: 'home', node: 'rep', set: part } });
  const one: Source = { is: 'value', type: 'number', value: 1 };

  test('is narrowed down by conditions, order and number, each taken back alone', () => {
    const down = set(repeated, {
      order: 'first',
      key: { path: ['name'], descending: true, order: 'a0' },
    });
    expect(html(down)).toContain(written('Second', 'First'));
    const limited = set(down, { limit: one });
    expect(html(limited)).toBe(`<main>${written('Second')}${CARD}</main>`);
    const condition = { path: ['name'], is: 'equals' as const, source: text('First') };
    const only = set(set(limited, { where: 'w', condition }), { limit: null });
    expect(html(only)).toBe(`<main>${written('First')}${CARD}</main>`);
    expect(html(set(only, { where: 'w', condition: null }))).toContain(written('Second', 'First'));
  });

  test('forgets what was asked of one type with another one', () => {
    const guide = contentType('guide', { title: 'text' });
    const other = set(repeated.with(guide), { type: 'guide' });
    const node = (other.get('home') as PageDoc).nodes['rep'];
    expect(node).toMatchObject({ query: { from: { type: 'guide' }, where: {}, order: {} } });
  });
});

describe('what fits', () => {
  const fits = (doc: string, from: 'page' | { repeat: string }) =>
    Object.fromEntries(
      whatFits(
        start,
        start.get(doc) as PageDoc,
        'inst',
        docOf(start, 'type', 'shed') as TypeDoc,
        from,
      ).map(({ row, source }) => [row.what, source.is === 'field' ? source.path.join('/') : '']),
    );

  test('is what is called the same, else the title for the heading, words for words, pictures for pictures', () => {
    expect(fits('each', 'page')).toEqual({
      heading: 'name',
      text: 'summary',
      'button address': 'booking',
      picture: 'picture',
      'picture alternative text': 'alternative text',
    });
  });

  test('leads from a repeat to the entry’s own page, from its page to a field', () => {
    expect(fits('home', { repeat: 'r' })['button address']).toBe('');
    expect(fits('each', 'page')['button address']).toBe('booking');
  });

  test('leaves alone what is bound already', () => {
    const bound = after(start, {
      name: 'setControl',
      args: {
        doc: 'each',
        node: 'inst',
        control: { of: 'value', property: 'heading' },
        source: { is: 'field', from: 'page', path: ['summary'] },
      },
    });
    const rows = whatFits(bound, bound.get('each') as PageDoc, 'inst', shed, 'page');
    expect(rows.map(({ row }) => row.what)).not.toContain('heading');
  });
});

describe('a list', () => {
  const list: Source = { is: 'property', property: 'names' };
  const rows = component(
    'rows',
    {
      id: 'rows-root',
      tag: 'ul',
      children: [{ id: 'row', tag: 'li', children: [{ id: 'row-words', text: 'A name' }] }],
    },
    {
      names: {
        is: 'value',
        type: 'list',
        value: [
          { id: 'r1', values: { name: { type: 'text', value: 'Ada' } } },
          { id: 'r2', values: { name: { type: 'text', value: 'Bo' } } },
        ],
      },
    },
  );
  rows.properties['names']!.type = {
    kind: 'list',
    fields: { name: { label: 'Text', key: 'name', order: 'a0', type: { kind: 'text' } } },
  };
  const documents = documentsOf(
    rows,
    contentType('shed', { name: 'text' }),
    page('home', '/', { tag: 'main', children: [{ component: 'rows' }] }),
  );
  const repeated = (over: { list: Source } | { type: string }) =>
    doEdit(documents, {
      name: 'repeatThis',
      args: { doc: 'rows', node: 'row', repeat: 'each', ...over },
    });

  test('that a definition has is offered there, repeated, and what fits is bound', () => {
    expect(listsAround(documents, rows, 'row')).toMatchObject([{ label: 'names', source: list }]);
    const done = repeated({ list });
    if (isRefusal(done)) throw new Error(saidText(done.refused));
    const linked = new Linker().link(done.documents, 'home');
    const { root } = build(linked, dataOf(done.documents), undefined);
    expect(htmlOf(root)).toContain('<ul><li>Ada</li><li>Bo</li></ul>');
  });

  test('takes the place of a content type under a repeat, and the other way round', () => {
    const done = repeated({ type: 'shed' });
    if (isRefusal(done)) throw new Error(saidText(done.refused));
    const set = doEdit(done.documents, {
      name: 'setQuery',
      args: { doc: 'rows', node: 'each', set: { list } },
    });
    if (isRefusal(set)) throw new Error(saidText(set.refused));
    expect(nodeIn(set.documents, 'rows', 'each')).toMatchObject({ query: { from: { list } } });
    const back = doEdit(set.documents, {
      name: 'setQuery',
      args: { doc: 'rows', node: 'each', set: { type: 'shed' } },
    });
    expect(back).not.toHaveProperty('refused');
  });

  test('that cannot be read there is refused in words', () => {
    expect(repeated({ list: { is: 'property', property: 'gone' } })).toHaveProperty(
      'refused.code',
      'list-unreadable',
    );
  });
});
