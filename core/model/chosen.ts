import type { ChosenKind, ElementNode, InstanceNode } from './tree';

/** A node that has a tag, theme or shared style for good, as if nothing chose it. */
export function withChosen<N extends ElementNode | InstanceNode>(
  node: N,
  kind: ChosenKind,
  id: string,
): N {
  switch (kind) {
    case 'tag':
      return node.kind === 'element' ? { ...node, tag: id } : node;
    case 'theme':
      return { ...node, theme: id };
    case 'style':
      return { ...node, shared: { ...node.shared, [id]: true } };
  }
}
