import type { ComponentDoc, Patch } from './documents';
import type { NodeId } from './ids';
import { isMade, type Source } from './source';
import type { Acts } from './acts';
import { mapActs, mapBlock, mapNode, mapPatch, mapQuery, type Naming } from './named';
import type { Block, Query, TreeNode } from './tree';

/** Gathers sources with the members that lead to them, changing nothing. */
function gathering(found: [string[], Source][]): Naming {
  return {
    named: ({ id }) => id,
    source: (source, at) => {
      found.push([[...at], source]);
      return source;
    },
  };
}

/** The sources a node holds, each with the members that lead to it, in an order that storing does not change. */
export function sourcesOf(node: TreeNode): [string[], Source][] {
  const found: [string[], Source][] = [];
  mapNode(node, gathering(found));
  return found;
}

/** The sources that stand in a block's declarations. */
export function blockSources(block: Block): [string[], Source][] {
  const found: [string[], Source][] = [];
  mapBlock(block, gathering(found));
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
function patchSources(patch: Patch): [string[], Source][] {
  const found: [string[], Source][] = [];
  mapPatch(patch, undefined, gathering(found));
  return found;
}

/** The sources of a query: where its records come from, what they are compared with, how many and from which on. */
export function querySources(query: Query): [string[], Source][] {
  const found: [string[], Source][] = [];
  mapQuery(query, gathering(found), ['query']);
  return found;
}

/** The sources that stand in acts, those for when one fails among them. */
export function actSources(acts: Acts): [string[], Source][] {
  const found: [string[], Source][] = [];
  mapActs(acts, gathering(found), [], (source, on, at) => on.source!(source, at));
  return found;
}

/** A source, those that it is worked out from or compares, and those that stand in for it where it is empty. */
export function chainOf(source: Source): Source[] {
  const found: Source[] = [];
  const add = (each: Source): void => {
    found.push(each);
    if (each.is === 'begins') add(each.of);
    if (each.is === 'acts') for (const [, read] of actSources(each.acts)) add(read);
    if (isMade(each)) for (const name of Object.keys(each.names).sort()) add(each.names[name]!);
    if (typeof each.whenEmpty === 'object') add(each.whenEmpty.use);
  };
  add(source);
  return found;
}

/** What to put in place of a source, however deep it stands in a chain; the same one to leave it. */
type Replace = (source: Source) => Source;

/** A source with others put in place along its chain; the same object when none was. */
export function withSources(source: Source, replace: Replace): Source {
  const put = replace(source);
  if (put !== source) return put;
  let now = source;
  if (isMade(source)) {
    const names = Object.entries(source.names).map(
      ([name, each]) => [name, withSources(each, replace)] as const,
    );
    if (names.some(([name, each]) => each !== source.names[name]))
      now = { ...source, names: Object.fromEntries(names) };
  }
  if (source.is === 'begins') {
    const of = withSources(source.of, replace);
    if (of !== source.of) now = { ...source, of };
  }
  if (source.is === 'acts') {
    const on: Naming = { named: ({ id }) => id };
    const acts = mapActs(source.acts, on, [], (each) => withSources(each, replace));
    if (acts !== source.acts) now = { ...source, acts };
  }
  if (typeof source.whenEmpty !== 'object') return now;
  const use = withSources(source.whenEmpty.use, replace);
  return use === source.whenEmpty.use ? now : { ...now, whenEmpty: { use } };
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
