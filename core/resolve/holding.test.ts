import fc from 'fast-check';
import { literal, type Typed } from '../model';
import { documentsOf, foldingDocs, page } from '../test';
import { after } from '../test/after';
import { htmlOf } from '../test/html';
import { dataOf, valuesOfState } from '../value';
import { build, Linker, NOTHING_HELD } from '.';

const documents = documentsOf(
  ...foldingDocs,
  page('home', '/', {
    tag: 'main',
    children: [
      { id: 'one', component: 'folding' },
      { id: 'other', component: 'folding' },
    ],
  }),
);
const folding = foldingDocs.find(({ id }) => id === 'folding')!;

/** Any of its states, each at any of its values. */
const states: fc.Arbitrary<Record<string, Typed>> = fc.record(
  Object.fromEntries(
    Object.entries(folding.properties).flatMap(([id, { type, state }]) => {
      const values = state && valuesOfState(type, state);
      return values ? [[id, fc.constantFrom<Typed>(...values)] as const] : [];
    }),
  ),
  { requiredKeys: [] },
) as fc.Arbitrary<Record<string, Typed>>;

test('an instance that is held in states shows what it would if those were set on it; its like beside it does not', () => {
  const linked = new Linker().link(documents, 'home');
  const atFirst = htmlOf(build(linked, dataOf(documents), undefined).root);
  let others = 0;
  fc.assert(
    fc.property(states, (held) => {
      const holding = { ...NOTHING_HELD, instances: { one: held } };
      const shown = build(linked, dataOf(documents), undefined, undefined, undefined, {}, holding);
      let set = documents;
      for (const [property, value] of Object.entries(held))
        set = after(set, {
          name: 'setControl',
          args: {
            doc: 'home',
            node: 'one',
            control: { of: 'value', property },
            source: literal(value),
          },
        });
      const wanted = build(new Linker().link(set, 'home'), dataOf(set), undefined);
      expect(htmlOf(shown.root)).toBe(htmlOf(wanted.root));
      if (htmlOf(shown.root) !== atFirst) others += 1;
    }),
  );
  expect(others).toBeGreaterThan(30);
});

test('a definition that is held in states shows what it would if those were its defaults', () => {
  fc.assert(
    fc.property(states, (held) => {
      const linked = new Linker().link(documents, 'folding');
      const holding = { ...NOTHING_HELD, own: held };
      const shown = build(linked, dataOf(documents), undefined, undefined, undefined, {}, holding);
      let set = documents;
      for (const [property, value] of Object.entries(held))
        set = after(set, {
          name: 'setDefault',
          args: { component: 'folding', property, value: literal(value) },
        });
      const wanted = build(new Linker().link(set, 'folding'), dataOf(set), undefined);
      expect(htmlOf(shown.root)).toBe(htmlOf(wanted.root));
    }),
  );
});
