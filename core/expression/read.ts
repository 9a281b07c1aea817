import { parse, ParseError, type ASTNode } from '@marcbachmann/cel-js';
import { say, type Said } from '../said';
import type { BinaryOperator, Range, Tree } from './tree';

/** Why something typed is no expression here, and where. */
export interface Fault extends Range {
  readonly said: Said;
}

/** What was read: the expression, or why it is none. */
export type Read = { readonly ok: true; readonly tree: Tree } | ({ readonly ok: false } & Fault);

/** How long an expression may be, in characters. */
export const LONGEST_EXPRESSION = 2000;

/**
 * Reads an expression (CEL language definition, Syntax). The package reads; what is not in the environment is told by name.
 */
export function readExpression(cel: string): Read {
  if (cel.trim() === '')
    return { ok: false, start: 0, end: cel.length, said: say('no-expression') };
  if (cel.length > LONGEST_EXPRESSION)
    return {
      ok: false,
      start: LONGEST_EXPRESSION,
      end: cel.length,
      said: say('expression-too-long', { most: LONGEST_EXPRESSION }),
    };
  let ast: ASTNode;
  try {
    ({ ast } = parse(cel));
  } catch (error) {
    if (!(error instanceof ParseError)) throw error;
    const { start, end } = error.range ?? { start: 0, end: cel.length };
    return { ok: false, start, end, said: faultSaid(error, cel, start) };
  }
  try {
    return { ok: true, tree: treeOf(ast) };
  } catch (error) {
    if (!(error instanceof LeftOut)) throw error;
    return { ok: false, ...error.fault };
  }
}

/** What a reader met that nobody can go on from. */
function faultSaid(error: ParseError, cel: string, start: number): Said {
  if (error.code === 'unterminated_string') return say('text-not-closed');
  if (start >= cel.trimEnd().length) return say('expression-stops');
  if (error.code === 'unexpected_character' || /^(un)?expected/.test(error.code))
    return say('does-not-go-on', { with: firstOf(cel.slice(start)) });
  return say('not-an-expression');
}

/** The word or sign that something begins with. */
function firstOf(rest: string): string {
  return (
    /^[\p{L}_][\p{L}\p{N}_]*|^[\d.]+/u.exec(rest)?.[0] ?? String.fromCodePoint(rest.codePointAt(0)!)
  );
}

/** Something of CEL that is not in this environment. */
class LeftOut extends Error {
  constructor(readonly fault: Fault) {
    super(fault.said.code);
  }
}

function leftOut(node: ASTNode, what: Said): LeftOut {
  return new LeftOut({
    start: node.start,
    end: node.end,
    said: say('not-in-expressions', { what }),
  });
}

const BINARY = new Set<string>([
  '==',
  '!=',
  '<',
  '<=',
  '>',
  '>=',
  '+',
  '-',
  '*',
  '/',
  '%',
  'in',
  '&&',
  '||',
]);

/** Functions over lists that name what they walk: there is nothing here that would have to be walked. */
const MACROS = new Set([
  'all',
  'exists',
  'exists_one',
  'existsOne',
  'map',
  'filter',
  'transformList',
  'transformMap',
  'bind',
  'block',
]);

function treeOf(node: ASTNode): Tree {
  const { start, end } = node;
  switch (node.op) {
    case 'value': {
      const value: unknown = node.args;
      if (typeof value === 'bigint') return { is: 'literal', start, end, value: Number(value) };
      if (value === null || ['string', 'number', 'boolean'].includes(typeof value))
        return { is: 'literal', start, end, value: value as string | number | boolean | null };
      throw leftOut(node, say(value instanceof Uint8Array ? 'cel-bytes' : 'cel-whole-numbers'));
    }
    case 'id':
      return { is: 'name', start, end, name: node.args };
    case '.':
      return { is: 'member', start, end, of: treeOf(node.args[0]), member: node.args[1] };
    case 'call': {
      const [name, given] = node.args;
      if (name === 'has') throw leftOut(node, say('cel-has'));
      return { is: 'call', start, end, name, given: given.map(treeOf) };
    }
    case 'rcall': {
      const [name, on, given] = node.args;
      if (MACROS.has(name)) throw leftOut(node, say('cel-walking'));
      // `math.round(x)`: the name of a library, not a value.
      if (on.op === 'id' && on.args === 'math')
        return { is: 'call', start, end, name: `math.${name}`, given: given.map(treeOf) };
      return { is: 'call', start, end, name: `.${name}`, given: [on, ...given].map(treeOf) };
    }
    case 'list':
      return { is: 'list', start, end, items: node.args.map(treeOf) };
    case '?:': {
      const [test, then, otherwise] = node.args.map(treeOf);
      return { is: 'if', start, end, test: test!, then: then!, otherwise: otherwise! };
    }
    case '!_':
      return { is: 'not', start, end, of: treeOf(node.args) };
    case '-_': {
      const of = treeOf(node.args);
      return of.is === 'literal' && typeof of.value === 'number'
        ? { is: 'literal', start, end, value: -of.value }
        : { is: 'minus', start, end, of };
    }
    case 'map':
      throw leftOut(node, say('cel-maps'));
    case '[]':
      throw leftOut(node, say('cel-index'));
    default:
      if (!BINARY.has(node.op)) throw leftOut(node, say('cel-optional'));
      return {
        is: 'binary',
        start,
        end,
        by: node.op as BinaryOperator,
        left: treeOf((node.args as ASTNode[])[0]!),
        right: treeOf((node.args as ASTNode[])[1]!),
      };
  }
}

/** All parts of an expression, the whole first. */
export function partsOfTree(tree: Tree): Tree[] {
  switch (tree.is) {
    case 'literal':
    case 'name':
      return [tree];
    case 'member':
    case 'not':
    case 'minus':
      return [tree, ...partsOfTree(tree.of)];
    case 'call':
      return [tree, ...tree.given.flatMap(partsOfTree)];
    case 'list':
      return [tree, ...tree.items.flatMap(partsOfTree)];
    case 'binary':
      return [tree, ...partsOfTree(tree.left), ...partsOfTree(tree.right)];
    case 'if':
      return [tree, ...[tree.test, tree.then, tree.otherwise].flatMap(partsOfTree)];
  }
}
