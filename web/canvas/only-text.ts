import type { Content, ResolvedElement } from '@sormet/core/resolve';

/** The content of an element that holds one text and nothing else: words, or rich text; an icon is neither. */
export function onlyContent(node: ResolvedElement): Content | undefined {
  const [only] = node.children;
  if (node.children.length !== 1 || only!.kind !== 'text') return undefined;
  return only!.from.kind === 'text' && only!.from.rich === 'icon' ? undefined : only!.content;
}

/** The text of an element that holds one plain text and nothing else. */
export function onlyText(node: ResolvedElement): string | undefined {
  const content = onlyContent(node);
  return typeof content === 'string' ? content : undefined;
}
