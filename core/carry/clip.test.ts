import fc from 'fast-check';
import { brackenfold } from '@sormet/demo';
import {
  allOf,
  childrenOf,
  docOf,
  type Documents,
  literal,
  newId,
  type PageDoc,
  type Place,
  placeAt,
  type RichPiece,
  rootOf,
  schemaFindings,
  text,
  treeDocOf,
  type Source,
} from '../model';
import { build, Linker } from '../resolve';
import { saidText, isSaid, say } from '../said';
import { dataOf } from '../value';
import {
  asset,
  component,
  contentType,
  documentsOf,
  entry,
  page,
  queryOf,
  sharedStyles,
  signTokens,
  words,
} from '../test';
import { htmlOf } from '../test/html';
import { blockOf } from '../style';
import { doEdit, isRefusal, topmost } from '../edit';
import { Clip, clipOf, readClip, wordsOf } from './clip';
import { fitClip, type Fitted } from './fit';

const field = (path: string[], from: 'page' | { repeat: string } = 'page'): Source => ({
  is: 'field',
  from,
  path,
});
const card = component(
  'card',
  { tag: 'article', children: [{ tag: 'h3', text: { is: 'property', property: 'title' } }] },
  { title: text('Card') },
);
const shed = contentType('shed', { name: 'text', picture: 'image' });
const one = entry('shed', 'one', { name: words('First shed') });
const home = page('home', '/', {
  id: 'root',
  tag: 'main',
  children: [
    { id: 'plain', tag: 'section', children: [{ id: 'head', tag: 'h2', text: 'Words & more' }] },
    { id: 'made', component: 'card', name: 'first', values: { title: text('Here') } },
    {
      id: 'all',
      repeat: queryOf('shed'),
      children: [{ id: 'each', tag: 'p', text: field(['name'], { repeat: 'all' }) }],
    },
    { id: 'end', tag: 'div' },
  ],
});
const eachShed = page(
  'sheds',
  '/sheds/<slug>',
  { id: 'root', tag: 'main', children: [{ id: 'name', tag: 'h1', text: field(['name']) }] },
  'shed',
);
const start = documentsOf(card, shed, one, asset('pic'), home, eachShed);

function place(documents: Documents, doc: string, parent = 'root'): Place {
  return placeAt(treeDocOf(documents, doc)!.nodes, parent, Infinity);
}

function pasted(documents: Documents, fitted: Fitted | undefined): Documents {
  const { doc, roots, nodes, bring } = fitted!;
  const done = doEdit(documents, {
    name: 'paste',
    args: { doc, roots: [...roots], nodes, bring: [...bring] },
  });
  if (isRefusal(done)) throw new Error(saidText(done.refused));
  return done.documents;
}

function html(documents: Documents, doc: string, entryId?: string): string {
  const each = entryId === undefined ? undefined : docOf(documents, 'entry', entryId);
  return htmlOf(build(new Linker().link(documents, doc), dataOf(documents), each).root);
}

describe('what is copied', () => {
  test('is what was chosen with everything in it, in the order of the document, nothing twice', () => {
    expect(topmost(home.nodes, ['end', 'head', 'plain', 'gone'])).toEqual(['plain', 'end']);
    const clip = clipOf(start, 'here', 'home', ['head', 'plain'])!;
    expect(clip.roots).toEqual(['plain']);
    expect(wordsOf(clip)).toBe('Words & more');
    expect(clipOf(start, 'here', 'home', ['gone'])).toBeUndefined();
  });

  test('is an open form: JSON that its schema takes, and nothing else is read as one', () => {
    const clip = clipOf(start, 'here', 'home', ['made'])!;
    expect(schemaFindings(Clip, clip)).toEqual([]);
    expect(readClip(JSON.stringify(clip))).toEqual(clip);
    for (const other of ['', 'words', '{}', '{"sormet":"clip"}', 'null', '[1]'])
      expect(readClip(other)).toBeUndefined();
  });
});

