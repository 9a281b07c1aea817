import { find, walk, type CssNode, type List, type ListItem, type Value } from 'css-tree';

/** What a sum comes to: a number, something with a unit, or what only its use tells. */
type Kind = 'number' | 'measure' | 'unknown';

const SUMS = new Set(['calc', 'min', 'max', 'clamp']);

/**
 * Sees to it that sums in a value are ones (CSS Values and Units 4, 10.9: what is added has one type, one factor is a
 * number), which the value definitions leave open: in the place of each stands something of what it comes to.
 * @param of what stands for lengths and percentages that are added: what takes the one need not take the other
 * @returns whether all sums are ones
 */
export function readSums(value: Value, of: 'length' | 'percentage' = 'length'): boolean {
  let isSound = true;
  walk(value, {
    visit: 'Function',
    enter(node, item: ListItem<CssNode>, list: List<CssNode>) {
      if (!SUMS.has(node.name.toLowerCase())) return;
      const kind = kindOf(node);
      if (kind === undefined) isSound = false;
      else if (list && kind !== 'unknown')
        list.replace(item, list.createItem(kind === 'number' ? ONE : measureIn(node, of)));
    },
  });
  return isSound;
}

const ONE: CssNode = { type: 'Number', value: '1' };

/** Something with the unit that a sum has. */
function measureIn(sum: CssNode, of: 'length' | 'percentage'): CssNode {
  const measure = find(sum, ({ type }) => type === 'Dimension');
  const isPercentage = find(sum, ({ type }) => type === 'Percentage') !== null;
  return measure?.type === 'Dimension' && !(isPercentage && of === 'percentage')
    ? { type: 'Dimension', value: '1', unit: measure.unit }
    : { type: 'Percentage', value: '1' };
}

function kindOf(node: CssNode): Kind | undefined {
  switch (node.type) {
    case 'Number':
      return 'number';
    case 'Dimension':
    case 'Percentage':
      return 'measure';
    case 'Parentheses':
      return kindOfSum(node.children.toArray());
    case 'Function': {
      if (!SUMS.has(node.name.toLowerCase())) return 'unknown';
      const parts: CssNode[][] = [[]];
      for (const each of node.children.toArray())
        if (each.type === 'Operator' && each.value === ',') parts.push([]);
        else parts.at(-1)!.push(each);
      return parts.map(kindOfSum).reduce(added);
    }
    default:
      return 'unknown';
  }
}

/** What a sum of products comes to; nothing where different things are added or multiplied. */
function kindOfSum(nodes: readonly CssNode[]): Kind | undefined {
  let sum: Kind | undefined = 'unknown';
  let product: Kind | undefined;
  let sign = '';
  for (const node of nodes) {
    if (node.type === 'WhiteSpace') continue;
    if (node.type === 'Operator') {
      sign = node.value.trim();
      if (sign !== '+' && sign !== '-') continue;
      sum = added(sum, product);
      product = undefined;
      continue;
    }
    const kind = kindOf(node);
    product = product === undefined || kind === undefined ? kind : multiplied(product, kind, sign);
    if (product === undefined) return undefined;
  }
  return added(sum, product);
}

function added(a: Kind | undefined, b: Kind | undefined): Kind | undefined {
  if (a === undefined || b === undefined) return undefined;
  if (a === 'unknown') return b;
  return b === 'unknown' || a === b ? a : undefined;
}

function multiplied(a: Kind, b: Kind, sign: string): Kind | undefined {
  if (a === 'unknown' || b === 'unknown') return 'unknown';
  if (sign === '/') return b === 'number' ? a : undefined;
  if (a === 'measure' && b === 'measure') return undefined;
  return a === 'measure' ? a : b;
}
