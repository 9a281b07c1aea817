import {
  docOf,
  orderAfterAll,
  own,
  pointer,
  readAt,
  sameJson,
  type ChosenKind,
  type ComponentDoc,
  type Documents,
  type Source,
} from '@sormet/core/model';
import { controlPath, inVariant, type NamedEdit, type Refusal } from '@sormet/core/edit';
import type { Control, Picks } from '@sormet/core/resolve';
import { say } from '@sormet/core/said';
import type { AppliedBlock } from '@sormet/core/style';

/** The rule of a definition for exactly these options; nothing where none is made. */
export function ruleOf({ rules }: ComponentDoc, axes: Picks): string | undefined {
  return Object.keys(rules).find((id) => {
    const { when } = rules[id]!;
    return when.pseudo === undefined && sameJson(when.axes, axes);
  });
}

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
  return { component, axes: there, rule: ruleOf(component, there) ?? fresh };
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

/** Edits that say something of what is there. */
const SAYS: ReadonlySet<NamedEdit['name']> = new Set([
  'setControl',
  'setControls',
  'setDefault',
  'declare',
  'declareRule',
  'setTag',
  'wear',
  'putTheme',
  'setGround',
]);

const sameInAll = (doc: string): Refusal => ({ refused: say('same-in-all-variants'), doc });

/** Controls that rules put something in the place of. */
const VARIED = new Set(['text', 'attribute', 'value', 'shown']);

function isVaried(control: Control, source: Source | null): boolean {
  return control.of === 'chosen'
    ? lookSaid(control.what, source) !== undefined
    : VARIED.has(control.of);
}

type LookSaid = Extract<NamedEdit, { name: 'setLookByRule' }>['args']['set'];

/** What a rule says of a tag, a theme or a shared style that is given by hand; nothing for what something else chooses. */
function lookSaid(what: ChosenKind, source: Source | null): LookSaid | undefined {
  if (source === null) return what === 'style' ? undefined : { back: what };
  if (source.is !== 'value') return undefined;
  if (source.type === 'theme' && what === 'theme') return { theme: source.value };
  if (typeof source.value !== 'string') return undefined;
  return what === 'tag' ? { tag: source.value } : { style: source.value, on: true };
}

/**
 * What edits of a definition come to while a variant of it is lit: they go into its rule, which is made first where there is
 * none, and nowhere else.
 * @param stylesToo whether what is styled does, too: not where another rule was lit for it
 * @returns why not, for what is the same in all variants
 */
export function intoVariant(
  { component: { id }, axes, rule }: Picked,
  stylesToo: boolean,
  documents: Documents,
  edits: readonly NamedEdit[],
): readonly NamedEdit[] | Refusal {
  // What is put in place or moved stands in all variants, and so does what is said of it in the same step.
  if (!edits.every(({ name }) => SAYS.has(name))) return edits;
  const meant: NamedEdit[] = [];
  const saysOf = (node: string, set: LookSaid): NamedEdit => ({
    name: 'setLookByRule',
    args: { component: id, rule, node, set },
  });
  for (const edit of edits) {
    if (edit.name === 'setControl' || edit.name === 'setControls') {
      const all = edit.name === 'setControl' ? [edit.args] : edit.args.set;
      const here = all.filter(({ doc }) => doc === id);
      if (here.length === 0) meant.push(edit);
      if (here.some(({ control, source }) => !isVaried(control, source))) return sameInAll(id);
      for (const { node, control, source } of here)
        if (control.of === 'chosen') meant.push(saysOf(node, lookSaid(control.what, source)!));
        else
          meant.push({ name: 'setByRule', args: { component: id, rule, node, control, source } });
      const set = all.filter(({ doc }) => doc !== id);
      if (here.length > 0 && set.length > 0) meant.push({ name: 'setControls', args: { set } });
    } else if (edit.name === 'declare' && edit.args.doc === id && stylesToo) {
      const { doc: _, nodes, ...declared } = edit.args;
      for (const node of nodes)
        meant.push({ name: 'declareRule', args: { component: id, rule, node, ...declared } });
    } else if (edit.name === 'setTag' && edit.args.doc === id) {
      const { node, tag } = edit.args;
      meant.push(saysOf(node, { tag }));
    } else if (edit.name === 'putTheme' && edit.args.doc === id && stylesToo) {
      const { nodes, theme } = edit.args;
      for (const node of new Set(nodes)) meant.push(saysOf(node, { theme }));
    } else if (edit.name === 'wear' && edit.args.doc === id && stylesToo) {
      const { nodes, style, on } = edit.args;
      for (const node of new Set(nodes)) meant.push(saysOf(node, { style, on }));
    } else if (edit.name === 'setGround') {
      const isHere = edit.args.doc === id && stylesToo && edit.args.rule === undefined;
      meant.push(isHere ? { ...edit, args: { ...edit.args, rule } } : edit);
    } else if (edit.name === 'setDefault' && edit.args.component === id) return sameInAll(id);
    else meant.push(edit);
  }
  const rules = docOf(documents, 'component', id)?.rules ?? {};
  const isSaid = meant.some(
    ({ name, args }) =>
      (name === 'setByRule' ||
        name === 'declareRule' ||
        name === 'setLookByRule' ||
        name === 'setGround') &&
      args.rule === rule,
  );
  if (!isSaid || own(rules, rule)) return meant;
  const order = orderAfterAll(Object.values(rules));
  const made: NamedEdit = {
    name: 'addRule',
    args: { component: id, rule, order, axes: { ...axes } },
  };
  return [made, ...meant];
}

/** What the rule of the variant that is lit says of a control; nothing where that follows what it stands on. */
export function saidByVariant(
  picked: Picked | undefined,
  node: string,
  control: Control,
): Source | undefined {
  return (
    picked &&
    (readAt(
      picked.component,
      pointer('rules', picked.rule, 'patch', node, ...controlPath(control)),
    ) as Source | undefined)
  );
}

/** The definition as it would be in the variant that is lit if the rule of that said nothing. */
export function standsOn({ component, axes, rule }: Picked): ComponentDoc {
  const { [rule]: _, ...others } = component.rules;
  return inVariant({ ...component, rules: others }, axes);
}

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
