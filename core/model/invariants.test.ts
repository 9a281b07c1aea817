import {
  invariantFindings,
  siteFindings,
  text,
  type Doc,
  type Source,
  type TreeDoc,
  type TreeNode,
} from '.';
import { component, contentType, documentsOf, entry, page, queryOf } from '../test/small-site';

function withNode(doc: TreeDoc, id: string, node: Partial<TreeNode>): Doc {
  return { ...doc, nodes: { ...doc.nodes, [id]: { ...doc.nodes[id], ...node } as TreeNode } };
}

const card = component(
  'card',
  {
    id: 'root',
    tag: 'div',
    children: [
      { id: 'head', tag: 'h2', text: { is: 'property', property: 'title' } },
      { id: 'hole', slot: 'inside' },
    ],
  },
  { title: text('Title') },
  ['inside'],
);
const home = page('home', '/', {
  id: 'frame',
  component: 'card',
  slots: { inside: [{ id: 'para', tag: 'p', text: 'x' }] },
});

test('sound documents have no findings', () => {
  for (const doc of [card, home]) expect(invariantFindings(doc)).toEqual([]);
});

describe('a tree', () => {
  const place = (parent: string | null, slot?: string) => ({
    parent,
    order: 'a0',
    ...(slot ? { slot } : {}),
  });

  test.each<[string, Doc, string]>([
    ['has one root', withNode(card, 'head', { place: place(null) }), 'many-roots'],
    [
      'hangs together',
      withNode(withNode(card, 'head', { place: place('hole') }) as TreeDoc, 'hole', {
        place: place('head'),
      }),
      'not-below-root',
    ],
    [
      'has children of instances in slots only',
      withNode(home, 'para', { place: place('frame') }),
      'in-no-slot',
    ],
    [
      'has slots in instances only',
      withNode(card, 'head', { place: place('root', 'inside') }),
      'not-below-root',
    ],
    ['holds known elements only', withNode(card, 'head', { tag: 'blink' }), 'no-element'],
    [
      'holds known attributes only',
      withNode(card, 'head', { attributes: { onclick: text('x') } }),
      'takes-no',
    ],
    [
      'names slots of its own definition',
      withNode(card, 'hole', { slot: 'elsewhere' }),
      'no-slot-of-definition',
    ],
  ])('%s', (_, doc, reason) => {
    expect(
      invariantFindings(doc)
        .map((finding) => finding.reason.code)
        .join(),
    ).toContain(reason);
  });

  test('has a root that is an element or an instance', () => {
    const doc = {
      ...card,
      nodes: { t: { kind: 'text', place: place(null), text: text('x') } },
    } as Doc;
    expect(invariantFindings(doc)[0]?.reason.code).toBe('root-not-placed');
  });

  test('says where with a JSON Pointer', () => {
    expect(invariantFindings(withNode(card, 'head', { tag: 'blink' }))[0]?.path).toBe(
      '/nodes/head/tag',
    );
  });

  test('keeps slots out of repeats', () => {
    const query = queryOf('shed');
    const list = component(
      'list',
      { tag: 'ul', children: [{ repeat: query, children: [{ slot: 'inside' }] }] },
      {},
      ['inside'],
    );
    expect(invariantFindings(list)[0]?.reason.code).toBe('slot-in-repeat');
  });
});

describe('names are lexical', () => {
  const reading = (source: Source) =>
    invariantFindings(withNode(card, 'head', { attributes: { id: source } })).map(
      ({ reason }) => reason.code,
    );

  test('a definition reads its own properties', () => {
    expect(reading({ is: 'property', property: 'title' })).toEqual([]);
    expect(reading({ is: 'property', property: 'other' })).toEqual(['no-property']);
  });

  test('a definition never reads the entry of a page directly, not even for when something is empty', () => {
    const field: Source = { is: 'field', from: 'page', path: ['name'] };
    expect(reading(field)[0]).toContain('entry-by-properties');
    expect(reading({ is: 'property', property: 'title', whenEmpty: { use: field } })[0]).toContain(
      'entry-by-properties',
    );
  });

  test('a repeat is read from inside it only', () => {
    expect(reading({ is: 'field', from: { repeat: 'elsewhere' }, path: [] })).toEqual([
      'repeat-not-around',
    ]);
  });

  test('a page reads entries only when it is made from some', () => {
    const field: Source = { is: 'field', from: 'page', path: ['name'] };
    const bound = page('bound', '/', { tag: 'p', text: field });
    expect(invariantFindings(bound)[0]?.reason.code).toBe('page-no-entries');
    expect(invariantFindings(page('each', '/x/<slug>', { tag: 'p', text: field }, 'shed'))).toEqual(
      [],
    );
  });
});

describe('a page', () => {
  test('ends in <slug> exactly when it is made from entries', () => {
    expect(invariantFindings(page('p', '/p/<slug>', { tag: 'div' }))).toHaveLength(1);
    expect(invariantFindings(page('p', '/p', { tag: 'div' }, 'shed'))).toHaveLength(1);
  });
});

describe('a component', () => {
  test('has keys that are unique and defaults that are values', () => {
    const twice = {
      ...card,
      properties: { a: card.properties['title']!, b: card.properties['title']! },
    };
    expect(invariantFindings(twice).map(({ reason }) => reason.code)).toContain('key-taken');
    const odd: Doc = {
      ...card,
      properties: {
        title: { ...card.properties['title']!, default: { is: 'property', property: 'title' } },
      },
    };
    expect(invariantFindings(odd).map(({ reason }) => reason.code)).toContain('default-no-value');
  });
});

describe('the documents of a site together', () => {
  test('have paths, names and slugs of their own', () => {
    const shed = contentType('shed', { name: 'text' });
    const documents = documentsOf(
      shed,
      page('one', '/same', { tag: 'div' }),
      page('two', '/same', { tag: 'div' }),
      card,
      { ...card, id: 'card2' },
      entry('shed', 'a', {}),
      { ...entry('shed', 'a', {}), id: 'other' },
    );
    const reasons = siteFindings(documents).map(({ reason }) => reason.code);
    expect(reasons).toEqual(['component-name-taken', 'slug-taken', 'path-twice']);
  });

  test('notice a page whose path is that of an entry', () => {
    const documents = documentsOf(
      contentType('shed', { name: 'text' }),
      entry('shed', 'a', {}),
      page('each', '/s/<slug>', { tag: 'div' }, 'shed'),
      page('plain', '/s/a', { tag: 'div' }),
    );
    expect(siteFindings(documents)[0]?.reason.code).toBe('path-twice');
  });
});

test('content holds no tag, theme or shared style: those belong to a definition', () => {
  const type = contentType('odd', { name: 'text', level: { kind: 'tag', of: { h2: true } } });
  expect(invariantFindings(type)).toEqual([
    { path: '/fields/level/type', reason: { code: 'content-no-choice' } },
  ]);
  expect(invariantFindings(contentType('plain', { name: 'text' }))).toEqual([]);
});
