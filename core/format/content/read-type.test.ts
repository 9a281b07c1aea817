import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import Ajv2020 from 'ajv/dist/2020';
import { doEdit, isRefusal } from '../../edit';
import { docOf, inOrder, type Json, type TypeDoc } from '../../model';
import { saidText } from '../../said';
import { documentsOf, contentType, entry } from '../../test';
import { readType } from './read-type';
import { ValueReader } from './value-reader';
import { WRITTEN } from './words-of-value';
import { writeJson } from './write-table';
import { writeType } from './write-type';

const documents = documentsOf(
  contentType('mender', { name: { kind: 'text' } }),
  {
    ...contentType('shed', {
      name: { kind: 'text', longest: 40 },
      benches: { kind: 'number', least: 1, most: 20 },
      open: { kind: 'boolean' },
      since: { kind: 'date' },
      about: { kind: 'rich' },
      site: { kind: 'link' },
      photo: { kind: 'image' },
      size: {
        kind: 'choice',
        options: { s: { label: 'Small', order: 'a0' }, l: { label: 'Large', order: 'a1' } },
      },
      keeper: { kind: 'entry', of: 'mender' },
      menders: { kind: 'entries', of: 'mender' },
    }),
  },
  entry('mender', 'greta', { name: { type: 'text', value: 'Greta' } }),
  entry('shed', 'mill', {
    name: { type: 'text', value: 'Mill' },
    benches: { type: 'number', value: 4 },
    open: { type: 'boolean', value: true },
    since: { type: 'date', value: '2020-02-01' },
    size: { type: 'choice', value: 'l' },
    keeper: { type: 'entry', value: 'mender-greta' },
    menders: { type: 'entries', value: ['mender-greta'] },
    site: { type: 'link', value: { to: 'address', href: 'https://example.com/' } },
    about: { type: 'rich', value: ['Words ', { tag: 'em', children: ['here'] }] },
  }),
);
const shed = docOf(documents, 'type', 'shed')!;
const asked: TypeDoc = {
  ...shed,
  groups: { more: { label: 'More', order: 'a0' } },
  fields: {
    ...shed.fields,
    name: { ...shed.fields['name']!, required: true, unique: true, help: 'As on its door.' },
    benches: {
      ...shed.fields['benches']!,
      group: 'more',
      aside: true,
      default: { type: 'number', value: 3 },
    },
  },
};

/** A type without its ids and orders, which are its own. */
function bare({ name, plural, title, fields, groups = {} }: TypeDoc): unknown {
  const specOf = (type: TypeDoc['fields'][string]['type']) =>
    type.kind === 'choice'
      ? { kind: type.kind, labels: inOrder(type.options).map(([, { label }]) => label) }
      : type;
  return {
    name,
    plural,
    title: fields[title]!.key,
    fields: inOrder(fields).map(([, { order: _, group, type, ...rest }]) => ({
      ...rest,
      type: specOf(type),
      group: group === undefined ? undefined : groups[group]!.label,
    })),
  };
}

test('a type that is written and read is the same', () => {
  const read = readType(documents, writeType(documents, asked))!;
  expect(read.left).toEqual([]);
  expect(bare(read.type)).toEqual(bare(asked));
  const done = doEdit(documents, { name: 'addType', args: { type: read.type } });
  expect(isRefusal(done) ? saidText(done.refused) : '').toBe('');
});

// JSON Schema draft 2020-12, by Ajv, which carries its meta-schema.
test('what is written is a schema, and what is written of entries passes it', () => {
  const schema = writeType(documents, shed) as object;
  const ajv = new Ajv2020({ strict: false, validateFormats: false });
  expect(ajv.validateSchema(schema)).toBe(true);
  const entries = documents.all('entry').filter(({ type }) => type === 'shed');
  const validate = ajv.compile(schema);
  for (const record of JSON.parse(writeJson(documents, shed, entries)) as unknown[]) {
    validate(record);
    expect(validate.errors).toBeNull();
  }
});

/**
 * JSON Schema's official test suite, as the registry carries it: of draft 4, in which these keywords mean what they mean in
 * draft 2020-12. Its boolean `exclusiveMinimum` does not: schemas with it are told as left, and left out.
 */
const SUITE = join(__dirname, '../../../node_modules/json-schema-test-suite/tests/draft4');
interface Group {
  readonly description: string;
  readonly schema: Json;
  readonly tests: readonly {
    readonly description: string;
    readonly data: Json;
    readonly valid: boolean;
  }[];
}

/** Keywords that fields keep; a schema with others keeps less than it says, which is told. */
const FILES = ['maxLength', 'minimum', 'maximum', 'enum', 'type'];

test('what a field of a schema of the official test suite takes is what passes the schema', () => {
  const names = readdirSync(SUITE).filter((name) => FILES.includes(name.replace('.json', '')));
  let agreed = 0;
  const against: string[] = [];
  for (const name of names)
    for (const group of JSON.parse(readFileSync(join(SUITE, name), 'utf8')) as Group[]) {
      const read = readType(documents, {
        type: 'object',
        properties: { it: group.schema },
      });
      const [field] = Object.values(read!.type.fields).filter(({ key }) => key === 'it');
      // What is told as left is not promised.
      if (!field || read!.left.length > 0) continue;
      for (const { description, data, valid } of group.tests) {
        // A field takes words that say its value, which JSON tells from it; and nothing of another kind.
        if (!isOfKind(field.type.kind, data)) continue;
        const words = typeof data === 'string' ? data : JSON.stringify(data);
        const taken = new ValueReader(documents, WRITTEN).read(field.type, words).ok;
        // Characters are counted as JavaScript does, code points as JSON Schema does.
        if (/grapheme|code points/.test(description)) continue;
        if (taken === valid) agreed += 1;
        else against.push(`${name}, ${group.description}: ${description}`);
      }
    }
  expect(against).toEqual([]);
  expect(agreed).toBeGreaterThan(8);
});

function isOfKind(kind: string, data: Json): boolean {
  if (kind === 'number') return typeof data === 'number';
  if (kind === 'boolean') return typeof data === 'boolean';
  return typeof data === 'string' && data !== '';
}

test('what a field cannot be is told by its place', () => {
  const read = readType(documents, {
    title: 'Thing',
    type: 'object',
    required: ['name'],
    $defs: { place: { type: 'string', format: 'date' } },
    properties: {
      name: { type: 'string', pattern: '^a' },
      when: { $ref: '#/$defs/place' },
      mail: { anyOf: [{ type: 'string', format: 'email' }, { type: 'null' }] },
      parts: { type: 'object', properties: {} },
      tone: { oneOf: [{ const: 'calm' }, { const: 'loud' }] },
    },
  })!;
  expect(inOrder(read.type.fields).map(([, { key, type }]) => [key, type.kind])).toEqual([
    ['name', 'text'],
    ['when', 'date'],
    ['mail', 'link'],
    ['parts', 'text'],
    ['tone', 'choice'],
  ]);
  expect(read.left.map(({ path }) => path)).toEqual([
    '/properties/name/pattern',
    '/properties/parts/properties',
    '/properties/parts/type',
  ]);
  expect(readType(documents, { type: 'string' })).toBeUndefined();
});
