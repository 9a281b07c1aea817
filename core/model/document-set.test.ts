import fc from 'fast-check';
import { documentsOf, entry, page, words } from '../test';
import { claim, Documents, sameJson, type Doc } from '.';

const small = documentsOf(page('home', '/', { tag: 'main' }), entry('shed', 'a', {}));

describe('the documents of a site', () => {
  test('are found by id, by kind, and site, tags and tokens at once', () => {
    expect(small.get('home')?.kind).toBe('page');
    expect(small.ofKind('entry', 'home')).toBeUndefined();
    expect(small.all('entry').map(({ id }) => id)).toEqual(['shed-a']);
    expect([small.site.id, small.tags.id, small.tokens.id]).toEqual(['site', 'tags', 'tokens']);
    expect(small.size).toBe(5);
    expect(() => Documents.none.site).toThrow('no site document');
  });

  test('are never found under a name that every object inherits', () => {
    for (const name of ['constructor', 'toString', '__proto__'])
      expect(small.get(name)).toBeUndefined();
  });

  test('are never changed: an edit makes others and leaves these as they were', () => {
    const later = small.with(entry('shed', 'b', {})).without('home');
    expect([...small.ids()].sort()).toEqual(['home', 'shed-a', 'site', 'tags', 'tokens']);
    expect([...later.ids()].sort()).toEqual(['shed-a', 'shed-b', 'site', 'tags', 'tokens']);
    expect(small.with(small.get('home')!)).toBe(small);
    expect(small.without('nobody')).toBe(small);
  });

  test('share the list of a kind in which nothing is another', () => {
    const entries = small.all('entry');
    expect(small.with(page('other', '/other', { tag: 'main' })).all('entry')).toBe(entries);
  });

  test('are sent as a record by id, and are the same when they hold the same', () => {
    const again = Documents.fromRecord(
      JSON.parse(JSON.stringify(small)) as Readonly<Record<string, Doc>>,
    );
    expect(sameJson(again, small)).toBe(true);
    expect(sameJson(small, small.with(entry('shed', 'a', { name: words('Another') })))).toBe(false);
    expect(sameJson(small, small.without('home'))).toBe(false);
  });

  /** What is done to a few ids, again and again: an entry put there, a page of the same id, nothing any more. */
  const steps = fc.array(
    fc.tuple(fc.nat(300), fc.constantFrom('entry', 'entry', 'page', 'gone'), fc.nat(3)),
    { maxLength: 400 },
  );

  test('are what a plain record would be, whatever is done, however often both are made one', () => {
    fc.assert(
      fc.property(steps, fc.nat(400), (done, until) => {
        const plain = new Map<string, Doc>();
        let documents = Documents.none;
        let before = documents;
        let plainBefore = new Map(plain);
        done.forEach(([n, what, version], i) => {
          const id = `shed-s${n}`;
          const doc: Doc | undefined =
            what === 'gone'
              ? undefined
              : what === 'page'
                ? { ...page(id, `/${n}`, { tag: 'main' }), name: `v${version}` }
                : entry('shed', `s${n}`, { name: words(`v${version}`) });
          if (doc) plain.set(id, doc);
          else plain.delete(id);
          documents = documents.changed(new Map([[id, doc]]));
          // Lists are asked for now and then, and brought along from there.
          if (i % 7 === 0) documents.all('entry');
          if (i === until) {
            before = documents;
            plainBefore = new Map(plain);
          }
        });
        expect(documents.size).toBe(plain.size);
        for (const kind of ['entry', 'page'] as const)
          expect(documents.all(kind)).toEqual(
            [...plain.values()]
              .filter((doc) => doc.kind === kind)
              .sort((a, b) => (a.id < b.id ? -1 : 1)),
          );
        for (const [id, doc] of plain) expect(documents.get(id)).toBe(doc);
        const differing = documents
          .differenceFrom(before)
          .map(({ id, before: was, after }) => [id, was, after]);
        const expected = [...new Set([...plain.keys(), ...plainBefore.keys()])]
          .filter((id) => plain.get(id) !== plainBefore.get(id))
          .map((id) => [id, plainBefore.get(id), plain.get(id)]);
        const byId = (a: unknown[], b: unknown[]) => ((a[0] as string) < (b[0] as string) ? -1 : 1);
        expect(differing.sort(byId)).toEqual(expected.sort(byId));
      }),
      { numRuns: 60 },
    );
  });
});

test('who claims what, after many documents became others at once, is as if it were asked anew', () => {
  const step = fc.tuple(fc.nat(12), fc.constantFrom('entry', 'page', 'gone'), fc.nat(6));
  fc.assert(
    fc.property(fc.array(fc.array(step, { maxLength: 8 }), { maxLength: 12 }), (steps) => {
      let documents = Documents.none;
      // Asked for once, claims are brought along from there.
      expect(documents.claiming(claim.path('/0'))).toEqual([]);
      for (const each of steps)
        documents = documents.changed(
          new Map(
            each.map(([n, what, at]) => [
              `d${n}`,
              what === 'gone'
                ? undefined
                : what === 'page'
                  ? page(`d${n}`, `/${at}`, { tag: 'main' })
                  : { ...entry('shed', `s${at}`, {}), id: `d${n}` },
            ]),
          ),
        );
      const anew = Documents.from(documents);
      for (let at = 0; at <= 6; at += 1)
        for (const wanted of [claim.path(`/${at}`), claim.slug('shed', `s${at}`)])
          expect(documents.claiming(wanted)).toEqual(anew.claiming(wanted));
    }),
  );
});

test('documents are made from any number of them: more than the engine holds as arguments', () => {
  const many = Array.from({ length: 150_000 }, (_, i) => entry('shed', `s${i}`, {}));
  expect(Documents.from(many).size).toBe(150_000);
});
