import { newId, orderAfterAll, own, sameJson, type ComponentDoc } from '@sormet/core/model';
import type { NamedEdit } from '@sormet/core/edit';
import type { Picks } from '@sormet/core/resolve';
import type { AppliedBlock, Origin } from '@sormet/core/style';

/** The variant of a definition that is lit, and the rule that what is typed then goes to. */
export interface Picked {
  readonly component: ComponentDoc;
  /** By axis: the option that is lit. */
  readonly axes: Picks;
  /** The rule for exactly these options; made with the first thing that it says. */
  readonly rule: string;
}

/**
 * What is lit of a definition's variants.
 * @param fresh the id that its rule will have where there is none yet
 */
export function pickedOf(component: ComponentDoc, axes: Picks, fresh: string): Picked | undefined {
  const there = Object.fromEntries(
    Object.entries(axes).filter(([axis, option]) => isOption(component, axis, option)),
  );
  if (Object.keys(there).length === 0) return undefined;
  const rule = Object.keys(component.rules).find((id) => {
    const { when } = component.rules[id]!;
    return when.pseudo === undefined && sameJson(when.axes, there);
  });
  return { component, axes: there, rule: rule ?? fresh };
}

function isOption({ properties }: ComponentDoc, axis: string, option: string): boolean {
  const type = own(properties, axis)?.type;
  const found = type?.kind === 'choice' ? own(type.options, option) : undefined;
  return found !== undefined && found.gone === undefined;
}

/** The rules that apply to a node of a definition, with that of the variant that is lit, though it says nothing of it yet. */
export function withPicked(
  rules: readonly AppliedBlock[],
  { component, rule }: Picked,
  node: string,
): readonly AppliedBlock[] {
  const isIt = ({ origin }: AppliedBlock) =>
    origin.is === 'rule' && origin.rule === rule && origin.node === node;
  const itself = rules.find(
    ({ origin }) => origin.is === 'node' && origin.doc === component.id && origin.node === node,
  );
  if (rules.some(isIt) || !itself) return rules;
  const height = 'height' in itself.level ? itself.level.height : 0;
  const empty: AppliedBlock = {
    origin: { is: 'rule', doc: component.id, rule, node },
    level: { of: 'rules', height, at: Number.MAX_SAFE_INTEGER },
    block: {},
  };
  return [...rules, empty];
}

/** What must be done first for a rule to be written to: that it is made, where it is that of the variant that is lit. */
export function ruleFirst(picked: Picked | undefined, origin: Origin): NamedEdit[] {
  if (!picked || origin.is !== 'rule' || origin.rule !== picked.rule) return [];
  const { id, rules } = picked.component;
  if (own(rules, picked.rule)) return [];
  const order = orderAfterAll(Object.values(rules));
  return [
    {
      name: 'addRule',
      args: { component: id, rule: picked.rule, order, axes: { ...picked.axes } },
    },
  ];
}

/** A step of its own for what takes several edits. */
export const oneStep = (group: string | undefined): { group: string } => ({
  group: group ?? `variant ${newId()}`,
});

/** Options of axes in words: `tone: quiet, size: small`. */
export function picksWords({ properties }: ComponentDoc, axes: Picks): string {
  return Object.entries(axes)
    .map(([axis, option]) => {
      const property = own(properties, axis);
      const type = property?.type;
      const label = type?.kind === 'choice' ? own(type.options, option)?.label : undefined;
      return `${property?.label ?? 'a choice that is gone'}: ${label ?? 'an option that is gone'}`;
    })
    .join(', ');
}
