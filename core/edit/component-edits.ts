import { Type } from '@sinclair/typebox';
import {
  chainOf,
  definitionSources,
  docOf,
  FORMAT,
  ID_PATTERN,
  nodeIn,
  orderBetween,
  OrderKey,
  own,
  pointer,
  repeatsAround,
  rootOf,
  Source,
  sourcesOf,
  treeDocOf,
  withDescendants,
  withSources,
  WorkingCopy,
  type ComponentDoc,
  Documents,
  type InstanceNode,
  type Property,
  type Tree,
  type TreeDoc,
  type TreeNode,
} from '../model';
import { sourceAt } from '../resolve';
import { change, changeTo, type Change, type Refusal } from './change';
import {
  ControlArg,
  controlPath,
  controlsOf,
  controlType,
  defaultOf,
  emptyLiteral,
  keyFor,
  nodeName,
  propertyOf,
} from './control';
import { defineEdit, refuse } from './define';
import { shortName } from './names';

const Id = Type.String({ pattern: ID_PATTERN });
const exact = { additionalProperties: false };
const Label = Type.String({ minLength: 1, maxLength: 120 });

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
      name: Type.String({ pattern: '^[^/]+(/[^/]+)*$', maxLength: 200 }),
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
    if (!tree || !selected) return refuse('What should become a component is gone.', doc);
    if (node === rootOf(tree.nodes))
      return refuse('The root of a document stays where it is.', doc);
    if (selected.kind !== 'element' && selected.kind !== 'instance')
      return refuse('An element or an instance can become a component.', doc);
    if (documents.get(component) || own(tree.nodes, instance))
      return refuse('The ids given are taken.', doc);
    const inside = withDescendants(tree.nodes, node);
    for (const id of inside)
      if (tree.nodes[id]!.kind === 'slot')
        return refuse('It holds a slot of the definition around; that stays where it is.', doc);
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
  says: (documents, { doc, node, name }) => {
    const stored = nodeIn(documents, doc, node);
    return `made ${stored ? nodeName(documents, stored) : 'a part'} the component ${shortName(name)}`;
  },
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
      if (property === undefined)
        return refuse('It reads more of its surroundings than was expected.');
      // A text's controls belong to the element around it.
      const owner = node.kind === 'text' ? (node.place.parent ?? id) : id;
      const row = controlsOf(documents, tree, owner).find(
        ({ node: of, control }) => of === id && controlPath(control).join() === path.join(),
      );
      if (path[0] === 'style')
        return refuse(
          'One of its declarations reads its surroundings; that cannot be handed in yet.',
        );
      if (!row || node.kind === 'repeat')
        return refuse('It repeats by a condition read from outside; that cannot be handed in yet.');
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

/** A node with another source where one stands; not in a query, whose conditions stand in a list. */
function withSourceAt(
  node: Exclude<TreeNode, { kind: 'repeat' }>,
  path: readonly string[],
  source: Source,
): TreeNode {
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
    if (each.is !== 'field') return false;
    if (each.from === 'page') return true;
    const { repeat } = each.from;
    return !inside.has(repeat) && repeatsAround(tree, node).includes(repeat);
  });
}

/** Makes controls properties of the definition: what they held becomes the default. */
export const expose = defineEdit({
  args: Type.Object(
    {
      component: Id,
      controls: Type.Array(
        Type.Object(
          {
            node: Id,
            control: ControlArg,
            property: Id,
            label: Label,
            key: Type.String({ pattern: '^[a-z][a-zA-Z0-9]*$', maxLength: 80 }),
            order: OrderKey,
            group: Type.Union([
              Type.Object({ id: Id, label: Label, order: OrderKey }, exact),
              Type.Null(),
            ]),
          },
          exact,
        ),
        { minItems: 1, maxItems: 200 },
      ),
    },
    exact,
  ),
  run(documents, { component, controls }) {
    const doc = docOf(documents, 'component', component);
    if (!doc) return refuse('The component is gone.', component);
    const changes: Change[] = [];
    const groups = new Set(Object.keys(doc.groups));
    for (const { node, control, property, label, key, order, group } of controls) {
      const stored = own(doc.nodes, node);
      const type = stored && controlType(documents, stored, control);
      if (!stored || !type) return refuse('A control that should be exposed is gone.', component);
      if (own(doc.properties, property)) return refuse('The ids given are taken.', component);
      const source = sourceAt(stored, control);
      if (source && source.is !== 'value')
        return refuse(
          `${label} has its value from elsewhere already.`,
          component,
          pointer('nodes', node),
        );
      if (group && !groups.has(group.id)) {
        groups.add(group.id);
        changes.push(
          change(component, pointer('groups', group.id), undefined, {
            label: group.label,
            order: group.order,
          }),
        );
      }
      const made: Property = {
        label,
        key,
        type,
        group: group?.id ?? null,
        order,
        default: defaultOf(documents, stored, control, type),
      };
      changes.push(
        change(component, pointer('properties', property), undefined, made),
        change(component, pointer('nodes', node, ...controlPath(control)), source, {
          is: 'property',
          property,
        }),
      );
    }
    return changes;
  },
  says: (documents, { component, controls }) =>
    `exposed ${controls.length === 1 ? controls[0]!.label : `${controls.length} controls`} of ${componentName(documents, component)}`,
});

