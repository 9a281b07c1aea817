import {
  chainOf,
  inOrder,
  own,
  repeatsAround,
  ruleSources,
  type Act,
  type Acts,
  type NodeId,
  type Source,
  type TreeDoc,
} from '../model';

/**
 * The elements of a document to which acts do something: the repeats that each stands in, nearest first, and from outside of how
 * many of them it is meant. From outside of some it is one of several: of those the one is meant that is the current one.
 */
export type Targets = Readonly<
  Record<NodeId, { readonly around: readonly NodeId[]; readonly levels: readonly number[] }>
>;

/** Acts as they are written in a document: what its elements do, what it gives others to do; `null` where that is at no node. */
function actsIn(doc: TreeDoc): { acts: Acts; at: NodeId | null }[] {
  const found: { acts: Acts; at: NodeId | null }[] = [];
  const given = (source: Source, at: NodeId | null): void => {
    if (source.is !== 'acts' && typeof source.whenEmpty !== 'object') return;
    for (const each of chainOf(source)) if (each.is === 'acts') found.push({ acts: each.acts, at });
  };
  for (const [id, node] of Object.entries(doc.nodes)) {
    if (node.kind === 'element' && node.whens)
      for (const { acts } of Object.values(node.whens)) found.push({ acts, at: id });
    if (node.kind === 'instance') for (const value of Object.values(node.values)) given(value, id);
  }
  if (doc.kind === 'component') {
    for (const { default: source } of Object.values(doc.properties)) given(source, null);
    for (const [, source] of ruleSources(doc.rules)) given(source, null);
  }
  return found;
}

/** Whether an element of a document does something when something happens to it, or has words of its own for what is wrong. */
export function doesSomething(doc: TreeDoc): boolean {
  const rules = doc.kind === 'component' ? Object.values(doc.rules) : [];
  const saysWrong = (said: Readonly<Record<string, unknown>> = {}) => Object.hasOwn(said, 'wrong');
  return (
    Object.values(doc.nodes).some(
      (node) =>
        node.kind === 'element' &&
        (saysWrong(node.attributes) ||
          Object.values(node.whens ?? {}).some(({ acts }) => Object.keys(acts).length > 0)),
    ) ||
    rules.some(({ patch }) => Object.values(patch).some(({ attributes }) => saysWrong(attributes)))
  );
}

/** The elements of a document to which its acts do something. */
export function targetsIn(doc: TreeDoc): Targets {
  const found: Record<NodeId, { around: NodeId[]; levels: number[] }> = {};
  const note = (node: NodeId, from: readonly NodeId[]): void => {
    if (!own(doc.nodes, node)) return;
    const target = (found[node] ??= { around: repeatsAround(doc, node), levels: [] });
    const level = target.around.filter((repeat) => !from.includes(repeat)).length;
    if (!target.levels.includes(level)) target.levels.push(level);
  };
  const add = (acts: Acts, from: readonly NodeId[]): void => {
    for (const [, act] of inOrder(acts)) {
      for (const node of elementsNamed(act)) note(node, from);
      if (act.failing) add(act.failing, from);
    }
  };
  for (const { acts, at } of actsIn(doc)) add(acts, at === null ? [] : repeatsAround(doc, at));
  return found;
}

/** The elements that an act names: to which it does something, and the field that it asks. */
function elementsNamed(act: Act): NodeId[] {
  if ('node' in act) return [act.node];
  return act.do === 'set' && typeof act.to === 'object' && 'field' in act.to ? [act.to.field] : [];
}
