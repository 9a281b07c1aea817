import { own, sameJson } from '../model';
import { dotted } from './check';
import { FAILS, FUNCTIONS, type Overload } from './functions';
import type { BinaryOperator, Range, Tree } from './tree';

/** That an expression has no result, with the part of it that gave none: something empty was reckoned with, or nothing fits. */
export class Failure {
  constructor(readonly at: Range) {}
}

/** The values of the names of an expression, in their order: texts, numbers, yes and no; whatever else as it is stored; `null` for none. */
export type Given = readonly unknown[];

/** Works out an expression: what it gives, or that it fails. */
export type Run = (given: Given) => unknown;

/**
 * An expression that was checked, as a function of the values of its names (CEL language definition, Evaluation). What is
 * empty is null: everything but equality, `empty` and the ways that are not taken fails with it. `&&` and `||` do not care
 * which side fails where the other decides.
 * @param names the names in it, in the order in which their values are given
 */
export function running(tree: Tree, names: readonly string[]): Run {
  switch (tree.is) {
    case 'literal': {
      const { value } = tree;
      return () => value;
    }
    case 'name':
    case 'member': {
      const at = names.indexOf(dotted(tree) ?? '');
      if (at < 0) return failing(tree);
      return (given) => given[at];
    }
    case 'not': {
      const of = running(tree.of, names);
      const failure = new Failure(tree);
      return (given) => {
        const value = of(given);
        return typeof value === 'boolean' ? !value : failed(value, failure);
      };
    }
    case 'minus': {
      const of = running(tree.of, names);
      const failure = new Failure(tree);
      return (given) => {
        const value = of(given);
        return typeof value === 'number' ? -value : failed(value, failure);
      };
    }
    case 'if': {
      const [test, then, otherwise] = [tree.test, tree.then, tree.otherwise].map((each) =>
        running(each, names),
      );
      const failure = new Failure(tree.test);
      return (given) => {
        const value = test!(given);
        if (value === true) return then!(given);
        return value === false ? otherwise!(given) : failed(value, failure);
      };
    }
    case 'list': {
      const items = tree.items.map((item) => running(item, names));
      if (tree.items.every(({ is }) => is === 'literal')) {
        const same = items.map((item) => item([]));
        return () => same;
      }
      return (given) => {
        const all = items.map((item) => item(given));
        return all.find((each) => each instanceof Failure) ?? all;
      };
    }
    case 'call':
      return called(tree, names);
    case 'binary':
      return combined(tree, names);
  }
}

function failing(at: Range): Run {
  const failure = new Failure(at);
  return () => failure;
}

/** What fails because of something that failed before keeps that: the first cause is what is told. */
function failed(value: unknown, failure: Failure): Failure {
  return value instanceof Failure ? value : failure;
}

function called(tree: Extract<Tree, { is: 'call' }>, names: readonly string[]): Run {
  const overloads = own(FUNCTIONS, tree.name) ?? [];
  const failure = new Failure(tree);
  const parts = tree.given.map((each) => running(each, names));
  // Only what takes anything takes nothing, too.
  const takesNothing = overloads.some(({ takes }) => takes.includes('any'));
  const fits = overloads.filter(({ takes, more }) => more || takes.length === parts.length);
  const [only] = fits;
  // Most are of two, in one way: they need no list of what they are given.
  if (fits.length === 1 && only && !only.more && !takesNothing && parts.length === 2)
    return ofTwo(only, parts as [Run, Run], failure);
  return (given) => {
    const values: unknown[] = [];
    for (const part of parts) {
      const value = part(given);
      if (value instanceof Failure || (value === null && !takesNothing))
        return failed(value, failure);
      values.push(value);
    }
    for (const { takes, run } of fits) {
      const last = takes.length - 1;
      if (!values.every((value, i) => isOf(value, takes[Math.min(i, last)]!))) continue;
      const result = (run as (...all: unknown[]) => unknown)(...values);
      return result === FAILS ? failure : result;
    }
    return failure;
  };
}

/** A call of two values that are taken in one way alone. */
function ofTwo({ takes, run }: Overload, [first, second]: [Run, Run], failure: Failure): Run {
  const [takesFirst, takesSecond] = takes as [Taken, Taken];
  const work = run as (one: unknown, other: unknown) => unknown;
  return (given) => {
    const one = first(given);
    if (one === null || one instanceof Failure) return failed(one, failure);
    const other = second(given);
    if (other === null || other instanceof Failure) return failed(other, failure);
    if (!isOf(one, takesFirst) || !isOf(other, takesSecond)) return failure;
    const result = work(one, other);
    return result === FAILS ? failure : result;
  };
}

