import {
  childrenOf,
  documentFindings,
  newId,
  placeAt,
  text,
  WorkingCopy,
  type Documents,
  type PageDoc,
  LARGEST_EDIT,
} from '../../model';
import { saidText, say } from '../../said';
import {
  component,
  contentType,
  documentsOf,
  entry,
  means,
  page,
  queryOf,
  words,
} from '../../test';
import { compileSite } from '../../compile';
import {
  applyChanges,
  danglingIn,
  doEdit,
  findingsOf,
  inverse,
  isRefusal,
  type Done,
  type NamedEdit,
  type Past,
} from '..';
import { plant, type Branch } from '../../ready';

const card = component('card', {
  id: 'card-root',
  tag: 'div',
  children: [{ tag: 'p', text: 'Card' }],
});
const home = page('home', '/', {
  id: 'root',
  tag: 'main',
  children: [
    { id: 'one', component: 'card' },
    { id: 'two', tag: 'p', text: 'Two' },
  ],
});
const about = page('about', '/about', { id: 'about-root', tag: 'main' });
const start = documentsOf(card, home, about);

function done(documents: Documents, edit: NamedEdit, past?: Past): Done {
  const result = doEdit(documents, edit, past);
  if (isRefusal(result)) throw new Error(saidText(result.refused));
  return result;
}
const refusal = (documents: Documents, edit: NamedEdit, past?: Past): string => {
  const result = doEdit(documents, edit, past);
  return isRefusal(result) ? result.refused.code : 'done';
};

describe('what would point at nothing', () => {
  const removed = done(start, { name: 'remove', args: { doc: 'home', nodes: ['one'] } });
  const without = done(removed.documents, { name: 'removeComponent', args: { component: 'card' } });
  const past: Past = () => ({
    changes: removed.changes,
    said: say('removed-thing', { what: 'Card' }),
  });

  test('is refused with the reason: an instance taken back whose component is gone', () => {
    const edit: NamedEdit = { name: 'revert', args: { edits: ['edit-one'] } };
    expect(refusal(without.documents, edit, past)).toBe('gone-placed');
  });

  test('is refused with who needs it: a component that is placed, the surround of a site', () => {
    const remove: NamedEdit = { name: 'removeComponent', args: { component: 'card' } };
    expect(refusal(start, remove)).toBe('still-used');
    const surrounded = removed.documents.with({ ...start.site, surround: 'card' });
    expect(doEdit(surrounded, remove)).toMatchObject({
      refused: { code: 'still-used', about: { places: [say('site-settings')] } },
    });
  });

  test('where it is so already, keeps nothing else from being changed, is listed, and is mended', () => {
    const broken = applyChanges(without.documents, inverse(removed.changes));
    expect(danglingIn(broken)).toMatchObject([{ doc: 'home', path: '/nodes/one/component' }]);
    for (const edit of [
      { name: 'setPath', args: { page: 'home', path: '/front' } },
      { name: 'nameNode', args: { doc: 'home', node: 'one', name: 'Odd' } },
      { name: 'remove', args: { doc: 'home', nodes: ['two'] } },
      { name: 'setPage', args: { page: 'about', set: { draft: true } } },
    ] as NamedEdit[])
      expect(refusal(broken, edit)).toBe('done');
    expect(refusal(broken, placing('about', { component: 'card' }))).toContain('gone-placed');
    const mended = done(broken, {
      name: 'mend',
      args: { doc: 'home', path: '/nodes/one/component' },
    });
    expect(danglingIn(mended.documents)).toEqual([]);
    compileSite(mended.documents, means());
  });

  test('of every kind is mended to what passes its schema', () => {
    const lost = component('lost', {
      tag: 'div',
      children: [
        {
          id: 'read',
          tag: 'p',
          children: [{ id: 'read-t', text: { is: 'property', property: 'gone' } }],
        },
      ],
    });
    const alone = entry('nothing', 'alone', { name: words('x') });
    const broken = documentsOf(card, home, about, lost, alone).with({
      ...start.site,
      surround: 'nowhere',
    });
    let documents: Documents = broken;
    for (let left = danglingIn(documents); left.length > 0; left = danglingIn(documents)) {
      const { doc, path } = left[0]!;
      documents = done(documents, { name: 'mend', args: { doc, path } }).documents;
    }
    for (const doc of [...documents]) expect(documentFindings(doc)).toEqual([]);
    expect(documents.get('nothing-alone')).toBeUndefined();
    expect(documents.get('site')).toMatchObject({ surround: null });
  });
});

