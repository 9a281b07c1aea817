import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import fc from 'fast-check';
import {
  kindOnly,
  kindOf,
  schemaFindings,
  Source,
  TypeSpec,
  Typed,
  VALUE_KINDS,
  type SpecOf,
  type Typed as TypedValue,
  type ValueKind,
} from '../model';
import { say } from '../said';
import { anyValue, asset, contentType, documentsOf, entry, page, valuesOf, words } from '../test';
import { convert, dataOf, feeds, isEmpty, limitFault, passesAsIs } from '.';

const shed = contentType('shed', { name: 'text' });
const data = dataOf(
  documentsOf(
    shed,
    entry('shed', 'other', { name: words('Other') }),
    page('each', '/sheds/<slug>', { tag: 'div' }, 'shed'),
    page('home', '/', { tag: 'div' }),
    asset('pic'),
  ),
);
const kinds = VALUE_KINDS.map(({ kind }) => kind);

describe.each(kinds)('a value of kind %s', (kind) => {
  test('is described: its type, its value, and what something new of it holds', () => {
    expect(schemaFindings(TypeSpec, kindOnly(kind))).toEqual([]);
    const { empty } = kindOf(kind);
    expect(schemaFindings(Typed, { type: kind, value: empty })).toEqual([]);
    expect(schemaFindings(Source, { is: 'value', type: kind, value: empty })).toEqual([]);
    expect(schemaFindings(Typed, { type: kind, value: { not: 'one' } })).not.toEqual([]);
  });

  test('converts to nothing but values that pass the schema of what they became', () => {
    fc.assert(
      fc.property(valuesOf(kind), fc.constantFrom(...kinds), (typed, to) => {
        expect(schemaFindings(Typed, typed)).toEqual([]);
        const spec = specOf(to);
        const made = convert(typed, spec, data);
        if (made === null) return;
        expect(made.type).toBe(to);
        expect(schemaFindings(Typed, made)).toEqual([]);
        expect(isEmpty(made, data)).toBe(false);
        // Words are read as other kinds, and spelt, but nothing is offered for that.
        expect(feeds(kind, to) || kind === 'text' || to === 'text').toBe(true);
      }),
    );
  });

  test('is what it is: read as its own kind it is the same object, or empty', () => {
    fc.assert(
      fc.property(valuesOf(kind), (typed) => {
        const made = convert(typed, specOf(kind), data);
        if (isEmpty(typed, data)) expect(made).toBeNull();
        else expect(made).toBe(typed);
      }),
    );
  });
});

/** A type of a kind that lets every value of the test through. */
function specOf(kind: ValueKind): TypeSpec {
  const of = (...ids: string[]) => Object.fromEntries(ids.map((id) => [id, true as const]));
  switch (kind) {
    case 'choice':
      return options('one', 'two', 'other');
    case 'tag':
      return { kind, of: of('h2', 'h3', 'script') };
    case 'theme':
      return { kind, of: of('night', 'plain') };
    case 'style':
      return { kind, of: of('wide', 'gone') };
    default:
      return kindOnly(kind);
  }
}

function options(...ids: string[]): SpecOf<'choice'> {
  return {
    kind: 'choice',
    options: Object.fromEntries(ids.map((id) => [id, { label: id, order: 'a0' }])),
  };
}

