import { brackenfold } from '@sormet/demo';
import fc from 'fast-check';
import {
  documentFindings,
  newId,
  ID_PATTERN,
  pointer,
  SCHEMAS,
  Source,
  schemaFindings,
  compiledCheck,
  readCheck,
  text,
  upgraded,
  type Kind,
} from '.';
import { isSaid, say, type Said } from '../said';
import { component, page } from '../test/small-site';

describe('a document', () => {
  test('of the demo passes its schema, each of them', () => {
    for (const doc of brackenfold().documents)
      expect([doc.id, documentFindings(doc)]).toEqual([doc.id, []]);
  });

  test('that does not is told where and why', () => {
    const doc = page('p', '/', { id: 'root', tag: 'div' });
    expect(documentFindings({ ...doc, path: 'no slash' })).toEqual([
      {
        path: '/path',
        reason: say('member-is', { member: say('member-path'), says: say('path-form') }),
      },
    ]);
    expect(documentFindings({ ...doc, extra: 1 })[0]?.reason.about).toMatchObject({
      says: say('has-no-place-for', { name: 'extra' }),
    });
    expect(documentFindings({ kind: 'poem' })[0]).toMatchObject({ path: '/kind' });
    expect(documentFindings(null)[0]).toMatchObject({ path: '/kind' });
  });

  test('names the deepest place that is wrong', () => {
    const doc = component('c', { id: 'root', tag: 'div', children: [{ id: 'words', text: 'x' }] });
    const broken = {
      ...doc,
      nodes: {
        ...doc.nodes,
        words: { ...doc.nodes['words'], text: { is: 'value', type: 'text', value: 7 } },
      },
    };
    expect(documentFindings(broken)[0]?.path).toMatch(/^\/nodes\/words\/text/);
  });

  test('of a format that is not known is refused by name', () => {
    expect(() => upgraded({ x: { id: 'x', kind: 'page', format: 99 } })).toThrow('format 99');
    const documents = { p: page('p', '/', { tag: 'div' }) };
    expect(upgraded(documents)).toBe(documents);
  });
});

describe('a source', () => {
  test.each([
    text('words'),
    { is: 'value', type: 'link', value: { to: 'page', page: 'home' } },
    { is: 'value', type: 'image', value: null },
    { is: 'property', property: 'p1', whenEmpty: 'hide' },
    { is: 'field', from: 'page', path: ['name'], whenEmpty: { use: text('else') } },
    { is: 'field', from: { repeat: 'r1' }, path: [] },
  ])('%j is one', (source) => {
    expect(schemaFindings(Source, source)).toEqual([]);
  });

  test.each([
    { is: 'value', type: 'text', value: { html: '<b>' } },
    { is: 'value', type: 'number', value: 'seven' },
    { is: 'field', from: 'elsewhere', path: [] },
    { is: 'property' },
    { is: 'value', type: 'date', value: 'tomorrow' },
  ])('%j is none', (source) => {
    expect(schemaFindings(Source, source)).toHaveLength(1);
  });
});

test('new ids fit the pattern and differ', () => {
  const ids = Array.from({ length: 500 }, newId);
  expect(new Set(ids).size).toBe(500);
  for (const id of ids) expect(id).toMatch(new RegExp(ID_PATTERN));
});

describe('why a value does not fit', () => {
  const demo = [...brackenfold().documents] as unknown as Record<string, unknown>[];

  /** Every place in a value, as the members that lead to it. */
  function placesIn(value: unknown, tokens: readonly string[] = []): (readonly string[])[] {
    if (typeof value !== 'object' || value === null) return [tokens];
    const inner = Object.keys(value).flatMap((name) =>
      placesIn((value as Record<string, unknown>)[name], [...tokens, name]),
    );
    return [tokens, ...inner];
  }

  function withAt(value: unknown, [first, ...rest]: readonly string[], put: unknown): unknown {
    if (first === undefined) return put;
    if (Array.isArray(value))
      return value.map((each, i) =>
        String(i) === first ? withAt(each, rest, put) : (each as unknown),
      );
    const record = value as Record<string, unknown>;
    return { ...record, [first]: withAt(record[first], rest, put) };
  }

  const WRONG = [
    7,
    -1,
    1e9,
    '',
    'No Such Thing!',
    'x'.repeat(9000),
    null,
    true,
    [],
    {},
    [1],
    { a: 1 },
  ];

  test('is told at the place or around it, and both validators agree whether it fits', () => {
    let told = 0;
    const compiled = Object.fromEntries(
      Object.entries(SCHEMAS).map(([kind, schema]) => [kind, compiledCheck(schema)]),
    );
    fc.assert(
      fc.property(fc.nat(), fc.nat(), fc.constantFrom<unknown>(...WRONG), (n, m, wrong) => {
        const doc = demo[n % demo.length]!;
        const places = placesIn(doc).slice(1);
        const place = places[m % places.length]!;
        if (place[0] === 'kind') return;
        const broken = withAt(doc, place, wrong);
        const schema = SCHEMAS[doc['kind'] as Kind];
        const [finding] = schemaFindings(schema, broken);
        const fits = finding === undefined;
        expect([place, readCheck(schema)(broken), compiled[doc['kind'] as Kind]!(broken)]).toEqual([
          place,
          fits,
          fits,
        ]);
        if (!finding) return;
        told += 1;
        expect(isSaid(finding.reason)).toBe(true);
        const at = pointer(...place);
        expect(
          [at, finding.path].some((each) => at.startsWith(each) || finding.path.startsWith(each)),
        ).toBe(true);
      }),
      { numRuns: 700 },
    );
    expect(told).toBeGreaterThan(300);
  });

  test.each<[string, string[], unknown, string, Said]>([
    [
      'site',
      ['name'],
      '',
      '/name',
      say('member-is', { member: say('member-name'), says: say('must-not-be-empty') }),
    ],
    [
      'site',
      ['slug'],
      'No',
      '/slug',
      say('member-is', { member: say('member-address'), says: say('slug-form') }),
    ],
    [
      'site',
      ['widths'],
      { w: { max: 7 } },
      '/widths/w/max',
      say('member-is', {
        member: say('member-width'),
        says: say('must-be-between', { least: 200, most: 4000 }),
      }),
    ],
    [
      'site',
      ['extra'],
      1,
      '',
      say('member-is', {
        member: say('member-given'),
        says: say('has-no-place-for', { name: 'extra' }),
      }),
    ],
    [
      'page-about',
      ['draft'],
      'no',
      '/draft',
      say('member-is', { member: say('member-given'), says: say('must-be-yes-or-no') }),
    ],
  ])('%s with another %j: %j', (id, place, wrong, path, reason) => {
    const doc = demo.find((each) => each['id'] === id)!;
    const [finding] = documentFindings(withAt(doc, place, wrong));
    expect(finding).toEqual({ path, reason });
  });
});
