import { Type } from '@sinclair/typebox';
import {
  definitionSources,
  docOf,
  type Documents,
  OrderKey,
  own,
  pointer,
  type Property,
  sameJson,
  Source,
  type TypeSpec,
  withSources,
} from '../../model';
import { sourceAt } from '../../resolve';
import { say } from '../../said';
import { exact, Id, Label } from '../args';
import {
  applyChanges,
  change,
  type Change,
  changeTo,
  isRefusal,
  joinChanges,
  type Refusal,
} from '../changes';
import { ControlArg, controlAt, controlType, defaultOf, giveControl, propertyOf } from '../control';
import { defineEdit, gone, refuse } from '../define';
import { componentName } from '../names';

/**
 * Makes controls properties of the definition: what they held becomes the default. Several that are given the same
 * property have it in common, with the label and the default of the first.
 */
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
            key: Type.String({
              pattern: '^[a-z][a-zA-Z0-9]*$',
              maxLength: 80,
              says: 'key-form',
            }),
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
    if (!doc) return gone('the-component', component);
    let changes: Change[] = [];
    let state = documents;
    const groups = new Set(Object.keys(doc.groups));
    const here = new Map<string, TypeSpec>();
    for (const { node, control, property, label, key, order, group } of controls) {
      const stored = own(doc.nodes, node);
      const type = stored && controlType(documents, stored, control);
      if (!stored || !type) return gone('control-to-expose', component);
      if (own(doc.properties, property)) return refuse(say('ids-taken'), component);
      const shared = here.get(property);
      if (shared && !sameJson(shared, type))
        return refuse(say('of-another-type', { label }), component, pointer('nodes', node));
      here.set(property, type);
      const source = sourceAt(stored, control);
      if (source && source.is !== 'value')
        return refuse(say('from-elsewhere-already', { label }), component, pointer('nodes', node));
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
      // Several may be chosen for one node: each is given on top of those before.
      const given = giveControl(state, component, node, control, { is: 'property', property });
      state = applyChanges(state, given);
      changes = joinChanges(changes, [
        ...(shared ? [] : [change(component, pointer('properties', property), undefined, made)]),
        ...given,
      ]);
    }
    return changes;
  },
  told: (documents, { component, controls }) =>
    say('exposed', {
      what:
        controls.length === 1
          ? controls[0]!.label
          : say('controls-counted', { many: controls.length }),
      component: componentName(documents, component),
    }),
});

/**
 * Takes properties back: their controls hold the default themselves again. What instances have set stays stored, so
 * undoing brings everything back.
 */
export const unexpose = defineEdit({
  args: Type.Object(
    { component: Id, properties: Type.Array(Id, { minItems: 1, maxItems: 500 }) },
    exact,
  ),
  run(documents, { component, properties }) {
    let changes: Change[] = [];
    let state = documents;
    for (const property of new Set(properties)) {
      const taken = takingBack(state, component, property);
      if (isRefusal(taken)) return taken;
      state = applyChanges(state, taken);
      changes = joinChanges(changes, taken);
    }
    return changes;
  },
  told: (documents, { component, properties }) => {
    const of = componentName(documents, component);
    const [first] = properties;
    return properties.length === 1
      ? say('took-back-property', {
          property: propertyOf(documents, component, first!)?.label ?? say('gone-name'),
          component: of,
        })
      : say('took-back-properties', { many: properties.length, component: of });
  },
});

function takingBack(documents: Documents, component: string, property: string): Change[] | Refusal {
  const doc = docOf(documents, 'component', component);
  const made = doc && own(doc.properties, property);
  if (!doc || !made) return gone('the-property', component);
  const changes: Change[] = [];
  const byDefault = (source: Source) =>
    source.is === 'property' && source.property === property ? made.default : source;
  for (const [path, source] of definitionSources(doc)) {
    const now = withSources(source, byDefault);
    if (now === source) continue;
    const control = controlAt(path);
    const node = path[1]!;
    changes.push(
      ...(control
        ? giveControl(documents, component, node, control, now)
        : changeTo(documents, component, path, now)),
    );
  }
  changes.push(change(component, pointer('properties', property), made, undefined));
  const { group } = made;
  const alone =
    group !== null &&
    Object.entries(doc.properties).every(([id, other]) => id === property || other.group !== group);
  if (alone) changes.push(...changeTo(documents, component, ['groups', group], undefined));
  return changes;
}

/** Labels a property: what whoever places the component reads. Its key stays. */
export const labelProperty = defineEdit({
  args: Type.Object({ component: Id, property: Id, label: Label }, exact),
  run(documents, { component, property, label }) {
    if (!propertyOf(documents, component, property)) return gone('the-property', component);
    return changeTo(documents, component, ['properties', property, 'label'], label);
  },
  told: (documents, { component, label }) =>
    say('labelled-property', { component: componentName(documents, component), label }),
});
