import fc from 'fast-check';
import { canonicalJson, sameJson } from '.';

describe('JSON values', () => {
  test('are the same exactly when their canonical text is', () => {
    fc.assert(
      fc.property(fc.jsonValue(), fc.jsonValue(), (a, b) => {
        // -0 and 0 are one number in JSON text.
        const [left, right] = [
          JSON.parse(JSON.stringify(a)) as unknown,
          JSON.parse(JSON.stringify(b)) as unknown,
        ];
        expect(sameJson(left, right)).toBe(canonicalJson(left) === canonicalJson(right));
        expect(sameJson(left, structuredClone(left))).toBe(true);
      }),
    );
  });

  test('do not depend on the order in which members were written', () => {
    expect(sameJson({ a: 1, b: 2 }, { b: 2, a: 1 })).toBe(true);
    expect(canonicalJson({ b: [1, { d: 1, c: 2 }], a: null })).toBe(
      '{"a":null,"b":[1,{"c":2,"d":1}]}',
    );
  });

  test('count undefined members as absent', () => {
    expect(sameJson({ a: undefined }, {})).toBe(true);
    expect(sameJson({ a: null }, {})).toBe(false);
  });
});
