import type { ComponentDoc, Declared, NodeId, RuleId, Source } from '../../model';
import { own } from '../../model';
import { keyParts, type KeyParts } from '../../style';

/** One thing that a rule says otherwise than what it stands on. */
export type Difference = { readonly node: NodeId } & (
  | ({ readonly of: 'style'; readonly declared: Declared } & KeyParts)
  | { readonly of: 'attribute' | 'value'; readonly name: string; readonly source: Source }
  | { readonly of: 'shown'; readonly source: Source }
);

/** All that a rule of a definition says, node by node; nothing where there is no such rule. */
export function differencesOf({ rules, nodes }: ComponentDoc, rule: RuleId): Difference[] {
  const patches = own(rules, rule)?.patch ?? {};
  return Object.keys(patches)
    .filter((node) => own(nodes, node))
    .flatMap((node): Difference[] => {
      const { style = {}, attributes = {}, values = {}, shown } = patches[node]!;
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
        ...(shown ? [{ node, of: 'shown' as const, source: shown }] : []),
      ];
    });
}
