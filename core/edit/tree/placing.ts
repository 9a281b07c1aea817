import { Type } from '@sinclair/typebox';
import { ancestorsOf, own, Place, rootOf, Tree, treeDocOf, withDescendants } from '../../model';
import { exact, Id } from '../args';
import { changeTo } from '../changes';
import { defineEdit, gone, refuse } from '../define';
import { documentName, named, nodeName } from '../names';

/** Puts nodes that belong together into a tree. */
export const place = defineEdit({
  args: Type.Object({ doc: Id, root: Id, nodes: Tree }, exact),
  run(documents, { doc, root, nodes }) {
    const tree = treeDocOf(documents, doc);
    if (!tree) return gone('The document', doc);
    const placed = own(nodes, root);
    if (!placed || placed.place.parent === null) return refuse('Nothing was given to place.', doc);
    if (!own(tree.nodes, placed.place.parent))
      return gone('The place where this should stand', doc);
    for (const id in nodes)
      if (own(tree.nodes, id))
        return refuse('A node with this id is there already.', doc, `/nodes/${id}`);
    return Object.keys(nodes).flatMap((id) => changeTo(documents, doc, ['nodes', id], nodes[id]));
  },
  says: (documents, { doc, root, nodes }) =>
    `placed ${nodeName(documents, nodes[root]!)} on ${documentName(treeDocOf(documents, doc))}`,
});

export const move = defineEdit({
  args: Type.Object({ doc: Id, node: Id, place: Place }, exact),
  run(documents, { doc, node, place: to }) {
    const tree = treeDocOf(documents, doc);
    if (!tree || !own(tree.nodes, node)) return gone('What should move', doc);
    if (to.parent === null || node === rootOf(tree.nodes))
      return refuse('The root stays where it is.', doc);
    if (!own(tree.nodes, to.parent)) return gone('The place to move to', doc);
    if (to.parent === node || ancestorsOf(tree.nodes, to.parent).includes(node))
      return refuse('Nothing can stand inside itself.', doc, `/nodes/${node}/place`);
    return changeTo(documents, doc, ['nodes', node, 'place'], to);
  },
  says: (documents, { doc, node }) => `moved ${named(documents, doc, node)}`,
});

export const remove = defineEdit({
  args: Type.Object({ doc: Id, node: Id }, exact),
  run(documents, { doc, node }) {
    const tree = treeDocOf(documents, doc);
    if (!tree || !own(tree.nodes, node)) return gone('What should be removed', doc);
    if (node === rootOf(tree.nodes)) return refuse('The root cannot be removed.', doc);
    return withDescendants(tree.nodes, node)
      .reverse()
      .flatMap((id) => changeTo(documents, doc, ['nodes', id], undefined));
  },
  says: (documents, { doc, node }) => `removed ${named(documents, doc, node)}`,
});
