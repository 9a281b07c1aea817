import { dotted } from './check';
import type { BinaryOperator, Tree } from './tree';

/** How a condition compares what a name stands for. */
export type Comparison =
  | 'is'
  | 'isNot'
  | 'oneOf'
  | 'noneOf'
  | 'empty'
  | 'notEmpty'
  | 'contains'
  | 'containsNot'
  | 'startsWith'
  | 'endsWith'
  | 'less'
  | 'atMost'
  | 'more'
  | 'atLeast'
  | 'yes'
  | 'no';

/** A value in a table: written there, or what a name stands for. */
export type Cell =
  | { readonly is: 'literal'; readonly value: string | number | boolean | null }
  | { readonly is: 'name'; readonly name: string }
  /** A day, as a full-date (RFC 3339, 5.6). */
  | { readonly is: 'day'; readonly day: string }
  /** Anything else, as it is written: whoever shows tables leaves it alone. */
  | { readonly is: 'written'; readonly cel: string };

/** One condition: a name, how it is compared, and with what; several values for `oneOf` and `noneOf`, none for others. */
export interface Condition {
  readonly name: string;
  readonly is: Comparison;
  readonly values: readonly Cell[];
}

/** A row: when all conditions of one of its alternatives hold, then this. */
export interface Row {
  /** Any of these, of each of which all must hold. */
  readonly when: readonly (readonly Condition[])[];
  readonly then: Cell;
}

/** Rows of "when … then …", the first that holds, and what there is otherwise. */
export interface Table {
  readonly rows: readonly Row[];
  readonly otherwise: Cell;
}

const COMPARED: Readonly<Partial<Record<BinaryOperator, Comparison>>> = {
  '==': 'is',
  '!=': 'isNot',
  '<': 'less',
  '<=': 'atMost',
  '>': 'more',
  '>=': 'atLeast',
};
const SIGN = Object.fromEntries(
  Object.entries(COMPARED).map(([sign, is]) => [is, sign]),
) as Readonly<Partial<Record<Comparison, string>>>;
const CALLED: Readonly<Record<string, Comparison>> = {
  '.contains': 'contains',
  '.startsWith': 'startsWith',
  '.endsWith': 'endsWith',
};

/** An expression as a table; nothing where it cannot be one. @param cel what the tree was read from */
export function tableOf(tree: Tree, cel: string): Table | undefined {
  const rows: Row[] = [];
  let at = tree;
  while (at.is === 'if') {
    const when = alternatives(at.test, cel);
    if (!when) return undefined;
    rows.push({ when, then: cellOf(at.then, cel) });
    at = at.otherwise;
  }
  const only = cellOf(tree, cel);
  if (only.is !== 'written') return { rows: [], otherwise: only };
  // A condition alone is a table too: yes when it holds, no otherwise.
  const alone = rows.length === 0 ? alternatives(tree, cel) : undefined;
  if (alone)
    return {
      rows: [{ when: alone, then: { is: 'literal', value: true } }],
      otherwise: { is: 'literal', value: false },
    };
  return rows.length === 0 ? undefined : { rows, otherwise: cellOf(at, cel) };
}

function alternatives(tree: Tree, cel: string): Condition[][] | undefined {
  if (tree.is === 'binary' && tree.by === '||') {
    const [one, other] = [alternatives(tree.left, cel), alternatives(tree.right, cel)];
    return one && other && [...one, ...other];
  }
  const all = together(tree, cel);
  return all && [all];
}

function together(tree: Tree, cel: string): Condition[] | undefined {
  if (tree.is === 'binary' && tree.by === '&&') {
    const [one, other] = [together(tree.left, cel), together(tree.right, cel)];
    return one && other && [...one, ...other];
  }
  const one = condition(tree, cel);
  return one && [one];
}

