import fc from 'fast-check';
import jsonPatch from 'fast-json-patch';
import { pointer, readAt, tokensOf } from '.';

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
