import fc from 'fast-check';
import {
  VALUE_KINDS,
  NUMBER,
  kindOf,
  text,
  type EntryDoc,
  type LinkValue,
  type Query,
  type Source,
  type Typed,
  type ValueKind,
  kindOnly,
  RICH,
  safeAddress,
  TEXT,
} from '../model';
import { asset, contentType, documentsOf, entry, page, queryOf, words } from '../test/small-site';
import {
  bareNames,
  convert,
  dataOf,
  evaluate,
  feeds,
  fieldOf,
  HIDE,
  isEmpty,
  Later,
  LaterItem,
  newRun,
  recording,
  runQuery,
  type Names,
} from '.';
import { valuesOf } from '../test';

const shed = contentType('shed', {
  name: 'text',
  number: 'number',
  opened: 'date',
  picture: 'image',
  next: 'entry',
});
const millgate = entry('shed', 'millgate', {
  name: words('Millgate'),
  number: { type: 'number', value: 3 },
  opened: { type: 'date', value: '2020-02-01' },
  next: { type: 'entry', value: 'shed-dunmoor' },
});
const dunmoor = entry('shed', 'dunmoor', {
  name: words('Dunmoor'),
  number: { type: 'number', value: 5 },
});
const each = page('each', '/sheds/<slug>', { tag: 'div' }, 'shed');
const home = page('home', '/', { tag: 'div' });
const draft = { ...page('draft', '/draft', { tag: 'div' }), draft: true };
const documents = documentsOf(shed, millgate, dunmoor, each, home, draft, asset('pic'));
const data = dataOf(documents);
const names: Names = {
  ...bareNames(data),
  properties: { title: words('Given'), none: null, hidden: HIDE },
  page: millgate,
  repeats: { r1: dunmoor },
  positions: { r1: { at: 2, of: 3, before: millgate } },
};

const link = (value: LinkValue): Typed => ({ type: 'link', value });

