import { own, type ValueKind } from '../model';
import { say, type Said } from '../said';
import { FUNCTIONS, type Overload } from './functions';
import type { Fault } from './read';
import type { BinaryOperator, Gives, Tree } from './tree';

/** What checking gives: of which kind the result is, or all that does not fit together. */
export type Checked =
  | { readonly ok: true; readonly gives: Gives }
  | { readonly ok: false; readonly faults: readonly Fault[] };

/** The kind of what a name stands for: a list for one that holds several; nothing where there is no such name. */
export type GivenNames = (name: string) => Gives | undefined;

const YES: Gives = { of: 'boolean' };
const NUMBER: Gives = { of: 'number' };
const TEXT: Gives = { of: 'text' };

/** Kinds that have an order. */
const ORDERED = new Set<ValueKind | 'nothing'>(['number', 'text', 'date', 'boolean']);

/**
 * Checks that everything in an expression fits together, before it is saved (CEL language definition, Gradual Type Checking,
 * without dynamic types).
 * @param names what the names in it stand for
 */
export function checked(tree: Tree, names: GivenNames): Checked {
  const check = new Check(names);
  const gives = check.one(tree);
  return gives && check.faults.length === 0
    ? { ok: true, gives }
    : { ok: false, faults: check.faults };
}

/** The options that something of a choice can be; nothing where that is not known, or where it is no choice. */
function optionsOf(gives: Gives): readonly string[] | undefined {
  return 'options' in gives ? gives.options : undefined;
}

/** Whether what is given can stand where something is wanted: of its kind, and of a choice that has an option of it. */
export function canStandFor(given: Gives, wanted: Gives): boolean {
  if (given.isList || given.of !== wanted.of) return false;
  const [has, takes] = [optionsOf(given), optionsOf(wanted)];
  return !has || !takes || has.some((option) => takes.includes(option));
}

/** What one of two parts gives, either of the same kind. */
function eitherOf(one: Gives, other: Gives): Gives {
  if (one.of === 'nothing') return other;
  const [first, second] = [optionsOf(one), optionsOf(other)];
  if (!first || other.of === 'nothing') return one;
  const { of } = one;
  return second ? ({ of, options: [...new Set([...first, ...second])] } as Gives) : { of };
}

/** Whether what two parts give can be the same thing; nothing can be anything. */
export function sameKind(a: Gives, b: Gives): boolean {
  return a.of === 'nothing' || b.of === 'nothing' || (a.of === b.of && !a.isList === !b.isList);
}

class Check {
  readonly faults: Fault[] = [];

  constructor(private readonly names: GivenNames) {}

  private fault({ start, end }: Tree, said: Said): undefined {
    this.faults.push({ start, end, said });
    return undefined;
  }

  /** What a part gives; nothing where that cannot be said, which has been told then. */
  one(tree: Tree): Gives | undefined {
    switch (tree.is) {
      case 'literal':
        return literalGives(tree.value);
      case 'name':
        return (
          this.names(tree.name) ?? this.fault(tree, say('nothing-so-named', { name: tree.name }))
        );
      case 'member': {
        const name = dotted(tree);
        const known = name === undefined ? undefined : this.names(name);
        if (known) return known;
        return this.fault(tree, say('nothing-so-named', { name: name ?? tree.member }));
      }
      case 'not':
        return this.must(tree.of, YES);
      case 'minus':
        return this.must(tree.of, NUMBER);
      case 'if':
        return this.choice(tree);
      case 'list':
        return this.list(tree);
      case 'call':
        return this.call(tree);
      case 'binary':
        return this.binary(tree);
    }
  }

  private must(tree: Tree, wanted: Gives): Gives | undefined {
    const gives = this.one(tree);
    if (!gives) return undefined;
    return gives.of === wanted.of && !gives.isList === !wanted.isList
      ? wanted
      : this.fault(tree, say('must-give', { wanted: kindSaid(wanted), gives: kindSaid(gives) }));
  }

  private choice({ test, then, otherwise }: Extract<Tree, { is: 'if' }>): Gives | undefined {
    this.must(test, YES);
    const [one, other] = [this.one(then), this.one(otherwise)];
    if (!one || !other) return undefined;
    if (!sameKind(one, other))
      return this.fault(
        otherwise,
        say('both-ways-the-same', { one: kindSaid(one), other: kindSaid(other) }),
      );
    return eitherOf(one, other);
  }

