import fc from 'fast-check';
import { brackenfold } from '@sormet/demo';
import { PageCompiler } from '../compile';
import { addressesOf, text, type Documents, type EntryDoc } from '../model';
import {
  component,
  contentType,
  documentsOf,
  entry,
  htmlOf,
  means,
  nodesOf,
  page,
  queryOf,
  words,
} from '../test';
import { ALL_LOADED, dataOf, type Unloaded } from '../value';
import { build, Linker, type Resolved, type ResolvedElement } from '.';

const shed = contentType('shed', { name: 'text', keeper: 'entry', open: 'boolean' });
const mender = contentType('mender', { name: 'text' });
const ana = entry('mender', 'ana', { name: words('Ana') });
const millgate = entry('shed', 'millgate', {
  name: words('Millgate'),
  keeper: { type: 'entry', value: ana.id },
  open: { type: 'boolean', value: true },
});
const card = component(
  'card',
  { tag: 'h3', text: { is: 'property', property: 'title' } },
  {
    title: text('No title'),
  },
);
const home = page(
  'shed-page',
  '/sheds/<slug>',
  {
    tag: 'main',
    children: [
      { tag: 'h1', text: { is: 'field', from: 'page', path: ['name'] } },
      {
        tag: 'p',
        text: {
          is: 'field',
          from: 'page',
          path: ['keeper', 'name'],
          whenEmpty: { use: text('Nobody') },
        },
      },
      {
        component: 'card',
        values: {
          title: { is: 'field', from: 'page', path: ['keeper', 'name'], whenEmpty: 'hide' },
        },
      },
      {
        id: 'all',
        repeat: queryOf('mender', [], [['name', false]]),
        children: [{ tag: 'li', text: { is: 'field', from: { repeat: 'all' }, path: ['name'] } }],
      },
    ],
  },
  'shed',
);
const whole = documentsOf(shed, mender, ana, millgate, card, home);

const showing = (documents: Documents, unloaded: Unloaded) =>
  build(new Linker().link(documents, home.id), dataOf(documents, undefined, unloaded), millgate);

describe('what is not loaded', () => {
  const missing: Unloaded = {
    docs: new Set([ana.id]),
    entriesOf: new Set(['mender']),
  };
  const part = whole.without(ana.id);

  test('is not empty: it neither hides nor gives way to something else, and is shown as waiting', () => {
    const { root } = showing(part, missing);
    expect(htmlOf(root)).toBe('<main><h1>Millgate</h1><p>…</p><h3>…</h3></main>');
    const waiting = nodesOf(root).filter((node: Resolved) => node.waiting);
    expect(waiting.map(({ kind, from }) => [kind, from.kind])).toEqual([
      ['text', 'text'],
      ['text', 'text'],
      ['group', 'repeat'],
    ]);
  });

  test('is told apart from what is gone', () => {
    expect(htmlOf(showing(part, ALL_LOADED).root)).toBe(
      '<main><h1>Millgate</h1><p>Nobody</p></main>',
    );
  });

  test('is asked for', () => {
    const data = dataOf(part, undefined, missing);
    build(new Linker().link(part, home.id), data, millgate);
    expect([...data.wanted].sort()).toEqual(['entries:mender', ana.id].sort());
  });

  test('is drawn when it comes, and nothing else anew', () => {
    const linker = new Linker();
    const before = dataOf(part, undefined, missing);
    const waiting = build(linker.link(part, home.id), before, millgate);
    const data = dataOf(whole, before, ALL_LOADED);
    const come = build(linker.link(whole, home.id), data, millgate, waiting);
    expect(htmlOf(come.root)).toBe(htmlOf(showing(whole, ALL_LOADED).root));
    const [was, is] = [waiting, come].map(({ root }) => (root as ResolvedElement).children);
    expect(is![0]).toBe(was![0]);
    expect(is![1]).not.toBe(was![1]);
  });

  test('is never published', () => {
    const compiler = new PageCompiler(part, {
      ...means(),
      data: dataOf(part, undefined, missing),
    });
    const [address] = addressesOf(part);
    expect(() => compiler.compile(address!)).toThrow('/sheds/millgate shows something');
  });
});

const demo = brackenfold().documents;
const contents = demo.all('entry').map(({ id }) => id);
const types = demo.all('type').map(({ id }) => id);

test('whatever of the content is loaded, and however it comes, in the end everything is as if it had been there', () => {
  fc.assert(
    fc.property(
      fc.array(fc.shuffledSubarray(contents), { minLength: 1, maxLength: 3 }),
      fc.shuffledSubarray(types),
      (rounds, lists) => {
        const linker = new Linker();
        for (const { id, entries } of demo.all('page')) {
          const entry: EntryDoc | undefined =
            entries === null ? undefined : demo.all('entry').find(({ type }) => type === entries);
          const anew = build(new Linker().link(demo, id), dataOf(demo), entry);
          let data;
          let built;
          for (const away of [...rounds, []]) {
            const docs = new Set(away.filter((each) => each !== entry?.id));
            const documents = demo.without(...docs);
            const unloaded = { docs, entriesOf: new Set(docs.size === 0 ? [] : lists) };
            data = dataOf(documents, data, unloaded);
            built = build(linker.link(documents, id), data, entry, built);
            // Whoever shows something wrong without saying that it waits has asked for nothing.
            if (htmlOf(built.root) !== htmlOf(anew.root) && lists.length === types.length)
              expect(data.missed).toBeGreaterThan(0);
          }
          expect(htmlOf(built!.root)).toBe(htmlOf(anew.root));
          expect(nodesOf(built!.root).some(({ waiting }) => waiting)).toBe(false);
        }
      },
    ),
    { numRuns: 30 },
  );
});
