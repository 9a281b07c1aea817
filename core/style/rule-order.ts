import { byOrder, inOrder, own, type ComponentDoc, type Rule, type RuleId } from '../model';

/** States that hold at the same time, weakest first: what is pressed is pointed at too. */
const PSEUDOS = [undefined, ':hover', ':focus-visible', ':active'] as const;

const known = new WeakMap<
  ComponentDoc['rules'],
  { of: ComponentDoc['properties']; list: Ordered }
>();
type Ordered = readonly (readonly [RuleId, Rule])[];

/**
 * The rules of a definition, weakest first: those of states over those that always hold, then the more axes a rule
 * names, then the later axis, then their own order. Worked out once for each state of rules and properties.
 */
export function rulesInOrder({ rules, properties }: ComponentDoc): Ordered {
  const kept = known.get(rules);
  if (kept?.of === properties) return kept.list;
  const position = new Map(inOrder(properties).map(([id], i) => [id, i]));
  const latest = (rule: Rule) =>
    Object.keys(rule.when.axes)
      .map((axis) => position.get(axis) ?? -1)
      .sort((a, b) => b - a);
  const list = Object.entries(rules).sort((left, right) => {
    const [a, b] = [left[1], right[1]];
    const states = PSEUDOS.indexOf(a.when.pseudo?.is) - PSEUDOS.indexOf(b.when.pseudo?.is);
    if (states !== 0) return states;
    const [first, second] = [latest(a), latest(b)];
    if (first.length !== second.length) return first.length - second.length;
    for (const [i, axis] of first.entries()) if (axis !== second[i]) return axis - second[i]!;
    return byOrder(left, right);
  });
  known.set(rules, { of: properties, list });
  return list;
}

/** What a rule asks of the axes of its definition: only choices that are there can be asked for an option. */
export function axesOf(
  rule: Rule,
  properties: ComponentDoc['properties'],
): { property: string; option: string }[] | undefined {
  const asked = Object.entries(rule.when.axes).map(([property, option]) => ({ property, option }));
  return asked.every(({ property }) => own(properties, property)?.type.kind === 'choice')
    ? asked
    : undefined;
}
