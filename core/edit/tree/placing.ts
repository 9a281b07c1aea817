import { Type } from '@sinclair/typebox';
import {
  ancestorsOf,
  type Documents,
  own,
  Place,
  rootOf,
  ComponentDoc,
  StyleDoc,
  Tree,
  treeDocOf,
  type TreeNode,
  withDescendants,
} from '../../model';
import { say, type Told } from '../../said';
import { exact, Id } from '../args';
import { type Change, changeTo } from '../changes';
import { defineEdit, gone, refuse } from '../define';
import { documentName, named, nodeName } from '../names';

/** How many nodes one edit moves or removes. */
const MOST_AT_ONCE = 500;

/** Puts nodes that belong together into a tree, with the shared styles and definitions that were made for them. */
export const place = defineEdit({
  args: Type.Object(
    {
      doc: Id,
      root: Id,
      nodes: Tree,
      styles: Type.Optional(Type.Array(StyleDoc, { maxItems: 50 })),
      components: Type.Optional(Type.Array(ComponentDoc, { maxItems: 10 })),
    },
    exact,
  ),
  run(documents, { doc, root, nodes, styles = [], components = [] }) {
    const tree = treeDocOf(documents, doc);
    if (!tree) return gone('the-document', doc);
    const placed = own(nodes, root);
    if (!placed || placed.place.parent === null) return refuse(say('nothing-to-place'), doc);
    if (!own(tree.nodes, placed.place.parent)) return gone('place-to-stand', doc);
    for (const id in nodes)
      if (own(tree.nodes, id)) return refuse(say('node-id-taken'), doc, `/nodes/${id}`);
    const made = [...styles, ...components];
    for (const { id } of made) if (documents.get(id)) return refuse(say('id-taken'), id);
    return [
      ...made.map((each): Change => ({ doc: each.id, path: '', now: each })),
      ...Object.keys(nodes).flatMap((id) => changeTo(documents, doc, ['nodes', id], nodes[id])),
    ];
  },
  told: (documents, { doc, root, nodes }) =>
    say('placed', {
      what: nodeName(documents, nodes[root]!),
      doc: documentName(treeDocOf(documents, doc)),
    }),
});

/** Gives nodes of one tree other places, one after the other: what moves first is there for what moves next. */
export const move = defineEdit({
  args: Type.Object(
    {
      doc: Id,
      moves: Type.Array(Type.Object({ node: Id, place: Place }, exact), {
        minItems: 1,
        maxItems: MOST_AT_ONCE,
      }),
    },
    exact,
  ),
  run(documents, { doc, moves }) {
    let tree: Tree | undefined = treeDocOf(documents, doc)?.nodes;
    if (!tree) return gone('the-document', doc);
    const changes: Change[] = [];
    for (const { node, place: to } of moves) {
      const stored: TreeNode | undefined = own(tree, node);
      if (!stored) return gone('to-be-moved', doc);
      if (to.parent === null || node === rootOf(tree)) return refuse(say('root-stays'), doc);
      if (!own(tree, to.parent)) return gone('place-to-move', doc);
      if (to.parent === node || ancestorsOf(tree, to.parent).includes(node))
        return refuse(say('inside-itself'), doc, `/nodes/${node}/place`);
      changes.push(...changeTo(documents, doc, ['nodes', node, 'place'], to));
      if (moves.length > 1) tree = { ...tree, [node]: { ...stored, place: to } };
    }
    return changes;
  },
  told: (documents, { doc, moves }) =>
    say('moved-thing', { what: severalNamed(documents, doc, moves) }),
});

/** Takes nodes out of a tree with everything in them. */
export const remove = defineEdit({
  args: Type.Object(
    { doc: Id, nodes: Type.Array(Id, { minItems: 1, maxItems: MOST_AT_ONCE }) },
    exact,
  ),
  run(documents, { doc, nodes }) {
    const tree = treeDocOf(documents, doc);
    if (!tree) return gone('the-document', doc);
    const all = new Set<string>();
    for (const node of nodes) {
      if (!own(tree.nodes, node)) return gone('to-be-removed', doc);
      if (node === rootOf(tree.nodes)) return refuse(say('root-not-removed'), doc);
      for (const id of withDescendants(tree.nodes, node)) all.add(id);
    }
    // A slot goes with the node where it stood; what fills it on pages stays stored.
    const slots = [...all].flatMap((id) => {
      const node = tree.nodes[id]!;
      return node.kind === 'slot' ? [node.slot] : [];
    });
    return [
      ...[...all].reverse().flatMap((id) => changeTo(documents, doc, ['nodes', id], undefined)),
      ...(tree.kind === 'component'
        ? slots.flatMap((slot) => changeTo(documents, doc, ['slots', slot], undefined))
        : []),
    ];
  },
  told: (documents, { doc, nodes }) =>
    say('removed-thing', {
      what: severalNamed(
        documents,
        doc,
        nodes.map((node) => ({ node })),
      ),
    }),
});

function severalNamed(
  documents: Documents,
  doc: string,
  list: readonly { readonly node: string }[],
): Told {
  return list.length === 1
    ? named(documents, doc, list[0]!.node)
    : say('things-counted', { many: list.length });
}
