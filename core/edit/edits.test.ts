import { brackenfold } from '@sormet/demo';
import {
  childrenOf,
  docOf,
  newId,
  placeAt,
  rootOf,
  text,
  treeDocOf,
  type ComponentDoc,
  type Documents,
  type InstanceNode,
  type PageDoc,
  type Source,
} from '../model';
import { build, Linker } from '../resolve';
import { saidText, say, type Said } from '../said';
import { dataOf } from '../value';
import { htmlOf } from '../test/html';
import { contentType, documentsOf, entry, page, words } from '../test/small-site';
import {
  applyChanges,
  controlsOf,
  documentName,
  isRefusal,
  keyFor,
  mismatches,
  nodeName,
  runEdit,
  toldOf,
  type Change,
  type ControlRow,
  type NamedEdit,
} from '.';
import { plant, STARTERS } from '../ready';

/** The documents after an edit. @throws when it is refused. */
function after(documents: Documents, edit: NamedEdit): Documents {
  const changes = runEdit(documents, edit);
  if (isRefusal(changes)) throw new Error(saidText(changes.refused));
  return applyChanges(documents, changes);
}

function refusal(documents: Documents, edit: NamedEdit): string {
  const changes = runEdit(documents, edit);
  return isRefusal(changes) ? changes.refused.code : 'was done';
}

function html(documents: Documents, doc: string, slug?: string): string {
  const each =
    slug === undefined
      ? undefined
      : [...documents].find((d) => d.kind === 'entry' && d.slug === slug);
  return htmlOf(
    build(
      new Linker().link(documents, doc),
      dataOf(documents),
      each?.kind === 'entry' ? each : undefined,
    ).root,
  );
}

const link: Source = { is: 'value', type: 'link', value: { to: 'address', href: '/go' } };
const section = {
  id: 'sec',
  tag: 'section',
  name: 'Intro',
  children: [
    { id: 'head', tag: 'h2', name: 'Heading', children: [{ id: 'head-t', text: 'Hello' }] },
    {
      id: 'link',
      tag: 'a',
      name: 'Button',
      attributes: { href: link },
      children: [{ id: 'link-t', text: 'Go' }],
    },
  ],
};
const home = page('home', '/', {
  id: 'root',
  tag: 'main',
  children: [section, { id: 'last', tag: 'p', text: 'Last' }],
});
const start = documentsOf(home);
const made = {
  doc: 'home',
  node: 'sec',
  name: 'Sections/Intro',
  component: 'intro',
  instance: 'inst',
  ids: ['i1', 'i2', 'i3'],
};

describe('placing, moving, removing', () => {
  test('a ready section comes in with ids of its own, and every one of them is sound', () => {
    for (const { make } of STARTERS) {
      const { branch, styles, components } = make(start);
      const { root, nodes } = plant(branch, placeAt(home.nodes, 'root', 0), newId);
      const args = { doc: 'home', root, nodes, styles: [...styles], components: [...components] };
      const documents = after(start, { name: 'place', args });
      // Placed once more, it finds the styles it brought.
      expect(make(documents)).toMatchObject({ styles: [], components: [] });
      const allowed = childrenOf((documents.get('home') as PageDoc).nodes).of('root')[0];
      expect(allowed).toBe(root);
    }
  });

  test('the same nodes cannot be placed twice', () => {
    const { root, nodes } = plant({ id: 'new', tag: 'p' }, placeAt(home.nodes, 'root', 0), newId);
    const edit: NamedEdit = { name: 'place', args: { doc: 'home', root, nodes } };
    expect(refusal(after(start, edit), edit)).toContain('node-id-taken');
  });

  test('moving puts a node elsewhere and touches nothing else', () => {
    const documents = after(start, {
      name: 'move',
      args: { doc: 'home', moves: [{ node: 'last', place: placeAt(home.nodes, 'root', 0) }] },
    });
    expect(html(documents, 'home')).toBe(
      '<main><p>Last</p><section><h2>Hello</h2><a href="/go">Go</a></section></main>',
    );
    expect((documents.get('home') as PageDoc).nodes['sec']).toBe(home.nodes['sec']);
  });

  test.each<[string, NamedEdit, string]>([
    [
      'into itself',
      {
        name: 'move',
        args: { doc: 'home', moves: [{ node: 'sec', place: { parent: 'head', order: 'a0' } }] },
      },
      'inside-itself',
    ],
    [
      'a paragraph into a heading',
      {
        name: 'move',
        args: { doc: 'home', moves: [{ node: 'last', place: { parent: 'head', order: 'a9' } }] },
      },
      'holds-text',
    ],
    ['the root', { name: 'remove', args: { doc: 'home', nodes: ['root'] } }, 'root-not-removed'],
    ['what is gone', { name: 'remove', args: { doc: 'home', nodes: ['nobody'] } }, 'gone'],
    [
      'to what is gone',
      {
        name: 'move',
        args: { doc: 'home', moves: [{ node: 'last', place: { parent: 'nobody', order: 'a0' } }] },
      },
      'gone',
    ],
  ])('%s is refused with a reason', (_, edit, reason) => {
    expect(refusal(start, edit)).toContain(reason);
  });

  test('removing takes everything inside along', () => {
    const documents = after(start, { name: 'remove', args: { doc: 'home', nodes: ['sec'] } });
    expect(
      Object.keys((documents.get('home') as PageDoc).nodes).filter(
        (id) => id.startsWith('head') || id === 'sec',
      ),
    ).toEqual([]);
  });
});