describe('conversion', () => {
  test('leaves a value of the right type as the same object', () => {
    const value = words('x');
    expect(convert(value, TEXT, data)).toBe(value);
  });

  test.each<[Typed, ValueKind, unknown]>([
    [{ type: 'number', value: 12.5 }, 'text', '12.5'],
    [{ type: 'date', value: '2026-12-03' }, 'text', 'December 3, 2026'],
    [{ type: 'entry', value: 'shed-millgate' }, 'text', 'Millgate'],
    [
      { type: 'entry', value: 'shed-millgate' },
      'link',
      { to: 'page', page: 'each', entry: 'shed-millgate' },
    ],
    [words('https://example.org/a'), 'link', { to: 'address', href: 'https://example.org/a' }],
    [words(' 7 '), 'number', 7],
    [words('Yes'), 'boolean', true],
    [{ type: 'boolean', value: false }, 'text', 'no'],
    [words('2026-12-03'), 'date', '2026-12-03'],
    [words('1.25rem'), 'length', { value: 1.25, unit: 'rem' }],
    [words('clamp(1rem,2vw,3rem)'), 'length', { css: 'clamp(1rem,2vw,3rem)' }],
    [{ type: 'length', value: { value: 60, unit: 'ch' } }, 'text', '60ch'],
    [words('#A1B2C3'), 'colour', '#a1b2c3'],
  ])('makes %j a %s', (value, type, expected) => {
    expect(convert(value, kindOnly(type), data)?.value).toEqual(expected);
  });

  test.each<[Typed, ValueKind]>([
    [words('perhaps'), 'boolean'],
    [words('7 or so'), 'number'],
    [words('2026-02-30'), 'date'],
    [words('calc(1px; color: red)'), 'length'],
    [words('teal'), 'colour'],
    [words('javascript:alert(1)'), 'link'],
    [{ type: 'entry', value: 'shed-gone' }, 'text'],
  ])('%j does not become a %s', (value, type) => {
    expect(convert(value, kindOnly(type), data)).toBeNull();
  });

  test('is offered exactly where a value of some kind converts', () => {
    expect(feeds('number', 'text')).toBe(true);
    expect(feeds('text', 'number')).toBe(false);
    for (const type of ['text', 'boolean', 'number', 'date', 'link', 'image', 'entry'] as const)
      expect(feeds(type, type)).toBe(true);
  });

  test('into words and back gives what there was, of every kind that words can mean', () => {
    for (const kind of VALUE_KINDS.map((each) => kindOf(each.kind))) {
      if (!kind.parse || !kind.spell) continue;
      const type = kindOnly(kind.kind as ValueKind);
      fc.assert(
        fc.property(valuesOf(kind.kind as ValueKind), (value) => {
          const inWords = convert(value, TEXT, data);
          const isToken = typeof value.value === 'object' && value.value && 'token' in value.value;
          if (inWords && !isToken) expect(convert(inWords, type, data)).toEqual(value);
        }),
      );
    }
    fc.assert(
      fc.property(fc.double({ noNaN: true, min: -1e300, max: 1e300 }), (value) => {
        const back = convert(convert({ type: 'number', value }, TEXT, data)!, NUMBER, data);
        // Fifteen digits are written, as many as a double always keeps.
        expect(back?.value).toBe(Number(value.toPrecision(15)) + 0);
      }),
    );
  });

  test('of dates does not depend on the time zone of the machine', () => {
    const before = process.env['TZ'];
    for (const zone of ['Pacific/Kiritimati', 'America/Adak', 'UTC']) {
      process.env['TZ'] = zone;
      expect(convert({ type: 'date', value: '2026-12-03' }, TEXT, data)?.value).toBe(
        'December 3, 2026',
      );
    }
    if (before === undefined) delete process.env['TZ'];
    else process.env['TZ'] = before;
  });

  test('follows the language of what reads it: dates, numbers and what words mean as one', () => {
    const german = data.inLanguage('de');
    expect(german).toBe(data.inLanguage('de'));
    expect(german.inLanguage(data.language.tag)).toBe(data);
    const day: Typed = { type: 'date', value: '2026-12-03' };
    expect(convert(day, TEXT, german)?.value).toBe('3. Dezember 2026');
    expect(convert(day, RICH, german)?.value).toEqual(['3. Dezember 2026']);
    const number: Typed = { type: 'number', value: 1234.5 };
    expect(convert(number, TEXT, german)?.value).toBe('1234,5');
    expect(convert({ type: 'text', value: '1234,5' }, NUMBER, german)).toEqual(number);
    expect(convert({ type: 'text', value: '1234.5' }, NUMBER, german)).toEqual(number);
  });
});

describe('empty is', () => {
  test.each<Typed>([
    { type: 'text', value: '' },
    { type: 'number', value: null },
    { type: 'image', value: { asset: 'gone' } },
    { type: 'entry', value: 'shed-gone' },
    link({ to: 'page', page: 'gone' }),
    link({ to: 'page', page: 'draft' }),
    link({ to: 'page', page: 'each' }),
    link({ to: 'address', href: '' }),
  ])('%j', (value) => {
    expect(isEmpty(value, data)).toBe(true);
  });

  test.each<Typed>([
    { type: 'number', value: 0 },
    { type: 'boolean', value: false },
    { type: 'image', value: { asset: 'pic' } },
    link({ to: 'page', page: 'each', entry: 'shed-millgate' }),
  ])('not %j', (value) => {
    expect(isEmpty(value, data)).toBe(false);
  });
});

