import fc from 'fast-check';
import jsonPatch from 'fast-json-patch';
import { pointer, readAt, tokensOf, writeAt } from '.';

describe('JSON Pointers (RFC 6901)', () => {
  // RFC 6901, section 5: the document and the evaluations given there, arrays apart.
  const example = {
    foo: ['bar', 'baz'],
    '': 0,
    'a/b': 1,
    'c%d': 2,
    'e^f': 3,
    'g|h': 4,
    'i\\j': 5,
    'k"l': 6,
    ' ': 7,
    'm~n': 8,
  };

  test.each([
    ['', example],
    ['/foo', ['bar', 'baz']],
    ['/', 0],
    ['/a~1b', 1],
    ['/c%d', 2],
    ['/e^f', 3],
    ['/g|h', 4],
    ['/i\\j', 5],
    ['/k"l', 6],
    ['/ ', 7],
    ['/m~0n', 8],
  ])('%j leads to what the RFC says', (path, value) => {
    expect(readAt(example, path)).toEqual(value);
  });

  test('any member names survive being written as a pointer', () => {
    fc.assert(
      fc.property(fc.array(fc.string()), (tokens) =>
        expect(tokensOf(pointer(...tokens))).toEqual(tokens),
      ),
    );
  });

  test('reading agrees with a reference library', () => {
    fc.assert(
      fc.property(
        fc.dictionary(
          fc.string({ minLength: 1 }),
          fc.dictionary(fc.string({ minLength: 1 }), fc.integer()),
        ),
        (document) => {
          for (const [a, inner] of Object.entries(document))
            for (const b of Object.keys(inner)) {
              if (a === '__proto__' || b === '__proto__') continue;
              expect(readAt(document, pointer(a, b))).toEqual(
                jsonPatch.getValueByPointer(document, pointer(a, b)),
              );
            }
        },
      ),
    );
  });

  test('what is not there reads as undefined, inherited members too', () => {
    expect(readAt({ a: 1 }, '/b')).toBeUndefined();
    expect(readAt({ a: 1 }, '/a/b')).toBeUndefined();
    expect(readAt({}, '/toString')).toBeUndefined();
  });

  test('a pointer begins with a slash', () => {
    expect(() => tokensOf('a/b')).toThrow('begins with no');
  });
});

describe('writing at a pointer', () => {
  test('shares everything off the path', () => {
    const before = { a: { x: 1 }, b: { y: { z: 1 } } };
    const after = writeAt(before, '/b/y/z', 2);
    expect(after).toEqual({ a: { x: 1 }, b: { y: { z: 2 } } });
    expect(after.a).toBe(before.a);
    expect(before.b.y.z).toBe(1);
  });

  test('undefined takes the member away', () => {
    expect(writeAt({ a: 1, b: 2 }, '/a', undefined)).toEqual({ b: 2 });
  });

  test('the same value gives the same object', () => {
    const before = { a: { b: 'x' } };
    expect(writeAt(before, '/a/b', 'x')).toBe(before);
  });

  test('a member named __proto__ is a member like any other', () => {
    const after = writeAt({} as Record<string, unknown>, '/__proto__', { evil: true });
    expect(Object.keys(after)).toEqual(['__proto__']);
    expect(({} as { evil?: boolean }).evil).toBeUndefined();
  });

  test('where the container is missing it says so', () => {
    expect(() => writeAt({}, '/a/b', 1)).toThrow('Nothing stands at /a');
  });
});
