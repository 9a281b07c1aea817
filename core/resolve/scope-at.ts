import type { NodeId } from '../model';
import { positionIn, runQuery, type Item } from '../value';
import type { Linked, LinkedNode } from './linked';
import { instanceScope, itemScope, type Scope, type Within } from './scope';

/** What names mean at a place, and the document that is written there. */
export interface Standing {
  readonly scope: Scope;
  readonly linked: Linked;
}

/**
 * What names mean at the end of a way down from a document that is opened, worked out along it.
 * Nothing when the way is not there any more.
 */
export function standingAt(opened: Standing, within: Within): Standing | undefined {
  if (!within.parent) return within.doc === opened.linked.doc ? opened : undefined;
  const outer = standingAt(opened, within.parent);
  const node = outer && linkedNode(outer.linked, within.node);
  if (node?.kind === 'instance')
    return { linked: node.component, scope: instanceScope(node, outer!.scope) };
  if (node?.kind !== 'repeat') return undefined;
  const items = runQuery(node.query, outer!.scope) as readonly Item[];
  const at = items.findIndex(({ id }) => id === within.entry);
  if (at < 0) return undefined;
  const position = positionIn(items, at);
  return { linked: outer!.linked, scope: itemScope(node, items[at]!, position, outer!.scope) };
}

/** A node of a linked document by its id, looked for from the root. */
export function linkedNode({ root }: Linked, id: NodeId): LinkedNode | undefined {
  const open: LinkedNode[] = [root];
  for (let node = open.pop(); node; node = open.pop()) {
    if (node.id === id) return node;
    open.push(...below(node));
  }
  return undefined;
}

function below(node: LinkedNode): readonly LinkedNode[] {
  switch (node.kind) {
    case 'element':
      return node.children;
    case 'instance':
      return Object.values(node.slots).flat();
    case 'slot':
      return node.fallback;
    case 'repeat':
      return [...node.items, ...node.none];
    case 'text':
      return [];
  }
}