describe('addresses', () => {
  test.each([
    'https://a.example/',
    'http://a.example',
    'mailto:a@b.example',
    'tel:+441632960101',
    '/about',
    '#top',
    'page?x=1',
    '../up',
  ])('%s may stand in a page', (href) => {
    expect(safeAddress(href)).toBe(href);
  });

  test.each([
    'javascript:alert(1)',
    'JaVaScRiPt:alert(1)',
    ' javascript:alert(1)',
    'java\nscript:alert(1)',
    'data:text/html,x',
    'vbscript:x',
    'file:///etc/passwd',
    '//elsewhere.example',
    '\\\\host',
    'blob:x',
  ])('%j may not', (href) => {
    expect(safeAddress(href)).toBe('');
  });

  // Source: the URL parser of the engine (WHATWG URL Standard).
  test('that pass have no scheme but the four, whatever is typed', () => {
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string(),
          fc.webUrl(),
          fc.string().map((s) => 'javascript:' + s),
          fc.string().map((s) => '\u0001java\tscript:' + s),
        ),
        (typed) => {
          const address = safeAddress(typed);
          if (address === '') return;
          let url: URL;
          try {
            url = new URL(address, 'https://site.example/');
          } catch {
            return; // What is no address leads nowhere.
          }
          expect(['http:', 'https:', 'mailto:', 'tel:']).toContain(url.protocol);
        },
      ),
      { numRuns: 500 },
    );
  });
});

describe('evaluating a source', () => {
  const value = (source: Source, type: ValueKind = 'text', fallback: Typed | null = null) =>
    evaluate(source, kindOnly(type), names, fallback);

  test('gives literals, properties and fields', () => {
    expect(value(text('plain'))).toMatchObject({ value: 'plain' });
    expect(value({ is: 'property', property: 'title' })).toMatchObject({ value: 'Given' });
    expect(value({ is: 'field', from: 'page', path: ['name'] })).toMatchObject({
      value: 'Millgate',
    });
    expect(value({ is: 'field', from: { repeat: 'r1' }, path: ['name'] })).toMatchObject({
      value: 'Dunmoor',
    });
  });

  test('follows references along a path', () => {
    expect(value({ is: 'field', from: 'page', path: ['next', 'name'] })).toMatchObject({
      value: 'Dunmoor',
    });
    expect(value({ is: 'field', from: { repeat: 'r1' }, path: ['next', 'name'] })).toBeNull();
    expect(fieldOf(millgate, [], data)).toEqual({ type: 'entry', value: 'shed-millgate' });
  });

  test('converts to the type that the place takes', () => {
    expect(value({ is: 'field', from: 'page', path: ['number'] })).toMatchObject({
      type: 'text',
      value: '3',
    });
    expect(value({ is: 'field', from: 'page', path: [] }, 'link')).toMatchObject({ type: 'link' });
  });

  describe('that is empty', () => {
    const empty: Source = { is: 'field', from: 'page', path: ['picture'] };

    test('does what was decided beforehand', () => {
      const fallback = { type: 'image', value: { asset: 'pic' } } as const;
      expect(value(empty, 'image', fallback)).toBeNull();
      expect(value({ ...empty, whenEmpty: 'nothing' }, 'image', fallback)).toBeNull();
      expect(value({ ...empty, whenEmpty: 'default' }, 'image', fallback)).toBe(fallback);
      expect(value({ ...empty, whenEmpty: 'hide' }, 'image', fallback)).toBe(HIDE);
    });

    test('may use another source, which may be empty in its turn', () => {
      const other: Source = { is: 'field', from: 'page', path: ['name'] };
      expect(value({ is: 'property', property: 'none', whenEmpty: { use: other } })).toMatchObject({
        value: 'Millgate',
      });
      expect(
        value({
          is: 'property',
          property: 'none',
          whenEmpty: { use: { is: 'property', property: 'none', whenEmpty: 'hide' } },
        }),
      ).toBe(HIDE);
    });

    test('because it does not convert, is empty all the same', () => {
      expect(value({ is: 'property', property: 'title', whenEmpty: 'hide' }, 'boolean')).toBe(HIDE);
    });
  });

  test('hands on what was hidden further out', () => {
    expect(value({ is: 'property', property: 'hidden' })).toBe(HIDE);
  });

  test('gives the same with the entry known only later', () => {
    const sources: Source[] = [
      { is: 'field', from: 'page', path: ['name'] },
      { is: 'field', from: 'page', path: ['number'] },
      { is: 'field', from: 'page', path: ['next', 'name'], whenEmpty: { use: text('none') } },
      { is: 'field', from: 'page', path: ['picture'], whenEmpty: 'hide' },
      { is: 'field', from: 'page', path: [] },
    ];
    const later: Names = { ...names, page: new LaterItem((run) => run.page, 'page', 'shed') };
    for (const source of sources)
      for (const page of [millgate, dunmoor]) {
        const residue = evaluate(source, TEXT, later);
        expect(residue).toBeInstanceOf(Later);
        expect((residue as Later).read(newRun(page))).toEqual(
          evaluate(source, TEXT, { ...names, page }),
        );
      }
  });

  test('says beforehand whether it may hide', () => {
    const later: Names = { ...names, page: new LaterItem((run) => run.page, 'page', 'shed') };
    const field: Source = { is: 'field', from: 'page', path: ['name'] };
    expect((evaluate(field, TEXT, later) as Later).mayHide).toBe(false);
    expect((evaluate({ ...field, whenEmpty: 'hide' }, TEXT, later) as Later).mayHide).toBe(true);
  });
});