function condition(tree: Tree, cel: string): Condition | undefined {
  const name = dotted(tree);
  if (name !== undefined) return { name, is: 'yes', values: [] };
  if (tree.is === 'not') {
    const of = condition(tree.of, cel);
    const is = of && TURNED[of.is];
    return is && { ...of, is };
  }
  if (tree.is === 'call') {
    const [first, second] = tree.given;
    const on = first && dotted(first);
    if (on === undefined) return undefined;
    if (tree.name === 'empty' && tree.given.length === 1)
      return { name: on, is: 'empty', values: [] };
    const is = CALLED[tree.name];
    return is && second && tree.given.length === 2 ? simple(on, is, [second], cel) : undefined;
  }
  if (tree.is !== 'binary') return undefined;
  const on = dotted(tree.left);
  if (on === undefined) return undefined;
  if (tree.by === 'in')
    return tree.right.is === 'list' ? simple(on, 'oneOf', tree.right.items, cel) : undefined;
  const is = COMPARED[tree.by];
  return is && simple(on, is, [tree.right], cel);
}

/** What the opposite of a condition is, where that is a condition of its own. */
const TURNED: Readonly<Partial<Record<Comparison, Comparison>>> = {
  yes: 'no',
  empty: 'notEmpty',
  oneOf: 'noneOf',
  contains: 'containsNot',
};

function simple(
  name: string,
  is: Comparison,
  trees: readonly Tree[],
  cel: string,
): Condition | undefined {
  const values = trees.map((each) => cellOf(each, cel));
  return values.every((each) => each.is !== 'written') ? { name, is, values } : undefined;
}

function cellOf(tree: Tree, cel: string): Cell {
  const name = dotted(tree);
  if (name !== undefined) return { is: 'name', name };
  if (tree.is === 'literal') return { is: 'literal', value: tree.value };
  if (tree.is === 'call' && tree.name === 'date') {
    const [day] = tree.given;
    if (day?.is === 'literal' && typeof day.value === 'string')
      return { is: 'day', day: day.value };
  }
  return { is: 'written', cel: cel.slice(tree.start, tree.end) };
}

/** A table as an expression. */
export function writeTable({ rows, otherwise }: Table): string {
  return [
    ...rows.map(({ when, then }) => `${writtenWhen(when)} ? ${cellText(then)} : `),
    cellText(otherwise),
  ].join('');
}

function writtenWhen(when: Row['when']): string {
  return when.map((all) => all.map(writtenCondition).join(' && ')).join(' || ') || 'false';
}

function writtenCondition({ name, is, values }: Condition): string {
  const [value = ''] = values.map(cellText);
  const sign = SIGN[is];
  if (sign) return `${name} ${sign} ${value}`;
  switch (is) {
    case 'yes':
      return name;
    case 'no':
      return `!${name}`;
    case 'empty':
      return `empty(${name})`;
    case 'notEmpty':
      return `!empty(${name})`;
    case 'oneOf':
    case 'noneOf': {
      const list = `${name} in [${values.map(cellText).join(', ')}]`;
      return is === 'oneOf' ? list : `!(${list})`;
    }
    case 'containsNot':
      return `!${name}.contains(${value})`;
    default:
      return `${name}.${is}(${value})`;
  }
}

/** A value as it is written in an expression. */
export function cellText(cell: Cell): string {
  if (cell.is === 'name') return cell.name;
  if (cell.is === 'day') return `date(${quoted(cell.day)})`;
  if (cell.is === 'written') return `(${cell.cel})`;
  return typeof cell.value === 'string' ? quoted(cell.value) : String(cell.value);
}

/** A text between quotation marks (CEL language definition, String and Bytes Values). */
export function quoted(text: string): string {
  const escaped = text.replace(/[\\"\n\r\t]/g, (sign) => ESCAPES[sign]!);
  return `"${escaped}"`;
}

const ESCAPES: Readonly<Record<string, string>> = {
  '\\': '\\\\',
  '"': '\\"',
  '\n': '\\n',
  '\r': '\\r',
  '\t': '\\t',
};