describe('two people at once', () => {
  const both = (first: NamedEdit, second: NamedEdit): Documents => {
    const changes = runEdit(start, second) as Change[];
    const documents = after(start, first);
    expect(mismatches(documents, changes)).toEqual([]);
    return after(documents, second);
  };
  const placing = (id: string): NamedEdit => {
    const { root, nodes } = plant(
      { id, tag: 'p', children: [{ id: id + 't', text: id }] },
      placeAt(home.nodes, 'root', 1),
      newId,
    );
    return { name: 'place', args: { doc: 'home', root, nodes } };
  };

  test('placing at the same place both stay, in the same order for everybody', () => {
    const one = both(placing('aa'), placing('bb'));
    const other = both(placing('bb'), placing('aa'));
    expect(html(one, 'home')).toBe(html(other, 'home'));
    expect(html(one, 'home')).toContain('<p>aa</p><p>bb</p>');
  });

  test('first declarations at one width both stay', () => {
    const declare = (property: string): NamedEdit => ({
      name: 'declare',
      args: { doc: 'home', nodes: ['sec'], property, width: 'w900', css: '1px' },
    });
    const documents = both(declare('margin-top'), declare('margin-bottom'));
    expect(Object.keys((documents.get('home') as PageDoc).nodes['sec'] as object)).toContain(
      'style',
    );
    expect(
      (documents.get('home') as PageDoc & { nodes: Record<string, { style: object }> }).nodes[
        'sec'
      ]!.style,
    ).toEqual({ 'margin-top@w900': { css: '1px' }, 'margin-bottom@w900': { css: '1px' } });
  });

  test('setting the same value is noticed, with what stands now', () => {
    const saying = (value: string): NamedEdit => ({
      name: 'setControl',
      args: { doc: 'home', node: 'head-t', control: { of: 'text' }, source: text(value) },
    });
    const late = runEdit(start, saying('Mine')) as Change[];
    const [wrong] = mismatches(after(start, saying('Theirs')), late);
    expect(wrong?.change.path).toBe('/nodes/head-t/text');
    expect(wrong?.stands).toEqual(text('Theirs'));
  });

  test('moving two things into each other is refused for the second', () => {
    const a: NamedEdit = {
      name: 'move',
      args: { doc: 'home', moves: [{ node: 'one', place: { parent: 'two', order: 'a0' } }] },
    };
    const b: NamedEdit = {
      name: 'move',
      args: { doc: 'home', moves: [{ node: 'two', place: { parent: 'one', order: 'a0' } }] },
    };
    const documents = documentsOf(
      page('home', '/', {
        id: 'root',
        tag: 'main',
        children: [
          { id: 'one', tag: 'div' },
          { id: 'two', tag: 'div' },
        ],
      }),
    );
    expect(refusal(after(documents, a), b)).toContain('inside-itself');
  });
});