describe('what is pasted on the same site', () => {
  test('looks as what was copied, with ids of its own', () => {
    const clip = clipOf(start, 'here', 'home', ['plain', 'made', 'all'])!;
    const after = pasted(start, fitClip(start, clip, 'home', place(start, 'home', 'end'), newId));
    const written =
      '<section><h2>Words &amp; more</h2></section><article><h3>Here</h3></article><p>First shed</p>';
    expect(html(after, 'home')).toBe(`<main>${written}<div>${written}</div></main>`);
  });

  test('is told apart by a number where an instance has a name', () => {
    const clip = clipOf(start, 'here', 'home', ['made'])!;
    let documents = start;
    for (let i = 0; i < 2; i += 1)
      documents = pasted(
        documents,
        fitClip(documents, clip, 'home', place(documents, 'home'), newId),
      );
    const names = Object.values((documents.get('home') as PageDoc).nodes).flatMap(
      ({ name }) => name ?? [],
    );
    expect(names).toEqual(['first', 'first 2', 'first 3']);
  });

  test('stays bound where the same can be read, else holds what it held, and that is said', () => {
    const clip = clipOf(start, 'here', 'sheds', ['name'], one)!;
    const again = fitClip(start, clip, 'sheds', place(start, 'sheds'), newId)!;
    expect(again.left).toEqual([]);
    expect(html(pasted(start, again), 'sheds', one.id)).toContain(
      '<h1>First shed</h1><h1>First shed</h1>',
    );
    const elsewhere = fitClip(start, clip, 'home', place(start, 'home', 'end'), newId)!;
    expect(elsewhere.left).toEqual([say('left-binding', { what: say('bound-text') })]);
    expect(html(pasted(start, elsewhere), 'home')).toContain('<div><h1>First shed</h1></div>');
  });

  test('reads the repeat around it where the page gave the entry before, and the other way', () => {
    const ofPage = clipOf(start, 'here', 'sheds', ['name'], one)!;
    const intoRepeat = fitClip(start, ofPage, 'home', place(start, 'home', 'all'), newId)!;
    expect(intoRepeat.left).toEqual([]);
    expect(html(pasted(start, intoRepeat), 'home')).toContain(
      '<p>First shed</p><h1>First shed</h1>',
    );
    const ofRepeat = clipOf(start, 'here', 'home', ['each'])!;
    const ontoPage = fitClip(start, ofRepeat, 'sheds', place(start, 'sheds'), newId)!;
    expect(html(pasted(start, ontoPage), 'sheds', one.id)).toContain('<p>First shed</p>');
  });

  test('holds the default of a property where the definition is another', () => {
    const head = childrenOf(card.nodes).of(rootOf(card.nodes))[0]!;
    const clip = clipOf(start, 'here', 'card', [head])!;
    const fitted = fitClip(start, clip, 'home', place(start, 'home', 'end'), newId);
    expect(html(pasted(start, fitted), 'home')).toContain('<div><h3>Card</h3></div>');
  });

  test('is refused with a reason where it may not stand', () => {
    const clip = clipOf(start, 'here', 'home', ['plain'])!;
    const fitted = fitClip(start, clip, 'home', place(start, 'home', 'head'), newId)!;
    const { roots, nodes } = fitted;
    const done = doEdit(start, {
      name: 'paste',
      args: { doc: 'home', roots: [...roots], nodes, bring: [] },
    });
    expect(isRefusal(done) && done.refused.code).toBe('holds-text');
  });
});

