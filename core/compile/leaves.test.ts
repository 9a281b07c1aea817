import fc from 'fast-check';
import { parse, type DefaultTreeAdapterMap } from 'parse5';
import { doEdit, isRefusal, type NamedEdit } from '../edit';
import {
  invariantFindings,
  leafAt,
  leafPath,
  literal,
  type Documents,
  type LeafAs,
  type PageDoc,
  type Source,
} from '../model';
import { pagesOfList } from '../ready';
import { component, contentType, documentsOf, entry, means, page, queryOf, words } from '../test';
import { htmlOf } from '../test/html';
import { build, Linker, prepare, write } from '../resolve';
import { dataOf } from '../value';
import { compileSite, fileOf, Release, type CompiledSite } from '.';

const shed = contentType('shed', { name: 'text', town: 'text' });
const NAME: Source = { is: 'field', from: { repeat: 'each' }, path: ['name'] };
const property = (id: string): Source => ({ is: 'property', property: id });
const leaf = (as: LeafAs, repeat = 'each'): Source => ({ is: 'leaf', repeat, as });

/** A list over several pages, with all that can be read of them; each item with its number and whether it begins its page. */
const list = (perPage: number, where: Parameters<typeof queryOf>[1] = []) => ({
  tag: 'main',
  children: [
    {
      tag: 'ul',
      children: [
        {
          id: 'each',
          repeat: queryOf('shed', where, [['name', false]], { perPage }),
          children: [
            {
              tag: 'li',
              attributes: { title: { is: 'position', repeat: 'each', as: 'number' } as const },
              text: NAME,
            },
            {
              tag: 'b',
              shown: { is: 'position', repeat: 'each', as: 'first' } as const,
              text: 'first',
            },
          ],
        },
      ],
    },
    { tag: 'i', text: leaf('number') },
    { tag: 'u', text: leaf('count') },
    ...(['before', 'next'] as const).map((as) => ({
      tag: 'a',
      attributes: { href: { ...leaf(as), whenEmpty: 'hide' as const } },
      text: as,
    })),
  ],
});

const sheds = (names: readonly string[]) =>
  names.map((name) => entry('shed', name, { name: words(name), town: words(name[0]!) }));

/** What a browser reads in the head of a page. */
function headOf(html: string): { title?: string; prev?: string; next?: string } {
  const found: Record<string, string | undefined> = {};
  const walk = (node: DefaultTreeAdapterMap['node']): void => {
    if ('attrs' in node && node.tagName === 'link') {
      const of = (name: string) => node.attrs.find((each) => each.name === name)?.value;
      if (['prev', 'next'].includes(of('rel') ?? '')) found[of('rel')!] = of('href');
    }
    if ('tagName' in node && node.tagName === 'title') {
      const [words] = node.childNodes;
      found['title'] = words && 'value' in words ? words.value : '';
    }
    if ('childNodes' in node) for (const child of node.childNodes) walk(child);
  };
  walk(parse(html));
  return found;
}

const textOf = (compiled: CompiledSite, path: string): string => {
  const file = compiled.file(fileOf(path));
  return file === undefined ? '' : compiled.texts.get(file.sha256)!;
};
const pagesIn = (compiled: CompiledSite): string[] =>
  Object.keys(compiled.manifest).filter((path) => path.endsWith('/index.html'));

/** What a list of names comes to on one of its pages, worked out by hand. */
function expected(names: readonly string[], perPage: number, number: number, path: string): string {
  const sorted = [...names].sort();
  const count = Math.max(1, Math.ceil(names.length / perPage));
  const items = sorted
    .map((name, i) => `<li title="${i + 1}">${name}</li>`)
    .slice((number - 1) * perPage, number * perPage)
    .map((item, i) => (i === 0 ? `${item}<b>first</b>` : item));
  const link = (to: number, as: string) => {
    const href = to === 1 ? path : `${path === '/' ? '' : path}/page/${to}`;
    return to < 1 || to > count ? '' : `<a href="${href}">${as}</a>`;
  };
  return (
    `<main><ul>${items.join('')}</ul><i>${number}</i><u>${count}</u>` +
    `${link(number - 1, 'before')}${link(number + 1, 'next')}</main>`
  );
}

const some = fc.uniqueArray(
  fc
    .tuple(fc.constantFrom('a', 'b'), fc.constantFrom('s', 't', 'u', 'v', 'w', 'x', 'y'))
    .map((each) => each.join('')),
  { maxLength: 9 },
);

