import { brackenfold } from '@sormet/demo';
import { text, type ComponentDoc, type Documents } from '../model';
import { component, contentType, documentsOf, entry, page, words } from '../test/small-site';
import { member, Reach, usesOf } from '.';

const inner = component(
  'inner',
  { tag: 'a', text: { is: 'property', property: 'label' } },
  { label: text('Go') },
);
const outer = component('outer', {
  tag: 'div',
  children: [{ component: 'inner', values: { label: text('Set') } }, { component: 'inner' }],
});
const shed = contentType('shed', { name: 'text' });
const entries = ['a', 'b', 'c'].map((slug) => entry('shed', slug, { name: words(slug) }));
const home = page('home', '/', {
  tag: 'main',
  children: [{ component: 'outer' }, { component: 'inner', values: { label: text('Home') } }],
});
const each = page('each', '/s/<slug>', { component: 'outer' }, 'shed');
const lonely = page('lonely', '/lonely', { tag: 'p' });
const documents = documentsOf(inner, outer, shed, ...entries, home, each, lonely);

describe('the reach of a definition', () => {
  const reach = new Reach(documents);

  test('is its stored instances, their documents, and the pages that hold it, also through others', () => {
    const answer = reach.answer('inner');
    expect(answer.instances.filter(({ kind }) => kind === 'places')).toHaveLength(3);
    expect([...answer.documents].sort()).toEqual(['home', 'outer']);
    expect([...answer.pages].sort()).toEqual(['each', 'home']);
    expect(answer.published).toBe(1 + 3);
  });

  test('counts a page made from entries once for each', () => {
    expect(reach.publishedAt('each')).toBe(3);
    expect(reach.publishedAt('lonely')).toBe(1);
    expect(reach.publishedAt('gone')).toBe(0);
  });

  test('says which instances set a property themselves', () => {
    expect(
      reach
        .settersOf('inner', 'label')
        .map(({ from }) => from)
        .sort(),
    ).toEqual(['home', 'outer']);
  });

  test('of what nothing uses is nothing', () => {
    expect(reach.answer('nobody')).toEqual({
      instances: [],
      documents: [],
      pages: [],
      published: 0,
    });
  });

  test('of a page is that page', () => {
    expect(reach.answer('lonely')).toMatchObject({ pages: ['lonely'], published: 1 });
  });
});

describe('kept up to date', () => {
  const after = (change: (documents: Documents) => Documents) => {
    const reach = new Reach(documents);
    const next = change(documents);
    reach.updateAll(documents, next);
    expect(reach.dump()).toEqual(new Reach(next).dump());
    return reach;
  };

  test('it follows an instance that goes', () => {
    const reach = after((docs) => {
      const [root] = Object.keys(home.nodes).filter((id) => home.nodes[id]!.place.parent === null);
      return docs.with({ ...home, nodes: { [root!]: home.nodes[root!]! } });
    });
    expect([...reach.answer('inner').pages]).toEqual(['each']);
  });

  test('it follows an entry that becomes a draft, or comes, or goes', () => {
    expect(
      after((docs) => docs.with({ ...entries[0]!, draft: true })).answer('inner').published,
    ).toBe(3);
    expect(after((docs) => docs.with(entry('shed', 'd', {}))).answer('inner').published).toBe(5);
    expect(after((docs) => docs.without('shed-a')).answer('inner').published).toBe(3);
  });

  test('it follows a page that becomes a draft or goes', () => {
    expect(after((docs) => docs.with({ ...each, draft: true })).answer('outer').published).toBe(1);
    expect([...after((docs) => docs.without('each')).answer('outer').pages]).toEqual(['home']);
  });

  test('it follows a component that places another', () => {
    const plain: ComponentDoc = { ...outer, nodes: component('outer', { tag: 'div' }).nodes };
    expect(after((docs) => docs.with(plain)).answer('inner').documents).toEqual(['home']);
  });
});

describe('what a document uses', () => {
  test('is said node by node', () => {
    expect(
      usesOf(outer)
        .map(({ kind, to }) => `${kind} ${to}`)
        .sort(),
    ).toEqual(['places inner', 'places inner', `sets ${member('inner', 'label')}`]);
  });

  test('includes pages linked to, pictures, lists and types, for the whole demo', () => {
    const uses = [...brackenfold().documents].flatMap(usesOf);
    const has = (kind: string, to: string) =>
      uses.some((use) => use.kind === kind && use.to === to);
    expect(has('links', 'page-about')).toBe(true);
    expect(has('shows', 'picture-3')).toBe(true);
    expect(has('lists', 'session')).toBe(true);
    expect(has('stands', 'shed')).toBe(true);
    expect(has('shows', 'font-literata')).toBe(true);
  });
});
