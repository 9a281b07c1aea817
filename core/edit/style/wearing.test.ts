import { doEdit, isRefusal, type NamedEdit } from '..';
import { FORMAT, type Documents, type StyleDoc } from '../../model';
import { say } from '../../said';
import { documentsOf, page } from '../../test';
import { after } from '../../test/after';

const style = (id: string, order: string, base: string | null): StyleDoc => ({
  id,
  kind: 'style',
  format: FORMAT,
  name: id,
  order,
  base,
  origin: null,
  style: { color: { css: 'red' } },
});

const start = documentsOf(
  style('base', 'a0', null),
  style('middle', 'a1', 'base'),
  style('top', 'a2', 'middle'),
  style('other', 'a3', null),
  page('home', '/', {
    id: 'root',
    tag: 'main',
    children: [{ id: 'it', tag: 'p', text: 'It', shared: { other: true } }],
  }),
);

const worn = (documents: Documents) => {
  const node = documents.ofKind('page', 'home')!.nodes['it']!;
  return Object.keys((node.kind === 'element' && node.shared) || {}).sort();
};
const wear = (id: string, on: boolean): NamedEdit => ({
  name: 'wear',
  args: { doc: 'home', nodes: ['it'], style: id, on },
});

test('a modifier is put on only where its base is, and goes with it', () => {
  const refused = doEdit(start, wear('middle', true));
  expect(isRefusal(refused) && refused.refused.code).toBe('base-first');
  const all = after(start, wear('base', true), wear('middle', true), wear('top', true));
  expect(worn(all)).toEqual(['base', 'middle', 'other', 'top']);
  expect(worn(after(all, wear('base', false)))).toEqual(['other']);
});

test('put in the place of another, a modifier brings everything it stands on', () => {
  const exchanged = after(start, {
    name: 'exchangeStyle',
    args: { style: 'other', instead: 'top' },
  });
  expect(worn(exchanged)).toEqual(['base', 'middle', 'top']);
});

test('a style that is removed is off everywhere, and what modified it stands by itself', () => {
  const all = after(start, wear('base', true), wear('middle', true));
  const removed = after(all, { name: 'removeStyles', args: { styles: ['base'] } });
  expect(worn(removed)).toEqual(['middle', 'other']);
  expect(removed.ofKind('style', 'middle')!.base).toBeNull();
});

test('a style does not come to modify itself: the way is told', () => {
  const refused = doEdit(start, {
    name: 'setStyle',
    args: { style: 'base', set: { base: 'top' } },
  });
  expect(isRefusal(refused) && refused.refused).toEqual(
    say('modifies-itself', { way: ['base', 'top', 'middle', 'base'] }),
  );
});
