import type { ResolvedElement } from '@sormet/core/resolve';

/** The text of an element that holds one text and nothing else. */
export function onlyText(node: ResolvedElement): string | undefined {
  const [only] = node.children;
  return node.children.length === 1 && only!.kind === 'text' ? only!.text : undefined;
}
