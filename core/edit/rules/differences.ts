import type { ComponentDoc, Declared, DocId, NodeId, RuleId, Source } from '../../model';
import { own } from '../../model';
import { keyParts, type KeyParts } from '../../style';

/** One thing that a rule says otherwise than what it stands on. */
export type Difference = { readonly node: NodeId } & (
  | ({ readonly of: 'style'; readonly declared: Declared } & KeyParts)
  | { readonly of: 'attribute' | 'value'; readonly name: string; readonly source: Source }
  | { readonly of: 'shown' | 'text'; readonly source: Source }
  | { readonly of: 'tag'; readonly tag: string }
  | { readonly of: 'theme'; readonly theme: string | null }
  | { readonly of: 'shared'; readonly style: DocId; readonly on: boolean }
);

/** All that a rule of a definition says, node by node; nothing where there is no such rule. */
export function differencesOf({ rules, nodes }: ComponentDoc, rule: RuleId): Difference[] {
  const patches = own(rules, rule)?.patch ?? {};
  return Object.keys(patches)
    .filter((node) => own(nodes, node))
    .flatMap((node): Difference[] => {
      const { style = {}, attributes = {}, values = {}, shown, text, ...look } = patches[node]!;
      const sources = (of: 'attribute' | 'value', said: Readonly<Record<string, Source>>) =>
        Object.entries(said).map(([name, source]) => ({ node, of, name, source }));
      return [
        ...Object.entries(style).map(([key, declared]) => ({
          node,
          of: 'style' as const,
          declared,
          ...keyParts(key),
        })),
        ...sources('attribute', attributes),
        ...sources('value', values),
        ...(text ? [{ node, of: 'text' as const, source: text }] : []),
        ...(shown ? [{ node, of: 'shown' as const, source: shown }] : []),
        ...(look.tag === undefined ? [] : [{ node, of: 'tag' as const, tag: look.tag }]),
        ...(look.theme === undefined ? [] : [{ node, of: 'theme' as const, theme: look.theme }]),
        ...Object.entries(look.shared ?? {}).map(([each, on]) => ({
          node,
          of: 'shared' as const,
          style: each,
          on,
        })),
      ];
    });
}

/** Whether two differences are of one thing, whatever they say of it. */
export function isOfTheSame(one: Difference, other: Difference): boolean {
  if (one.node !== other.node || one.of !== other.of) return false;
  if (one.of === 'style') return one.property === (other as typeof one).property;
  if (one.of === 'attribute' || one.of === 'value') return one.name === (other as typeof one).name;
  return one.of !== 'shared' || one.style === (other as typeof one).style;
}

/** Differences by the node that they are of, each in the order in which it first comes. */
export function differencesByNode(
  differences: readonly Difference[],
): readonly (readonly [NodeId, readonly Difference[]])[] {
  const found = new Map<NodeId, Difference[]>();
  for (const each of differences) {
    const all = found.get(each.node);
    if (all) all.push(each);
    else found.set(each.node, [each]);
  }
  return [...found];
}