function placing(doc: string, branch: Parameters<typeof plant>[0]): NamedEdit {
  let next = 0;
  const root = doc === 'home' ? 'root' : 'about-root';
  const planted = plant(branch, { parent: root, order: 'a5' }, () => `placed${(next += 1)}`);
  return { name: 'place', args: { doc, root: planted.root, nodes: planted.nodes } };
}

describe('what is too much', () => {
  const nested = (levels: number): Parameters<typeof plant>[0] => {
    let branch: Parameters<typeof plant>[0] = { tag: 'div' };
    for (let i = 1; i < levels; i += 1) branch = { tag: 'div', children: [branch] };
    return branch;
  };

  test('a tree deeper than browsers keep is refused, however deep', () => {
    expect(refusal(start, placing('about', nested(150)))).toBe('done');
    for (const levels of [300, 1000])
      expect(refusal(start, placing('about', nested(levels)))).toContain('tree-too-deep');
  });

  test('so is one that components make deep, or long', () => {
    let documents = start;
    let inner = 'card';
    for (let i = 0; i < 8; i += 1) {
      const shell = component(`shell${i}`, {
        ...nested(1),
        children: [{ ...nested(80), children: [] }],
      });
      const deep = component(`deep${i}`, chain(80, inner));
      documents = documents.with(shell, deep);
      inner = deep.id;
    }
    expect(refusal(documents, placing('about', { component: inner }))).toContain('page-too-deep');
    expect(refusal(documents, placing('about', { component: 'deep2' }))).toBe('done');
  });

  function chain(levels: number, inside: string): Parameters<typeof plant>[0] {
    let branch: Parameters<typeof plant>[0] = { tag: 'div', children: [{ component: inside }] };
    for (let i = 1; i < levels; i += 1) branch = { tag: 'div', children: [branch] };
    return branch;
  }

  test('a page that would be written out without end is refused before it is', () => {
    let documents = start;
    let inner = 'card';
    for (let i = 0; i < 24; i += 1) {
      const twice = component(`twice${i}`, {
        tag: 'div',
        children: [{ component: inner }, { component: inner }],
      });
      documents = documents.with(twice);
      inner = twice.id;
    }
    expect(refusal(documents, placing('about', { component: inner }))).toContain('too-many-parts');
  });

  test('an edit of more changes than one may make', () => {
    const many: Parameters<typeof plant>[0] = {
      tag: 'div',
      children: Array.from({ length: LARGEST_EDIT + 1 }, () => ({ tag: 'p' })),
    };
    expect(refusal(start, placing('about', many))).toContain('too-many-changes');
  });
});

