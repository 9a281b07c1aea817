import fc from 'fast-check';
import { STATES } from '@sormet/core/model';
import { PLAIN, readAddress, writeAddress, type BenchAddress } from './bench-address';

const id = fc.string({ minLength: 1, maxLength: 12 });
const address: fc.Arbitrary<BenchAddress> = fc.record({
  selection: fc.option(
    fc.record(
      { doc: id, nodes: fc.array(id, { minLength: 1, maxLength: 3 }), slot: id, inside: id },
      { requiredKeys: ['doc', 'nodes'] },
    ),
  ),
  beside: fc.option(id),
  width: fc.constantFrom('base', 'w600'),
  tab: fc.constantFrom('values', 'style', 'history'),
  lit: fc.option(id),
  state: fc.option(fc.constantFrom(...STATES)),
  picks: fc.option(
    fc.record({ doc: id, axes: fc.dictionary(id, id, { minKeys: 1, noNullPrototype: true }) }),
  ),
});

test('what the bench shows is read from its address as it was written', () => {
  fc.assert(
    fc.property(address, id, (now, page) => {
      const { search, hash } = writeAddress(now, page, '?entry=e1');
      expect({ ...PLAIN, ...readAddress(search, hash, page) }).toEqual(now);
      expect(new URLSearchParams(search).get('entry')).toBe('e1');
    }),
  );
});

test('an address that leads to one thing selects it, and one that cannot be read nothing', () => {
  expect(readAddress('', '#n1', 'p').selection).toEqual({ doc: 'p', nodes: ['n1'] });
  expect(readAddress('?tab=other&state=%3Aover', '#%E0%A4%A', 'p')).toEqual({
    selection: null,
    beside: null,
    lit: null,
    state: null,
    picks: null,
  });
});