describe('styling', () => {
  const styleOf = (documents: Documents) =>
    ((documents.get('home') as PageDoc).nodes['sec'] as { style: Record<string, { css: string }> })
      .style;

  test('a shorthand is stored as longhands and taken back as one', () => {
    const documents = after(start, {
      name: 'declare',
      args: { doc: 'home', nodes: ['sec'], property: 'padding', width: 'base', css: '1px 2px' },
    });
    expect(Object.keys(styleOf(documents)).sort()).toEqual([
      'padding-bottom',
      'padding-left',
      'padding-right',
      'padding-top',
    ]);
    expect(
      styleOf(
        after(documents, {
          name: 'declare',
          args: { doc: 'home', nodes: ['sec'], property: 'padding', width: 'base', css: null },
        }),
      ),
    ).toEqual({});
  });

  test('what is no CSS is refused at the place where it was typed', () => {
    const edit: NamedEdit = {
      name: 'declare',
      args: { doc: 'home', nodes: ['sec'], property: 'color', width: 'base', css: 'rde' },
    };
    expect(runEdit(start, edit)).toMatchObject({
      refused: say('css-does-not-fit', { css: 'rde', property: 'color' }),
      path: '/nodes/sec/style',
    });
  });

  test('what is smuggled in with a placed node is refused too', () => {
    const { root, nodes } = plant(
      { id: 'x', tag: 'p', style: { color: { css: 'red;}' } } },
      placeAt(home.nodes, 'root', 0),
      newId,
    );
    expect(refusal(start, { name: 'place', args: { doc: 'home', root, nodes } })).toContain(
      'no-important',
    );
  });
});

describe('making a component', () => {
  test('changes nothing that shows', () => {
    const documents = after(start, { name: 'makeComponent', args: made });
    expect(html(documents, 'home')).toBe(html(start, 'home'));
    expect((documents.get('home') as PageDoc).nodes['inst']).toMatchObject({
      kind: 'instance',
      component: 'intro',
      place: home.nodes['sec']!.place,
    });
    expect(rootOf((documents.get('intro') as ComponentDoc).nodes)).toBe('sec');
  });

  test('hands in what was read of the page, as properties that the instance binds', () => {
    const shed = contentType('shed', { name: 'text' });
    const each = page(
      'each',
      '/s/<slug>',
      {
        tag: 'main',
        children: [
          {
            id: 'sec',
            tag: 'section',
            children: [
              {
                id: 'h',
                tag: 'h2',
                name: 'Heading',
                children: [{ id: 'ht', text: { is: 'field', from: 'page', path: ['name'] } }],
              },
            ],
          },
        ],
      },
      'shed',
    );
    const before = documentsOf(shed, entry('shed', 'a', { name: words('Ash') }), each);
    const documents = after(before, { name: 'makeComponent', args: { ...made, doc: 'each' } });
    expect(html(documents, 'each', 'a')).toBe('<main><section><h2>Ash</h2></section></main>');
    expect((documents.get('intro') as ComponentDoc).properties['i1']).toMatchObject({
      label: 'Heading text',
      key: 'headingText',
      type: { kind: 'text' },
    });
    expect(((documents.get('each') as PageDoc).nodes['inst'] as InstanceNode).values).toEqual({
      i1: { is: 'field', from: 'page', path: ['name'] },
    });
  });

  test('keeps on the instance whether the whole is shown', () => {
    const hidden = after(start, {
      name: 'setControl',
      args: {
        doc: 'home',
        node: 'sec',
        control: { of: 'shown' },
        source: { is: 'value', type: 'boolean', value: false },
      },
    });
    const documents = after(hidden, { name: 'makeComponent', args: made });
    expect((documents.get('home') as PageDoc).nodes['inst']).toMatchObject({
      shown: { value: false },
    });
    expect(html(documents, 'intro')).toContain('<section>');
  });

  test('needs a name that is free, and something that can be one', () => {
    const documents = after(start, { name: 'makeComponent', args: made });
    expect(
      refusal(documents, {
        name: 'makeComponent',
        args: { ...made, node: 'last', component: 'other', instance: 'inst2' },
      }),
    ).toBe('component-name-taken');
    expect(refusal(start, { name: 'makeComponent', args: { ...made, node: 'head-t' } })).toContain(
      'only-placed-becomes-component',
    );
    expect(refusal(start, { name: 'makeComponent', args: { ...made, node: 'root' } })).toContain(
      'root',
    );
  });

  test('never contains itself: the way round is named', () => {
    const documents = after(start, { name: 'makeComponent', args: made });
    const { root, nodes } = plant(
      { id: 'loop', component: 'intro' },
      { parent: 'sec', order: 'a9' },
      newId,
    );
    expect(refusal(documents, { name: 'place', args: { doc: 'intro', root, nodes } })).toContain(
      'contains-itself',
    );
  });
});

