import { Type } from '@sinclair/typebox';
import { docOf, OrderKey, own, pointer, TypeSpec, type ComponentDoc } from '../../model';
import { say } from '../../said';
import { exact, Id, Label } from '../args';
import { change, type Change, type Refusal } from '../changes';
import { emptyLiteral } from '../control';
import { defineEdit, gone, refuse } from '../define';
import { componentName } from '../names';

/** The name by which code and files know a property: stays what it is when the label changes. */
export const PropertyKey = Type.String({
  pattern: '^[a-z][a-zA-Z0-9]*$',
  maxLength: 80,
  says: 'key-form',
});

/** Makes a property that nothing is connected to yet: what it should feed is chosen later. */
export const addProperty = defineEdit({
  args: Type.Object(
    {
      component: Id,
      property: Id,
      label: Label,
      key: PropertyKey,
      type: TypeSpec,
      group: Type.Union([Id, Type.Null()]),
      order: OrderKey,
    },
    exact,
  ),
  run(documents, { component, property, label, key, type, group, order }) {
    const doc = docOf(documents, 'component', component);
    if (!doc) return gone('the-component', component);
    if (own(doc.properties, property)) return refuse(say('ids-taken'), component);
    const taken = keyTaken(doc, key, property);
    if (taken) return taken;
    const made = {
      label,
      key,
      type,
      group: group !== null && own(doc.groups, group) ? group : null,
      order,
      default: emptyLiteral(type),
    };
    const changes: Change[] = [change(component, pointer('properties', property), undefined, made)];
    return changes;
  },
  told: (documents, { component, label }) =>
    say('added-property', { label, component: componentName(documents, component) }),
});

/** Why a key cannot be that of a property: another of the component has it. */
export function keyTaken(doc: ComponentDoc, key: string, but: string): Refusal | undefined {
  const other = Object.keys(doc.properties).find(
    (id) => id !== but && doc.properties[id]!.key === key,
  );
  return other === undefined
    ? undefined
    : refuse(
        say('key-of-other', { label: doc.properties[other]!.label, key }),
        doc.id,
        pointer('properties', other),
      );
}
