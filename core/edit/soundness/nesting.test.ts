import fc from 'fast-check';
import {
  componentsIn,
  literal,
  text,
  treeDocOf,
  type ComponentDoc,
  type Documents,
} from '../../model';
import { component, documentsOf, page, WrittenOut } from '../../test';
import type { Branch } from '../../ready';
import { doEdit } from '../edits';
import { isRefusal } from '../changes';
import { nestingFindings } from './nesting';

const RICH: Branch = { text: { is: 'value', type: 'rich', value: [] }, rich: 'blocks' };

/** A component whose root may have one of some tags, with a slot in it. */
function box(id: string, tags: readonly string[], inside: readonly Branch[] = []): ComponentDoc {
  const doc = component(
    id,
    { id: `${id}-root`, tag: tags[0]!, children: [...inside, { slot: 'more' }] },
    { level: literal({ type: 'tag', value: tags[0]! }) },
    ['more'],
  );
  doc.properties['level']!.type = {
    kind: 'tag',
    of: Object.fromEntries(tags.map((tag) => [tag, true as const])),
  };
  Object.assign(doc.nodes[`${id}-root`]!, {
    chosen: { tag: { is: 'property', property: 'level' } },
  });
  return doc;
}

const PARTS = ['div', 'section', 'article', 'aside', 'header', 'footer', 'nav'];

test('boxes whose tag may be chosen stand in each other, however many: they are walked once', () => {
  const inner = (depth: number): Branch =>
    depth === 0
      ? { tag: 'p', text: 'Inmost' }
      : { id: `box${depth}`, component: 'box', slots: { more: [inner(depth - 1)] } };
  const documents = documentsOf(box('box', PARTS), page('home', '/', { tag: 'div' }));
  const edit = (depth: number) =>
    doEdit(documents, {
      name: 'addPage',
      args: { page: page('deep', '/deep', { tag: 'div', children: [inner(depth)] }) },
    });
  for (const depth of [6, 20, 60]) expect(isRefusal(edit(depth))).toBe(false);
});

test('what may be chosen for something around counts: a main in what may be an article is refused', () => {
  const documents = documentsOf(box('box', PARTS), page('home', '/', { tag: 'div' }));
  const placed = (tag: string) =>
    doEdit(documents, {
      name: 'addPage',
      args: {
        page: page('other', '/other', {
          tag: 'div',
          children: [{ component: 'box', slots: { more: [{ tag, text: 'Words' }] } }],
        }),
      },
    });
  expect(placed('p')).not.toHaveProperty('refused');
  expect(placed('main')).toHaveProperty('refused.code', 'main-in-landmark');
});

test('what fills slots that double at each level is refused before it is walked to its end', () => {
  const twice = component(
    'twice',
    { tag: 'div', children: [{ slot: 'more' }, { tag: 'div', children: [{ slot: 'more' }] }] },
    {},
    ['more'],
  );
  let branch: Branch = { tag: 'p', text: 'Many' };
  for (let i = 0; i < 40; i += 1)
    branch = { id: `t${i}`, component: 'twice', slots: { more: [branch] } };
  const done = doEdit(documentsOf(twice, page('home', '/', { tag: 'div' })), {
    name: 'addPage',
    args: { page: page('many', '/many', { tag: 'main', children: [branch] }) },
  });
  expect(done).toHaveProperty('refused.code', 'too-many-parts');
});

describe('against every page written out, element by element, for each tag that may be chosen', () => {
  const TAGS = ['div', 'p', 'a', 'ul', 'li', 'dl', 'dt', 'h2', 'span', 'main', 'article', 'button'];
  const leaf: fc.Arbitrary<Branch> = fc.oneof(
    fc.constantFrom(...TAGS).map((tag): Branch => ({ tag })),
    fc.constant<Branch>({ text: text('Words') }),
    fc.constant(RICH),
  );
  const branch = (components: readonly string[], hasSlot: boolean): fc.Arbitrary<Branch> =>
    fc.letrec<{ branch: Branch }>((tie) => ({
      branch: fc.oneof(
        { depthSize: 'small' },
        leaf,
        ...(hasSlot ? [fc.constant<Branch>({ slot: 'more' })] : []),
        fc
          .tuple(fc.constantFrom(...TAGS), fc.array(tie('branch'), { maxLength: 2 }))
          .map(([tag, children]): Branch => ({ tag, children })),
        ...components.map((id) =>
          fc
            .array(tie('branch'), { maxLength: 2 })
            .map((more): Branch => ({ component: id, slots: { more } })),
        ),
      ),
    })).branch;
  const tags = fc.uniqueArray(fc.constantFrom(...TAGS), { minLength: 1, maxLength: 3 });
  const definition = (id: string, components: readonly string[]) =>
    fc
      .tuple(tags, fc.array(branch(components, true), { maxLength: 2 }))
      .map(([of, inside]) => box(id, of, inside));
  const body = (components: readonly string[]) =>
    fc
      .tuple(
        fc.constantFrom(...TAGS),
        fc.array(branch(components, false), { minLength: 1, maxLength: 3 }),
      )
      .map(([tag, children]) => page('home', '/', { tag, children }));
  const sites = fc
    .tuple(definition('inner', []), definition('outer', ['inner']), body(['inner', 'outer']))
    .map((docs) => documentsOf(...docs));

  test('a fault is found in exactly the documents in which there is one', () => {
    let [with_, without] = [0, 0];
    fc.assert(
      fc.property(sites, (documents) => {
        for (const id of ['inner', 'outer', 'home']) {
          // What is wrong in a definition wherever it stands is told of the definition.
          const [found] = nestingFindings(documents, withPlaced(documents, id), [], documents);
          const naive = new WrittenOut(documents, treeDocOf(documents, id)!).fault;
          expect([id, found !== undefined]).toEqual([id, naive !== undefined]);
          if (found) with_ += 1;
          else without += 1;
        }
      }),
      { numRuns: 600 },
    );
    expect(Math.min(with_, without)).toBeGreaterThan(100);
  });

  test('another state of a definition is checked wherever it matters, and nowhere else is anything missed', () => {
    fc.assert(
      fc.property(sites, definition('inner', []), (before, inner) => {
        const after = before.with(inner);
        const found = nestingFindings(after, ['inner'], ['inner'], before);
        for (const id of ['inner', 'outer', 'home']) {
          const was = new WrittenOut(before, treeDocOf(before, id)!).fault;
          const is = new WrittenOut(after, treeDocOf(after, id)!).fault;
          const told = withPlaced(after, id);
          // What is as wrong as before need not be told; what has become wrong must be.
          if (was === undefined && is !== undefined)
            expect(found.some(({ doc }) => told.includes(doc))).toBe(true);
          if (is === undefined) expect(found.some(({ doc }) => told.includes(doc))).toBe(false);
        }
      }),
      { numRuns: 400 },
    );
  });
});

/** A document with all that it places, however deep. */
function withPlaced(documents: Documents, id: string): string[] {
  const found = new Set([id]);
  for (const each of found)
    for (const inner of componentsIn(treeDocOf(documents, each)!.nodes)) found.add(inner);
  return [...found];
}