describe('a list that is divided over several pages', () => {
  test('stands on as many as it takes, each with what leads to those beside it', () => {
    fc.assert(
      fc.property(
        some,
        fc.integer({ min: 1, max: 4 }),
        fc.constantFrom('/', '/sheds'),
        (names, perPage, path) => {
          const documents = documentsOf(shed, ...sheds(names), page('all', path, list(perPage)));
          const compiled = compileSite(documents, means());
          const count = Math.max(1, Math.ceil(names.length / perPage));
          const paths = Array.from({ length: count }, (_, i) => leafPath(path, i + 1));
          expect(pagesIn(compiled).sort()).toEqual(paths.map(fileOf).sort());
          paths.forEach((each, i) =>
            expect(textOf(compiled, each)).toContain(
              `<body>${expected(names, perPage, i + 1, path)}</body>`,
            ),
          );
        },
      ),
      { numRuns: 60 },
    );
  });

  test('is on a canvas what its first page is', () => {
    for (const names of [[], ['as'], ['as', 'at', 'au', 'bs', 'bt']]) {
      const documents = documentsOf(shed, ...sheds(names), page('all', '/sheds', list(2)));
      const data = dataOf(documents);
      const linked = new Linker().link(documents, 'all');
      const { root } = build(linked, data, undefined);
      expect(htmlOf(root)).toBe(write(prepare(linked, data)));
    }
  });

  test('is divided for each entry by itself, on a page that is made from entries', () => {
    const here: Source = { is: 'field', from: 'page', path: ['town'] };
    const own = page('own', '/t/<slug>', list(2, [['town', here]]), 'shed');
    const names = ['as', 'at', 'au', 'bs'];
    const compiled = compileSite(documentsOf(shed, ...sheds(names), own), means());
    const ofA = names.filter((name) => name.startsWith('a'));
    for (const name of ofA)
      for (const number of [1, 2])
        expect(textOf(compiled, leafPath(`/t/${name}`, number))).toContain(
          expected(ofA, 2, number, `/t/${name}`),
        );
    expect(textOf(compiled, '/t/bs')).toContain(expected(['bs'], 2, 1, '/t/bs'));
    expect(pagesIn(compiled)).toHaveLength(7);
  });

  test('is divided in a definition too, whose instance hands on where the next page is', () => {
    const sign = component(
      'sign',
      { id: 'sign-root', tag: 'a', attributes: { href: property('to') }, text: 'On' },
      { to: literal({ type: 'link', value: null }) },
    );
    const all = component('all', {
      tag: 'div',
      children: [
        ...list(2).children,
        { component: 'sign', values: { to: leaf('next') } },
        { component: 'sign', values: { to: leaf('before') } },
      ],
    });
    const home = page('home', '/', { tag: 'div', children: [{ component: 'all' }] });
    const names = ['as', 'at', 'au'];
    const compiled = compileSite(documentsOf(shed, ...sheds(names), sign, all, home), means());
    expect(textOf(compiled, '/')).toContain('<a href="/page/2">On</a><a>On</a>');
    expect(textOf(compiled, '/page/2')).toContain('<a>On</a><a href="/">On</a>');
  });

  test('says what comes before and after it in the head, and which it is behind the title', () => {
    const documents = documentsOf(shed, ...sheds(['as', 'at', 'au']), page('a', '/a', list(1)));
    const compiled = compileSite(documents, means());
    const head = (path: string) => headOf(textOf(compiled, path));
    expect(head('/a')).toEqual({ title: 'a', prev: undefined, next: '/a/page/2' });
    expect(head('/a/page/2')).toEqual({ title: 'a · 2/3', prev: '/a', next: '/a/page/3' });
    expect(head('/a/page/3')).toEqual({ title: 'a · 3/3', prev: '/a/page/2', next: undefined });
  });

  test('loses pages as it gets shorter, and all further ones with its page: as a release made anew', () => {
    const names = ['as', 'at', 'au', 'bs', 'bt'];
    let documents = documentsOf(shed, ...sheds(names), page('all', '/sheds', list(2)));
    let before = compileSite(documents, means());
    const step = (edit: NamedEdit, ...paths: string[]) => {
      const edited = doEdit(documents, edit);
      if (isRefusal(edited)) throw new Error(edited.refused.code);
      const earlier = { documents, release: new Release(before.manifest) };
      const compiled = compileSite(edited.documents, means(), earlier);
      expect(compiled.manifest).toEqual(compileSite(edited.documents, means()).manifest);
      expect(pagesIn(compiled)).toEqual(paths.map(fileOf));
      expect(compiled.kept + compiled.made).toBe(new Release(compiled.manifest).pages);
      [documents, before] = [edited.documents, compiled];
    };
    step({ name: 'removeEntries', args: { entries: ['shed-as'] } }, '/sheds', '/sheds/page/2');
    step({ name: 'setPath', args: { page: 'all', path: '/all' } }, '/all', '/all/page/2', '/sheds');
    step({ name: 'setPage', args: { page: 'all', set: { draft: true } } });
  });

  test('stands whole where it stands in another list', () => {
    const inner = {
      id: 'inner',
      repeat: queryOf('shed', [], [], { perPage: 1 }),
      children: [{ tag: 'b', text: 'x' }],
    };
    const outer = page('all', '/', {
      tag: 'div',
      children: [{ id: 'each', repeat: queryOf('shed'), children: [inner] }],
    });
    const compiled = compileSite(documentsOf(shed, ...sheds(['as', 'at']), outer), means());
    expect(textOf(compiled, '/')).toContain(`<div>${'<b>x</b>'.repeat(4)}</div>`);
    expect(pagesIn(compiled)).toHaveLength(1);
  });

  test('is on one page where it is gone', () => {
    const lost = page('all', '/', {
      tag: 'div',
      children: [
        { tag: 'p', text: leaf('count', 'x') },
        { tag: 'a', attributes: { href: leaf('next', 'x') } },
      ],
    });
    expect(textOf(compileSite(documentsOf(shed, lost), means()), '/')).toContain('<p>1</p><a></a>');
  });
});

