import {
  own,
  sameJson,
  type Block,
  type ComponentDoc,
  type RuleId,
  type TreeNode,
} from '../../model';
import { axesOf, keyParts, overlaid, rulesInOrder } from '../../style';
import type { Documents } from '../../model';
import { differencesOf, isOfTheSame, type Difference } from './differences';
import { withPatch } from './in-variant';

/**
 * What a rule says that what it stands on says anyway: dropping it changes nothing. It stands on the node itself, and on
 * the rules that hold whenever it does. What a rule for other axes may say in between counts: over that it is said.
 */
export function saysTheSame(
  documents: Documents,
  component: ComponentDoc,
  rule: RuleId,
): Difference[] {
  const asked = own(component.rules, rule)?.when;
  if (!asked || asked.pseudo) return [];
  const below: RuleId[] = [];
  const between: RuleId[] = [];
  for (const [id, { when }] of rulesInOrder(component)) {
    if (id === rule) break;
    if (when.pseudo || !axesOf({ ...component.rules[id]!, when }, component.properties)) continue;
    const axes = Object.entries(when.axes);
    if (axes.every(([axis, option]) => own(asked.axes, axis) === option)) below.push(id);
    else if (axes.every(([axis, option]) => (own(asked.axes, axis) ?? option) === option))
      between.push(id);
  }
  const standing = new Map<string, TreeNode>();
  const standsOn = (id: string) => {
    const known = standing.get(id);
    if (known) return known;
    let node = component.nodes[id]!;
    for (const each of below) {
      const patch = own(component.rules[each]!.patch, id);
      if (!patch) continue;
      if ((node.kind === 'element' || node.kind === 'instance') && patch.style)
        node = { ...node, style: overlaid(node.style, patch.style, documents.site) };
      node = withPatch(node, patch);
    }
    standing.set(id, node);
    return node;
  };
  return differencesOf(component, rule).filter((difference) => {
    const { node } = difference;
    const isBetween = between.some((each) =>
      differencesOf(component, each).some((other) => isOfTheSame(other, difference)),
    );
    return (
      !isBetween && isSaid(standsOn(node), difference, component.rules[rule]!.patch[node]!.style)
    );
  });
}

/** Whether a node says what a difference says. */
function isSaid(node: TreeNode, difference: Difference, block: Block = {}): boolean {
  switch (difference.of) {
    case 'style': {
      if (node.kind !== 'element' && node.kind !== 'instance') return false;
      // A rule is stronger at every width: only where it says the same at all of them is nothing said.
      const { property, state } = difference;
      const of = (all: Block) =>
        Object.fromEntries(
          Object.entries(all).filter(([key]) => {
            const parts = keyParts(key);
            return parts.property === property && parts.state === state;
          }),
        );
      return sameJson(of(block), of(node.style));
    }
    case 'attribute':
      return (
        node.kind === 'element' &&
        sameJson(own(node.attributes, difference.name), difference.source)
      );
    case 'value':
      return (
        node.kind === 'instance' && sameJson(own(node.values, difference.name), difference.source)
      );
    case 'text':
      return node.kind === 'text' && sameJson(node.text, difference.source);
    case 'shown':
      return (
        node.kind !== 'slot' && node.kind !== 'repeat' && sameJson(node.shown, difference.source)
      );
    case 'tag':
      return node.kind === 'element' && node.tag === difference.tag && !node.chosen?.tag;
    case 'theme':
      return 'theme' in node
        ? node.theme === difference.theme
        : difference.theme === null && !('chosen' in node && node.chosen?.theme);
    case 'shared':
      return (
        ('shared' in node && own(node.shared ?? {}, difference.style) === true) === difference.on
      );
  }
}
