import { doEdit, idsWhenPlain, isRefusal, matchingOf, type NamedEdit } from '..';
import { docOf, nodeIn, text, treeDocOf, type Documents } from '../../model';
import { cssOf } from '../../compile';
import { build, Linker, prepare, rulesOf, write, type Resolved } from '../../resolve';
import { say } from '../../said';
import { cascade } from '../../style';
import { component, documentsOf, htmlOf, page } from '../../test';
import { after } from '../../test/after';
import { dataOf } from '../../value';

const badge = component('badge', { tag: 'b', id: 'b', style: { color: { css: 'gray' } } });
const sign = component('sign', {
  tag: 'div',
  id: 'top',
  children: [
    { tag: 'p', id: 'line', text: 'A line', style: { color: { css: 'black' } } },
    { component: 'badge', id: 'mark', style: { color: { css: 'navy' } } },
  ],
});
const start = documentsOf(
  badge,
  sign,
  component('board', { tag: 'section', id: 'whole', children: [{ component: 'sign', id: 'in' }] }),
  page('home', '/', {
    id: 'root',
    tag: 'main',
    children: [
      { component: 'sign', id: 'one' },
      { component: 'sign', id: 'two' },
    ],
  }),
);

const mark = (node: string, name: string | null): NamedEdit => ({
  name: 'markPart',
  args: { component: 'sign', node, name },
});
const declare = (node: string, part: string, css: string | null, doc = 'home'): NamedEdit => ({
  name: 'declarePart',
  args: { doc, node, part, property: 'color', width: 'base', css },
});
const marked = after(start, mark('line', 'Line'), mark('mark', 'Badge'));

/** The colours that win on a page, element by element; both writers agree, and its CSS has each class. */
function colours(documents: Documents, id = 'home'): (string | undefined)[] {
  const linked = new Linker().link(documents, id);
  const template = prepare(linked, dataOf(documents));
  const built = build(linked, dataOf(documents), undefined);
  expect(write(template)).toBe(htmlOf(built.root));
  const css = cssOf(documents, template.used);
  const found: (string | undefined)[] = [];
  const visit = (node: Resolved) => {
    if (node.kind === 'text') return;
    if (node.kind === 'element') {
      const rules = rulesOf(node, documents, documents.tags);
      const [winner] = cascade(rules, 'color', 'base', documents.site);
      if (winner) found.push(winner.declared.css);
      for (const each of (node.attributes['class'] ?? '').split(' ').filter(Boolean))
        expect(css).toContain(`.${each}{`);
    }
    node.children.forEach(visit);
  };
  if (built.root) visit(built.root);
  return found;
}

test('what one instance says of a part is stronger than its definition, and reaches that instance alone', () => {
  expect(colours(marked)).toEqual(['black', 'navy', 'black', 'navy']);
  const said = after(marked, declare('one', 'line', 'red'), declare('two', 'mark', 'green'));
  expect(colours(said)).toEqual(['red', 'navy', 'black', 'green']);
  // Taken back declaration by declaration nothing is left of it.
  expect(after(said, declare('one', 'line', null), declare('two', 'mark', null))).toEqual(marked);
  const cleared: NamedEdit = {
    name: 'clearPart',
    args: { doc: 'home', node: 'one', part: 'line' },
  };
  expect(colours(after(said, cleared))).toEqual(['black', 'navy', 'black', 'green']);
});

test('an outer definition says it for all its instances', () => {
  const said = after(marked, declare('in', 'line', 'red', 'board'), {
    name: 'place',
    args: { doc: 'home', ...placed() },
  });
  expect(colours(said).slice(-2)).toEqual(['red', 'navy']);
});

function placed() {
  const place = { parent: 'root', order: 'a9' };
  const nodes = {
    board1: { kind: 'instance' as const, place, component: 'board', values: {}, style: {} },
  };
  return { root: 'board1', nodes };
}

test('what is no part is not styled from outside; what was said stays stored, and holds when it is one again', () => {
  const refused = doEdit(start, declare('one', 'line', 'red'));
  expect(isRefusal(refused) && refused.refused.code).toBe('no-part');
  const said = after(marked, declare('one', 'line', 'red'), mark('line', null));
  expect(colours(said)).toEqual(['black', 'navy', 'black', 'navy']);
  expect(nodeIn(said, 'home', 'one')).toMatchObject({ parts: { line: { color: { css: 'red' } } } });
  expect(colours(after(said, mark('line', 'Words')))).toEqual(['red', 'navy', 'black', 'navy']);
});

test('a part has a name of its own, and the root needs none', () => {
  const twice = doEdit(marked, mark('mark', 'Line'));
  expect(isRefusal(twice) && twice.refused.code).toBe('part-name-taken');
  const root = doEdit(marked, mark('top', 'All'));
  expect(isRefusal(root) && root.refused.code).toBe('needs-no-part');
});

test('the canvas shares what a part does not touch, and shows what it does', () => {
  const linker = new Linker();
  const before = build(linker.link(marked, 'home'), dataOf(marked), undefined);
  const said = after(marked, declare('one', 'line', 'red'));
  const now = build(linker.link(said, 'home'), dataOf(said), undefined, before);
  const [one, two] = now.root!.kind === 'text' ? [] : now.root!.children;
  const [was, same] = before.root!.kind === 'text' ? [] : before.root!.children;
  expect(two).toBe(same);
  expect(one).not.toBe(was);
});

test('made plain, an instance looks as it did with what was said of its parts; another component takes it by name', () => {
  const said = after(marked, declare('one', 'line', 'red'), declare('one', 'mark', 'teal'));
  const ids = idsWhenPlain(said, 'home', 'one');
  const plain = after(said, { name: 'makePlain', args: { doc: 'home', node: 'one', ids } });
  expect(colours(plain)).toEqual(colours(said));
  const other = component('plate', {
    tag: 'div',
    id: 'top',
    children: [{ tag: 'p', id: 'words', text: text('Other') }],
  });
  const both = after(said.with(other), {
    name: 'markPart',
    args: { component: 'plate', node: 'words', name: 'line' },
  });
  const [from, to] = ['sign', 'plate'].map((id) => docOf(both, 'component', id)!);
  expect(matchingOf(from!, to!).unmatched).toEqual([say('look-left', { part: 'Badge' })]);
  const exchanged = after(both, {
    name: 'exchangeInstances',
    args: { instances: [{ doc: 'home', node: 'one' }], component: 'plate' },
  });
  expect(treeDocOf(exchanged, 'home')!.nodes['one']).toMatchObject({
    component: 'plate',
    parts: { words: { color: { css: 'red' } } },
  });
});