describe('what is pasted on another site', () => {
  const blank = page('start', '/', { id: 'root', tag: 'main' });

  test('brings the definitions, shared styles and files along that are not there', () => {
    const looked = documentsOf(
      ...[...start].filter(({ kind }) => !['site', 'tags', 'tokens'].includes(kind)),
      {
        id: 'look',
        kind: 'style',
        format: card.format,
        name: 'Look',
        order: 'a0',
        base: null,
        origin: null,
        style: blockOf({ color: 'tomato' }),
      },
      page('two', '/two', {
        id: 'root',
        tag: 'main',
        children: [
          { id: 'c', component: 'card', shared: { look: true }, values: { title: text('Two') } },
          {
            id: 'i',
            tag: 'img',
            attributes: { src: { is: 'value', type: 'image', value: { asset: 'pic' } } },
          },
        ],
      }),
    );
    const clip = clipOf(looked, 'here', 'two', ['c', 'i'])!;
    const other = documentsOf(blank);
    const fitted = fitClip(other, clip, 'start', place(other, 'start'), newId)!;
    expect(fitted.bring.map(({ id }) => id).sort()).toEqual(['card', 'look', 'pic']);
    expect(fitted.left).toEqual([]);
    const after = pasted(other, fitted);
    expect(html(after, 'start')).toContain('<h3>Two</h3>');
    expect(html(after, 'start')).toContain('<img src="/files/');
  });

  test('a value says the same there: its words of a picture, its anchor, the styles it names', () => {
    const look = sharedStyles[0]!;
    const value: RichPiece[] = [
      { tag: 'span', style: look.id, children: ['styled'] },
      { tag: 'a', link: { to: 'page', page: 'home', anchor: 'a', newTab: true }, children: ['to'] },
    ];
    const looked = start.with(
      look,
      signTokens,
      page('two', '/two', {
        tag: 'main',
        children: [
          {
            id: 'c',
            tag: 'img',
            attributes: {
              src: literal({ type: 'image', value: { asset: 'pic', alt: 'A bench' } }),
            },
          },
          {
            id: 't',
            tag: 'div',
            children: [{ text: literal({ type: 'rich', value }), rich: 'line' }],
          },
        ],
      }),
    );
    const clip = clipOf(looked, 'here', 'two', ['c', 't'])!;
    const other = documentsOf(blank, page('front', '/', { tag: 'main' }));
    const fitted = fitClip(other, clip, 'start', place(other, 'start'), newId)!;
    expect(fitted.bring.map(({ id }) => id)).toContain(look.id);
    const shown = html(pasted(other, fitted), 'start');
    expect(shown).toContain('alt="A bench"');
    expect(shown).toContain('>styled</span>');
    expect(shown).toContain('<a href="/#a" target="_blank"');
  });

  test('takes the component of the same name, its values by their keys', () => {
    const theirs = {
      ...component(
        'other',
        { tag: 'aside', children: [{ tag: 'b', text: { is: 'property', property: 'words' } }] },
        { words: text('Theirs') },
      ),
      name: card.name,
    };
    theirs.properties['words']!.key = 'title';
    const other = documentsOf(blank, theirs);
    const clip = clipOf(start, 'here', 'home', ['made'])!;
    const fitted = fitClip(other, clip, 'start', place(other, 'start'), newId)!;
    expect(fitted.bring).toEqual([]);
    expect(html(pasted(other, fitted), 'start')).toBe('<main><aside><b>Here</b></aside></main>');
  });

  test('says what it left out: a repeat over content that is not there', () => {
    const other = documentsOf(blank);
    const clip = clipOf(start, 'here', 'home', ['plain', 'all'])!;
    const fitted = fitClip(other, clip, 'start', place(other, 'start'), newId)!;
    expect(fitted.left).toEqual([say('left-repeat', { over: 'sheds' })]);
    expect(html(pasted(other, fitted), 'start')).toBe(
      '<main><section><h2>Words &amp; more</h2></section></main>',
    );
  });

  test('anything of the demo, pasted anywhere, is done or refused with a reason; nothing breaks', () => {
    const demo = brackenfold().documents;
    const trees = [...allOf(demo, 'page'), ...allOf(demo, 'component')];
    const other = documentsOf(blank, contentType('guide', { title: 'text' }));
    let done = 0;
    fc.assert(
      fc.property(fc.nat(), fc.nat(), fc.nat(), fc.nat(), fc.boolean(), (a, b, c, d, away) => {
        const from = trees[a % trees.length]!;
        const ids = Object.keys(from.nodes).sort();
        const clip = clipOf(demo, 'here', from.id, [ids[b % ids.length]!, ids[c % ids.length]!])!;
        expect(schemaFindings(Clip, clip)).toEqual([]);
        const onto = away ? other : demo;
        const doc = away ? blank : trees[d % trees.length]!;
        const parents = Object.keys(doc.nodes).sort();
        const at = placeAt(doc.nodes, parents[d % parents.length]!, 0);
        const fitted = fitClip(onto, clip, doc.id, at, newId)!;
        if (fitted.roots.length === 0) return;
        const { roots, nodes, bring } = fitted;
        const result = doEdit(onto, {
          name: 'paste',
          args: { doc: doc.id, roots: [...roots], nodes, bring: [...bring] },
        });
        if (isRefusal(result)) {
          expect(isSaid(result.refused)).toBe(true);
          return;
        }
        done += 1;
        html(result.documents, doc.id);
      }),
      { numRuns: 150 },
    );
    expect(done).toBeGreaterThan(25);
  });
});

test('a clip whose nodes stand nowhere, in each other in a circle, or too deep is none', () => {
  const clip = clipOf(start, 'site', 'home', ['plain'])!;
  const read = (nodes: Clip['nodes'], roots = clip.roots) =>
    readClip(JSON.stringify({ ...clip, nodes, roots }));
  expect(read(clip.nodes)).toBeDefined();
  const head = clip.nodes['head']!;
  const standing = (parent: string | null) => ({
    ...clip.nodes,
    head: { ...head, place: { parent, order: 'a0' } },
  });
  expect(read(standing(null))).toBeUndefined();
  expect(read(standing('nowhere'))).toBeUndefined();
  expect(read(standing('head'))).toBeUndefined();
  expect(read(clip.nodes, ['gone'])).toBeUndefined();
  const deep: Record<string, Clip['nodes'][string]> = { ...clip.nodes };
  for (let i = 0; i < 300; i += 1)
    deep[`d${i}`] = {
      kind: 'element',
      tag: 'div',
      attributes: {},
      style: {},
      place: { parent: i === 0 ? 'plain' : `d${i - 1}`, order: 'a0' },
    };
  expect(read(deep)).toBeUndefined();
  let nested: Record<string, unknown> = {};
  for (let i = 0; i < 1000; i += 1) nested = { nested };
  expect(readClip(JSON.stringify({ ...clip, entry: { values: nested } }))).toBeUndefined();
});
