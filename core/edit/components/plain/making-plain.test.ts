import { brackenfold } from '@sormet/demo';
import { doEdit, idsWhenPlain, isRefusal } from '../..';
import { docOf, treeDocOf, type Documents, type TreeDoc } from '../../../model';
import { build, Linker, rulesOf, type Resolved, type ResolvedElement } from '../../../resolve';
import { saidText } from '../../../said';
import { cascade, declaredProperties, filled, widthsOf } from '../../../style';
import { component, documentsOf, page, sharedStyles, sign, signTokens } from '../../../test';
import { dataOf } from '../../../value';

/** What a document shows: each element with its attributes but classes, and what wins of each property, at each width. */
function shows(documents: Documents, id: string): unknown[] {
  const doc = treeDocOf(documents, id)!;
  const entry =
    doc.kind === 'page' && doc.entries !== null
      ? documents.all('entry').find(({ type }) => type === (doc as { entries: string }).entries)
      : undefined;
  const { root } = build(new Linker().link(documents, id), dataOf(documents), entry);
  const { tokens } = documents.tokens;
  const one = (node: Resolved): unknown[] => {
    if (node.kind === 'text') return [node.content];
    const inner = node.children.flatMap(one);
    if (node.kind === 'group') return inner;
    const { class: _, style: customs = '', ...attributes } = node.attributes;
    return [[node.tag, attributes, looks(documents, node, customs, tokens), inner]];
  };
  return root ? one(root) : [];
}

function looks(
  documents: Documents,
  element: ResolvedElement,
  customs: string,
  tokens: Parameters<typeof filled>[1],
): unknown {
  const rules = rulesOf(element, documents, documents.tags);
  const fed: Readonly<Record<string, string>> = Object.fromEntries(
    customs
      .split(';')
      .filter(Boolean)
      .map((each) => each.split(':')),
  );
  return widthsOf(documents.site).map(({ id }) =>
    declaredProperties(rules).map((property) => {
      const winner = cascade(rules, property, id, documents.site)[0];
      if (!winner) return [property];
      const value = filled(winner.declared, tokens);
      const custom = Object.keys(fed).find((name) => name.includes(`_${property}_`));
      return [property, value ?? (custom ? fed[custom] : 'fed')];
    }),
  );
}

function plainOf(documents: Documents, doc: TreeDoc, node: string) {
  const stored = doc.nodes[node]!;
  if (stored.kind !== 'instance') throw new Error('This is no instance.');
  const ids = idsWhenPlain(documents, doc.id, node);
  return doEdit(documents, { name: 'makePlain', args: { doc: doc.id, node, ids } });
}

/** What is shown, without the ids that are made of the way down to an element: the way is another. */
function idsApart(shown: unknown): unknown {
  const text = JSON.stringify(shown);
  const way = String.raw`[\w-]+(?:\.[\w-]+)+`;
  return JSON.parse(
    text
      .replaceAll(new RegExp(`"(id|aria-[a-z]+)":"${way}"`, 'g'), '"$1":"unique"')
      .replaceAll(new RegExp(`"action":"\\?send=${way}"`, 'g'), '"action":"its own"'),
  );
}

test('every instance of the demo made plain shows the same, at every width', () => {
  const { documents } = brackenfold();
  let done = 0;
  for (const doc of documents.all('page')) {
    const before = shows(documents, doc.id);
    const seen = new Map<string, number>();
    for (const node in doc.nodes) {
      const stored = doc.nodes[node]!;
      // Of those that differ in their values alone, two tell as much as twenty-three.
      if (stored.kind !== 'instance' || (seen.get(stored.component) ?? 0) > 1) continue;
      seen.set(stored.component, (seen.get(stored.component) ?? 0) + 1);
      const plain = plainOf(documents, doc, node);
      // Which variant it is depends on content: that cannot be made plain, and says so.
      const isBound = Object.entries(stored.values).some(
        ([property, { is }]) =>
          is !== 'value' &&
          docOf(documents, 'component', stored.component)?.properties[property]?.axis,
      );
      if (isBound) {
        expect(isRefusal(plain) && plain.refused.code).toBe('plain-variant-unknown');
        continue;
      }
      if (isRefusal(plain)) throw new Error(`${stored.component}: ${saidText(plain.refused)}`);
      expect(idsApart(shows(plain.documents, doc.id))).toEqual(idsApart(before));
      done += 1;
    }
  }
  expect(done).toBeGreaterThan(20);
});

test('what its variant says stays, and what no plain element can say is told', () => {
  const made = component('here', { id: 'top', tag: 'div' });
  const documents = documentsOf(
    signTokens,
    ...sharedStyles,
    sign(),
    made,
    ...[docOf(brackenfold().documents, 'component', 'button')!],
    page('home', '/', { tag: 'main', children: [{ id: 'it', component: 'sign' }] }),
  );
  const plain = plainOf(documents, treeDocOf(documents, 'home')!, 'it');
  if (isRefusal(plain))
    expect([
      'plain-state-of-whole',
      'plain-variant-unknown',
      'plain-records-unknown',
      'gone',
    ]).toContain(plain.refused.code);
  else expect(shows(plain.documents, 'home')).toEqual(shows(documents, 'home'));
});
