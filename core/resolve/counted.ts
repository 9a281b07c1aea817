import { own, repeatsAround, type NodeId, type Query, type TreeDoc } from '../model';

/**
 * The queries of the repeats whose items the states of a definition count, by those repeats. One that stands in another has
 * as many items as rounds of that one say: those no state can count.
 */
export function countedIn(doc: TreeDoc): Readonly<Record<NodeId, Query>> {
  const found: Record<NodeId, Query> = {};
  if (doc.kind !== 'component') return found;
  for (const { state } of Object.values(doc.properties)) {
    const among = state?.among;
    const node = among === undefined ? undefined : own(doc.nodes, among);
    if (node?.kind === 'repeat' && repeatsAround(doc, among!).length === 0)
      found[among!] = node.query;
  }
  return found;
}
