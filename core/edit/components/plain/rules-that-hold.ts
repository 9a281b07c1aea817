import { own, rootOf, type Block, type NodeId, type TreeNode } from '../../../model';
import { say } from '../../../said';
import { axesOf, overlaid, rulesInOrder } from '../../../style';
import { withPatch } from '../../rules/in-variant';
import { CannotBePlain } from './cannot-be-plain';
import type { GivenValues } from './given-values';
import type { InstanceHere } from './instance-here';

/** A node of the definition with what rules say of it that hold with the options the instance has. @throws CannotBePlain */
export function withRules(
  id: NodeId,
  from: TreeNode,
  { component, documents }: InstanceHere,
  given: GivenValues,
): TreeNode {
  let node = from;
  for (const [, rule] of rulesInOrder(component)) {
    const patch = own(rule.patch, id);
    const when = patch && axesOf(rule, component.properties);
    if (!patch || !when || !hold(when, given)) continue;
    const { pseudo } = rule.when;
    if (pseudo?.of === 'root' && id !== rootOf(component.nodes))
      throw new CannotBePlain(say('plain-state-of-whole'));
    if (node.kind === 'element' || node.kind === 'instance') {
      const style = patch.style ?? {};
      const said = pseudo ? inState(style, pseudo.is) : style;
      node = { ...node, style: overlaid(node.style, said, documents.site) };
    }
    if (!pseudo) node = withPatch(node, patch);
  }
  return node;
}

/** Whether the instance has all options that a rule is for. */
function hold(when: readonly { property: string; option: string }[], given: GivenValues): boolean {
  let holds = true;
  for (const { property, option } of when) {
    const value = given.valueOf(property);
    if (value.is !== 'value') throw new CannotBePlain(say('plain-variant-unknown'));
    if (value.value !== option) holds = false;
  }
  return holds;
}

function inState(block: Block, state: string): Block {
  return Object.fromEntries(Object.entries(block).map(([key, each]) => [key + state, each]));
}
