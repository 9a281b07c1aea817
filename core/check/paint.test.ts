import { brackenfold } from '@sormet/demo';
import { firstPaint, paintAt, themeAt, weakPairs } from '.';
import { doEdit, isRefusal } from '../edit';
import { allOf, type Documents } from '../model';
import { build, Linker, type Resolved, type ResolvedElement } from '../resolve';
import { saidText } from '../said';
import { dataOf } from '../value';

const { documents } = brackenfold();

function builtOf(site: Documents, page: string) {
  const { entries } = site.ofKind('page', page)!;
  const entry = allOf(site, 'entry').find(({ type }) => type === entries);
  return build(new Linker().link(site, page), dataOf(site), entry);
}

function elements(node: Resolved | null, tag: string): ResolvedElement[] {
  if (!node || node.kind === 'text') return [];
  const inner = node.children.flatMap((child) => elements(child, tag));
  return node.kind === 'element' && node.tag === tag ? [node, ...inner] : inner;
}

test('a page begins with the ink and ground of its body', () => {
  const { ink, ground } = firstPaint(documents, 'base');
  expect(ink!.l).toBeLessThan(0.4);
  expect(ground!.l).toBeGreaterThan(0.95);
});

test('within a theme words and ground are the theme’s, on its ground', () => {
  const built = builtOf(documents, 'page-home');
  const [quotation] = elements(built.root, 'blockquote');
  expect(themeAt(documents, built, quotation!)).toBe('night');
  const { ink, ground } = paintAt(documents, built, quotation!, 'base')!;
  expect(ink!.l).toBeGreaterThan(0.8);
  expect(ground!.l).toBeLessThan(0.4);
});

test('nothing on the demo is hard to read, and every page has one heading of the first level', () => {
  for (const { id } of allOf(documents, 'page')) {
    const built = builtOf(documents, id);
    expect([id, weakPairs(documents, built)]).toEqual([id, []]);
    expect([id, elements(built.root, 'h1')]).toEqual([id, [expect.anything()]]);
  }
});

test('a theme that makes words too weak is told, with what is asked for', () => {
  const edit = {
    name: 'setInTheme' as const,
    args: { theme: 'night', token: 'ink', css: '#444444' },
  };
  const done = doEdit(documents, edit);
  if (isRefusal(done)) throw new Error(saidText(done.refused));
  const found = weakPairs(done.documents, builtOf(done.documents, 'page-home'));
  expect(found.length).toBeGreaterThan(0);
  for (const { theme, ratio, least } of found) {
    expect(theme).toBe('night');
    expect(ratio).toBeLessThan(least);
  }
});
