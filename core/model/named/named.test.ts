import { demo } from '../../test/law-site';
import { allOf, mapDefinition, mapNode, mapTyped, mapType, sameJson, type Named } from '..';

/** Everything that is named in what some mapping goes through, and what became of it with each under another id. */
function renamed<T>(map: (on: Parameters<typeof mapNode>[1]) => T): { named: Named[]; now: T } {
  const named: Named[] = [];
  const now = map({
    named: (each) => {
      named.push(each);
      return 'x' + each.id;
    },
  });
  return { named, now };
}

const same = { named: ({ id }: Named) => id };

describe('what nodes, values, types and definitions name', () => {
  const docs = [...allOf(demo, 'component'), ...allOf(demo, 'page')];
  const nodes = docs.flatMap((doc) => Object.values(doc.nodes));

  test('named as before leaves the same objects', () => {
    for (const node of nodes) expect(mapNode(node, same)).toBe(node);
    for (const doc of allOf(demo, 'component')) {
      expect(mapDefinition(doc, same)).toBe(doc);
      for (const { type } of Object.values(doc.properties)) expect(mapType(type, same)).toBe(type);
    }
    for (const { values } of allOf(demo, 'entry'))
      for (const typed of Object.values(values)) expect(mapTyped(typed, same)).toBe(typed);
  });

  test('is all named otherwise when each is: nothing of before is left', () => {
    let many = 0;
    for (const node of nodes) {
      const { named, now } = renamed((on) => mapNode(node, on));
      const again = renamed((on) => mapNode(now, on)).named;
      expect(again.map(({ is, id }) => [is, id])).toEqual(
        named.map(({ is, id }) => [is, 'x' + id]),
      );
      many += named.length;
    }
    expect(many).toBeGreaterThan(300);
  });

  test('there and back is the same', () => {
    const back = { named: ({ id }: Named) => id.slice(1) };
    for (const doc of allOf(demo, 'component')) {
      const { now } = renamed((on) => mapDefinition(doc, on));
      const again = mapDefinition(now, back);
      expect(sameJson(again, doc)).toBe(true);
    }
  });

  test('each kind of thing is named by something', () => {
    const kinds = new Set<string>();
    for (const doc of allOf(demo, 'component'))
      for (const { is } of renamed((on) => mapDefinition(doc, on)).named) kinds.add(is);
    for (const node of nodes)
      for (const { is } of renamed((on) => mapNode(node, on)).named) kinds.add(is);
    for (const { values } of allOf(demo, 'entry'))
      for (const typed of Object.values(values))
        for (const { is } of renamed((on) => mapTyped(typed, on)).named) kinds.add(is);
    for (const kind of [
      'component',
      'style',
      'theme',
      'token',
      'width',
      'asset',
      'entry',
      'type',
      'property',
      'part',
    ])
      expect([kind, kinds.has(kind)]).toEqual([kind, true]);
  });
});
