import {
  childrenOf,
  docOf,
  inOrder,
  own,
  rootOf,
  type ComponentDoc,
  type Documents,
  type InstanceNode,
  type NodeId,
  type PageDoc,
} from '@sormet/core/model';
import { mayBeSet, nodeName } from '@sormet/core/edit';

/** What editors fill on a page: an instance with properties that they set, or slots that they fill. */
export interface Section {
  readonly id: NodeId;
  readonly name: string;
  readonly node: InstanceNode;
  readonly component: ComponentDoc;
}

/** What can be filled on a page, in the order in which it stands there. */
export function sectionsOf(documents: Documents, page: PageDoc): Section[] {
  const found: Section[] = [];
  const children = childrenOf(page.nodes);
  const visit = (id: NodeId): void => {
    const node = page.nodes[id]!;
    const component =
      node.kind === 'instance' ? docOf(documents, 'component', node.component) : undefined;
    if (node.kind === 'instance' && component && hasToFill(documents, page, id, component))
      found.push({ id, name: nodeName(documents, node, page), node, component });
    const slots = inOrder(component?.slots ?? {}).map(([slot]) => slot);
    const inside =
      node.kind === 'instance' ? slots.flatMap((slot) => children.of(id, slot)) : children.all(id);
    inside.forEach(visit);
  };
  visit(rootOf(page.nodes));
  return found;
}

/** Whether something of an instance is set here: what is bound as a whole is written in its entry. */
function hasToFill(
  documents: Documents,
  page: PageDoc,
  id: NodeId,
  { properties, slots }: ComponentDoc,
): boolean {
  return (
    Object.keys(slots).length > 0 ||
    Object.keys(properties).some((property) => mayBeSet(documents, page.id, id, property))
  );
}

/** What stands in a slot of an instance on a page, in order. */
export function inSlot(page: PageDoc, node: NodeId, slot: string): readonly NodeId[] {
  return own(page.nodes, node) ? childrenOf(page.nodes).of(node, slot) : [];
}
