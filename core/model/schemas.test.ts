import { Ajv } from 'ajv';
import type { TSchema } from '@sinclair/typebox';
import { FORMAT_OF_VALUE, SCHEMAS, SOURCE_SCHEMA, VALUE_KINDS } from '.';
import { RICH_PIECE, WORDS_PIECE } from './types';

/** Every schema of the model: of documents, of sources, of each kind of value and its type. */
const ALL: [string, TSchema][] = [
  ...Object.entries(SCHEMAS).map(([kind, schema]): [string, TSchema] => [`the ${kind}`, schema]),
  ['a source', SOURCE_SCHEMA],
  ['a piece of rich text', RICH_PIECE],
  ['a piece of words around values', WORDS_PIECE],
  ['a format', FORMAT_OF_VALUE],
  ...VALUE_KINDS.flatMap(({ kind, spec, value }): [string, TSchema][] => [
    [`the type of ${kind}`, spec],
    [`a value of ${kind}`, value],
  ]),
];

/** The meta-schema of JSON Schema draft-07 (json-schema.org/draft-07/schema), as Ajv ships it. */
describe('by the meta-schema of draft-07', () => {
  const ajv = new Ajv();

  test.each(ALL)('%s has a sound schema', (_name, schema) => {
    // As it is written: what is told of it beside JSON is not looked at.
    const written = JSON.parse(JSON.stringify(schema)) as object;
    expect([ajv.validateSchema(written), ajv.errors ?? []]).toEqual([true, []]);
  });

  test('what is no schema is found', () => {
    expect(ajv.validateSchema({ type: 'word' })).toBe(false);
  });
});
