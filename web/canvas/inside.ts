import { docOf, nodeIn, partNameOf, treeDocOf, type Documents } from '@sormet/core/model';
import { nodeName, shortName } from '@sormet/core/edit';
import { addressOf, type Built, type Resolved, type ResolvedElement } from '@sormet/core/resolve';
import { isOwn, resolvedOf } from './address';

/** An element inside an instance: drawn by its definition, or by one that stands in that. */
export interface Inner {
  readonly element: ResolvedElement;
  /** How deep it stands among those. */
  readonly depth: number;
  /** Where it stands, as a name: the way down to it and its node. */
  readonly address: string;
}

/** The elements inside an instance of the open document, from top to bottom: not what fills its slots from there. */
export function innerOf(instance: Resolved, doc: string): Inner[] {
  const found: Inner[] = [];
  const visit = (node: Resolved, depth: number) => {
    if (node.kind === 'text' || (node !== instance && isOwn(node, doc))) return;
    if (node.kind === 'element') found.push({ element: node, depth, address: addressOf(node) });
    for (const child of node.children) visit(child, node.kind === 'element' ? depth + 1 : depth);
  };
  visit(instance, 0);
  return found;
}

/** The element that an address names inside a node of the open document; nothing when it is not there any more. */
export function innerAt(
  built: Built | undefined,
  node: string,
  address: string,
): ResolvedElement | undefined {
  if (!built) return undefined;
  for (const each of resolvedOf(built, node)) {
    const found = innerOf(each, built.linked.doc).find((inner) => inner.address === address);
    if (found) return found.element;
  }
  return undefined;
}

/** How an element inside an instance is called: by its part, its name or its kind, and in what it stands if deeper. */
export function innerWords(
  documents: Documents,
  { scope, from }: ResolvedElement,
  component: string,
): string {
  const { doc } = scope.within;
  const tree = treeDocOf(documents, doc);
  const node = nodeIn(documents, doc, from.id);
  if (!tree || !node) return '';
  const name = partNameOf(node) ?? nodeName(documents, node, tree);
  const inner = doc === component ? undefined : docOf(documents, 'component', doc);
  return inner ? `${name} in ${shortName(inner.name)}` : name;
}
