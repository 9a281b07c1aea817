import { own, type ComponentDoc, type Patch, type Tree, type TreeNode } from '../../model';
import { axesOf, rulesInOrder } from '../../style';

/** A node with what a rule says of it beside its look. */
export function withPatch(from: TreeNode, patch: Patch): TreeNode {
  let node = from;
  if (patch.text && node.kind === 'text') node = { ...node, text: patch.text };
  if (patch.shown && node.kind !== 'slot' && node.kind !== 'repeat')
    node = { ...node, shown: patch.shown };
  if (patch.attributes && node.kind === 'element')
    node = { ...node, attributes: { ...node.attributes, ...patch.attributes } };
  if (patch.values && node.kind === 'instance')
    node = { ...node, values: { ...node.values, ...patch.values } };
  return node;
}

/**
 * A definition as it is in one of its variants, its look apart: words, values, attributes and what is shown, with what the
 * rules that hold there put in their place, the weakest first.
 * @param picks by axis the option that it has; axes that are not named have the option of the base
 */
export function inVariant(
  component: ComponentDoc,
  picks: Readonly<Record<string, string>>,
): ComponentDoc {
  const optionOf = (axis: string) => {
    const byDefault = own(component.properties, axis)?.default;
    const base = byDefault?.is === 'value' ? byDefault.value : undefined;
    return own(picks, axis) ?? base;
  };
  const nodes: Tree = { ...component.nodes };
  for (const [, rule] of rulesInOrder(component)) {
    const when = axesOf(rule, component.properties);
    if (rule.when.pseudo || !when?.every(({ property, option }) => optionOf(property) === option))
      continue;
    for (const id of Object.keys(rule.patch)) {
      const node = own(nodes, id);
      if (node) nodes[id] = withPatch(node, rule.patch[id]!);
    }
  }
  return { ...component, nodes };
}