describe('a query', () => {
  const query = (
    where: [string, Source][],
    order: [string, boolean][] = [],
    more: Partial<Query> = {},
  ) => queryOf('shed', where, order, more);
  const ids = (found: ReturnType<typeof runQuery>) =>
    (found as readonly EntryDoc[]).map(({ slug }) => slug);

  test('gives all entries of a type, ties by id', () => {
    expect(ids(runQuery(query([]), names))).toEqual(['dunmoor', 'millgate']);
  });

  test('sorts, upwards and downwards, empty values last', () => {
    expect(ids(runQuery(query([], [['number', false]]), names))).toEqual(['millgate', 'dunmoor']);
    expect(ids(runQuery(query([], [['number', true]]), names))).toEqual(['dunmoor', 'millgate']);
    expect(ids(runQuery(query([], [['opened', false]]), names))).toEqual(['millgate', 'dunmoor']);
  });

  test('filters by what is read where it stands, and limits', () => {
    const where: [string, Source][] = [['name', text('Dunmoor')]];
    expect(ids(runQuery(query(where), names))).toEqual(['dunmoor']);
    expect(
      ids(runQuery(query([], [], { limit: { is: 'value', type: 'number', value: 1 } }), names)),
    ).toEqual(['dunmoor']);
  });

  test('with a condition that was only just added gives what it gave without it', () => {
    expect(ids(runQuery(query([['name', text('')]]), names))).toEqual(
      ids(runQuery(query([]), names)),
    );
  });

  test('whose condition is known only later is a function of the page', () => {
    const later: Names = { ...names, page: new LaterItem((run) => run.page, 'page', 'shed') };
    const where: [string, Source][] = [['name', { is: 'field', from: 'page', path: ['name'] }]];
    const found = runQuery(query(where), later);
    if (typeof found !== 'function') throw new Error('expected a function');
    expect(found(newRun(dunmoor)).map(({ id }) => id)).toEqual(['shed-dunmoor']);
  });
});

describe('data', () => {
  test('is the same object while nothing it reads has changed', () => {
    expect(dataOf(documents.with({ ...documents.tags }), data)).toBe(data);
    expect(dataOf(documents.with({ ...home, name: 'Other' }), data)).toBe(data);
    expect(dataOf(documents.with({ ...home, path: '/other' }), data)).not.toBe(data);
    expect(dataOf(documents.with({ ...millgate }), data)).not.toBe(data);
  });

  test('leaves out drafts', () => {
    const hidden = dataOf(documents.with({ ...millgate, draft: true }));
    expect(hidden.entry(millgate.id)).toBeUndefined();
    expect(hidden.entriesOf('shed')).toHaveLength(1);
  });

  test('notes what was read of it', () => {
    const seen = new Set<string>();
    const watched = recording(data, () => seen);
    watched.entry('shed-millgate');
    watched.entriesOf('shed');
    watched.href({ to: 'page', page: 'each', entry: 'shed-dunmoor' });
    watched.asset('pic');
    watched.pageOf('shed');
    expect([...seen].sort()).toEqual([
      'entries:shed',
      'pages:shed',
      'path:each',
      'path:shed-dunmoor',
      'pic',
      'shed-millgate',
    ]);
  });
});
