import {
  childrenOf,
  docOf,
  own,
  type Documents,
  type NodeId,
  type Slot,
  type Tree,
} from '../../model';

/** Whether a slot says what may come in: then nothing else may. */
export function limitsWhat({ allows, allowsFolders, allowsTags }: Slot): boolean {
  return (allows ?? allowsFolders ?? allowsTags) !== undefined;
}

/**
 * Whether a slot lets a node in, however many stand in it. A slot that is handed on takes what it is filled with, and a repeat
 * is what it repeats; what it shows where there is nothing may be anything.
 */
export function slotTakes(documents: Documents, slot: Slot, nodes: Tree, id: NodeId): boolean {
  const node = nodes[id]!;
  if (!limitsWhat(slot) || node.kind === 'slot') return true;
  if (node.kind === 'repeat')
    return childrenOf(nodes)
      .of(id)
      .every((child) => slotTakes(documents, slot, nodes, child));
  if (node.kind === 'element') return own(slot.allowsTags ?? {}, node.tag) !== undefined;
  if (node.kind !== 'instance') return false;
  if (own(slot.allows ?? {}, node.component)) return true;
  const name = docOf(documents, 'component', node.component)?.name ?? '';
  return Object.keys(slot.allowsFolders ?? {}).some((folder) => name.startsWith(`${folder}/`));
}
