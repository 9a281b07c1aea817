import {
  docOf,
  text,
  type Expression,
  type PageDoc,
  type Source,
  type TypeSpec,
} from '../../model';
import { Linker } from '../../resolve';
import { component, contentType, documentsOf, entry, page, queryOf, words } from '../../test';
import { dataOf } from '../../value';
import { whereEmpty } from '..';

const TEXT: TypeSpec = { kind: 'text' };
const worked = (cel: string, names: Record<string, Source>): Expression => ({
  is: 'expression',
  cel,
  names,
});

const town: Source = { is: 'field', from: 'page', path: ['town'] };
const items: Source = { is: 'field', from: { repeat: 'r' }, path: ['town'] };
const label: Source = { is: 'property', property: 'label' };

const documents = documentsOf(
  contentType('shed', { town: 'text' }),
  entry('shed', 'a', { town: words('Ashby') }),
  entry('shed', 'b', {}),
  entry('shed', 'c', { town: words('') }),
  component('tag', { id: 'root', tag: 'b', text: label }, { label: text('') }),
  component('around', { tag: 'div', children: [{ id: 'inner', component: 'tag' }] }),
  {
    ...page('each', '/<slug>', {
      tag: 'main',
      children: [
        { id: 'of-town', component: 'tag', values: { label: town } },
        { component: 'around' },
      ],
    }),
    entries: 'shed',
  } as PageDoc,
  page('home', '/', {
    tag: 'main',
    children: [
      { id: 'set', component: 'tag', values: { label: text('Here') } },
      { id: 'r', repeat: queryOf('shed'), children: [{ id: 'item', tag: 'p', text: 'one' }] },
    ],
  }),
);

const site = {
  documents,
  data: dataOf(documents),
  linker: new Linker(),
  placesOf: (of: string) =>
    [...documents].flatMap((doc) =>
      doc.kind === 'page' || doc.kind === 'component'
        ? Object.entries(doc.nodes).flatMap(([node, made]) =>
            made.kind === 'instance' && made.component === of ? { doc: doc.id, node } : [],
          )
        : [],
    ),
};

describe('where something that is worked out gives nothing', () => {
  test('every entry of the page is looked at, with what is missing there', () => {
    const found = whereEmpty(
      site,
      { doc: 'each', node: 'of-town', wanted: TEXT },
      worked('n0 + "!"', { n0: town }),
    );
    expect(found).toMatchObject({ tried: 3, isPart: false });
    const reads = [{ source: town, value: null }];
    const place = { opened: 'each', through: 'of-town', item: undefined };
    expect(found.empty).toEqual([
      { ...place, entry: 'shed-b', reads },
      { ...place, entry: 'shed-c', reads },
    ]);
  });

  test('inside a definition every instance is, wherever it stands, with what it is given there', () => {
    const found = whereEmpty(
      site,
      { doc: 'tag', node: 'root', wanted: TEXT },
      worked('n0 + "!"', { n0: label }),
    );
    // One that is set on /, one for each shed, one for each shed inside what is around it, which says nothing.
    expect(found.tried).toBe(7);
    expect(found.empty.map(({ opened, entry: of }) => `${opened} ${of}`).sort()).toEqual([
      'each shed-a',
      'each shed-b',
      'each shed-b',
      'each shed-c',
      'each shed-c',
    ]);
  });

  test('inside a repeat every item is', () => {
    const found = whereEmpty(
      site,
      { doc: 'home', node: 'item', wanted: TEXT },
      worked('n0 + "!"', { n0: items }),
    );
    expect(found.tried).toBe(3);
    expect(found.empty.map(({ item, entry: of }) => [item, of])).toEqual([
      ['shed-b', undefined],
      ['shed-c', undefined],
    ]);
  });

  test('what fails though all of it is there is told as well; what has something in store is not', () => {
    const at = { doc: 'each', node: 'of-town', wanted: TEXT };
    const failing = whereEmpty(site, at, worked('string(1 / (size(n0) - 5))', { n0: town }));
    expect(failing.empty.map(({ entry: of, reads }) => [of, reads[0]?.value])).toEqual([
      ['shed-a', words('Ashby')],
      ['shed-b', null],
      ['shed-c', null],
    ]);
    const stored = worked('n0 != null ? n0 : "nowhere"', { n0: town });
    const { empty } = whereEmpty(site, at, { ...stored, whenEmpty: 'hide' });
    expect(empty).toEqual([]);
  });

  test('what nothing places is looked at by itself', () => {
    const alone = documentsOf(docOf(documents, 'component', 'tag')!);
    const found = whereEmpty(
      { documents: alone, data: dataOf(alone), linker: new Linker(), placesOf: () => [] },
      { doc: 'tag', node: null, wanted: TEXT },
      worked('n0', { n0: label }),
    );
    expect(found).toMatchObject({
      tried: 1,
      empty: [{ opened: 'tag', reads: [{ source: label, value: null }] }],
    });
  });
});
