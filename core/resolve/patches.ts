import {
  own,
  type ComponentDoc,
  type NodeId,
  type Patch,
  type Rule,
  type RuleId,
  type Source,
  type TreeDoc,
} from '../model';
import { axesOf, rulesInOrder } from '../style';
import type { ByRule, Varied, When } from './linked';

/** What a rule says of a node. */
export interface NodePatch {
  readonly rule: RuleId;
  /** The place of the rule among those of its definition, weakest first. */
  readonly at: number;
  readonly when: When;
  readonly pseudo: Rule['when']['pseudo'];
  readonly patch: Patch;
}

type Patches = ReadonlyMap<NodeId, readonly NodePatch[]>;
const known = new WeakMap<
  ComponentDoc['rules'],
  { of: ComponentDoc['properties']; patches: Patches }
>();

/** What the rules of a document say of one of its nodes, weakest first; a page has none. */
export function patchesOf(doc: TreeDoc, node: NodeId): readonly NodePatch[] {
  return doc.kind === 'component' ? (allPatches(doc).get(node) ?? NO_PATCHES) : NO_PATCHES;
}

const NO_PATCHES: readonly NodePatch[] = Object.freeze([]);

/** The patches of a definition's rules by node; worked out once for each state of them. */
function allPatches(doc: ComponentDoc): Patches {
  const kept = known.get(doc.rules);
  if (kept?.of === doc.properties) return kept.patches;
  const patches = new Map<NodeId, NodePatch[]>();
  rulesInOrder(doc).forEach(([rule, stored], at) => {
    const when = axesOf(stored, doc.properties);
    if (!when) return;
    const { pseudo } = stored.when;
    for (const node in stored.patch) {
      const list = patches.get(node);
      const made: NodePatch = { rule, at, when, pseudo, patch: stored.patch[node]! };
      if (list) list.push(made);
      else patches.set(node, [made]);
    }
  });
  known.set(doc.rules, { of: doc.properties, patches });
  return patches;
}

const NO_RULES: readonly ByRule[] = Object.freeze([]);

/** A source of a node with what rules put in its place; rules for a state of who visits change declarations only. */
export function varied(
  source: Source | undefined,
  patches: readonly NodePatch[],
  sourceIn: (patch: Patch) => Source | undefined,
): Varied {
  if (patches.length === 0) return { source, byRules: NO_RULES };
  const byRules: ByRule[] = [];
  for (const { rule, when, pseudo, patch } of patches) {
    const put = pseudo ? undefined : sourceIn(patch);
    if (put) byRules.unshift({ rule, when, source: put });
  }
  return { source, byRules };
}

/** The names under which a node has something of a kind: its own, and those that only rules give it; sorted. */
export function namesIn(
  stored: Readonly<Record<string, Source>>,
  patches: readonly NodePatch[],
  of: 'attributes' | 'values',
): string[] {
  if (patches.length === 0) return Object.keys(stored).sort();
  const names = new Set(Object.keys(stored));
  for (const { patch, pseudo } of patches)
    if (!pseudo) for (const name in patch[of]) names.add(name);
  return [...names].sort();
}

/** A member of a record that may not be there. */
export function memberOf(
  record: Readonly<Record<string, Source>> | undefined,
  name: string,
): Source | undefined {
  return record && own(record, name);
}
