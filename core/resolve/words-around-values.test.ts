import fc from 'fast-check';
import {
  docOf,
  literal,
  schemaFindings,
  Source as SourceSchema,
  text,
  type Format,
  type Source,
  type Words,
} from '../model';
import { doEdit, isRefusal } from '../edit';
import {
  component,
  contentType,
  documentsOf,
  entry,
  htmlOf,
  page,
  valuesOf,
  wordsAround,
} from '../test';
import { dataOf } from '../value';
import { build, Linker, prepare, write } from '.';

const around = (
  pieces: (string | { place: string; format?: Format })[],
  names: Record<string, Source>,
  whenEmpty?: Source['whenEmpty'],
): Words => ({ is: 'words', of: 'text', pieces, names, ...(whenEmpty ? { whenEmpty } : {}) });
const field = (id: string, whenEmpty?: Source['whenEmpty']): Source => ({
  is: 'field',
  from: 'page',
  path: [id],
  ...(whenEmpty ? { whenEmpty } : {}),
});
const worked = (cel: string, names: Record<string, Source>): Source => ({
  is: 'expression',
  cel,
  names,
});

const shed = contentType('shed', {
  name: { kind: 'text' },
  since: { kind: 'number' },
  opens: { kind: 'date' },
  kind: {
    kind: 'choice',
    options: { wood: { label: 'Wood', order: 'a0' }, metal: { label: 'Metal', order: 'a1' } },
  },
  tools: {
    kind: 'list',
    fields: { tool: { label: 'Tool', key: 'tool', order: 'a0', type: { kind: 'text' } } },
  },
});
const years: Format = {
  as: 'plural',
  forms: { one: '# year', few: '# roky', other: '# years' },
  none: 'this year',
};
const held = {
  name: text('Nook'),
  since: literal({ type: 'number', value: 2014 }),
  opens: literal({ type: 'date', value: '2026-12-03' }),
  kind: literal({ type: 'choice', value: 'metal' }),
  tools: literal({
    type: 'list',
    value: ['Saw', 'Awl', 'Rasp'].map((tool, i) => ({
      id: `r${i}`,
      values: { tool: { type: 'text' as const, value: tool } },
    })),
  }),
};
const nook = entry('shed', 'nook', held as never);
const bare = entry('shed', 'bare', { name: text('Bare') } as never);

/** What a page made from sheds writes, in a language; both writers must agree on it. */
function shown(words: Source, of = 'nook', language?: string): string {
  const made = page(
    'p',
    '/sheds/<slug>',
    { id: 'root', tag: 'p', children: [{ id: 'words', text: words, rich: 'line' }] },
    'shed',
  );
  const documents = documentsOf(
    shed,
    nook,
    bare,
    language === undefined ? made : { ...made, language },
  );
  const data = dataOf(documents);
  const linked = new Linker().link(documents, 'p');
  const at = docOf(documents, 'entry', `shed-${of}`);
  const html = htmlOf(build(linked, data, at).root);
  expect(write(prepare(linked, data), at)).toBe(html);
  return html.replace(/^<p>|<\/p>$/g, '');
}

