import { dotted } from './check';
import { running } from './run';
import type { Tree } from './tree';

/** What is known of a name: a text, a number, yes or no, or that it is empty. */
export type KnownValue = string | number | boolean | null;

/**
 * What is left of an expression when some of its names are known: what can be worked out from them is, of a condition that is
 * decided only its way is left. It gives the same, whatever the other names come to.
 * @param known the value of a name; nothing for one that is not known, or that cannot be written out
 */
export function partly(tree: Tree, known: (name: string) => KnownValue | undefined): Tree {
  const name = dotted(tree);
  if (name !== undefined) {
    const value = known(name);
    return value === undefined ? tree : { is: 'literal', value, start: tree.start, end: tree.end };
  }
  const left = (of: Tree) => partly(of, known);
  switch (tree.is) {
    case 'literal':
    case 'name':
      return tree;
    case 'if': {
      const test = left(tree.test);
      if (test.is === 'literal' && test.value === true) return left(tree.then);
      if (test.is === 'literal' && test.value === false) return left(tree.otherwise);
      return { ...tree, test, then: left(tree.then), otherwise: left(tree.otherwise) };
    }
    case 'member':
    case 'not':
    case 'minus': {
      const of = left(tree.of);
      return decided({ ...tree, of }, [of]);
    }
    case 'call': {
      const given = tree.given.map(left);
      return decided({ ...tree, given }, given);
    }
    case 'list':
      return { ...tree, items: tree.items.map(left) };
    case 'binary': {
      const [one, other] = [left(tree.left), left(tree.right)];
      return decided({ ...tree, left: one, right: other }, [one, other]);
    }
  }
}

/** A part as what it gives, where all that it reads is written out; what fails is left to fail where it stands. */
function decided(tree: Tree, parts: readonly Tree[]): Tree {
  if (!parts.every(isWrittenOut)) return tree;
  const value = running(tree, [])([]);
  return value === null || ['string', 'number', 'boolean'].includes(typeof value)
    ? { is: 'literal', value: value as KnownValue, start: tree.start, end: tree.end }
    : tree;
}

function isWrittenOut(tree: Tree): boolean {
  return tree.is === 'literal' || (tree.is === 'list' && tree.items.every(isWrittenOut));
}

/** The names that an expression reads, those with dots whole. */
export function namesOf(tree: Tree): ReadonlySet<string> {
  const found = new Set<string>();
  const open: Tree[] = [tree];
  for (let at = open.pop(); at; at = open.pop()) {
    const name = dotted(at);
    if (name !== undefined) found.add(name);
    else if (at.is === 'if') open.push(at.test, at.then, at.otherwise);
    else if (at.is === 'binary') open.push(at.left, at.right);
    else if (at.is === 'call') open.push(...at.given);
    else if (at.is === 'list') open.push(...at.items);
    else if (at.is === 'not' || at.is === 'minus' || at.is === 'member') open.push(at.of);
  }
  return found;
}