  private list({ items }: Extract<Tree, { is: 'list' }>): Gives | undefined {
    let of: Gives['of'] = 'nothing';
    for (const item of items) {
      const gives = this.one(item);
      if (!gives) return undefined;
      if (gives.isList) return this.fault(item, say('no-list-in-list'));
      if (of !== 'nothing' && gives.of !== 'nothing' && gives.of !== of)
        return this.fault(
          item,
          say('list-of-one-kind', { one: kindSaid({ of }), other: kindSaid(gives) }),
        );
      if (of === 'nothing') of = gives.of;
    }
    return { of, isList: true };
  }

  private call(tree: Extract<Tree, { is: 'call' }>): Gives | undefined {
    const overloads = own(FUNCTIONS, tree.name);
    if (!overloads) return this.fault(tree, say('no-such-function', { name: tree.name }));
    const given = tree.given.map((each) => this.one(each));
    if (given.some((each) => !each)) return undefined;
    const found = overloads.find((each) => takes(each, given as Gives[]));
    return (
      found?.gives ??
      this.fault(
        tree,
        say('function-takes', {
          name: tree.name,
          takes: overloads.map(takesSaid),
          given: given.map((each) => kindSaid(each!)),
        }),
      )
    );
  }

  private binary(tree: Extract<Tree, { is: 'binary' }>): Gives | undefined {
    const { by, left, right } = tree;
    if (by === '&&' || by === '||') {
      const both = [this.must(left, YES), this.must(right, YES)];
      return both.every(Boolean) ? YES : undefined;
    }
    const [one, other] = [this.one(left), this.one(right)];
    if (!one || !other) return undefined;
    const gives = givenBy(by, one, other);
    return (
      gives ??
      this.fault(
        tree,
        say(by === '==' || by === '!=' ? 'never-equal' : 'operator-takes', {
          operator: by,
          one: kindSaid(one),
          other: kindSaid(other),
        }),
      )
    );
  }
}

/** What an operator between two kinds gives; nothing where it is not there for them. */
function givenBy(by: BinaryOperator, one: Gives, other: Gives): Gives | undefined {
  switch (by) {
    case '==':
    case '!=':
      return sameKind(one, other) ? YES : undefined;
    case 'in':
      return other.isList && !one.isList && sameKind(one, { of: other.of } as Gives)
        ? YES
        : undefined;
    case '+':
      if (one.of === 'text' && other.of === 'text' && !one.isList && !other.isList) return TEXT;
      if (one.isList && other.isList && sameKind(one, other))
        return one.of === 'nothing' ? other : one;
      break;
    case '<':
    case '<=':
    case '>':
    case '>=':
      return one.of === other.of && ORDERED.has(one.of) && !one.isList && !other.isList
        ? YES
        : undefined;
    default:
  }
  const isNumbers = [one, other].every(({ of, isList }) => of === 'number' && !isList);
  return isNumbers ? NUMBER : undefined;
}

function takes({ takes: wanted, more }: Overload, given: readonly Gives[]): boolean {
  if (more ? given.length < wanted.length : given.length !== wanted.length) return false;
  return given.every((each, i) => {
    const one = wanted[Math.min(i, wanted.length - 1)]!;
    return (
      one === 'any' ||
      (one.isList
        ? each.isList === true && sameKind(each, one)
        : each.of === one.of && !each.isList)
    );
  });
}

function literalGives(value: string | number | boolean | null): Gives {
  if (value === null) return { of: 'nothing' };
  return typeof value === 'string' ? TEXT : typeof value === 'number' ? NUMBER : YES;
}

/** A kind as it is told: `kind` is a word of its own, in the words of whoever shows it. */
function kindSaid({ of, isList }: Gives): Said {
  const one = of === 'nothing' ? say('gives-nothing') : say('gives-kind', { kind: of });
  return isList ? say('gives-list', { of: one }) : one;
}

function takesSaid({ takes: wanted, more }: Overload): Said {
  return say(more ? 'takes-several' : 'takes-these', {
    these: wanted.map((each) => (each === 'any' ? say('takes-anything') : kindSaid(each))),
  });
}

/** Names with dots between, as they were typed; nothing for members of anything else. */
export function dotted(tree: Tree): string | undefined {
  if (tree.is === 'name') return tree.name;
  if (tree.is !== 'member') return undefined;
  const before = dotted(tree.of);
  return before === undefined ? undefined : `${before}.${tree.member}`;
}