function componentName(documents: Documents, component: string): string {
  const doc = docOf(documents, 'component', component);
  return doc ? shortName(doc.name) : 'a component that is gone';
}

/**
 * Takes a property back: its controls hold the default themselves again. What instances have set stays
 * stored, so undoing brings everything back.
 */
export const unexpose = defineEdit({
  args: Type.Object({ component: Id, property: Id }, exact),
  run(documents, { component, property }) {
    const doc = docOf(documents, 'component', component);
    const made = doc && own(doc.properties, property);
    if (!doc || !made) return refuse('The property is gone.', component);
    const changes: Change[] = [];
    const byDefault = (source: Source) =>
      source.is === 'property' && source.property === property ? made.default : source;
    for (const [path, source] of definitionSources(doc)) {
      const now = withSources(source, byDefault);
      if (now !== source) changes.push(...changeTo(documents, component, path, now));
    }
    changes.push(change(component, pointer('properties', property), made, undefined));
    const { group } = made;
    const alone =
      group !== null &&
      Object.entries(doc.properties).every(
        ([id, other]) => id === property || other.group !== group,
      );
    if (alone) changes.push(...changeTo(documents, component, ['groups', group], undefined));
    return changes;
  },
  says: (documents, { component, property }) => {
    const label = propertyOf(documents, component, property)?.label ?? 'a property';
    return `took back the property ${label} of ${componentName(documents, component)}`;
  },
});

export const labelProperty = defineEdit({
  args: Type.Object({ component: Id, property: Id, label: Label }, exact),
  run(documents, { component, property, label }) {
    if (!propertyOf(documents, component, property))
      return refuse('The property is gone.', component);
    return changeTo(documents, component, ['properties', property, 'label'], label);
  },
  says: (documents, { component, label }) =>
    `labelled a property of ${componentName(documents, component)} ${label}`,
});

/** Changes what a property gives to every instance that sets nothing. */
export const setDefault = defineEdit({
  args: Type.Object({ component: Id, property: Id, value: Source }, exact),
  run(documents, { component, property, value }) {
    if (!propertyOf(documents, component, property))
      return refuse('The property is gone.', component);
    if (value.is !== 'value') return refuse('A default is a value.', component);
    return changeTo(documents, component, ['properties', property, 'default'], value);
  },
  says: (documents, { component, property }) => {
    const label = propertyOf(documents, component, property)?.label ?? 'a property';
    return `set the default of ${label} of ${componentName(documents, component)}`;
  },
});

/** Lets all follow one instance's value: it becomes the default and is no longer set here. */
export const makeDefault = defineEdit({
  args: Type.Object({ doc: Id, node: Id, property: Id }, exact),
  run(documents, { doc, node, property }) {
    const instance = nodeIn(documents, doc, node);
    if (instance?.kind !== 'instance') return refuse('The instance is gone.', doc);
    const component = docOf(documents, 'component', instance.component);
    const value = own(instance.values, property);
    if (!component || !own(component.properties, property))
      return refuse('The property is gone.', instance.component);
    if (value?.is !== 'value') return refuse('Only a value set here can become the default.', doc);
    const { whenEmpty: _, ...literal } = value;
    return [
      ...changeTo(documents, component.id, ['properties', property, 'default'], literal),
      ...changeTo(documents, doc, ['nodes', node, 'values', property], undefined),
    ];
  },
  says: (documents, { doc, node, property }) => {
    const instance = nodeIn(documents, doc, node);
    const label =
      instance?.kind === 'instance'
        ? propertyOf(documents, instance.component, property)?.label
        : undefined;
    return `made the value of ${label ?? 'a property'} the default`;
  },
});

export const nameComponent = defineEdit({
  args: Type.Object(
    { component: Id, name: Type.String({ pattern: '^[^/]+(/[^/]+)*$', maxLength: 200 }) },
    exact,
  ),
  run(documents, { component, name }) {
    if (!docOf(documents, 'component', component))
      return refuse('The component is gone.', component);
    return changeTo(documents, component, ['name'], name);
  },
  says: (documents, { component, name }) =>
    `renamed ${componentName(documents, component)} to ${name}`,
});

/** Removes a component that nothing places. */
export const removeComponent = defineEdit({
  args: Type.Object({ component: Id }, exact),
  run(documents, { component }) {
    const doc = docOf(documents, 'component', component);
    if (!doc) return refuse('The component is gone.', component);
    return [change(component, '', doc, undefined)];
  },
  says: (documents, { component }) =>
    `removed the component ${componentName(documents, component)}`,
});
