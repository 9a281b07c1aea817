import fc from 'fast-check';
import { text, type Documents, type PageDoc } from '../../model';
import { saidText } from '../../said';
import { component, contentType, documentsOf, entry, page, words } from '../../test';
import { demo } from '../../test/law-site';
import { runEdits } from '../../test/random-edits';
import { beyondEditors, doEdit, isRefusal, type NamedEdit } from '..';

const quote = {
  ...component(
    'quote',
    { id: 'q', tag: 'blockquote', text: { is: 'property', property: 'says' } },
    { says: text('Well') },
  ),
  offered: true as const,
};
const band = component('band', { id: 'b', tag: 'div', children: [{ slot: 'in' }] }, {}, ['in']);
const own = component(
  'own',
  { id: 'o', tag: 'p', text: { is: 'property', property: 'says' } },
  { says: text('') },
);
const home = page(
  'home',
  '/<slug>',
  {
    tag: 'main',
    children: [
      {
        id: 'band-here',
        component: 'band',
        slots: {
          in: [
            { id: 'first', component: 'quote' },
            {
              id: 'second',
              component: 'own',
              values: { says: { is: 'field', from: 'page', path: ['name'] } },
            },
          ],
        },
      },
      { id: 'plain', tag: 'p', children: [{ id: 'plain-words', text: 'Words' }] },
    ],
  },
  'shed',
);
const documents = documentsOf(
  contentType('shed', { name: 'text' }),
  entry('shed', 'one', { name: words('One') }),
  quote,
  band,
  own,
  home,
);
const value = (node: string, source: ReturnType<typeof text> | null): NamedEdit => ({
  name: 'setControl',
  args: { doc: 'home', node, control: { of: 'value', property: 'says' }, source },
});
const place = (id: string, of: string, more = {}): NamedEdit => ({
  name: 'place',
  args: {
    doc: 'home',
    root: id,
    nodes: {
      [id]: {
        kind: 'instance',
        place: { parent: 'band-here', slot: 'in', order: 'a9' },
        component: of,
        values: {},
        style: {},
        ...more,
      },
    },
  },
});

/** What editors are told of an edit: nothing where they may. */
function told(edit: NamedEdit, on: Documents = documents): string | undefined {
  const done = doEdit(on, edit);
  if (isRefusal(done)) return saidText(done.refused);
  const beyond = beyondEditors(on, done.documents, done.changes, false);
  return beyond && beyond.refused.code;
}

