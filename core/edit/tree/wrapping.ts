import { Type } from '@sinclair/typebox';
import {
  childrenOf,
  nodeIn,
  orderBetween,
  treeDocOf,
  type ElementNode,
  type Place,
} from '../../model';
import { say } from '../../said';
import { exact, Id } from '../args';
import { changeTo, type Change } from '../changes';
import { defineEdit, gone, refuse } from '../define';
import { named } from '../names';

/** Puts a box around things that stand beside each other, in the place of the first; they keep their order in it. */
export const wrap = defineEdit({
  args: Type.Object(
    {
      doc: Id,
      nodes: Type.Array(Id, { minItems: 1, maxItems: 500 }),
      box: Id,
      tag: Type.String({ pattern: '^[a-z][a-z0-9]*$', maxLength: 20 }),
    },
    exact,
  ),
  run(documents, { doc, nodes, box, tag }) {
    const tree = treeDocOf(documents, doc)?.nodes;
    if (!tree) return gone('to-be-wrapped', doc);
    if (nodeIn(documents, doc, box)) return refuse(say('thing-id-taken'), doc);
    const places: Place[] = [];
    for (const node of new Set(nodes)) {
      const stored = nodeIn(documents, doc, node);
      if (!stored) return gone('to-be-wrapped', doc);
      if (stored.place.parent === null) return refuse(say('not-around-everything'), doc);
      places.push(stored.place);
    }
    const [first] = places;
    if (places.some(({ parent, slot }) => parent !== first!.parent || slot !== first!.slot))
      return refuse(say('wrap-side-by-side'), doc);
    // The first as they stand, not as they were selected.
    const order = places.map((each) => each.order).sort()[0]!;
    const made: ElementNode = {
      kind: 'element',
      place: { ...first!, order },
      tag,
      attributes: {},
      style: {},
    };
    return [
      ...changeTo(documents, doc, ['nodes', box], made),
      ...[...new Set(nodes)].flatMap((node) =>
        changeTo(documents, doc, ['nodes', node, 'place'], {
          parent: box,
          order: tree[node]!.place.order,
        }),
      ),
    ];
  },
  told: (documents, { doc, nodes, tag }) =>
    nodes.length === 1
      ? say('wrapped', { tag, what: named(documents, doc, nodes[0]!) })
      : say('wrapped-many', { tag, many: nodes.length }),
});

/** Takes a box away and leaves what stands in it, in its place. */
export const unwrap = defineEdit({
  args: Type.Object({ doc: Id, node: Id }, exact),
  run(documents, { doc, node }) {
    const tree = treeDocOf(documents, doc)?.nodes;
    const stored = nodeIn(documents, doc, node);
    if (!tree || !stored) return gone('the-box', doc);
    if (stored.kind !== 'element') return refuse(say('only-element-unwrapped'), doc);
    const { parent, slot } = stored.place;
    if (parent === null) return refuse(say('everything-stands-in'), doc);
    const children = childrenOf(tree);
    // All of it must fit between the box and what comes behind it.
    const beside = children.of(parent, slot);
    const after = beside[beside.indexOf(node) + 1];
    const end = after === undefined ? null : tree[after]!.place.order;
    const changes: Change[] = [];
    let order = stored.place.order;
    for (const [i, child] of children.of(node).entries()) {
      // The first takes the place of the box itself.
      if (i > 0) order = orderBetween(order, end);
      const place: Place = { parent, ...(slot === undefined ? {} : { slot }), order };
      changes.push(...changeTo(documents, doc, ['nodes', child, 'place'], place));
    }
    return [...changes, ...changeTo(documents, doc, ['nodes', node], undefined)];
  },
  told: (documents, { doc, node }) => say('unwrapped', { what: named(documents, doc, node) }),
});
