import { Type } from '@sinclair/typebox';
import {
  chainOf,
  ComponentDoc,
  Documents,
  FORMAT,
  type InstanceNode,
  nodeIn,
  orderBetween,
  own,
  pointer,
  type Property,
  repeatsAround,
  rootOf,
  Source,
  sourcesOf,
  Tree,
  type TreeDoc,
  treeDocOf,
  type TreeNode,
  withDescendants,
  WorkingCopy,
} from '../../model';
import { say } from '../../said';
import { exact, Id } from '../args';
import { change, type Refusal } from '../changes';
import { controlPath, controlsOf, emptyLiteral, keyFor } from '../control';
import { defineEdit, gone, refuse } from '../define';
import { nodeName, shortName } from '../names';

/**
 * Turns a node with all it holds into a component; what was selected becomes its first instance. What
 * it read of the place around (the page's entry, a repeat's, an outer property) becomes a property
 * whose value the instance keeps, so nothing looks different afterwards.
 */
export const makeComponent = defineEdit({
  args: Type.Object(
    {
      doc: Id,
      node: Id,
      name: ComponentDoc.properties.name,
      component: Id,
      instance: Id,
      /** New ids for the properties it takes to keep what was read of the place around. */
      ids: Type.Array(Id, { maxItems: 200 }),
    },
    exact,
  ),
  run(documents, { doc, node, name, component, instance, ids }) {
    const tree = treeDocOf(documents, doc);
    const selected = tree && own(tree.nodes, node);
    if (!tree || !selected) return gone('to-become-component', doc);
    if (node === rootOf(tree.nodes)) return refuse(say('root-stays'), doc);
    if (selected.kind !== 'element' && selected.kind !== 'instance')
      return refuse(say('only-placed-becomes-component'), doc);
    if (documents.get(component) || own(tree.nodes, instance)) return refuse(say('ids-taken'), doc);
    const inside = withDescendants(tree.nodes, node);
    for (const id of inside)
      if (tree.nodes[id]!.kind === 'slot') return refuse(say('holds-slot-of-definition'), doc);
    const lifted = liftReads(documents, tree, inside, ids);
    if ('refused' in lifted) return lifted;
    const nodes: Tree = { ...lifted.nodes };
    const { shown, ...root } = nodes[node] as Extract<TreeNode, { kind: 'element' | 'instance' }>;
    nodes[node] = { ...root, place: { parent: null, order: 'a0' } };
    const definition: ComponentDoc = {
      id: component,
      kind: 'component',
      format: FORMAT,
      name,
      properties: lifted.properties,
      groups: {},
      slots: {},
      rules: {},
      nodes,
    };
    const placed: InstanceNode = {
      kind: 'instance',
      place: selected.place,
      component,
      values: lifted.values,
      style: {},
    };
    if (shown) placed.shown = shown;
    return [
      change(component, '', undefined, definition),
      ...[...inside]
        .reverse()
        .map((id) => change(doc, pointer('nodes', id), tree.nodes[id], undefined)),
      change(doc, pointer('nodes', instance), undefined, placed),
    ];
  },
  told: (documents, { doc, node, name }) => {
    const stored = nodeIn(documents, doc, node);
    return say('made-component', {
      what: stored ? nodeName(documents, stored) : say('a-part'),
      component: shortName(name),
    });
  },
});

/** Adds a component as it is given: an empty one, or another one's definition under a name of its own. */
export const addComponent = defineEdit({
  args: Type.Object({ component: ComponentDoc }, exact),
  run(documents, { component }) {
    return documents.get(component.id)
      ? refuse(say('id-taken'), component.id)
      : [change(component.id, '', undefined, component)];
  },
  told: (_, { component }) => say('added-component', { component: shortName(component.name) }),
});

/** The nodes with everything read from outside turned into properties. */
function liftReads(
  documents: Documents,
  tree: TreeDoc,
  inside: readonly string[],
  ids: readonly string[],
): { nodes: Tree; properties: Record<string, Property>; values: Record<string, Source> } | Refusal {
  const nodes: Record<string, TreeNode> = {};
  const properties: Record<string, Property> = {};
  const values: Record<string, Source> = {};
  const within = new Set(inside);
  let order: string | null = null;
  for (const id of inside) {
    let node = tree.nodes[id]!;
    for (const [path, source] of sourcesOf(node)) {
      // The selected node's own condition stays with the instance.
      if (id === inside[0] && path[0] === 'shown') continue;
      if (!readsOutside(tree, id, source, within)) continue;
      const property = ids[Object.keys(properties).length];
      if (property === undefined) return refuse(say('reads-more-than-expected'));
      // A text's controls belong to the element around it.
      const owner = node.kind === 'text' ? (node.place.parent ?? id) : id;
      const row = controlsOf(documents, tree, owner).find(
        ({ node: of, control }) => of === id && controlPath(control).join() === path.join(),
      );
      if (path[0] === 'style' || path[0] === 'chosen')
        return refuse(say('declaration-reads-around'));
      if (path[0] === 'whens') return refuse(say('acts-read-around'));
      if (!row || node.kind === 'repeat') return refuse(say('repeats-by-outside'));
      order = orderBetween(order, null);
      properties[property] = {
        label: row.label,
        key: keyFor(row.label, new Set(Object.values(properties).map(({ key }) => key))),
        type: row.type,
        group: null,
        order,
        default: emptyLiteral(row.type),
      };
      values[property] = source;
      node = withSourceAt(node, path, { is: 'property', property });
    }
    nodes[id] = node;
  }
  return { nodes, properties, values };
}

/** A node with another source where one stands. */
export function withSourceAt(node: TreeNode, path: readonly string[], source: Source): TreeNode {
  const copy = new WorkingCopy(Documents.none);
  copy.write('node', '', node);
  copy.write('node', pointer(...path), source);
  return copy.read('node', '') as TreeNode;
}

function readsOutside(
  tree: TreeDoc,
  node: string,
  source: Source,
  inside: ReadonlySet<string>,
): boolean {
  return chainOf(source).some((each) => {
    if (each.is === 'property') return true;
    if (each.is === 'position' || each.is === 'begins' || each.is === 'leaf')
      return !inside.has(each.repeat);
    if (each.is !== 'field') return false;
    if (each.from === 'page') return true;
    const { repeat } = each.from;
    return !inside.has(repeat) && repeatsAround(tree, node).includes(repeat);
  });
}
