import { brackenfold } from '@sormet/demo';
import { parse } from 'parse5';
import { assetPath, text, Documents, type PageDoc } from '../model';
import { saidText, say } from '../said';
import { blockOf } from '../style';
import { applyChanges, isRefusal, runEdit, type NamedEdit } from '../edit';
import {
  component,
  contentType,
  documentsOf,
  entry,
  means,
  page,
  queryOf,
  tags,
  words,
} from '../test';
import {
  addressOfFile,
  compileSite,
  cssOf,
  fileOf,
  htmlOf,
  planOf,
  redirectHtml,
  Release,
} from '.';

const demo = brackenfold().documents;

function after(documents: Documents, edit: NamedEdit): Documents {
  const changes = runEdit(documents, edit);
  if (isRefusal(changes)) throw new Error(saidText(changes.refused));
  return applyChanges(documents, changes);
}

describe('a release', () => {
  const release = compileSite(demo, means());
  const pageText = (path: string) => release.texts.get(release.manifest[fileOf(path)]!.sha256)!;

  test('is the same to the byte each time, in whatever order documents are stored', () => {
    const shuffled = Documents.from(Object.values(structuredClone(demo.toJSON())).reverse());
    const again = compileSite(shuffled, means());
    expect(again.manifest).toEqual(release.manifest);
    expect([...again.texts].sort()).toEqual([...release.texts].sort());
  });

  test('holds a page for every address, and leaves out drafts', () => {
    expect(
      Object.keys(release.manifest).filter((file) => addressOfFile(file) !== undefined),
    ).toHaveLength(19);
    expect(release.manifest['/winter/index.html']).toBeUndefined();
  });

  test('holds every file that a page loads, named after its content', () => {
    for (const { loads } of Object.values(release.manifest))
      for (const path of loads ?? [])
        expect(release.manifest[path]?.sha256.slice(0, 16)).toBe(
          /\/files\/([0-9a-f]{16})\./.exec(path)?.[1],
        );
  });

  test('names in its HTML only files that it holds', () => {
    for (const [file, { sha256 }] of Object.entries(release.manifest)) {
      if (addressOfFile(file) === undefined) continue;
      for (const [, path] of release.texts
        .get(sha256)!
        .matchAll(/(?:src|href)="(\/files\/[^"]+)"/g))
        expect(release.manifest[path!]).toBeDefined();
    }
  });

  test('has pages with language, title, description, viewport and landmarks', () => {
    const html = pageText('/sheds/millgate');
    expect(html).toMatch(/^<!DOCTYPE html>\n<html lang="en-GB">/);
    expect(html).toContain('<title>Millgate</title>');
    expect(html).toContain('<meta name="description" content="The old dye works by the weir.');
    expect(html).toContain('<meta name="viewport"');
    for (const landmark of ['<header', '<nav aria-label="Main"', '<main id="main">', '<footer'])
      expect(html).toContain(landmark);
    expect(parse(html).nodeName).toBe('#document');
  });

  test('links to pages by their path, and not at all to drafts', () => {
    expect(pageText('/')).toContain('href="/sheds/alderhithe"');
    const drafted = compileSite(
      after(demo, { name: 'setPage', args: { page: 'page-about', set: { draft: true } } }),
      means(),
    );
    expect(drafted.texts.get(drafted.manifest['/index.html']!.sha256)).not.toContain(
      'href="/about"',
    );
  });

  test('holds no script but the one that a page which does something loads', () => {
    let doing = 0;
    for (const { sha256, mediaType, loads } of Object.values(release.manifest)) {
      if (!mediaType?.startsWith('text/html')) continue;
      const content = release.texts.get(sha256!)!;
      expect(content).not.toMatch(/javascript:/i);
      const scripts = content.match(/<script[^>]*>/gi) ?? [];
      const loaded = (loads ?? []).filter((path) => path.endsWith('.js'));
      expect(scripts).toEqual(loaded.map((path) => `<script defer src="${path}">`));
      // What is done when something happens, and words of one's own for what is wrong with a field.
      expect(scripts.length > 0).toBe(/data-sormet-(acts|wrong)=/.test(content));
      doing += scripts.length;
    }
    expect(doing).toBeGreaterThan(0);
  });
});