describe('exposing', () => {
  const documents = after(start, { name: 'makeComponent', args: made });
  const controls = controlsOf(documents, documents.get('intro') as ComponentDoc);
  const exposure = (row: ControlRow, n: number) => ({
    node: row.node,
    control: row.control,
    property: `p${n}`,
    label: row.label,
    key: keyFor(row.label, new Set()),
    order: `a${n}`,
    group: { id: `g${row.element}`, label: row.elementName, order: `a${n}` },
  });
  const exposed = after(documents, {
    name: 'expose',
    args: { component: 'intro', controls: controls.map(exposure) },
  });

  test('offers every control in screen order', () => {
    expect(controls.map(({ label }) => label)).toEqual([
      'Heading shown',
      'Heading text',
      'Heading tag',
      'Button shown',
      'Button text',
      'Button address',
    ]);
  });

  test('makes what was held the default, and changes nothing that shows', () => {
    expect((exposed.get('intro') as ComponentDoc).properties['p1']).toMatchObject({
      label: 'Heading text',
      default: text('Hello'),
      group: 'ghead',
    });
    expect((exposed.get('intro') as ComponentDoc).properties['p0']?.default).toMatchObject({
      value: true,
    });
    expect(html(exposed, 'home')).toBe(html(documents, 'home'));
  });

  test('makes one group for each element', () => {
    expect(
      Object.values((exposed.get('intro') as ComponentDoc).groups).map(({ label }) => label),
    ).toEqual(['Heading', 'Button']);
  });

  test('twice is refused', () => {
    expect(
      refusal(exposed, {
        name: 'expose',
        args: { component: 'intro', controls: [{ ...exposure(controls[1]!, 9), key: 'other' }] },
      }),
    ).toContain('from-elsewhere-already');
  });

  test('is taken back with its group, and shows the same', () => {
    let back = exposed;
    for (const n of [0, 1, 2])
      back = after(back, { name: 'unexpose', args: { component: 'intro', properties: [`p${n}`] } });
    expect(Object.keys((back.get('intro') as ComponentDoc).groups)).toEqual(['glink']);
    expect(html(back, 'home')).toBe(html(documents, 'home'));
  });

  describe('lets instances differ', () => {
    const set = (value: string): NamedEdit => ({
      name: 'setControl',
      args: {
        doc: 'home',
        node: 'inst',
        control: { of: 'value', property: 'p1' },
        source: text(value),
      },
    });

    test('a value set here shows here', () => {
      expect(html(after(exposed, set('Here')), 'home')).toContain('<h2>Here</h2>');
    });

    test('taking it back brings the default back', () => {
      const back = after(after(exposed, set('Here')), {
        name: 'setControl',
        args: { doc: 'home', node: 'inst', control: { of: 'value', property: 'p1' }, source: null },
      });
      expect(back).toEqual(exposed);
    });

    test('making it the default moves it, and the others follow', () => {
      const documents = after(after(exposed, set('For all')), {
        name: 'makeDefault',
        args: { doc: 'home', node: 'inst', property: 'p1' },
      });
      expect((documents.get('intro') as ComponentDoc).properties['p1']?.default).toEqual(
        text('For all'),
      );
      expect(((documents.get('home') as PageDoc).nodes['inst'] as InstanceNode).values).toEqual({});
    });

    test('only a value set here can become the default', () => {
      expect(
        refusal(exposed, {
          name: 'makeDefault',
          args: { doc: 'home', node: 'inst', property: 'p1' },
        }),
      ).toContain('only-set-value-as-default');
    });

    test('a default that is set reaches those that set nothing', () => {
      const documents = after(exposed, {
        name: 'setDefault',
        args: { component: 'intro', property: 'p1', value: text('New default') },
      });
      expect(html(documents, 'home')).toContain('New default');
    });
  });

  test('a label changes and its key stays', () => {
    const documents = after(exposed, {
      name: 'labelProperty',
      args: { component: 'intro', property: 'p1', label: 'Big words' },
    });
    expect((documents.get('intro') as ComponentDoc).properties['p1']).toMatchObject({
      label: 'Big words',
      key: 'headingText',
    });
  });

  test('a component that is placed is not removed', () => {
    expect(refusal(exposed, { name: 'removeComponent', args: { component: 'intro' } })).toContain(
      'still-used',
    );
    const free = after(exposed, { name: 'remove', args: { doc: 'home', nodes: ['inst'] } });
    expect(
      docOf(
        after(free, { name: 'removeComponent', args: { component: 'intro' } }),
        'component',
        'intro',
      ),
    ).toBeUndefined();
  });
});