describe('words around values', () => {
  test('hold each value in its format, several times where one likes: two from one number', () => {
    const words = around(['since ', { place: 'n0' }, ' · ', { place: 'n1', format: years }], {
      n0: field('since'),
      n1: worked('2025 - n0', { n0: field('since') }),
    });
    expect(shown(words)).toBe('since 2014 · 11 years');
    expect(shown(words, 'bare')).toBe('');
  });

  test.each<[string, Format | undefined, string, string]>([
    ['since', { as: 'number', grouped: true }, '2,014', '2.014'],
    [
      'since',
      { as: 'number', of: { is: 'unit', unit: 'kilogram' }, grouped: true },
      '2,014 kilograms',
      '2.014 Kilogramm',
    ],
    [
      'since',
      { as: 'number', of: { is: 'money', currency: 'EUR' }, least: 2 },
      '€2014.00',
      '2014,00\u00a0€',
    ],
    ['since', undefined, '2014', '2014'],
    ['opens', undefined, 'December 3, 2026', '3. Dezember 2026'],
    [
      'opens',
      { as: 'date', style: 'full' },
      'Thursday, December 3, 2026',
      'Donnerstag, 3. Dezember 2026',
    ],
    ['opens', { as: 'date', style: 'short' }, '12/3/26', '03.12.26'],
    ['opens', { as: 'date', style: 'monthAndYear' }, 'December 2026', 'Dezember 2026'],
    ['tools', { as: 'list', by: 'and' }, 'Saw, Awl, and Rasp', 'Saw, Awl und Rasp'],
    ['tools', { as: 'list', by: 'or', field: 'tool' }, 'Saw, Awl, or Rasp', 'Saw, Awl oder Rasp'],
    ['kind', undefined, 'Metal', 'Metal'],
  ])(
    'write %s as %j in the language of the site, or of the page',
    (which, format, english, german) => {
      const words = around(['<', { place: 'n0', ...(format ? { format } : {}) }, '>'], {
        n0: field(which),
      });
      const escaped = (inner: string) => `&lt;${inner}&gt;`;
      expect(shown(words).replace(/&nbsp;/g, '\u00a0')).toBe(escaped(english));
      expect(shown(words, 'nook', 'de').replace(/&nbsp;/g, '\u00a0')).toBe(escaped(german));
    },
  );

  test('take the plural form that the language has for a number, and words of their own for none', () => {
    const of = (value: number, language?: string) =>
      shown(
        around([{ place: 'n0', format: years }], { n0: literal({ type: 'number', value }) }),
        'nook',
        language,
      );
    expect([0, 1, 2, 5].map((value) => of(value))).toEqual([
      'this year',
      '1 year',
      '2 years',
      '5 years',
    ]);
    expect([1, 3, 5].map((value) => of(value, 'cs'))).toEqual(['1 year', '3 roky', '5 years']);
  });

  test('are empty where a value is, unless that one may be left out; what hides, hides them', () => {
    const greeting = (whenEmpty?: Source['whenEmpty']) =>
      around(
        ['Hello ', { place: 'n0' }, '!'],
        { n0: field('since', whenEmpty) },
        { use: text('Hello!') },
      );
    expect(shown(greeting(), 'bare')).toBe('Hello!');
    expect(shown(greeting('nothing'), 'bare')).toBe('Hello !');
    expect(shown(greeting({ use: text('you') }), 'bare')).toBe('Hello you!');
    expect(shown(greeting('hide'), 'bare')).toBe('');
    expect(shown(greeting(), 'nook')).toBe('Hello 2014!');
  });

  test('are rich where they stand in rich text: emphasis around a value, words never as HTML', () => {
    const words: Words = {
      is: 'words',
      of: 'rich',
      pieces: ['In ', { tag: 'strong', children: [{ place: 'n0' }, ' & more'] }],
      names: { n0: text('<b>') },
    };
    expect(shown(words)).toBe('In <strong>&lt;b&gt; &amp; more</strong>');
  });

  test('of any shape are written alike by both writers, at once and for each entry, in every language', () => {
    const names: fc.Arbitrary<Record<string, Source>> = fc.record({
      n0: valuesOf('number').map((typed) => literal(typed)),
      n1: fc.constantFrom('name', 'since', 'opens', 'kind', 'tools').map((id) => field(id)),
      n2: fc.oneof(
        fc.constantFrom('hide' as const, 'nothing' as const).map((id) => field('since', id)),
        valuesOf('date').map((typed) => literal(typed)),
      ),
    });
    let written = 0;
    fc.assert(
      fc.property(
        wordsAround,
        names,
        fc.constantFrom('nook', 'bare'),
        fc.constantFrom('de', 'pl', 'xx'),
        (words, given, of, language) => {
          const source = { is: 'words', ...words, names: given } as Words;
          expect(schemaFindings(SourceSchema, source)).toEqual([]);
          if (shown(source, of, language) !== '') written += 1;
        },
      ),
      { numRuns: 300 },
    );
    expect(written).toBeGreaterThan(60);
  });

  test('of a place whose name is gone are empty, and nothing breaks', () => {
    expect(shown(around(['a', { place: 'n7' }], {}, { use: text('none') }))).toBe('none');
    expect(schemaFindings(SourceSchema, around([{ place: 'N 7' }], {}))).not.toEqual([]);
    expect(
      schemaFindings(SourceSchema, literal({ type: 'rich', value: [{ place: 'n0' } as never] })),
    ).not.toEqual([]);
  });

  test('are the default of a property, read from others of its definition; an instance sets its own', () => {
    const card = component(
      'card',
      {
        id: 'root',
        tag: 'p',
        children: [{ id: 'words', text: { is: 'property', property: 'line' } }],
      },
      { since: literal({ type: 'number', value: 2014 }), line: text('') },
    );
    const documents = documentsOf(
      card,
      page('p', '/', {
        id: 'root',
        tag: 'div',
        children: [
          { id: 'one', component: 'card' },
          { id: 'two', component: 'card', values: { line: text('own') } },
        ],
      }),
    );
    const value = around(['since ', { place: 'n0' }], {
      n0: { is: 'property', property: 'since' },
    });
    const done = doEdit(documents, {
      name: 'setDefault',
      args: { component: 'card', property: 'line', value },
    });
    if (isRefusal(done)) throw new Error('refused');
    const html = htmlOf(
      build(new Linker().link(done.documents, 'p'), dataOf(done.documents), undefined).root,
    );
    expect(html).toBe('<div><p>since 2014</p><p>own</p></div>');
    const itself = around([{ place: 'n0' }], { n0: { is: 'property', property: 'line' } });
    const refused = doEdit(documents, {
      name: 'setDefault',
      args: { component: 'card', property: 'line', value: itself },
    });
    expect(isRefusal(refused)).toBe(true);
  });
});
