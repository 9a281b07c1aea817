import { Type } from '@sinclair/typebox';
import {
  docOf,
  Option,
  OrderKey,
  own,
  sameJson,
  type ComponentDoc,
  type Property,
} from '../../model';
import { say } from '../../said';
import { exact, Id, Label } from '../args';
import { changeTo, type Refusal } from '../changes';
import { keyTaken, PropertyKey } from '../components/adding-properties';
import { defineEdit, gone, refuse } from '../define';
import { componentName } from '../names';

/** Gives a component an axis: a choice that rules may name the options of. */
export const addAxis = defineEdit({
  args: Type.Object(
    {
      component: Id,
      property: Id,
      label: Label,
      key: PropertyKey,
      order: OrderKey,
      options: Type.Record(Id, Option, { ...exact, minProperties: 1, maxProperties: 100 }),
      /** The option that an instance has which chooses none: that of the base. */
      base: Id,
    },
    exact,
  ),
  run(documents, { component, property, label, key, order, options, base }) {
    const doc = docOf(documents, 'component', component);
    if (!doc) return gone('the-component', component);
    if (own(doc.properties, property)) return refuse(say('ids-taken'), component);
    const taken = keyTaken(doc, key, property);
    if (taken) return taken;
    if (!isOffered(options, base)) return refuse(say('no-option'), component);
    const made: Property = {
      label,
      key,
      type: { kind: 'choice', options },
      group: null,
      order,
      default: { is: 'value', type: 'choice', value: base },
      axis: true,
    };
    return changeTo(documents, component, ['properties', property], made);
  },
  told: (documents, { component, label }) =>
    say('added-axis', { label, component: componentName(documents, component) }),
});

/** Makes a rule that says nothing yet, for an option of an axis, or for options of several that are chosen together. */
export const addRule = defineEdit({
  args: Type.Object(
    {
      component: Id,
      rule: Id,
      order: OrderKey,
      /** By axis: the option that it must have. */
      axes: Type.Record(Id, Id, { ...exact, minProperties: 1, maxProperties: 20 }),
    },
    exact,
  ),
  run(documents, { component, rule, order, axes }) {
    const doc = docOf(documents, 'component', component);
    if (!doc) return gone('the-component', component);
    if (own(doc.rules, rule)) return refuse(say('ids-taken'), component);
    const refusal = noSuchAxes(doc, axes);
    if (refusal) return refusal;
    const isThere = Object.values(doc.rules).some(
      ({ when }) => when.pseudo === undefined && sameJson(when.axes, axes),
    );
    if (isThere) return refuse(say('rule-is-there'), component);
    return changeTo(documents, component, ['rules', rule], { order, when: { axes }, patch: {} });
  },
  told: (documents, { component }) =>
    say('made-rule', { component: componentName(documents, component) }),
});

/** Drops a rule with all that it says: what it held for follows what it stood on. */
export const removeRule = defineEdit({
  args: Type.Object({ component: Id, rule: Id }, exact),
  run(documents, { component, rule }) {
    const doc = docOf(documents, 'component', component);
    return doc && own(doc.rules, rule)
      ? changeTo(documents, component, ['rules', rule], undefined)
      : gone('the-rule', component);
  },
  told: (documents, { component }) =>
    say('dropped-rule', { component: componentName(documents, component) }),
});

/** Why axes cannot be asked for options: one is no axis, or has no such option. */
function noSuchAxes(
  { id, properties }: ComponentDoc,
  axes: Readonly<Record<string, string>>,
): Refusal | undefined {
  for (const [axis, option] of Object.entries(axes)) {
    const property = own(properties, axis);
    if (!property?.axis || property.type.kind !== 'choice') return refuse(say('no-axis'), id);
    if (!isOffered(property.type.options, option)) return refuse(say('no-option'), id);
  }
  return undefined;
}

function isOffered(options: Readonly<Record<string, { gone?: unknown }>>, option: string): boolean {
  const found = own(options, option);
  return found !== undefined && found.gone === undefined;
}
