import type { Source } from './source';
import type { TreeNode } from './tree';

/** The sources a node holds, each with the members that lead to it, in an order that storing does not change. */
export function sourcesOf(node: TreeNode): [string[], Source][] {
  const found: [string[], Source][] = [];
  if (node.kind === 'element')
    for (const name of Object.keys(node.attributes).sort())
      found.push([['attributes', name], node.attributes[name]!]);
  if (node.kind === 'instance')
    for (const id of Object.keys(node.values).sort())
      found.push([['values', id], node.values[id]!]);
  if (node.kind === 'text') found.push([['text'], node.text]);
  if (node.kind === 'repeat')
    node.query.where.forEach((condition, i) =>
      found.push([['query', 'where', String(i), 'equals'], condition.equals]),
    );
  if (node.kind !== 'slot' && node.kind !== 'repeat' && node.shown)
    found.push([['shown'], node.shown]);
  return found;
}

/** A source and those that stand in for it where it is empty. */
export function chainOf(source: Source): Source[] {
  const found = [source];
  let at = source;
  while (typeof at.whenEmpty === 'object') {
    at = at.whenEmpty.use;
    found.push(at);
  }
  return found;
}

/** What to put in place of a source, however deep it stands in a chain; the same one to leave it. */
type Replace = (source: Source) => Source;

/** A source with others put in place along its chain; the same object when none was. */
export function withSources(source: Source, replace: Replace): Source {
  const put = replace(source);
  if (put !== source || typeof source.whenEmpty !== 'object') return put;
  const use = withSources(source.whenEmpty.use, replace);
  return use === source.whenEmpty.use ? source : { ...source, whenEmpty: { use } };
}

/**
 * The members of a node with other sources in them, each under the pointer tokens of the smallest record
 * that an edit writes: a query's conditions stand in a list, so a query is written whole.
 */
export function membersWithSources(
  node: TreeNode,
  replace: Replace,
): [string[], Source | Extract<TreeNode, { kind: 'repeat' }>['query']][] {
  if (node.kind === 'repeat') {
    const where = node.query.where.map((condition) => {
      const equals = withSources(condition.equals, replace);
      return equals === condition.equals ? condition : { ...condition, equals };
    });
    return where.every((condition, i) => condition === node.query.where[i])
      ? []
      : [[['query'], { ...node.query, where }]];
  }
  return sourcesOf(node).flatMap(([path, source]): [string[], Source][] => {
    const put = withSources(source, replace);
    return put === source ? [] : [[path, put]];
  });
}
