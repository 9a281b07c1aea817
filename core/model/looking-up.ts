import type { Documents } from './document-set';
import type { DocOf, Kind, TreeDoc } from './documents';
import { own } from './own';
import type { TreeNode } from './tree';

/** All documents of one kind, by id. */
export function allOf<K extends Kind>(documents: Documents, kind: K): readonly DocOf<K>[] {
  return documents.all(kind);
}

/** The document with this id, when it is there and of this kind. */
export function docOf<K extends Kind>(
  documents: Documents,
  kind: K,
  id: string,
): DocOf<K> | undefined {
  return documents.ofKind(kind, id);
}

/** The document with this id, when it holds a tree. */
export function treeDocOf(documents: Documents, id: string): TreeDoc | undefined {
  return documents.ofKind('page', id) ?? documents.ofKind('component', id);
}

/** The node with this id in the document with that one, when both are there. */
export function nodeIn(documents: Documents, doc: string, node: string): TreeNode | undefined {
  const tree = treeDocOf(documents, doc);
  return tree && own(tree.nodes, node);
}