describe('a slot', () => {
  const row = component(
    'row',
    { tag: 'div', children: [{ tag: 'div', children: [{ slot: 'cards' }] }] },
    {},
    ['cards'],
  );
  row.slots['cards'] = { label: 'Cards', order: 'a0', allows: { card: true }, most: 2 };
  const base = documentsOf(
    card,
    row,
    page('home', '/', { tag: 'main', children: [{ id: 'row', component: 'row' }] }),
  );
  const into = (documents: Documents, branch: Branch): NamedEdit => {
    const { nodes } = documents.get('home') as PageDoc;
    const place = placeAt(nodes, 'row', 9, 'cards');
    return { name: 'place', args: { doc: 'home', ...plant(branch, place, newId) } };
  };

  test('takes what it allows, and says so of anything else', () => {
    expect(refusal(base, into(base, { component: 'card' }))).toBe('done');
    expect(refusal(base, into(base, { tag: 'p', text: 'Words' }))).toBe('slot-takes-only');
  });

  test('takes a repeat of what it takes, whatever that shows where there is nothing', () => {
    const repeating = (item: Branch): Branch => ({
      repeat: queryOf('shed'),
      children: [item],
      slots: { none: [{ tag: 'p', text: 'Nothing yet' }] },
    });
    const now = documentsOf(...base, contentType('shed', { name: 'text' }));
    expect(refusal(now, into(now, repeating({ component: 'card' })))).toBe('done');
    expect(refusal(now, into(now, repeating({ tag: 'p', text: 'Words' })))).toBe('slot-takes-only');
  });

  test('takes no more than it holds, and what is there already stands in no way', () => {
    let documents = base;
    for (let i = 0; i < 2; i += 1)
      ({ documents } = done(documents, into(documents, { component: 'card' })));
    expect(refusal(documents, into(documents, { component: 'card' }))).toBe('slot-holds-most');
    const slots = { cards: { ...row.slots['cards']!, most: 1 } };
    const narrowed = documents.with({ ...row, slots });
    expect(
      refusal(narrowed, { name: 'remove', args: { doc: 'home', nodes: [cardsIn(narrowed)[0]!] } }),
    ).toBe('done');
  });

  const cardsIn = (documents: Documents) =>
    childrenOf((documents.get('home') as PageDoc).nodes).of('row', 'cards');
});

describe('rich text', () => {
  const at = (branch: Branch) => documentsOf(page('home', '/', branch));
  const rich: Branch = { text: { is: 'value', type: 'rich', value: [] }, rich: 'blocks' };

  test('with blocks stands where blocks may, and none in a link, since it may hold some', () => {
    const faults = (branch: Branch) => findingsOf(at(branch)).map(({ reason }) => reason.code);
    expect(faults({ tag: 'div', children: [rich] })).toEqual([]);
    expect(faults({ tag: 'p', children: [{ ...rich, rich: 'line' }] })).toEqual([]);
    expect(faults({ tag: 'h2', children: [rich] })).toEqual(['holds-text']);
    expect(faults({ tag: 'a', children: [{ ...rich, rich: 'line' }] })).toEqual([
      'rich-links-in-link',
    ]);
  });
});

describe('what an edit costs', () => {
  test('a thousand nodes are placed and taken back with one copy of the tree each', () => {
    const list: Parameters<typeof plant>[0] = {
      tag: 'div',
      children: Array.from({ length: 1000 }, () => ({ tag: 'p', text: 'One of many' })),
    };
    const write = jest.spyOn(WorkingCopy.prototype, 'write');
    try {
      const placed = done(start, placing('about', list));
      for (const [documents, changes] of [
        [start, placed.changes],
        [placed.documents, inverse(placed.changes)],
      ] as const) {
        write.mockClear();
        applyChanges(documents, changes);
        expect(write).toHaveBeenCalledTimes(changes.length);
        // One working copy makes them all, and that copies each container once (see its own test).
        expect(new Set(write.mock.contexts).size).toBe(1);
      }
    } finally {
      write.mockRestore();
    }
  });

  test('a text that is typed is checked alone: what is wrong elsewhere in the document is not looked at', () => {
    const odd = { ...home, nodes: { ...home.nodes, two: { ...home.nodes['two']!, extra: 1 } } };
    const documents = start.with(odd);
    expect(documentFindings(odd)).not.toEqual([]);
    expect(
      refusal(documents, { name: 'nameNode', args: { doc: 'home', node: 'one', name: 'x' } }),
    ).toBe('done');
  });
});

