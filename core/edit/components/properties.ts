import { Type } from '@sinclair/typebox';
import { docOf, own, TypeSpec } from '../../model';
import { say } from '../../said';
import { Before, exact, Id, Label, PlaceInGroup } from '../args';
import { type Change, changeTo } from '../changes';
import { propertyOf } from '../control';
import { defineEdit, gone, refuse } from '../define';
import { componentName } from '../names';
import { keyTaken, PropertyKey } from './adding-properties';
import { ordersPutting } from '../ordering';

/** Sets what is said of a property, not what it holds: its key, its type, whether content may feed it, its help, whether it must be filled, where it stands. */
export const setProperty = defineEdit({
  args: Type.Object(
    {
      component: Id,
      property: Id,
      set: Type.Union([
        Type.Object({ help: Type.String({ maxLength: 500 }) }, exact),
        Type.Object({ required: Type.Boolean() }, exact),
        Type.Object({ key: PropertyKey }, exact),
        Type.Object({ typedOnly: Type.Boolean() }, exact),
        /** Whether rules may name its options. */
        Type.Object({ axis: Type.Boolean() }, exact),
        /** Values stay as they were written: they are converted when they are read. */
        Type.Object({ type: TypeSpec }, exact),
        Type.Object({ place: PlaceInGroup }, exact),
      ]),
    },
    exact,
  ),
  run(documents, { component, property, set }) {
    const doc = docOf(documents, 'component', component);
    const made = doc && own(doc.properties, property);
    if (!doc || !made) return gone('the-property', component);
    const at = ['properties', property];
    if ('help' in set)
      return changeTo(documents, component, [...at, 'help'], set.help.trim() || undefined);
    if ('required' in set)
      return changeTo(documents, component, [...at, 'required'], set.required || undefined);
    if ('key' in set)
      return (
        keyTaken(doc, set.key, property) ?? changeTo(documents, component, [...at, 'key'], set.key)
      );
    if ('axis' in set) {
      const rules = Object.values(doc.rules).filter(({ when }) => own(when.axes, property)).length;
      if (!set.axis && rules > 0) return refuse(say('rules-name-axis', { many: rules }), component);
      return changeTo(documents, component, [...at, 'axis'], set.axis || undefined);
    }
    if ('typedOnly' in set)
      return changeTo(documents, component, [...at, 'typedOnly'], set.typedOnly || undefined);
    if ('type' in set) {
      if (made.axis && set.type.kind !== 'choice')
        return refuse(say('stays-choice-while-axis'), component);
      return changeTo(documents, component, [...at, 'type'], set.type);
    }
    const { group, before } = set.place;
    const changes: Change[] = [];
    if (group && !own(doc.groups, group.id)) {
      const { id, ...rest } = group;
      changes.push(...changeTo(documents, component, ['groups', id], rest));
    }
    const within = Object.entries(doc.properties).filter(
      ([id, each]) => id !== property && each.group === (group?.id ?? null),
    );
    changes.push(...changeTo(documents, component, [...at, 'group'], group?.id ?? null));
    for (const [id, order] of Object.entries(ordersPutting(property, before, within)))
      changes.push(...changeTo(documents, component, ['properties', id, 'order'], order));
    const left = made.group;
    const isEmpty =
      left !== null &&
      left !== group?.id &&
      Object.entries(doc.properties).every(([id, each]) => id === property || each.group !== left);
    if (isEmpty) changes.push(...changeTo(documents, component, ['groups', left], undefined));
    return changes;
  },
  told(documents, { component, property, set }) {
    const label = propertyOf(documents, component, property)?.label ?? say('a-property');
    const of = say('of-component', { what: label, component: componentName(documents, component) });
    if ('help' in set) return say('wrote-help', { property: of });
    if ('key' in set) return say('gave-key', { property: of, key: set.key });
    if ('type' in set) return say('made-of-type', { property: of, type: set.type.kind });
    if ('typedOnly' in set)
      return set.typedOnly
        ? say('kept-to-typed', { property: of })
        : say('opened-to-content', { property: of });
    if ('axis' in set)
      return set.axis ? say('made-axis', { property: of }) : say('made-no-axis', { property: of });
    if ('required' in set)
      return set.required
        ? say('made-required', { property: of })
        : say('made-optional', { property: of });
    return say('moved-property', { property: of });
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
        Type.Object({ before: Before }, exact),
      ]),
    },
    exact,
  ),
  run(documents, { component, group, set }) {
    const doc = docOf(documents, 'component', component);
    if (!doc || !own(doc.groups, group)) return gone('the-group', component);
    if ('label' in set)
      return changeTo(documents, component, ['groups', group, 'label'], set.label);
    const others = Object.entries(doc.groups).filter(([id]) => id !== group);
    return Object.entries(ordersPutting(group, set.before, others)).flatMap(([id, order]) =>
      changeTo(documents, component, ['groups', id, 'order'], order),
    );
  },
  told: (documents, { component, set }) =>
    say('label' in set ? 'named-group' : 'moved-group', {
      component: componentName(documents, component),
    }),
});
