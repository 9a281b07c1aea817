import fc from 'fast-check';
import { Failure, namesOf, partly, readExpression, running, type KnownValue, type Tree } from '.';

const NAMES = ['a', 'b', 'many', 'most', 'wide', 'open', 'at.town'];

/** Expressions that fit together, of texts, numbers, and yes or no. */
const typed = fc.letrec<{ text: string; number: string; yes: string }>((tie) => ({
  text: fc.oneof(
    { depthSize: 'small', withCrossShrink: true },
    fc.constantFrom('a', 'b', 'at.town', '"x"', '""', 'null'),
    fc.tuple(tie('text'), tie('text')).map(([one, other]) => `(${one} + ${other})`),
    fc.tuple(tie('yes'), tie('text'), tie('text')).map(([t, x, y]) => `(${t} ? ${x} : ${y})`),
    tie('number').map((number) => `string(${number})`),
  ),
  number: fc.oneof(
    { depthSize: 'small', withCrossShrink: true },
    fc.constantFrom('many', 'most', '0', '3', '-1'),
    fc
      .tuple(tie('number'), fc.constantFrom('+', '-', '*', '/', '%'), tie('number'))
      .map(([one, by, other]) => `(${one} ${by} ${other})`),
    tie('text').map((text) => `size(${text})`),
    fc.tuple(tie('yes'), tie('number'), tie('number')).map(([t, x, y]) => `(${t} ? ${x} : ${y})`),
  ),
  yes: fc.oneof(
    { depthSize: 'small', withCrossShrink: true },
    fc.constantFrom('wide', 'open', 'true', 'false'),
    fc
      .tuple(tie('number'), fc.constantFrom('<', '<=', '>', '>=', '==', '!='), tie('number'))
      .map(([one, by, other]) => `(${one} ${by} ${other})`),
    fc
      .tuple(tie('text'), fc.constantFrom('==', '!='), tie('text'))
      .map(([one, by, other]) => `(${one} ${by} ${other})`),
    fc
      .tuple(tie('yes'), fc.constantFrom('&&', '||'), tie('yes'))
      .map(([one, by, other]) => `(${one} ${by} ${other})`),
    fc.tuple(tie('text'), tie('text')).map(([one, other]) => `(${one} in [${other}, "x"])`),
    tie('yes').map((yes) => `!${yes}`),
  ),
}));

const values = fc.record({
  a: fc.constantFrom('x', 'y', '', null),
  b: fc.constantFrom('x', 'long words', null),
  many: fc.constantFrom(0, 3, 12, null),
  most: fc.constantFrom(3, -1, null),
  wide: fc.constantFrom(true, false, null),
  open: fc.constantFrom(true, false),
  'at.town': fc.constantFrom('x', 'town', null),
} satisfies Record<string, unknown>);

function treeOf(cel: string): Tree {
  const read = readExpression(cel);
  if (!read.ok) throw new Error(`${cel}: ${read.said.code}`);
  return read.tree;
}

/** What an expression gives; what fails is all the same. */
const outcome = (tree: Tree, given: Readonly<Record<string, unknown>>): unknown => {
  const value = running(tree, NAMES)(NAMES.map((name) => given[name]));
  return value instanceof Failure ? 'fails' : value;
};

test('what is left of an expression gives what all of it gives, whichever of its names are known before', () => {
  fc.assert(
    fc.property(
      fc.oneof(typed.text, typed.number, typed.yes),
      values,
      fc.subarray(NAMES),
      (cel, given, known) => {
        const tree = treeOf(cel);
        const left = partly(tree, (name) =>
          known.includes(name) ? (given as Record<string, KnownValue>)[name] : undefined,
        );
        expect([cel, outcome(left, given)]).toEqual([cel, outcome(tree, given)]);
        for (const name of namesOf(left)) expect(known).not.toContain(name);
      },
    ),
    { numRuns: 1500 },
  );
});

test('of a condition that is decided only its way is left', () => {
  const left = partly(treeOf('many > 2 && wide ? a + "!" : b'), (name) =>
    name === 'many' ? 5 : name === 'wide' ? true : undefined,
  );
  expect([...namesOf(left)]).toEqual(['a']);
  expect(left.is).toBe('binary');
});
