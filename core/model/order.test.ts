import fc from 'fast-check';
import { byOrder, inOrder, isOrderKey, orderBetween, ordersFor } from '.';

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

  test('between equal orders there is none, and it says so', () => {
    expect(() => orderBetween('a0', 'a0')).toThrow();
  });

  test.each(['a0', 'Zz', 'b00', 'a0V'])('%s is one', (key) => expect(isOrderKey(key)).toBe(true));
  test.each(['', 'b0', 'a', 'a00', '0', 'a0 ', 'A00000000000000000000000000'])(
    '“%s” is none: the library that makes them could not go on from it',
    (key) => expect(isOrderKey(key)).toBe(false),
  );

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
