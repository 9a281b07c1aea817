import fc from 'fast-check';
import { byOrder, inOrder, orderBetween, ordersFor } from '.';

describe('orders', () => {
  test('there is always an order between two others', () => {
    fc.assert(
      fc.property(fc.array(fc.nat(50), { maxLength: 60 }), (picks) => {
        const list: string[] = [];
        for (const pick of picks) {
          const at = list.length === 0 ? 0 : pick % (list.length + 1);
          list.splice(at, 0, orderBetween(list[at - 1] ?? null, list[at] ?? null));
        }
        expect([...list].sort()).toEqual(list);
        expect(new Set(list).size).toBe(list.length);
      }),
    );
  });

  test('between two things that claim one place, the new one goes behind the first', () => {
    expect(orderBetween('a0', 'a0') > 'a0').toBe(true);
  });

  test('the first orders of a list are sorted', () => {
    const orders = ordersFor(30);
    expect(orders).toHaveLength(30);
    expect([...orders].sort()).toEqual(orders);
  });

  test('ties are broken by id', () => {
    expect(byOrder(['b', { order: 'a0' }], ['a', { order: 'a0' }])).toBe(1);
    expect(
      inOrder({ z: { order: 'a0' }, a: { order: 'a0' }, m: { order: 'Zz' } }).map(([id]) => id),
    ).toEqual(['m', 'a', 'z']);
  });
});
