import { Type } from '@sinclair/typebox';
import { toldApart } from './told-apart';

const a = Type.Object({ is: Type.Literal('a'), of: Type.Literal('x') });
const b = Type.Object({ is: Type.Literal('b'), of: Type.Literal('x') });

test('a union is told apart by the member that every branch demands with a constant of its own', () => {
  const { oneOf, anyOf, discriminator } = toldApart(Type.Union([a, b]));
  expect([oneOf, anyOf, discriminator]).toEqual([[a, b], undefined, { propertyName: 'is' }]);
});

test('is left as it is where the member may be missing, is the same in two, or a branch is no object', () => {
  const loose = Type.Object({ is: Type.Optional(Type.Literal('c')) });
  for (const union of [
    Type.Union([a, loose]),
    Type.Union([a, a]),
    Type.Union([a, Type.Null()]),
    Type.Union([Type.Literal('a'), Type.Literal('b')]),
  ])
    expect(toldApart(union)).toEqual({ ...union });
});
