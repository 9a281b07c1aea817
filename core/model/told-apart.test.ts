import { Type } from '@sinclair/typebox';
import { toldApart } from './told-apart';

const a = Type.Object({ is: Type.Literal('a'), of: Type.Literal('x') });
/** What of a schema is written: TypeBox keeps more beside. */
const written = (schema: unknown): unknown => JSON.parse(JSON.stringify(schema));
const b = Type.Object({ is: Type.Literal('b'), of: Type.Literal('x') });

test('a union is told apart by the member that every branch demands with a constant of its own', () => {
  expect(written(toldApart(Type.Union([a, b])))).toEqual({
    type: 'object',
    discriminator: { propertyName: 'is' },
    oneOf: written([a, b]),
  });
});

test('is left as it is where the member may be missing, is the same in two, or a branch is no object', () => {
  const loose = Type.Object({ is: Type.Optional(Type.Literal('c')) });
  for (const union of [
    Type.Union([a, loose]),
    Type.Union([a, a]),
    Type.Union([a, Type.Null()]),
    Type.Union([Type.Literal('a'), Type.Literal('b')]),
  ])
    expect(written(toldApart(union))).toEqual(written(union));
});
