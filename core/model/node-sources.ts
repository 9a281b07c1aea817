import type { ComponentDoc, Patch } from './documents';
import type { NodeId } from './ids';
import type { Source } from './source';
import { blocksOfNode, CHOSEN, type Block, type Query, type TreeNode } from './tree';

/** The sources a node holds, each with the members that lead to it, in an order that storing does not change. */
export function sourcesOf(node: TreeNode): [string[], Source][] {
  const found: [string[], Source][] = [];
  if (node.kind === 'element')
    for (const name of Object.keys(node.attributes).sort())
      found.push([['attributes', name], node.attributes[name]!]);
  if (node.kind === 'instance')
    for (const id of Object.keys(node.values).sort())
      found.push([['values', id], node.values[id]!]);
  for (const [where, block] of blocksOfNode(node))
    for (const [path, source] of blockSources(block)) found.push([[...where, ...path], source]);
  if (node.kind === 'element' || node.kind === 'instance')
    for (const kind of CHOSEN) {
      const source = node.chosen?.[kind];
      if (source) found.push([['chosen', kind], source]);
    }
  if (node.kind === 'text') found.push([['text'], node.text]);
  if (node.kind === 'repeat') found.push(...querySources(node.query));
  if (node.kind !== 'slot' && node.kind !== 'repeat' && node.shown)
    found.push([['shown'], node.shown]);
  return found;
}

/** The sources that stand in a block's declarations. */
export function blockSources(block: Block): [string[], Source][] {
  const found: [string[], Source][] = [];
  for (const key of Object.keys(block).sort()) {
    const { refs } = block[key]!;
    for (const name of Object.keys(refs ?? {}).sort()) {
      const ref = refs![name]!;
      if ('source' in ref) found.push([[key, 'refs', name, 'source'], ref.source]);
    }
  }
  return found;
}

/** The sources in the rules of a definition: each with the members that lead to it and the node it is read at. */
export function ruleSources(rules: ComponentDoc['rules']): [string[], Source, NodeId][] {
  return Object.keys(rules)
    .sort()
    .flatMap((rule) =>
      Object.keys(rules[rule]!.patch)
        .sort()
        .flatMap((node) =>
          patchSources(rules[rule]!.patch[node]!).map(
            ([path, source]): [string[], Source, NodeId] => [
              ['rules', rule, 'patch', node, ...path],
              source,
              node,
            ],
          ),
        ),
    );
}

/** The sources that a rule puts in place of those of a node. */
function patchSources({ attributes = {}, values = {}, style = {}, shown }: Patch) {
  const found: [string[], Source][] = [];
  for (const name of Object.keys(attributes).sort())
    found.push([['attributes', name], attributes[name]!]);
  for (const id of Object.keys(values).sort()) found.push([['values', id], values[id]!]);
  for (const [path, source] of blockSources(style)) found.push([['style', ...path], source]);
  if (shown) found.push([['shown'], shown]);
  return found;
}

/** The sources of a query: where its records come from, what they are compared with, how many and from which on. */
export function querySources(query: Query): [string[], Source][] {
  const found: [string[], Source][] = [];
  if ('list' in query.from) found.push([['query', 'from', 'list'], query.from.list]);
  for (const id of Object.keys(query.where).sort())
    found.push([['query', 'where', id, 'source'], query.where[id]!.source]);
  if (query.related) found.push([['query', 'related', 'to'], query.related.to]);
  if (query.limit) found.push([['query', 'limit'], query.limit]);
  if (query.offset) found.push([['query', 'offset'], query.offset]);
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

/** The sources of a definition, in its nodes and in what rules put in their place: each with the members that lead to it. */
export function definitionSources({ nodes, rules }: ComponentDoc): [string[], Source, NodeId][] {
  return [
    ...Object.keys(nodes)
      .sort()
      .flatMap((node) =>
        sourcesOf(nodes[node]!).map(([path, source]): [string[], Source, NodeId] => [
          ['nodes', node, ...path],
          source,
          node,
        ]),
      ),
    ...ruleSources(rules),
  ];
}