describe('a type that is narrower than its kind', () => {
  const read = (typed: TypedValue, spec: TypeSpec) => convert(typed, spec, data)?.value ?? null;

  test('lets through numbers within its limits and texts that are short enough', () => {
    const number = { kind: 'number' as const, least: 1, most: 6 };
    expect(read({ type: 'number', value: 6 }, number)).toBe(6);
    expect(read({ type: 'number', value: 7 }, number)).toBeNull();
    expect(read(words('four'), { kind: 'text', longest: 4 })).toBe('four');
    expect(read(words('fives'), { kind: 'text', longest: 4 })).toBeNull();
  });

  test('lets through entries of its content type', () => {
    const other: TypedValue = { type: 'entry', value: 'shed-other' };
    expect(read(other, { kind: 'entry', of: 'shed' })).toBe('shed-other');
    expect(read(other, { kind: 'entry', of: 'mender' })).toBeNull();
    expect(read(other, { kind: 'entry' })).toBe('shed-other');
  });

  test('knows its options: one that is gone is empty, or counts as the one that stands in for it', () => {
    const spec = options('one', 'two', 'three');
    spec.options['two']!.gone = true;
    spec.options['three']!.gone = 'one';
    const chosen = (id: string) => read({ type: 'choice', value: id }, spec);
    expect(['one', 'two', 'three', 'never'].map(chosen)).toEqual(['one', null, 'one', null]);
    spec.options['one']!.gone = 'two';
    expect(chosen('three')).toBeNull();
  });

  test('says why a value counts as empty, and nothing of one that counts', () => {
    const why = (typed: TypedValue, spec: TypeSpec) => limitFault(typed, spec, data);
    expect(why(words('fives'), { kind: 'text', longest: 4 })).toEqual(
      say('text-too-long', { many: 5, most: 4 }),
    );
    expect(why({ type: 'number', value: 7 }, { kind: 'number', most: 6 })).toEqual(
      say('number-out-of-range', { value: 7, least: '…', most: 6 }),
    );
    // Also where it was written when the type was another.
    expect(why(words('7'), { kind: 'number', least: 8 })).toEqual(
      say('number-out-of-range', { value: 7, least: 8, most: '…' }),
    );
    expect(why(words('seven'), { kind: 'number' })).toEqual(say('not-readable'));
    expect(why({ type: 'choice', value: 'never' }, options('one'))).toEqual(say('not-to-choose'));
    expect(why({ type: 'tag', value: 'h1' }, specOf('tag'))).toEqual(say('not-to-choose'));
    fc.assert(
      fc.property(anyValue, fc.constantFrom(...kinds), (typed, kind) => {
        const spec = specOf(kind);
        const counts = convert(typed, spec, data) !== null || isEmpty(typed, data);
        expect(why(typed, spec) === null).toBe(counts);
      }),
    );
  });

  test('says what passes on as it is: only to a type that lets everything of its kind through', () => {
    fc.assert(
      fc.property(anyValue, (typed) => {
        const from = specOf(typed.type);
        const made = convert(typed, from, data);
        for (const to of kinds.map(kindOnly))
          if (made !== null && passesAsIs(from, to)) expect(convert(made, to, data)).toBe(made);
      }),
    );
  });
});

test('the conversions that are offered are those of the table in docs/how-it-is-built/values.md', () => {
  const docs = readFileSync(join(__dirname, '../../docs/how-it-is-built/values.md'), 'utf8');
  const table = docs.slice(docs.indexOf('| from | to | how |'));
  const rows = table
    .slice(0, table.indexOf('\n\n'))
    .split('\n')
    .slice(2)
    .map((row) => row.split('|').map((cell) => cell.trim()));
  const names: Record<string, ValueKind> = { 'rich text': 'rich', 'yes or no': 'boolean' };
  const kindsIn = (cell: string) => cell.split(', ').map((word) => names[word] ?? word);
  const told = rows
    .filter(([, , to, how]) => to !== 'another kind' && !how!.includes('only where a type'))
    .flatMap(([, from, to]) => kindsIn(from!).flatMap((a) => kindsIn(to!).map((b) => `${a} ${b}`)));
  const offered = kinds.flatMap((a) =>
    kinds.filter((b) => a !== b && feeds(a, b)).map((b) => `${a} ${b}`),
  );
  expect(told.sort()).toEqual(offered.sort());
});

test('what one kind says of another, that other kind knows', () => {
  const names = new Set<string>(kinds);
  for (const kind of VALUE_KINDS) {
    const { to, from } = kindOf(kind.kind);
    for (const name of [...Object.keys(to ?? {}), ...Object.keys(from ?? {})])
      expect(names.has(name)).toBe(true);
  }
});

test('words are read by their own meaning alone, and numbers as far as a double goes', () => {
  const parse = (kind: 'boolean' | 'number', words: string) => kindOf(kind).parse!(words, { kind });
  for (const words of ['constructor', 'toString', '__proto__', 'valueOf'])
    expect(parse('boolean', words)).toBeNull();
  expect(parse('boolean', ' Yes ')).toBe(true);
  expect(parse('number', '1e999')).toBeNull();
  expect(parse('number', '-1e999')).toBeNull();
  expect(parse('number', '1e3')).toBe(1000);
});