type Taken = Overload['takes'][number];

function isOf(value: unknown, wanted: Taken): boolean {
  if (wanted === 'any') return true;
  if (wanted.isList) return Array.isArray(value);
  if (wanted.of === 'number') return typeof value === 'number';
  if (wanted.of === 'boolean') return typeof value === 'boolean';
  return typeof value === 'string';
}

function combined(tree: Extract<Tree, { is: 'binary' }>, names: readonly string[]): Run {
  const left = running(tree.left, names);
  const right = running(tree.right, names);
  const failure = new Failure(tree);
  const { by } = tree;
  if (by === '&&' || by === '||') {
    // The side that decides wins, whichever it is, over one that fails (CEL language definition, Logical Operators).
    const decides = by === '||';
    return (given) => {
      const one = left(given);
      if (one === decides) return decides;
      const other = right(given);
      if (other === decides) return decides;
      if (one === !decides && other === !decides) return !decides;
      return failed(typeof one === 'boolean' ? other : one, failure);
    };
  }
  if (by === '==' || by === '!=') {
    const wanted = by === '==';
    return (given) => {
      const one = left(given);
      if (one instanceof Failure) return one;
      const other = right(given);
      if (other instanceof Failure) return other;
      const same =
        typeof one === 'object' && typeof other === 'object' ? sameJson(one, other) : one === other;
      return same === wanted;
    };
  }
  if (by === 'in')
    return (given) => {
      const one = left(given);
      const list = right(given);
      if (one instanceof Failure) return one;
      if (!Array.isArray(list)) return failed(list, failure);
      return typeof one === 'object'
        ? list.some((each) => sameJson(each, one))
        : list.indexOf(one) >= 0;
    };
  const work = ARITHMETIC[by];
  const rest = (one: unknown, other: unknown): unknown => {
    if (one === null || other === null || one instanceof Failure || other instanceof Failure)
      return failed(one instanceof Failure ? one : other, failure);
    if (typeof one === 'object' && by === '+')
      return [...(one as unknown[]), ...(other as unknown[])];
    const result = work(one as never, other as never);
    return result === FAILS ? failure : result;
  };
  // Numbers are mostly compared: written out for each, as a function that is handed over costs as much as all the rest.
  switch (by) {
    case '<':
      return (given) => {
        const [one, other] = [left(given), right(given)];
        return typeof one === 'number' && typeof other === 'number'
          ? one < other
          : rest(one, other);
      };
    case '<=':
      return (given) => {
        const [one, other] = [left(given), right(given)];
        return typeof one === 'number' && typeof other === 'number'
          ? one <= other
          : rest(one, other);
      };
    case '>':
      return (given) => {
        const [one, other] = [left(given), right(given)];
        return typeof one === 'number' && typeof other === 'number'
          ? one > other
          : rest(one, other);
      };
    case '>=':
      return (given) => {
        const [one, other] = [left(given), right(given)];
        return typeof one === 'number' && typeof other === 'number'
          ? one >= other
          : rest(one, other);
      };
    default:
      return (given) => rest(left(given), right(given));
  }
}

/**
 * What operators give between two of one kind. Texts are compared by code points (CEL language definition), as their UTF-8
 * bytes stand; dates (RFC 3339) are texts whose order is that of the days.
 */
const ARITHMETIC: Readonly<
  Record<Exclude<BinaryOperator, '==' | '!=' | 'in' | '&&' | '||'>, (a: never, b: never) => unknown>
> = {
  '+': (a: number, b: number) => a + b,
  '-': (a: number, b: number) => a - b,
  '*': (a: number, b: number) => a * b,
  // Nobody wants an infinity on a page: what is divided by nothing fails, as it does for CEL's whole numbers.
  '/': (a: number, b: number) => (b === 0 ? FAILS : a / b),
  '%': (a: number, b: number) => (b === 0 ? FAILS : a % b),
  '<': (a: unknown, b: unknown) => order(a, b) < 0,
  '<=': (a: unknown, b: unknown) => order(a, b) <= 0,
  '>': (a: unknown, b: unknown) => order(a, b) > 0,
  '>=': (a: unknown, b: unknown) => order(a, b) >= 0,
};

function order(a: unknown, b: unknown): number {
  if (typeof a !== 'string' || typeof b !== 'string') return (a as number) - (b as number);
  if (a === b) return 0;
  // UTF-16 puts what lies beyond the first plane before the last of it: code points do not.
  for (let i = 0; i < a.length && i < b.length; i += 1)
    if (a[i] !== b[i]) return a.codePointAt(i)! - b.codePointAt(i)!;
  return a.length - b.length;
}
