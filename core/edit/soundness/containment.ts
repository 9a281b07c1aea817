import { componentsIn, treeDocOf, type Documents } from '../../model';
import { say } from '../../said';
import type { DocumentFinding } from './document-finding';

/** The first way in which a touched component contains itself, named step by step. */
export function containmentLoop(
  documents: Documents,
  ids: readonly string[],
): DocumentFinding | undefined {
  for (const start of ids) {
    const doc = treeDocOf(documents, start);
    if (doc?.kind !== 'component') continue;
    // Each component that was reached, with the one it was reached from; without recursion, since chains may be long.
    const from = new Map<string, string>();
    const open = [start];
    for (let at = open.pop(); at !== undefined; at = open.pop()) {
      const component = treeDocOf(documents, at);
      for (const inner of component ? componentsIn(component.nodes) : []) {
        if (inner === start) return loopFinding(documents, start, at, from);
        if (from.has(inner)) continue;
        from.set(inner, at);
        open.push(inner);
      }
    }
  }
  return undefined;
}

function loopFinding(
  documents: Documents,
  start: string,
  last: string,
  from: ReadonlyMap<string, string>,
): DocumentFinding {
  const way = [start];
  for (let at: string | undefined = last; at !== undefined && at !== start; at = from.get(at))
    way.splice(1, 0, at);
  const names = [...way, start].map((id) => treeDocOf(documents, id)?.name ?? id);
  return {
    doc: start,
    path: '/nodes',
    reason: say('contains-itself', { way: names }),
  };
}