describe('links to the pages of a list', () => {
  const home = page('all', '/sheds', {
    tag: 'main',
    children: [
      {
        tag: 'ul',
        children: [
          {
            id: 'each',
            repeat: queryOf('shed', [], [], { perPage: 2 }),
            children: [{ tag: 'li', text: NAME }],
          },
        ],
      },
      { tag: 'p', text: 'After' },
    ],
  });
  const planted = pagesOfList(documentsOf(shed, home), home.nodes, 'each');
  const withLinks: PageDoc = { ...home, nodes: { ...home.nodes, ...planted.nodes } };
  const shown = (documents: Documents) => compileSite(documents, means());
  const nav = planted.root;

  test('stand below the list, and only where it has several', () => {
    const several = shown(documentsOf(shed, ...sheds(['as', 'at', 'au']), withLinks));
    expect(textOf(several, '/sheds')).toContain(
      `</ul><nav class="${nav}_all" aria-label="Pages"><span>Page 1 of 2</span><a href="/sheds/page/2" rel="next">Next</a></nav><p>After</p>`,
    );
    expect(textOf(several, '/sheds/page/2')).toContain(
      `<nav class="${nav}_all" aria-label="Pages"><a href="/sheds" rel="prev">Previous</a><span>Page 2 of 2</span></nav>`,
    );
    const one = shown(documentsOf(shed, ...sheds(['as']), withLinks));
    expect(textOf(one, '/sheds')).toContain('</ul><p>After</p>');
  });
});

describe('links to the pages of a list in a slot', () => {
  const lines = component(
    'lines',
    { tag: 'section', children: [{ tag: 'ul', children: [{ slot: 'lines' }] }, { slot: 'more' }] },
    {},
    ['lines', 'more'],
  );
  const repeat = {
    id: 'each',
    repeat: queryOf('shed', [], [], { perPage: 2 }),
    children: [{ tag: 'li', text: NAME }],
  };

  test.each([
    ['lines', '</ul></section><nav'],
    ['more', '</li><nav'],
  ])('stand behind the instance, where the slot is in a list: %s', (slot, expected) => {
    const home = page('all', '/', {
      tag: 'main',
      children: [{ component: 'lines', slots: { [slot]: [repeat] } }],
    });
    const { nodes } = pagesOfList(documentsOf(shed, lines, home), home.nodes, 'each');
    const linked = { ...home, nodes: { ...home.nodes, ...nodes } };
    const documents = documentsOf(shed, lines, ...sheds(['as', 'at', 'au']), linked);
    expect(textOf(compileSite(documents, means()), '/')).toContain(expected);
  });
});

describe('where the pages of a list stand', () => {
  test('is read from a path as it is written', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('/', '/a', '/a/b'),
        fc.integer({ min: 2, max: 99999 }),
        (path, number) => {
          expect(leafAt(leafPath(path, number))).toEqual({ path, number });
        },
      ),
    );
    for (const path of ['/', '/a', '/page', '/page/1', '/page/02', '/a/page/x', '/page/2/b'])
      expect(leafAt(path)).toBeUndefined();
  });

  test.each(['/page/2', '/a/page/12', '/a/page/<slug>', '/page/0'])(
    'is free of others: %s',
    (path) => {
      const at = page('p', path, { tag: 'div' }, path.endsWith('>') ? 'shed' : null);
      expect(invariantFindings(at).map(({ reason }) => reason.code)).toContain('path-of-leaves');
    },
  );

  test.each(['/page', '/page/two', '/a/page', '/page/2/more'])('leaves others be: %s', (path) => {
    const at = page('p', path, { tag: 'div' });
    expect(invariantFindings(at)).toEqual([]);
  });
});
