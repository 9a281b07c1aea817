import fc from 'fast-check';
import {
  childrenOf,
  componentsIn,
  literal,
  nestingFault,
  own,
  text,
  treeDocOf,
  type ComponentDoc,
  type Documents,
  type NodeId,
  type TreeDoc,
} from '../../model';
import { component, documentsOf, page } from '../../test';
import type { Branch } from '../branches';
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
  expect(placed('main')).toHaveProperty('refused', 'Main stands under no other landmark.');
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
  expect(done).toHaveProperty('refused', expect.stringContaining('100000 parts'));
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

/** A tree with every definition written out in place, once for each tag that anything may have: slow, and plain to see. */
class WrittenOut {
  fault: string | undefined;

  constructor(
    private readonly documents: Documents,
    doc: TreeDoc,
  ) {
    this.node(doc, childrenOf(doc.nodes).roots[0]!, [], () => undefined);
  }

  private node(
    doc: TreeDoc,
    id: NodeId,
    above: readonly string[],
    fill: (slot: string, above: readonly string[]) => void,
  ): void {
    const node = doc.nodes[id]!;
    const children = childrenOf(doc.nodes);
    switch (node.kind) {
      case 'element':
        for (const tag of tagsOf(doc, id)) {
          this.fault ??= nestingFault(tag, above) ?? undefined;
          for (const child of children.of(id)) this.node(doc, child, [tag, ...above], fill);
        }
        return;
      case 'slot':
        for (const child of children.of(id)) this.node(doc, child, above, fill);
        return fill(node.slot, above);
      case 'instance': {
        const inner = treeDocOf(this.documents, node.component)!;
        return this.node(inner, childrenOf(inner.nodes).roots[0]!, above, (slot, tags) => {
          for (const child of children.of(id, slot)) this.node(doc, child, tags, fill);
        });
      }
      case 'text':
        if (node.rich === 'blocks') {
          if (above.includes('a')) this.fault ??= 'a link in a link';
          this.fault ??= nestingFault('p', above) ?? undefined;
        }
    }
  }
}

function tagsOf(doc: TreeDoc, id: NodeId): string[] {
  const node = doc.nodes[id]!;
  if (node.kind !== 'element') return [];
  const chosen = node.chosen?.tag;
  const type =
    chosen?.is === 'property' && doc.kind === 'component'
      ? own(doc.properties, chosen.property)?.type
      : undefined;
  return type?.kind === 'tag' ? [...new Set([node.tag, ...Object.keys(type.of)])] : [node.tag];
}
