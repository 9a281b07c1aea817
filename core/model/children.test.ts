import { ancestorsOf, childrenOf, placeAt, rootOf, withDescendants, type Tree } from '.';
import { component, page } from '../test/small-site';

const tree: Tree = page('p', '/', {
  id: 'root',
  component: 'frame',
  slots: {
    main: [
      { id: 'one', tag: 'section', children: [{ id: 'head', tag: 'h2', text: 'One' }] },
      { id: 'two', tag: 'section' },
    ],
    aside: [{ id: 'note', tag: 'p', text: 'Note' }],
  },
}).nodes;

describe('the children of a tree', () => {
  test('are found by parent and slot, in order', () => {
    expect(childrenOf(tree).of('root', 'main')).toEqual(['one', 'two']);
    expect(childrenOf(tree).of('root', 'aside')).toEqual(['note']);
    expect(childrenOf(tree).of('root')).toEqual([]);
  });

  test('are worked out once for each tree', () => {
    expect(childrenOf(tree)).toBe(childrenOf(tree));
  });

  test('include what fills every slot, slot by slot', () => {
    expect(childrenOf(tree).all('root')).toEqual(['note', 'one', 'two']);
  });

  test('have one root above them', () => {
    expect(rootOf(tree)).toBe('root');
    expect(() => rootOf({})).toThrow('no root');
  });

  test('stand after their parents among all descendants', () => {
    const all = withDescendants(tree, 'root');
    expect(all[0]).toBe('root');
    expect(all.indexOf('one')).toBeLessThan(all.indexOf('head'));
    expect(all).toHaveLength(Object.keys(tree).length);
  });

  test('know who is above them, nearest first', () => {
    expect(ancestorsOf(tree, 'head')).toEqual(['one', 'root']);
    expect(ancestorsOf(tree, 'root')).toEqual([]);
  });
});

describe('a place in a list', () => {
  const { nodes } = component('c', {
    id: 'r',
    tag: 'div',
    children: [
      { id: 'a', tag: 'p' },
      { id: 'b', tag: 'p' },
    ],
  });

  test.each([
    [0, 'first'],
    [1, 'between'],
    [2, 'last'],
    [99, 'last, past the end'],
  ])('%i is %s', (index) => {
    const place = placeAt(nodes, 'r', index);
    const orders = ['a', 'b'].map((id) => nodes[id]!.place.order);
    const before = orders.filter((order) => order < place.order).length;
    expect(before).toBe(Math.min(index, 2));
  });

  test('between two that were given one order is the next behind both, before whatever comes then', () => {
    const twins = {
      ...nodes,
      b: { ...nodes['b']!, place: nodes['a']!.place },
      c: { ...nodes['b']!, place: { ...nodes['a']!.place, order: 'a1' } },
    };
    const { order } = placeAt(twins, 'r', 1);
    expect(order > nodes['a']!.place.order && order < 'a1').toBe(true);
  });

  test('in a slot names the slot', () => {
    expect(placeAt(tree, 'root', 0, 'main')).toMatchObject({ parent: 'root', slot: 'main' });
  });
});
