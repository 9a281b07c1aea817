import { docOf, own, type Documents, type Slot, type TreeNode } from '../../model';

/** Whether a slot says what may come in: then nothing else may. */
export function limitsWhat({ allows, allowsFolders, allowsTags }: Slot): boolean {
  return (allows ?? allowsFolders ?? allowsTags) !== undefined;
}

/** Whether a slot lets a node in, however many stand in it. A slot that is handed on takes what it is filled with. */
export function slotTakes(documents: Documents, slot: Slot, node: TreeNode): boolean {
  if (!limitsWhat(slot) || node.kind === 'slot') return true;
  if (node.kind === 'element') return own(slot.allowsTags ?? {}, node.tag) !== undefined;
  if (node.kind !== 'instance') return false;
  if (own(slot.allows ?? {}, node.component)) return true;
  const name = docOf(documents, 'component', node.component)?.name ?? '';
  return Object.keys(slot.allowsFolders ?? {}).some((folder) => name.startsWith(`${folder}/`));
}