describe('keys', () => {
  test.each([
    ['Heading text', 'headingText'],
    ['Über uns', 'uberUns'],
    ['2nd line', 'p2ndLine'],
    ['!?', 'p'],
  ])('%s becomes %s', (label, key) => {
    expect(keyFor(label, new Set())).toBe(key);
  });

  test('are unique in a component', () => {
    expect(keyFor('Text', new Set(['text', 'text2']))).toBe('text3');
  });
});

describe('pages and entries', () => {
  const shed = contentType('shed', { name: 'text' });
  const documents = documentsOf(
    home,
    page('about', '/about', { tag: 'div' }),
    shed,
    entry('shed', 'a', {}),
  );

  test('a page that moves leaves its path leading to it', () => {
    const moved = after(documents, { name: 'setPath', args: { page: 'about', path: '/who' } });
    expect(moved.get('about')).toMatchObject({ path: '/who', former: { '/about': true } });
    const back = after(moved, { name: 'setPath', args: { page: 'about', path: '/about' } });
    expect(back.get('about')).toMatchObject({ path: '/about', former: { '/who': true } });
  });

  test('a path that is taken is refused', () => {
    expect(refusal(documents, { name: 'setPath', args: { page: 'about', path: '/' } })).toContain(
      'path-twice',
    );
    expect(
      refusal(documents, { name: 'addPage', args: { page: page('x', '/about', { tag: 'div' }) } }),
    ).toContain('path-twice');
  });

  test('a slug that is taken is refused', () => {
    expect(
      refusal(documents, {
        name: 'addEntry',
        args: { entry: { ...entry('shed', 'a', {}), id: 'z' } },
      }),
    ).toContain('slug-taken');
  });

  test('an entry of a type that is gone is refused', () => {
    expect(
      refusal(documents, { name: 'addEntry', args: { entry: entry('nothing', 'a', {}) } }),
    ).toContain('gone-type-of-entry');
  });

  test('fields are set and emptied', () => {
    const set = after(documents, {
      name: 'setField',
      args: { entry: 'shed-a', field: 'name', value: words('Ash') },
    });
    expect(set.get('shed-a')).toMatchObject({ values: { name: words('Ash') } });
    expect(
      after(set, { name: 'setField', args: { entry: 'shed-a', field: 'name', value: null } }),
    ).toEqual(documents);
    expect(
      refusal(documents, {
        name: 'setField',
        args: { entry: 'shed-a', field: 'nope', value: null },
      }),
    ).toContain('gone');
  });
});

describe('the history says what was done', () => {
  const { documents } = brackenfold();

  test.each<[NamedEdit, Said]>([
    [
      { name: 'nameNode', args: { doc: 'page-home', node: 'page-home-n1', name: 'first' } },
      say('named-thing', { what: 'top', name: 'first' }),
    ],
    [
      { name: 'setField', args: { entry: 'shed-millgate', field: 'shed-name', value: words('X') } },
      say('set-field', { field: 'name', entry: 'Millgate' }),
    ],
    [
      { name: 'setPath', args: { page: 'page-about', path: '/who' } },
      say('moved-page', { from: '/about', to: '/who' }),
    ],
    [
      { name: 'setPage', args: { page: 'page-about', set: { draft: true } } },
      say('made-draft', { what: '/about' }),
    ],
    [
      { name: 'removeComponent', args: { component: 'quote' } },
      say('removed-component', { component: 'Quotation' }),
    ],
    [
      { name: 'declareTag', args: { tag: 'h1', property: 'color', width: 'base', css: 'red' } },
      say('styled-every', { property: 'color', tag: 'h1' }),
    ],
    [
      { name: 'setSlug', args: { entry: 'shed-millgate', slug: 'mill' } },
      say('gave-slug', { entry: 'Millgate', slug: 'mill' }),
    ],
  ])('%j', (edit, said) => {
    expect(toldOf(documents, edit)).toEqual(said);
  });

  test('nodes and documents have names that people know', () => {
    const tree = treeDocOf(documents, 'opening')!;
    expect(documentName(tree)).toBe('Opening');
    expect(documentName(treeDocOf(documents, 'page-about'))).toBe('/about');
    expect(Object.values(tree.nodes).map((node) => nodeName(documents, node, tree))).toContain(
      'Heading',
    );
  });
});
