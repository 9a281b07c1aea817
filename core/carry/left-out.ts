import {
  childrenOf,
  own,
  queriedType,
  withDescendants,
  type NodeId,
  type TreeDoc,
  type TreeNode,
} from '../model';
import type { Clip } from './clip';
import type { Counterparts } from './counterparts';

/**
 * The nodes of a clip that cannot stand in a document, with everything in them.
 * @param lost is told what of each means nothing there, in words
 */
export function leftOut(
  clip: Clip,
  target: TreeDoc,
  there: Counterparts,
  lost: (what: string) => void,
): Set<NodeId> {
  const out = new Set<NodeId>();
  const children = childrenOf(clip.nodes);
  const slotsThere = new Set(
    Object.values(target.nodes).flatMap((node) => (node.kind === 'slot' ? [node.slot] : [])),
  );
  const whyNot = (node: TreeNode): string | undefined => {
    switch (node.kind) {
      case 'instance':
        return there.component(node.component) === undefined
          ? 'an instance of a component that is gone'
          : undefined;
      case 'slot': {
        // A slot that was cut out of its definition may come back; it stands there once.
        const isIts = target.kind === 'component' && own(target.slots, node.slot) !== undefined;
        if (target.id !== clip.doc || !isIts || slotsThere.has(node.slot))
          return 'a slot, which stands once in its definition';
        slotsThere.add(node.slot);
        return undefined;
      }
      case 'repeat': {
        const queried = queriedType(node.query);
        if (queried === undefined || there.type(queried) !== undefined) return undefined;
        const type = own(clip.types, queried);
        return `a repeat over ${type?.plural.toLowerCase() ?? 'entries'}, not on this site`;
      }
      default:
        return undefined;
    }
  };
  const lostSlot = ({ place: { parent, slot } }: TreeNode): string | undefined => {
    const around = parent === null ? undefined : own(clip.nodes, parent);
    return around?.kind === 'instance' &&
      slot !== undefined &&
      there.slot(around.component, slot) === undefined
      ? 'what stood in a slot that the component here does not have'
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
