import fc from 'fast-check';
import { readTold } from './told';

test('what a page tells is read', () => {
  expect(readTold({ sormet: 'begun', at: 12, on: 'press', words: ' Book \n' })).toEqual({
    at: 12,
    is: 'begun',
    on: 'press',
    words: 'Book',
  });
  expect(readTold({ sormet: 'set', at: 1, name: 'a.b', from: 0, to: 2 })).toEqual({
    at: 1,
    is: 'set',
    name: 'a.b',
    from: 0,
    to: 2,
  });
  expect(readTold({ sormet: 'set', at: 1, name: 'a.b', words: 'so' })).toEqual({
    at: 1,
    is: 'said',
    name: 'a.b',
    words: 'so',
  });
  expect(readTold({ sormet: 'key', key: 'p' })).toEqual({ key: 'p' });
});

test('whatever else a page sends is nothing, or words and numbers of some length', () => {
  fc.assert(
    fc.property(
      fc.oneof(
        fc.anything(),
        fc.record(
          {
            sormet: fc.constantFrom('begun', 'set', 'go', 'ask', 'ended', 'key', 'answered'),
            at: fc.anything(),
            words: fc.anything(),
            name: fc.anything(),
            to: fc.anything(),
            status: fc.anything(),
          },
          { requiredKeys: ['sormet'] },
        ),
      ),
      (message) => {
        const told = readTold(message);
        if (!told) return;
        for (const value of Object.values(told)) {
          expect(['string', 'number', 'boolean']).toContain(typeof value);
          expect(String(value).length).toBeLessThanOrEqual(200);
        }
      },
    ),
  );
});
