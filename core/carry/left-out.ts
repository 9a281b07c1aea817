import {
  childrenOf,
  own,
  queriedType,
  withDescendants,
  type NodeId,
  type TreeDoc,
  type TreeNode,
} from '../model';
import { say, type Said } from '../said';
import type { Clip } from './clip';
import type { Counterparts } from './counterparts';

/**
 * The nodes of a clip that cannot stand in a document, with everything in them.
 * @param lost is told what of each means nothing there
 */
export function leftOut(
  clip: Clip,
  target: TreeDoc,
  there: Counterparts,
  lost: (what: Said) => void,
): Set<NodeId> {
  const out = new Set<NodeId>();
  const children = childrenOf(clip.nodes);
  const slotsThere = new Set(
    Object.values(target.nodes).flatMap((node) => (node.kind === 'slot' ? [node.slot] : [])),
  );
  const whyNot = (node: TreeNode): Said | undefined => {
    switch (node.kind) {
      case 'instance':
        return there.component(node.component) === undefined ? say('left-instance') : undefined;
      case 'slot': {
        // A slot that was cut out of its definition may come back; it stands there once.
        const isIts = target.kind === 'component' && own(target.slots, node.slot) !== undefined;
        if (target.id !== clip.doc || !isIts || slotsThere.has(node.slot)) return say('left-slot');
        slotsThere.add(node.slot);
        return undefined;
      }
      case 'repeat': {
        const queried = queriedType(node.query);
        if (queried === undefined || there.type(queried) !== undefined) return undefined;
        const type = own(clip.types, queried);
        return say('left-repeat', { over: type?.plural.toLowerCase() ?? 'entries' });
      }
      default:
        return undefined;
    }
  };
  const lostSlot = ({ place: { parent, slot } }: TreeNode): Said | undefined => {
    const around = parent === null ? undefined : own(clip.nodes, parent);
    return around?.kind === 'instance' &&
      slot !== undefined &&
      there.slot(around.component, slot) === undefined
      ? say('left-in-slot')
      : undefined;
  };
  for (const [id, node] of Object.entries(clip.nodes)) {
    const reasons = [whyNot(node), lostSlot(node)].filter((each) => each !== undefined);
    for (const reason of reasons) lost(reason);
    if (reasons.length > 0)
      for (const each of [id, ...children.all(id).flatMap((c) => withDescendants(clip.nodes, c))])
        out.add(each);
  }
  return out;
}
