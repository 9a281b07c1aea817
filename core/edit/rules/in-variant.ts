import {
  own,
  type ComponentDoc,
  type ElementNode,
  type InstanceNode,
  type Patch,
  type Tree,
  type TreeNode,
} from '../../model';
import { axesOf, rulesInOrder } from '../../style';

/** A node with what a rule says of it beside its declarations. */
export function withPatch(from: TreeNode, patch: Patch): TreeNode {
  let node = from;
  if (node.kind === 'element' || node.kind === 'instance') node = withLook(node, patch);
  if (patch.text && node.kind === 'text') node = { ...node, text: patch.text };
  if (patch.shown && node.kind !== 'repeat') node = { ...node, shown: patch.shown };
  if (patch.attributes && node.kind === 'element')
    node = { ...node, attributes: { ...node.attributes, ...patch.attributes } };
  if (patch.values && node.kind === 'instance')
    node = { ...node, values: { ...node.values, ...patch.values } };
  return node;
}

/** What the tag, the theme and the shared styles of a node are with what a rule says of them. */
function withLook<N extends ElementNode | InstanceNode>(from: N, patch: Patch): N {
  const { tag, theme, shared } = patch;
  let node = from;
  if (tag !== undefined && node.kind === 'element') node = without({ ...node, tag }, 'tag');
  if (theme !== undefined) {
    const { theme: _, ...rest } = node;
    node = without((theme === null ? rest : { ...rest, theme }) as N, 'theme');
  }
  if (shared) {
    const worn = Object.entries({ ...node.shared, ...shared }).filter(([, isOn]) => isOn);
    const { shared: _, ...rest } = node;
    const on = Object.fromEntries(worn.map(([style]) => [style, true as const]));
    node = (worn.length === 0 ? rest : { ...rest, shared: on }) as N;
  }
  return node;
}

/** A node of which nothing chooses its tag or theme any more: a rule has said it. */
function without<N extends ElementNode | InstanceNode>(node: N, what: 'tag' | 'theme'): N {
  if (node.chosen?.[what] === undefined) return node;
  const { chosen, ...rest } = node;
  const { [what]: _, ...others } = chosen!;
  return (Object.keys(others).length === 0 ? rest : { ...rest, chosen: others }) as N;
}

/**
 * A definition as it is in one of its variants, what it declares apart: words, values, attributes, what is shown, tags, themes
 * and shared styles, with what the rules that hold there put in their place, the weakest first.
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
