import type { TSchema } from '@sinclair/typebox';
import { SCHEMAS } from '../model';
import { FORMS } from '../said';
import { EDITS } from '.';

/** What schemas say of their patterns, wherever in them. */
function saysIn(schema: unknown, found = new Set<string>()): Set<string> {
  if (typeof schema !== 'object' || schema === null) return found;
  const { pattern, says } = schema as { pattern?: unknown; says?: unknown };
  if (typeof pattern === 'string' && typeof says === 'string') found.add(says);
  for (const member of Object.values(schema)) saysIn(member, found);
  return found;
}

test('what a schema says of a pattern has words, and all that has words is said by one', () => {
  const schemas: TSchema[] = [
    ...Object.values(SCHEMAS),
    ...Object.values(EDITS).map(({ args }) => args),
  ];
  const said = schemas.reduce((all, schema) => saysIn(schema, all), new Set<string>());
  expect([...said].sort()).toEqual(Object.keys(FORMS).sort());
});
