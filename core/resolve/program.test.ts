import fc from 'fast-check';
import { text, yesNo, type EntryDoc, type Source, type Typed, type WhenEmpty } from '../model';
import { asset, component, contentType, documentsOf, entry, page, words } from '../test/small-site';
import { htmlOf } from '../test/html';
import { dataOf, newRun } from '../value';
import { build, interpret, Linker, prepare, write } from '.';

const type = contentType('shed', {
  name: 'text',
  open: 'boolean',
  count: 'number',
  day: 'date',
  to: 'link',
  photo: 'image',
  next: 'entry',
});

/** Values as they may be stored: of any type, whatever the field says, and empty in every way. */
const typed: fc.Arbitrary<Typed> = fc.oneof(
  fc
    .oneof(fc.string(), fc.constantFrom('', 'a & b', '<b>', '"', '\u00a0', 'https://a.example/'))
    .map((value) => ({ type: 'text' as const, value })),
  fc.oneof(fc.boolean(), fc.constant(null)).map((value) => ({ type: 'boolean' as const, value })),
  fc.oneof(fc.integer(), fc.constant(null)).map((value) => ({ type: 'number' as const, value })),
  fc.constantFrom('2026-12-03', '', null).map((value) => ({ type: 'date' as const, value })),
  fc.constantFrom('/about', 'javascript:alert(1)', '', 'mailto:a@b.example').map((href) => ({
    type: 'link' as const,
    value: { to: 'address' as const, href },
  })),
  fc.constantFrom('pic', 'gone').map((id) => ({ type: 'image' as const, value: { asset: id } })),
  fc.constantFrom('shed-other', 'shed-gone').map((value) => ({ type: 'entry' as const, value })),
);

const whenEmpty = fc.constantFrom<WhenEmpty | undefined>(
  undefined,
  'default',
  'nothing',
  'hide',
  { use: text('else') },
  { use: { is: 'field', from: 'page', path: ['count'], whenEmpty: 'hide' } },
);

const source = fc
  .tuple(fc.constantFrom(...Object.keys(type.fields), 'missing'), whenEmpty)
  .map(([field, decided]): Source => ({
    is: 'field',
    from: 'page',
    path: [field],
    ...(decided === undefined ? {} : { whenEmpty: decided }),
  }));

const card = component(
  'card',
  {
    tag: 'article',
    children: [
      { tag: 'h3', text: { is: 'property', property: 'title' } },
      {
        tag: 'img',
        attributes: {
          src: { is: 'property', property: 'picture' },
          alt: { is: 'property', property: 'alt' },
        },
      },
      {
        tag: 'a',
        attributes: { href: { is: 'property', property: 'to' } },
        shown: { is: 'property', property: 'linked' },
        text: { is: 'property', property: 'alt', whenEmpty: { use: text('go') } },
      },
    ],
  },
  {
    title: text('A title'),
    picture: { is: 'value', type: 'image', value: { asset: 'pic' } },
    alt: text(''),
    to: { is: 'value', type: 'link', value: { to: 'address', href: '/' } },
    linked: yesNo(true),
  },
);

test('a program, the function made of it, and the tree say the same for any values', () => {
  fc.assert(
    fc.property(
      fc.dictionary(fc.constantFrom(...Object.keys(type.fields)), typed),
      fc.record({ title: source, picture: source, alt: source, to: source, linked: source }),
      (values, bound) => {
        const one: EntryDoc = entry('shed', 'one', values);
        const other = entry('shed', 'other', { name: words('Other') });
        const documents = documentsOf(
          type,
          card,
          asset('pic'),
          one,
          other,
          page(
            'p',
            '/s/<slug>',
            { tag: 'main', children: [{ component: 'card', values: bound }] },
            'shed',
          ),
        );
        const data = dataOf(documents);
        const linked = new Linker().link(documents, 'p');
        const template = prepare(linked, data);
        for (const each of [one, other]) {
          const shown = htmlOf(build(linked, data, each).root);
          expect(write(template, each)).toBe(shown);
          expect(interpret(template.program, data, newRun(each))).toBe(shown);
        }
      },
    ),
    { numRuns: 400 },
  );
});

test('what never depends on the entry is one string, written already', () => {
  const documents = documentsOf(card, asset('pic'), page('p', '/', { component: 'card' }));
  const { program } = prepare(new Linker().link(documents, 'p'), dataOf(documents));
  expect(program).toHaveLength(1);
  expect(typeof program[0]).toBe('string');
});

test('a long text is handed to the function rather than written into it', () => {
  const long = 'mend '.repeat(1000);
  const documents = documentsOf(
    type,
    entry('shed', 'one', { name: words('One') }),
    page(
      'p',
      '/s/<slug>',
      {
        tag: 'main',
        children: [
          { tag: 'p', text: long },
          { tag: 'p', text: { is: 'field', from: 'page', path: ['name'] } },
        ],
      },
      'shed',
    ),
  );
  const one = documents.get('shed-one') as EntryDoc;
  const template = prepare(new Linker().link(documents, 'p'), dataOf(documents));
  expect(write(template, one)).toBe(`<main><p>${long}</p><p>One</p></main>`);
});