describe('taking back', () => {
  test('what is not in the history is refused', () => {
    expect(refusal(start, { name: 'revert', args: { edits: ['edit-nobody-did'] } })).toContain(
      'not-in-history',
    );
  });

  test('a property that a condition of a repeat reads, and a value that stands in for another', () => {
    const lists = component(
      'lists',
      {
        tag: 'div',
        children: [
          {
            id: 'each',
            repeat: queryOf('shed', [
              ['name', { is: 'property', property: 'which' }],
              ['name', { is: 'property', property: 'which' }],
            ]),
            children: [
              {
                tag: 'p',
                text: {
                  is: 'field',
                  from: { repeat: 'each' },
                  path: ['name'],
                  whenEmpty: { use: { is: 'property', property: 'which' } },
                },
              },
            ],
          },
        ],
      },
      { which: text('Millgate') },
    );
    const documents = documentsOf(lists, contentType('shed', { name: 'text' }));
    const { documents: after } = done(documents, {
      name: 'unexpose',
      args: { component: 'lists', properties: ['which'] },
    });
    expect(JSON.stringify(after.get('lists'))).not.toContain('"property"');
    expect(JSON.stringify(after.get('lists')).match(/Millgate/g)).toHaveLength(3);
  });
});

describe('text that cannot be stored', () => {
  test.each(['a\u0000b', '\ud83d', 'x\ude00'])('%j is refused where it is made', (value) => {
    expect(
      refusal(start, { name: 'setPage', args: { page: 'home', set: { title: text(value) } } }),
    ).toContain('not-storable');
  });

  test('and well-formed text of every kind is not', () => {
    for (const value of ['🪛', 'é', '\u202e', '￿', 'line\nbreak'])
      expect(
        refusal(start, { name: 'setPage', args: { page: 'home', set: { title: text(value) } } }),
      ).toBe('done');
  });
});

describe('addresses', () => {
  const shed = contentType('shed', { name: 'text' });
  const each = page('each', '/sheds/<slug>', { id: 'each-root', tag: 'main' }, 'shed');
  const site = documentsOf(
    home,
    about,
    card,
    shed,
    each,
    entry('shed', 'old', { name: words('A') }),
  );
  const redirects = (documents: Documents) =>
    Object.fromEntries(
      Object.entries(compileSite(documents, means()).manifest).flatMap(([path, { redirect }]) =>
        redirect === undefined ? [] : [[path.replace('/index.html', ''), redirect]],
      ),
    );
  const run = (...edits: NamedEdit[]) =>
    edits.reduce((documents, edit) => done(documents, edit).documents, site);
  const slug = (to: string): NamedEdit => ({
    name: 'setSlug',
    args: { entry: 'shed-old', slug: to },
  });
  const path = (to: string, of = 'about'): NamedEdit => ({
    name: 'setPath',
    args: { page: of, path: to },
  });

  test('a slug that changed leads on, and chains end at the newest', () => {
    expect(redirects(run(slug('newer'), slug('newest')))).toEqual({
      '/sheds/old': '/sheds/newest',
      '/sheds/newer': '/sheds/newest',
    });
    expect(redirects(run(slug('newer'), path('/huts/<slug>', 'each')))).toMatchObject({
      '/sheds/old': '/huts/newer',
      '/huts/old': '/huts/newer',
      '/sheds/newer': '/huts/newer',
    });
    expect(redirects(run(slug('newer'), slug('old')))).toEqual({ '/sheds/newer': '/sheds/old' });
  });

  test('an address that another page takes is that page’s, and leads on from it from then on', () => {
    expect(redirects(run(path('/who'), path('/about', 'home')))).toEqual({ '': '/about' });
    expect(
      redirects(run(path('/who'), path('/about', 'home'), path('/start', 'home'))),
    ).toMatchObject({
      '/about': '/start',
    });
  });
});
