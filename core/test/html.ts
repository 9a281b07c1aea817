import { escapeAttribute, writtenContent, type Resolved } from '../resolve';

/** A resolved tree as HTML: what the canvas shows, written out. */
export function htmlOf(node: Resolved | null): string {
  if (node === null) return '';
  if (node.kind === 'text') return writtenContent(node.content);
  const inner = node.children.map(htmlOf).join('');
  if (node.kind === 'group') return inner;
  const attributes = Object.entries(node.attributes)
    .map(([name, value]) => ` ${name}="${escapeAttribute(value)}"`)
    .join('');
  return node.from.isVoid
    ? `<${node.tag}${attributes}>`
    : `<${node.tag}${attributes}>${inner}</${node.tag}>`;
}

/** Every node of a resolved tree. */
export function nodesOf(node: Resolved | null): Resolved[] {
  if (node === null) return [];
  return node.kind === 'text' ? [node] : [node, ...node.children.flatMap(nodesOf)];
}
