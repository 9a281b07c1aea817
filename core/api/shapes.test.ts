import { Ajv } from 'ajv';
import type { TSchema } from '@sinclair/typebox';
import { schemaFindings } from '../model';
import * as shapes from '.';
import { isSaid } from '../said';

const ALL = Object.entries(shapes) as [string, TSchema][];

/** The meta-schema of JSON Schema draft-07 (json-schema.org/draft-07/schema), as Ajv ships it. */
test.each(ALL)('%s has a sound schema', (_name, schema) => {
  const ajv = new Ajv();
  const written = JSON.parse(JSON.stringify(schema)) as object;
  expect([ajv.validateSchema(written), ajv.errors ?? []]).toEqual([true, []]);
});

/** Every object in a schema that lists its members, by where it stands. */
function objectsIn(schema: unknown, at: string): [at: string, schema: Record<string, unknown>][] {
  if (typeof schema !== 'object' || schema === null) return [];
  const inside = Object.entries(schema).flatMap(([key, each]) => objectsIn(each, `${at}/${key}`));
  const isObject = 'type' in schema && schema.type === 'object' && 'properties' in schema;
  return isObject ? [[at, schema], ...inside] : inside;
}

test.each(ALL)('%s takes and gives no member that it does not name', (name, schema) => {
  const objects = objectsIn(JSON.parse(JSON.stringify(schema)), name);
  expect(objects.length).toBeGreaterThan(0);
  const open = objects.filter(([, each]) => each['additionalProperties'] !== false);
  expect(open.map(([at]) => at)).toEqual([]);
});

const edit = {
  id: 'an-edit-of-mine',
  who: 'a window',
  name: 'setPage',
  args: {},
  changes: [{ doc: 'page', path: '/title', was: 'a', now: 'b' }],
};

test('an edit as windows send it is taken', () => {
  expect(schemaFindings(shapes.EditRequest, edit)).toEqual([]);
  expect(schemaFindings(shapes.EditRequest, { ...edit, stretch: null })).toEqual([]);
});

test.each([
  ['a member that is not known', { ...edit, more: 1 }, ''],
  ['nobody', { ...edit, who: '' }, '/who'],
  ['no changes', { ...edit, changes: undefined }, '/changes'],
  ['an id with odd characters', { ...edit, id: 'a b' }, '/id'],
  ['a path that is no pointer', { ...edit, changes: [{ ...edit.changes[0], path: 'x' }] }, ''],
])('an edit with %s is told where and in words of ours', (_what, sent, path) => {
  const findings = schemaFindings(shapes.EditRequest, JSON.parse(JSON.stringify(sent)));
  expect(findings.length).toBeGreaterThan(0);
  expect(findings[0]!.path.startsWith(path)).toBe(true);
  for (const { reason } of findings) expect(isSaid(reason)).toBe(true);
});

const site = { name: 'Sheds', slug: 'sheds', language: 'en', width: 720 };

test.each([
  ['empty', { ...site, begins: 'empty' }, true],
  ['as a copy', { ...site, begins: { copy: 'other' } }, true],
  ['as a copy of nothing', { ...site, begins: { copy: '' } }, false],
  ['in a language that is none', { ...site, begins: 'empty', language: 'english please' }, false],
  ['with an address that is none', { ...site, begins: 'empty', slug: 'A b' }, false],
  ['with a width that nothing has', { ...site, begins: 'empty', width: 5 }, false],
])('a site is asked for %s', (_what, asked, taken) => {
  expect(schemaFindings(shapes.SiteRequest, asked).length === 0).toBe(taken);
});