describe('a path that changes', () => {
  const moved = after(demo, {
    name: 'setPath',
    args: { page: 'page-shed', path: '/workshops/<slug>' },
  });
  const release = compileSite(moved, means());

  test('keeps every link', () => {
    expect(release.texts.get(release.manifest['/sheds/index.html']!.sha256)).toContain(
      'href="/workshops/millgate"',
    );
  });

  test('leaves a redirect for every entry, that works without a server too', () => {
    const file = release.manifest['/sheds/millgate/index.html']!;
    expect(file.redirect).toBe('/workshops/millgate');
    expect(release.texts.get(file.sha256)).toContain(
      'http-equiv="refresh" content="0; url=/workshops/millgate"',
    );
    expect(redirectHtml('en', '/a"b')).toContain('&quot;');
  });
});

describe('what will change', () => {
  const kept = means();
  const before = { documents: demo, release: new Release(compileSite(demo, kept).manifest) };
  const plan = (documents: Documents) => {
    const compiled = compileSite(documents, kept, before);
    return { made: compiled.made, pages: planOf(compiled, documents, before) };
  };

  test('is nothing when nothing did', () => {
    expect(plan(demo).pages).toEqual([]);
    expect(plan(demo).made).toBe(0);
  });

  test('is one page for a text on it', () => {
    const { pages, made } = plan(
      after(demo, {
        name: 'setPage',
        args: { page: 'page-about', set: { title: text('Who we are') } },
      }),
    );
    expect(pages).toEqual([
      { path: '/about', what: 'changed', reasons: [say('page-changed', { path: '/about' })] },
    ]);
    expect(made).toBe(1);
  });

  test('is every page that shows an entry, each with the reason', () => {
    const { pages } = plan(
      after(demo, {
        name: 'setField',
        args: {
          entry: 'shed-bellfield',
          field: 'shed-name',
          value: { type: 'text', value: 'Bell Field' },
        },
      }),
    );
    expect(pages.map(({ path }) => path)).toEqual(['/', '/sheds', '/sheds/bellfield']);
    expect(pages[2]?.reasons).toContainEqual(say('entry-changed', { slug: 'bellfield' }));
  });

  test('is every page that holds a definition', () => {
    const { pages } = plan(
      after(demo, {
        name: 'setDefault',
        args: { component: 'join-band', property: 'join-text', value: text('New words') },
      }),
    );
    expect(pages.map(({ path }) => path)).toEqual(
      expect.arrayContaining(['/', '/about', '/sheds', '/sheds/millgate']),
    );
    expect(pages[0]?.reasons).toEqual([say('definition-changed', { component: 'Join band' })]);
  });

  test('is every page that asks a query of a definition they share, also where the answer was kept', () => {
    const listing = (id: string) =>
      page(id, `/${id}`, { tag: 'div', children: [{ id: `${id}-roll`, component: 'roll' }] });
    const roll = component('roll', {
      tag: 'ul',
      children: [
        {
          id: 'rounds',
          repeat: queryOf('tool', [], [['weight', false]]),
          children: [
            { tag: 'li', text: { is: 'field', from: { repeat: 'rounds' }, path: ['name'] } },
          ],
        },
      ],
    });
    const tool = (slug: string, name: string, weight: number) =>
      entry('tool', slug, { name: words(name), weight: { type: 'number', value: weight } });
    const type = contentType('tool', { name: 'text', weight: 'number' });
    const stock = documentsOf(roll, listing('one'), listing('two'), type, tool('saw', 'Saw', 2));
    const release = new Release(compileSite(stock, means()).manifest);
    const later = stock.with(tool('awl', 'Awl', 1));
    const partial = compileSite(later, means(), { documents: stock, release });
    expect(partial.made).toBe(2);
    expect(partial.manifest).toEqual(compileSite(later, means()).manifest);
  });

  test('is nothing when an edit changes no byte', () => {
    const home = demo.get('page-home') as PageDoc;
    const { pages, made } = plan(demo.with({ ...home, name: 'Front' }));
    expect([pages, made]).toEqual([[], 1]);
  });

  test('tells pages that come and go', () => {
    const without = after(demo, { name: 'removePage', args: { page: 'page-guides' } });
    expect(plan(without).pages).toContainEqual({
      path: '/guides',
      what: 'gone',
      reasons: [say('no-page-here')],
    });
    const shown = after(demo, {
      name: 'setPage',
      args: { page: 'page-winter', set: { draft: false } },
    });
    expect(plan(shown).pages).toEqual([
      { path: '/winter', what: 'new', reasons: [say('page-is-new')] },
    ]);
  });
});

