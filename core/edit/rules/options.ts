import { Type } from '@sinclair/typebox';
import {
  docOf,
  literal,
  OrderKey,
  own,
  type ComponentDoc,
  type Documents,
  type SpecOf,
} from '../../model';
import { say, type Told } from '../../said';
import { exact, Id, Label } from '../args';
import { changeTo, type Change } from '../changes';
import { defineEdit, gone, refuse } from '../define';

const OF = { component: Id, property: Id };

/** A choice of a definition with its options; nothing where it is none, or gone. */
function choiceOf(
  documents: Documents,
  component: string,
  property: string,
): { doc: ComponentDoc; type: SpecOf<'choice'>; label: string } | undefined {
  const doc = docOf(documents, 'component', component);
  const made = doc && own(doc.properties, property);
  return made?.type.kind === 'choice'
    ? { doc: doc!, type: made.type, label: made.label }
    : undefined;
}

const optionsOf = (property: string) => ['properties', property, 'type', 'options'];

/** Whether an option is there and offered. */
function isOffered({ options }: SpecOf<'choice'>, option: string): boolean {
  const found = own(options, option);
  return found !== undefined && found.gone === undefined;
}

function optionTold(documents: Documents, component: string, property: string, option: string) {
  const choice = choiceOf(documents, component, property);
  const label: Told = (choice && own(choice.type.options, option)?.label) ?? say('an-option');
  return { option: label, property: choice?.label ?? say('a-property') };
}

/** Gives a choice another option, that nothing says anything of yet. */
export const addOption = defineEdit({
  args: Type.Object({ ...OF, option: Id, label: Label, order: OrderKey }, exact),
  run(documents, { component, property, option, label, order }) {
    const choice = choiceOf(documents, component, property);
    if (!choice) return gone('the-property', component);
    if (own(choice.type.options, option)) return refuse(say('ids-taken'), component);
    const where = [...optionsOf(property), option];
    return changeTo(documents, component, where, { label: label.trim(), order });
  },
  told: (documents, { component, property, label }) =>
    say('added-option', { ...optionTold(documents, component, property, ''), option: label }),
});

/** Names an option, or moves it among the others. */
export const setOption = defineEdit({
  args: Type.Object(
    {
      ...OF,
      option: Id,
      set: Type.Union([
        Type.Object({ label: Label }, exact),
        Type.Object({ order: OrderKey }, exact),
      ]),
    },
    exact,
  ),
  run(documents, { component, property, option, set }) {
    const choice = choiceOf(documents, component, property);
    if (!choice) return gone('the-property', component);
    if (!isOffered(choice.type, option)) return refuse(say('no-option'), component);
    const where = [...optionsOf(property), option];
    return 'label' in set
      ? changeTo(documents, component, [...where, 'label'], set.label.trim())
      : changeTo(documents, component, [...where, 'order'], set.order);
  },
  told(documents, { component, property, option, set }) {
    const told = optionTold(documents, component, property, option);
    return 'label' in set
      ? say('named-option', { ...told, name: set.label })
      : say('moved-option', told);
  },
});

/** Makes another option that looks as one does: all that rules say of that, they say of the new one too. */
export const duplicateOption = defineEdit({
  args: Type.Object(
    {
      ...OF,
      option: Id,
      made: Id,
      label: Label,
      order: OrderKey,
      /** By rule that names the option: the rule that is made for the new one. */
      rules: Type.Record(Id, Id, { ...exact, maxProperties: 500 }),
    },
    exact,
  ),
  run(documents, { component, property, option, made, label, order, rules }) {
    const choice = choiceOf(documents, component, property);
    if (!choice) return gone('the-property', component);
    const { doc, type } = choice;
    if (!isOffered(type, option)) return refuse(say('no-option'), component);
    const copies = Object.entries(rules);
    const ids = copies.map(([, copy]) => copy);
    const taken = own(type.options, made) || ids.some((id) => own(doc.rules, id));
    if (taken || new Set(ids).size !== ids.length) return refuse(say('ids-taken'), component);
    if (rulesNaming(doc, property, option).some((rule) => own(rules, rule) === undefined))
      return refuse(say('rules-came-meanwhile'), component);
    return [
      ...changeTo(documents, component, [...optionsOf(property), made], {
        label: label.trim(),
        order,
      }),
      ...copies.flatMap(([rule, copy]): Change[] => {
        const from = own(doc.rules, rule);
        if (!from || own(from.when.axes, property) !== option) return [];
        const when = { ...from.when, axes: { ...from.when.axes, [property]: made } };
        return changeTo(documents, component, ['rules', copy], { ...from, when });
      }),
    ];
  },
  told: (documents, { component, property, option }) =>
    say('duplicated-option', optionTold(documents, component, property, option)),
});

/**
 * Takes an option away, with the rules that name it. Instances that chose it have the one that is named instead, else that
 * of the base; what they say stays stored.
 */
export const removeOption = defineEdit({
  args: Type.Object({ ...OF, option: Id, instead: Type.Union([Id, Type.Null()]) }, exact),
  run(documents, { component, property, option, instead }) {
    const choice = choiceOf(documents, component, property);
    if (!choice) return gone('the-property', component);
    const { doc, type } = choice;
    if (!isOffered(type, option)) return refuse(say('no-option'), component);
    if (instead !== null && (instead === option || !isOffered(type, instead)))
      return refuse(say('no-option'), component);
    const left = Object.keys(type.options).filter((id) => id !== option && isOffered(type, id));
    if (left.length === 0) return refuse(say('last-option'), component);
    const byDefault = doc.properties[property]!.default;
    const isBase = byDefault.is === 'value' && byDefault.value === option;
    if (isBase && instead === null) return refuse(say('base-needs-another'), component);
    // What once counted as this one counts as the other now: only one step is ever followed.
    const followers = Object.keys(type.options).filter((id) => type.options[id]!.gone === option);
    const then = instead ?? true;
    return [
      ...[option, ...followers].flatMap((id) =>
        changeTo(documents, component, [...optionsOf(property), id, 'gone'], then),
      ),
      ...(isBase
        ? changeTo(
            documents,
            component,
            ['properties', property, 'default'],
            literal({ type: 'choice', value: instead }),
          )
        : []),
      ...rulesNaming(doc, property, option).flatMap((rule) =>
        changeTo(documents, component, ['rules', rule], undefined),
      ),
    ];
  },
  told(documents, { component, property, option, instead }) {
    const told = optionTold(documents, component, property, option);
    return instead === null
      ? say('removed-option', told)
      : say('removed-option-for', {
          ...told,
          instead: optionTold(documents, component, property, instead).option,
        });
  },
});

/** The rules of a definition that name an option of an axis, sorted. */
export function rulesNaming({ rules }: ComponentDoc, axis: string, option: string): string[] {
  return Object.keys(rules)
    .filter((rule) => own(rules[rule]!.when.axes, axis) === option)
    .sort();
}