describe('editors', () => {
  test.each<[string, NamedEdit]>([
    ['set a value', value('first', text('Better'))],
    ['put in a section that is offered', place('new', 'quote')],
    ['put one in with values', place('new', 'quote', { values: { says: text('New') } })],
    ['take one out', { name: 'remove', args: { doc: 'home', nodes: ['first'] } }],
    [
      'order them',
      {
        name: 'move',
        args: {
          doc: 'home',
          moves: [{ node: 'first', place: { parent: 'band-here', slot: 'in', order: 'a5' } }],
        },
      },
    ],
    [
      'write content',
      {
        name: 'setField',
        args: { entry: 'shed-one', field: 'name', value: { type: 'text', value: 'Two' } },
      },
    ],
    [
      'give an entry times',
      { name: 'setTimes', args: { entries: ['shed-one'], set: { from: '2027-01-01T00:00Z' } } },
    ],
  ])('may %s', (_, edit) => {
    expect(told(edit)).toBeUndefined();
  });

  test.each<[string, NamedEdit]>([
    [
      'write into plain words',
      {
        name: 'setControl',
        args: { doc: 'home', node: 'plain-words', control: { of: 'text' }, source: text('Mine') },
      },
    ],
    ['set a value that is bound', value('second', text('Mine'))],
    [
      'bind a value',
      {
        name: 'setControl',
        args: {
          doc: 'home',
          node: 'first',
          control: { of: 'value', property: 'says' },
          source: { is: 'field', from: 'page', path: ['name'] },
        },
      },
    ],
    [
      'style anything',
      {
        name: 'declare',
        args: { doc: 'home', nodes: ['first'], property: 'color', width: 'base', css: 'red' },
      },
    ],
    ['put in what is not offered', place('new', 'own')],
    ['put in something with a style', place('new', 'quote', { style: { color: { css: 'red' } } })],
    [
      'put in an element',
      {
        name: 'place',
        args: {
          doc: 'home',
          root: 'new',
          nodes: {
            new: {
              kind: 'element',
              place: { parent: 'band-here', slot: 'in', order: 'a9' },
              tag: 'p',
              attributes: {},
              style: {},
            },
          },
        },
      },
    ],
    ['take out what is not offered', { name: 'remove', args: { doc: 'home', nodes: ['second'] } }],
    ['take out what is no section', { name: 'remove', args: { doc: 'home', nodes: ['plain'] } }],
    [
      'change a definition',
      { name: 'nameComponent', args: { component: 'quote', name: 'Parts/Mine' } },
    ],
    [
      'give a page another path',
      { name: 'setPath', args: { page: 'home', path: '/other/<slug>' } },
    ],
    ['change the settings', { name: 'setSite', args: { set: { name: 'Mine' } } }],
    ['remove a page', { name: 'removePage', args: { page: 'home' } }],
  ])('may not %s', (_, edit) => {
    expect(told(edit)).toBe('not-for-editors');
  });

  test('may take back what they did', () => {
    const done = doEdit(documents, { name: 'remove', args: { doc: 'home', nodes: ['first'] } });
    if (isRefusal(done)) throw new Error(done.refused.code);
    const { changes } = done;
    const back = doEdit(done.documents, { name: 'revert', args: { edits: ['e'] } }, () => ({
      changes,
      said: { code: 'removed-thing', about: { what: '' } } as never,
    }));
    if (isRefusal(back)) throw new Error(back.refused.code);
    expect(beyondEditors(done.documents, back.documents, back.changes, true)).toBeUndefined();
    expect(back.documents.get('home')).toEqual(documents.get('home'));
  });

  test('whatever is edited: what they may leaves the design as it was', () => {
    let may = 0;
    let refused = 0;
    fc.assert(
      fc.property(
        fc.array(fc.array(fc.nat(10_000), { minLength: 8, maxLength: 8 }), {
          minLength: 1,
          maxLength: 8,
        }),
        (steps) => {
          let before = demo;
          for (const { after, changes, edit } of runEdits(demo, steps)) {
            if (beyondEditors(before, after, changes, edit.name === 'revert')) refused += 1;
            else {
              may += 1;
              expect(designOf(after)).toEqual(designOf(before));
            }
            before = after;
          }
        },
      ),
      { numRuns: 40, seed: 20261201 },
    );
    expect(may).toBeGreaterThan(20);
    expect(refused).toBeGreaterThan(50);
  });
});

/** All of a site that editors leave alone: everything but content, files, written values, and sections in slots. */
function designOf(documents: Documents): unknown {
  return [...documents]
    .filter(({ kind }) => kind !== 'entry' && kind !== 'asset')
    .map((doc) => (doc.kind === 'page' ? pageDesign(documents, doc) : doc))
    .sort((a, b) => (a.id < b.id ? -1 : 1));
}

function pageDesign(documents: Documents, doc: PageDoc) {
  const isOffered = (id: string): boolean => {
    const node = doc.nodes[id]!;
    if (node.kind === 'instance' && node.place.slot !== undefined) {
      const of = documents.get(node.component);
      if (of?.kind === 'component' && of.offered) return true;
    }
    return node.place.parent !== null && isOffered(node.place.parent);
  };
  const nodes = Object.entries(doc.nodes)
    .filter(([id]) => !isOffered(id))
    .map(([id, node]) => {
      if (node.kind !== 'instance') return [id, node] as const;
      const bound = Object.entries(node.values).filter(([, source]) =>
        JSON.stringify(source).includes('"is":"f'),
      );
      const { order: _, ...place } = node.place;
      return [id, { ...node, place, values: Object.fromEntries(bound) }] as const;
    });
  return { ...doc, nodes: Object.fromEntries(nodes.sort(([a], [b]) => (a < b ? -1 : 1))) };
}
