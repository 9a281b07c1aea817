import { own, type ComponentDoc, type NodeId, type PropertyId } from '../../model';
import { rulesInOrder } from '../../style';
import { differencesOf, isOfTheSame, type Difference } from './differences';

/** Where two axes say something of one thing, so that which of them is later decides. */
export interface DecidedByOrder {
  readonly node: NodeId;
  readonly difference: Difference;
  /** The options under which both hold. */
  readonly axes: Readonly<Record<PropertyId, string>>;
}

/**
 * What would look otherwise if the axes of a definition stood in another order: all that two rules for as many axes say of
 * one thing, which the other of them would win then.
 * @param after the same definition with its properties in the other order
 */
export function decidedOtherwise(before: ComponentDoc, after: ComponentDoc): DecidedByOrder[] {
  const order = (doc: ComponentDoc) =>
    new Map(rulesInOrder(doc).map(([rule], at) => [rule, at] as const));
  const [was, then] = [order(before), order(after)];
  const rules = Object.keys(before.rules).filter((id) => !before.rules[id]!.when.pseudo);
  const found: DecidedByOrder[] = [];
  for (const [i, one] of rules.entries())
    for (const other of rules.slice(i + 1)) {
      const turned = was.get(one)! < was.get(other)! !== then.get(one)! < then.get(other)!;
      const [a, b] = [before.rules[one]!.when.axes, before.rules[other]!.when.axes];
      const together = Object.entries(a).every(
        ([axis, option]) => (own(b, axis) ?? option) === option,
      );
      if (!turned || !together) continue;
      const said = differencesOf(before, other);
      for (const difference of differencesOf(before, one))
        if (said.some((each) => isOfTheSame(each, difference)))
          found.push({ node: difference.node, difference, axes: { ...a, ...b } });
    }
  return found;
}
