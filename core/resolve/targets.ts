import {
  chainOf,
  inOrder,
  own,
  repeatsAround,
  ruleSources,
  type Acts,
  type NodeId,
  type Source,
  type TreeDoc,
} from '../model';

/** The acts that are written in a document: what its elements do, and what it gives others to do. */
function actsIn(doc: TreeDoc): Acts[] {
  const found: Acts[] = [];
  const given = (source: Source): void => {
    if (source.is !== 'acts' && typeof source.whenEmpty !== 'object') return;
    for (const each of chainOf(source)) if (each.is === 'acts') found.push(each.acts);
  };
  for (const node of Object.values(doc.nodes)) {
    if (node.kind === 'element' && node.whens)
      for (const { acts } of Object.values(node.whens)) found.push(acts);
    if (node.kind === 'instance') Object.values(node.values).forEach(given);
  }
  if (doc.kind === 'component') {
    for (const { default: source } of Object.values(doc.properties)) given(source);
    for (const [, source] of ruleSources(doc.rules)) given(source);
  }
  return found;
}

/** Whether an element of a document does something when something happens to it. */
export function doesSomething(doc: TreeDoc): boolean {
  return Object.values(doc.nodes).some(
    (node) =>
      node.kind === 'element' &&
      Object.values(node.whens ?? {}).some(({ acts }) => Object.keys(acts).length > 0),
  );
}

/** The elements of a document to which its acts do something, each with the repeats that it stands in, nearest first. */
export function targetsIn(doc: TreeDoc): Readonly<Record<NodeId, readonly NodeId[]>> {
  const found: Record<NodeId, readonly NodeId[]> = {};
  const add = (acts: Acts): void => {
    for (const [, act] of inOrder(acts)) {
      if ('node' in act && own(doc.nodes, act.node)) found[act.node] = repeatsAround(doc, act.node);
      if (act.failing) add(act.failing);
    }
  };
  for (const acts of actsIn(doc)) add(acts);
  return found;
}
