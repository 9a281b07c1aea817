import { blocksOfNode, own, type Block, type Doc } from '../../model';

/** A block of declarations with the members that lead to it in its document. */
export interface StoredBlock {
  readonly where: readonly string[];
  readonly block: Block;
}

/** The blocks of a document at or below the members that a pointer's tokens name: all of them for none. */
export function blocksOf(doc: Doc, path: readonly string[] = []): StoredBlock[] {
  const [member, name] = path;
  const found: StoredBlock[] = [];
  const add = (block: Block | undefined, ...where: string[]) => {
    if (block) found.push({ where, block });
  };
  const each = (record: Readonly<Record<string, unknown>>, of: string) =>
    member === undefined || (member === of && name === undefined)
      ? Object.keys(record).sort()
      : member === of && name !== undefined
        ? [name]
        : [];
  if (doc.kind === 'page' || doc.kind === 'component')
    for (const node of each(doc.nodes, 'nodes')) {
      const stored = own(doc.nodes, node);
      if (stored)
        for (const [where, block] of blocksOfNode(stored)) add(block, 'nodes', node, ...where);
    }
  if (doc.kind === 'component')
    for (const rule of each(doc.rules, 'rules')) {
      const patch = own(doc.rules, rule)?.patch ?? {};
      for (const node of Object.keys(patch).sort())
        add(patch[node]!.style ?? {}, 'rules', rule, 'patch', node, 'style');
    }
  if (doc.kind === 'tags')
    for (const tag of each(doc.tags, 'tags')) add(own(doc.tags, tag), 'tags', tag);
  if (doc.kind === 'style' && (member === undefined || member === 'style')) add(doc.style, 'style');
  return found;
}