describe('CSS', () => {
  const red = component('c', {
    id: 'root',
    tag: 'section',
    style: blockOf({ color: 'red' }, { w500: { color: 'blue' }, w900: { color: 'green' } }),
  });
  const documents = documentsOf(
    { ...tags, tags: { section: blockOf({ margin: '0' }), h6: blockOf({ color: 'pink' }) } },
    red,
    page('p', '/', {
      id: 'body',
      tag: 'main',
      children: [{ id: 'inst', component: 'c', style: blockOf({ color: 'black' }) }],
    }),
  );
  const { texts, manifest } = compileSite(documents, means());
  const css = texts.get(
    Object.entries(manifest).find(([path]) => path.endsWith('.css'))![1].sha256,
  )!;

  test('is layered: reset, tags, then heights, the nearer to the page the stronger', () => {
    expect(css.split('\n')[0]).toBe('@layer reset,tags.l0,h0.own.l0,h1.own.l0;');
    expect(css).toContain('@layer h0.own.l0{.root_c{color:red}');
    expect(css).toContain('@layer h1.own.l0{.inst_p{color:black}}');
  });

  test('has the base before the narrower, from wide to narrow', () => {
    expect(css.indexOf('max-width:900px')).toBeGreaterThan(css.indexOf('.root_c{color:red}'));
    expect(css.indexOf('max-width:500px')).toBeGreaterThan(css.indexOf('max-width:900px'));
  });

  test('holds only the tags the page can use', () => {
    expect(css).toContain('section{');
    expect(css).not.toContain('pink');
  });

  test('of nothing is the reset alone', () => {
    expect(
      cssOf(documentsOf(), {
        classes: new Map(),
        tags: new Set(),
        fed: new Set(),
        words: false,
        acts: false,
      })
        .split('\n')
        .filter(Boolean),
    ).toHaveLength(2);
  });
});

describe('the HTML document', () => {
  test('escapes what people write, and takes the name of the site for want of a title', () => {
    const html = htmlOf({
      language: 'en',
      site: 'A & B',
      title: '',
      before: '',
      next: '',
      leaf: '',
      description: '"q"',
      image: '',
      icon: '',
      css: '/x.css',
      script: '',
      body: '',
    });
    expect(html).toContain('<title>A &amp; B</title>');
    expect(html).toContain('content="&quot;q&quot;"');
  });

  test('stands in a file that any static server finds', () => {
    expect(fileOf('/')).toBe('/index.html');
    expect(fileOf('/a/b')).toBe('/a/b/index.html');
    for (const path of ['/', '/a/b']) expect(addressOfFile(fileOf(path))).toBe(path);
    expect(addressOfFile('/files/x.css')).toBeUndefined();
  });

  test('names files after their content', () => {
    expect(assetPath({ sha256: 'ab'.repeat(32), mediaType: 'image/svg+xml' })).toBe(
      '/files/abababababababab.svg',
    );
  });
});
