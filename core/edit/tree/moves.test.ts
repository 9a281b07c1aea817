import { childrenOf, docOf, type Documents, type PageDoc } from '../../model';
import { saidText } from '../../said';
import { component, documentsOf, page } from '../../test';
import { doEdit } from '../edits';
import { isRefusal } from '../changes';
import { movesTo, stepMoves, type Move, type Step } from './moves';

const frame = component('frame', { tag: 'div', children: [{ slot: 'in' }] }, {}, ['in']);
const home = page('home', '/', {
  id: 'root',
  tag: 'main',
  children: [
    {
      id: 'a',
      tag: 'section',
      children: [
        { id: 'a1', tag: 'p', text: 'One' },
        { id: 'a2', tag: 'p' },
      ],
    },
    { id: 'b', tag: 'p', text: 'Two' },
    { id: 'c', component: 'frame', slots: { in: [{ id: 'c1', tag: 'p' }] } },
    { id: 'd', tag: 'hr' },
  ],
});
const start = documentsOf(frame, home);

function after(moves: readonly Move[] | undefined): Documents {
  const done = doEdit(start, { name: 'move', args: { doc: 'home', moves: [...moves!] } });
  if (isRefusal(done)) throw new Error(saidText(done.refused));
  return done.documents;
}
const inside = (documents: Documents, parent = 'root', slot?: string) =>
  childrenOf(docOf(documents, 'page', 'home')!.nodes)
    .of(parent, slot)
    .join('');
const step = (nodes: string[], way: Step) => stepMoves(start, home.nodes, nodes, way);

describe('moving several things to one place', () => {
  test('keeps the order of the document, wherever they come from', () => {
    const documents = after(movesTo(home.nodes, ['d', 'a1', 'b'], 'root', 0));
    expect(inside(documents)).toBe('a1bdac');
    expect(inside(documents, 'a')).toBe('a2');
  });

  test('counts the places before them as they are seen, those that move too', () => {
    expect(inside(after(movesTo(home.nodes, ['a'], 'root', 2)))).toBe('bacd');
    expect(inside(after(movesTo(home.nodes, ['a', 'b'], 'root', 4)))).toBe('cdab');
    expect(inside(after(movesTo(home.nodes, ['b'], 'root', 1)))).toBe('abcd');
  });

  test('takes what stands in another of them along once', () => {
    expect(movesTo(home.nodes, ['a', 'a1'], 'root', 4).map(({ node }) => node)).toEqual(['a']);
  });
});

describe('one step in the tree', () => {
  test('goes before or behind the neighbour, several together', () => {
    expect(inside(after(step(['b', 'c'], 'before')))).toBe('bcad');
    expect(inside(after(step(['a', 'b'], 'behind')))).toBe('cabd');
    expect(step(['a'], 'before')).toBeUndefined();
    expect(step(['c', 'd'], 'behind')).toBeUndefined();
  });

  test('goes out of what is around, also out of a slot, to stand behind it', () => {
    expect(inside(after(step(['a1'], 'out')))).toBe('aa1bcd');
    expect(inside(after(step(['c1'], 'out')))).toBe('abcc1d');
    expect(step(['a'], 'out')).toBeUndefined();
  });

  test('goes into what stands before, into the slot of an instance; not into words or a rule', () => {
    expect(inside(after(step(['b'], 'in')), 'a')).toBe('a1a2b');
    expect(inside(after(step(['d'], 'in')), 'c', 'in')).toBe('c1d');
    expect(step(['c'], 'in')).toBeUndefined();
    expect(step(['a'], 'in')).toBeUndefined();
  });

  test('is nothing for the root, nor for things that do not stand beside each other', () => {
    expect(step(['root'], 'behind')).toBeUndefined();
    expect(step(['a1', 'b'], 'behind')).toBeUndefined();
    expect(step([], 'in')).toBeUndefined();
  });

  test('is stored as it was seen: the same page for whoever hears of it', () => {
    const documents = after(step(['b'], 'in'));
    expect((documents.get('home') as PageDoc).nodes['b']!.place.parent).toBe('a');
  });
});
