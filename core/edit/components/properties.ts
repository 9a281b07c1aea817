import { Type } from '@sinclair/typebox';
import { docOf, OrderKey, own } from '../../model';
import { exact, Id, Label } from '../args';
import { type Change, changeTo } from '../changes';
import { propertyOf } from '../control';
import { defineEdit, gone } from '../define';
import { componentName } from '../names';

/** In which group a property stands (one that may be new), and where among all. */
const PLACE = Type.Object(
  {
    group: Type.Union([Type.Object({ id: Id, label: Label, order: OrderKey }, exact), Type.Null()]),
    order: OrderKey,
  },
  exact,
);

/** Sets what is said of a property, not what it holds: its help, whether it must be filled, where it stands. */
export const setProperty = defineEdit({
  args: Type.Object(
    {
      component: Id,
      property: Id,
      set: Type.Union([
        Type.Object({ help: Type.String({ maxLength: 500 }) }, exact),
        Type.Object({ required: Type.Boolean() }, exact),
        Type.Object({ place: PLACE }, exact),
      ]),
    },
    exact,
  ),
  run(documents, { component, property, set }) {
    const doc = docOf(documents, 'component', component);
    const made = doc && own(doc.properties, property);
    if (!doc || !made) return gone('The property', component);
    const at = ['properties', property];
    if ('help' in set)
      return changeTo(documents, component, [...at, 'help'], set.help.trim() || undefined);
    if ('required' in set)
      return changeTo(documents, component, [...at, 'required'], set.required || undefined);
    const { group, order } = set.place;
    const changes: Change[] = [];
    if (group && !own(doc.groups, group.id)) {
      const { id, ...rest } = group;
      changes.push(...changeTo(documents, component, ['groups', id], rest));
    }
    changes.push(
      ...changeTo(documents, component, [...at, 'group'], group?.id ?? null),
      ...changeTo(documents, component, [...at, 'order'], order),
    );
    const left = made.group;
    const isEmpty =
      left !== null &&
      left !== group?.id &&
      Object.entries(doc.properties).every(([id, each]) => id === property || each.group !== left);
    if (isEmpty) changes.push(...changeTo(documents, component, ['groups', left], undefined));
    return changes;
  },
  says(documents, { component, property, set }) {
    const label = propertyOf(documents, component, property)?.label ?? 'a property';
    const of = `${label} of ${componentName(documents, component)}`;
    if ('help' in set) return `wrote help for ${of}`;
    if ('required' in set) return set.required ? `made ${of} required` : `made ${of} optional`;
    return `moved ${of}`;
  },
});

/** Names a group of properties, or moves it among the others. */
export const setGroup = defineEdit({
  args: Type.Object(
    {
      component: Id,
      group: Id,
      set: Type.Union([
        Type.Object({ label: Label }, exact),
        Type.Object({ order: OrderKey }, exact),
      ]),
    },
    exact,
  ),
  run(documents, { component, group, set }) {
    const doc = docOf(documents, 'component', component);
    if (!doc || !own(doc.groups, group)) return gone('The group', component);
    const [member, value] = Object.entries(set)[0]!;
    return changeTo(documents, component, ['groups', group, member], value);
  },
  says: (documents, { component, set }) =>
    `${'label' in set ? 'named' : 'moved'} a group of ${componentName(documents, component)}`,
});
