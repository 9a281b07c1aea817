import { docOf, text, type PageDoc } from '../../model';
import { saidText } from '../../said';
import { component, documentsOf, page } from '../../test';
import { doEdit, type NamedEdit } from '../edits';
import { isRefusal } from '../changes';
import { duplicateOf, freePath } from './duplicating';
import { pagesBelow } from './pages';

const frame = (id: string, slot: string) =>
  component(id, { tag: 'div', children: [{ slot }] }, {}, [slot]);
const framed = (id: string, path: string, entries: string | null = null) =>
  page(
    id,
    path,
    { id: 'body', component: 'one', slots: { main: [{ id: 'words', tag: 'p' }] } },
    entries,
  );
const start = documentsOf(
  frame('one', 'main'),
  { ...frame('two', 'other'), id: 'two' },
  component('bare', { tag: 'div' }),
  framed('home', '/'),
  framed('sheds', '/sheds'),
  framed('map', '/sheds/map'),
  framed('shedding', '/shedding'),
);
const after = (edit: NamedEdit) => {
  const done = doEdit(start, edit);
  return isRefusal(done) ? done.refused.code : done.documents;
};
const pathOf = (documents: ReturnType<typeof after>, id: string) =>
  typeof documents === 'string' ? documents : docOf(documents, 'page', id)?.path;

describe('moving a page', () => {
  test('takes those below along, their old paths leading to them, and no page that only begins so', () => {
    expect(pagesBelow(start, start.get('sheds') as PageDoc).map(({ id }) => id)).toEqual(['map']);
    expect(pagesBelow(start, start.get('home') as PageDoc)).toEqual([]);
    const moved = after({ name: 'setPath', args: { page: 'sheds', path: '/places', below: true } });
    expect(pathOf(moved, 'map')).toBe('/places/map');
    expect(pathOf(moved, 'shedding')).toBe('/shedding');
    if (typeof moved === 'string') throw new Error(moved);
    expect(docOf(moved, 'page', 'map')?.former).toEqual({ '/sheds/map': true });
  });

  test('leaves those below where they are when they are not asked for', () => {
    const moved = after({ name: 'setPath', args: { page: 'sheds', path: '/places' } });
    expect(pathOf(moved, 'map')).toBe('/sheds/map');
  });

  test('is refused below itself, and onto a path that is taken', () => {
    expect(
      after({ name: 'setPath', args: { page: 'sheds', path: '/sheds/map/x', below: true } }),
    ).toBe('page-below-itself');
    expect(
      after({ name: 'setPath', args: { page: 'sheds', path: '/shedding', below: true } }),
    ).toBe('path-twice');
  });
});

describe('another surround', () => {
  test('takes over what stood in the one before, in its slot of the same name or its first', () => {
    const done = after({ name: 'setSurround', args: { page: 'home', component: 'two' } });
    if (typeof done === 'string') throw new Error(done);
    const { nodes } = done.get('home') as PageDoc;
    expect(nodes['body']).toMatchObject({ component: 'two' });
    expect(nodes['words']!.place.slot).toBe('other');
  });

  test('is taken away: what the page holds stands in a main of its own; and put around it again', () => {
    const bare = doEdit(start, { name: 'setSurround', args: { page: 'home', component: null } });
    if (isRefusal(bare)) throw new Error(saidText(bare.refused));
    const { nodes } = bare.documents.get('home') as PageDoc;
    expect(nodes['body']).toMatchObject({ kind: 'element', tag: 'main' });
    expect(nodes['words']!.place.slot).toBeUndefined();
    const edit = { name: 'setSurround' as const, args: { page: 'home', component: 'two' } };
    const again = doEdit(bare.documents, edit);
    if (isRefusal(again)) throw new Error(saidText(again.refused));
    expect((again.documents.get('home') as PageDoc).nodes['words']!.place.slot).toBe('other');
  });

  test('is refused where a page could not stand in it', () => {
    expect(after({ name: 'setSurround', args: { page: 'home', component: 'bare' } })).toContain(
      'no-slot-for-page',
    );
    expect(after({ name: 'setSurround', args: { page: 'home', component: 'gone' } })).toContain(
      'gone',
    );
  });
});

test('a duplicate has a name and a path of its own, and nothing that visitors know', () => {
  const sheds = { ...(start.get('sheds') as PageDoc), former: { '/old': true as const } };
  const copy = duplicateOf(start, { ...sheds, title: text('sheds') }, 'copy');
  expect(copy).toMatchObject({
    id: 'copy',
    name: 'sheds 2',
    path: '/sheds-2',
    draft: true,
    former: {},
    title: text('sheds 2'),
  });
  expect(typeof after({ name: 'addPage', args: { page: copy } })).not.toBe('string');
});

test.each([
  ['/about', ['/about'], '/about-2'],
  ['/about', ['/about', '/about-2'], '/about-3'],
  ['/about-2', ['/about-2', '/about'], '/about-3'],
  ['/sheds/<slug>', ['/sheds/<slug>'], '/sheds-2/<slug>'],
  ['/', ['/'], '/page-2'],
  ['/new', ['/'], '/new'],
])('a copy of %s beside %j has the path %s', (path, taken, free) => {
  expect(freePath(path, new Set(taken))).toBe(free);
});
