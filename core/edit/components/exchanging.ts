import { Type } from '@sinclair/typebox';
import {
  childrenOf,
  docOf,
  inOrder,
  nodeIn,
  own,
  partsIn,
  treeDocOf,
  type ComponentDoc,
  type NodeId,
  type PropertyId,
  type SlotId,
  type Source,
  type TypeSpec,
} from '../../model';
import { say, type Told } from '../../said';
import { feeds } from '../../value';
import { exact, Id } from '../args';
import { changeTo, type Change } from '../changes';
import { defineEdit, gone, refuse } from '../define';
import { componentName } from '../names';

/** What of one component goes where in another: what is called alike first, else what holds the same, in their order. */
export interface Matching {
  /** By property of the first: that of the other. */
  readonly properties: ReadonlyMap<PropertyId, PropertyId>;
  readonly slots: ReadonlyMap<SlotId, SlotId>;
  /** By part of the first: the part of the other that is called the same. */
  readonly parts: ReadonlyMap<NodeId, NodeId>;
  /** What has no place in the other: labels, and parts whose look is lost. */
  readonly unmatched: readonly Told[];
}

/** How the values and slots of one component would fill another. */
export function matchingOf(from: ComponentDoc, to: ComponentDoc): Matching {
  const properties = new Map<PropertyId, PropertyId>();
  const free = new Map(inOrder(to.properties));
  const take = (fits: (old: PropertyId, made: PropertyId) => boolean) => {
    for (const [id] of inOrder(from.properties)) {
      if (properties.has(id)) continue;
      const found = [...free.keys()].find((each) => fits(id, each));
      if (found === undefined) continue;
      properties.set(id, found);
      free.delete(found);
    }
  };
  const holds = (id: PropertyId, made: PropertyId) =>
    feeds(from.properties[id]!.type.kind, to.properties[made]!.type.kind);
  const alike = (a: string, b: string) => a.toLowerCase() === b.toLowerCase();
  take(
    (id, made) => holds(id, made) && alike(from.properties[id]!.label, to.properties[made]!.label),
  );
  take((id, made) => holds(id, made) && from.properties[id]!.key === to.properties[made]!.key);
  take((id, made) => from.properties[id]!.type.kind === to.properties[made]!.type.kind);
  const slots = new Map<SlotId, SlotId>();
  const open = new Map(inOrder(to.slots));
  for (const [id, { label }] of inOrder(from.slots)) {
    const found =
      [...open].find(([, other]) => alike(other.label, label))?.[0] ?? [...open.keys()][0];
    if (found === undefined) continue;
    slots.set(id, found);
    open.delete(found);
  }
  const named = new Map(partsIn(to.nodes).map(([id, name]) => [name.toLowerCase(), id]));
  const parts = new Map(
    partsIn(from.nodes).flatMap(([id, name]) => {
      const found = named.get(name.toLowerCase());
      return found === undefined ? [] : [[id, found]];
    }),
  );
  const unmatched: Told[] = [
    ...inOrder(from.properties).filter(([id]) => !properties.has(id)),
    ...inOrder(from.slots).filter(([id]) => !slots.has(id)),
  ].map(([, { label }]) => label);
  for (const [id, name] of partsIn(from.nodes))
    if (!parts.has(id)) unmatched.push(say('look-left', { part: name }));
  return { properties, slots, parts, unmatched };
}

/** A chosen option as the other choice has it: the one that is called the same, where there is one. */
function withOptionOf(source: Source, from: TypeSpec, to: TypeSpec): Source {
  if (source.is !== 'value' || source.type !== 'choice' || source.value === null) return source;
  if (from.kind !== 'choice' || to.kind !== 'choice') return source;
  const wanted = own(from.options, source.value)?.label.toLowerCase();
  const found = inOrder(to.options).find(
    ([, { label, gone: isGone }]) => isGone === undefined && label.toLowerCase() === wanted,
  );
  return found ? { ...source, value: found[0] } : source;
}

/** Puts another component in the place of instances: values and slots go where they match, room and order stay. */
export const exchangeInstances = defineEdit({
  args: Type.Object(
    {
      instances: Type.Array(Type.Object({ doc: Id, node: Id }, exact), {
        minItems: 1,
        maxItems: 1000,
      }),
      component: Id,
    },
    exact,
  ),
  run(documents, { instances, component }) {
    const to = docOf(documents, 'component', component);
    if (!to) return gone('the-component', component);
    const changes: Change[] = [];
    for (const { doc, node } of instances) {
      const stored = nodeIn(documents, doc, node);
      if (stored?.kind !== 'instance') return gone('the-instance', doc);
      const from = docOf(documents, 'component', stored.component);
      if (!from) return gone('the-component', stored.component);
      if (from.id === to.id) return refuse(say('one-of-these-already'), doc);
      const { properties, slots, parts } = matchingOf(from, to);
      const values = Object.fromEntries(
        Object.entries(stored.values).flatMap(([id, source]) => {
          const made = properties.get(id);
          if (made === undefined) return [];
          const [had, has] = [from.properties[id]!.type, to.properties[made]!.type];
          return [[made, withOptionOf(source, had, has)]];
        }),
      );
      changes.push(
        ...changeTo(documents, doc, ['nodes', node, 'component'], to.id),
        ...changeTo(documents, doc, ['nodes', node, 'values'], values),
      );
      // What was said of a part that the other has not is gone with the component; undo brings it back.
      const said = Object.entries(stored.parts ?? {}).flatMap(([id, block]) => {
        const made = parts.get(id);
        return made === undefined ? [] : [[made, block] as const];
      });
      if (stored.parts)
        changes.push(
          ...changeTo(
            documents,
            doc,
            ['nodes', node, 'parts'],
            said.length > 0 ? Object.fromEntries(said) : undefined,
          ),
        );
      const { nodes } = treeDocOf(documents, doc)!;
      for (const child of childrenOf(nodes).all(node)) {
        const { slot } = nodes[child]!.place;
        const made = slot === undefined ? undefined : slots.get(slot);
        if (made !== undefined && made !== slot)
          changes.push(...changeTo(documents, doc, ['nodes', child, 'place', 'slot'], made));
      }
    }
    return changes;
  },
  told: (documents, { instances, component }) =>
    instances.length === 1
      ? say('exchanged-one', { component: componentName(documents, component) })
      : say('exchanged', {
          component: componentName(documents, component),
          many: instances.length,
        }),
});
