import type { ResolvedElement } from '@sormet/core/resolve';

/** The text of an element that holds one plain text and nothing else. */
export function onlyText(node: ResolvedElement): string | undefined {
  const [only] = node.children;
  if (node.children.length !== 1 || only!.kind !== 'text') return undefined;
  return typeof only!.content === 'string' ? only!.content : undefined;
}
