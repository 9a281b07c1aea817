import { useMemo } from 'react';
import {
  docOf,
  rootOf,
  treeDocOf,
  type ComponentDoc,
  type Documents,
  type EntryDoc,
  type TreeDoc,
  type TreeNode,
  own,
} from '@sormet/core/model';
import { inVariant } from '@sormet/core/edit';
import { rulesOf, type Built, type Resolved, type ResolvedElement } from '@sormet/core/resolve';
import type { AppliedBlock } from '@sormet/core/style';

import { useApp } from '../store/store';
import { elementOf, resolvedOf } from '../canvas/address';
import { innerAt } from '../canvas/inside';
import { useBuilt } from '../canvas/use-built';
import { pickedOf, withPicked, type Picked } from './style/picked';
import { useDerived } from '../site/SiteProvider';

/** What is selected, with everything the ledger says about it. */
export interface Selected {
  /** Where it stands: a definition as it is in the variant that is lit. */
  readonly doc: TreeDoc;
  readonly id: string;
  readonly node: TreeNode;
  readonly isRoot: boolean;
  /** The slot of the instance, where that is meant. */
  readonly slot: string | undefined;
  /** The component, when an instance is selected. */
  readonly component: ComponentDoc | undefined;
  readonly resolved: Resolved | undefined;
  /** The entry that is looked at, on a page made from entries. */
  readonly entry: EntryDoc | undefined;
  /** What it was resolved in. */
  readonly built: Built | undefined;
  readonly element: ResolvedElement | undefined;
  /** The rules that apply to the element, weakest first. */
  readonly rules: readonly AppliedBlock[];
  /** The variant of its definition that is lit. */
  readonly picked: Picked | undefined;
  /** What is looked at inside an instance, with all that is said about it: to be read, its parts alone to be styled. */
  readonly inside: Selected | undefined;
  /** The address of what is looked at; of nothing else. */
  readonly address: string | undefined;
  /** How many are selected. */
  readonly count: number;
  readonly all: readonly string[];
}

/** The selection of the bench, looked up; `undefined` when nothing (that is still there) is selected. */
export function useSelected(page: string, entry: EntryDoc | undefined): Selected | undefined {
  const { documents } = useDerived();
  const selection = useApp((state) => state.bench.selection);
  const picks = useApp((state) => state.bench.picks);
  const openDoc = selection?.doc ?? page;
  const built = useBuilt(openDoc, openDoc === page ? entry : undefined);
  return useMemo(() => {
    const id = selection?.nodes[0];
    const doc = selection && treeDocOf(documents, selection.doc);
    if (!doc || id === undefined || !own(doc.nodes, id)) return undefined;
    const resolved = resolvedOf(built, id)[0];
    const element = elementOf(resolved);
    const { inside } = selection;
    const rules = element ? rulesOf(element, documents, documents.tags) : [];
    const picked =
      picks?.doc === doc.id && doc.kind === 'component'
        ? pickedOf(doc, picks.axes, picks.rule)
        : undefined;
    const shown = picked ? inVariant(picked.component, picked.axes) : doc;
    const node = shown.nodes[id]!;
    return {
      doc: shown,
      id,
      node,
      isRoot: rootOf(doc.nodes) === id,
      slot: selection.slot,
      component:
        node.kind === 'instance' ? docOf(documents, 'component', node.component) : undefined,
      resolved,
      built,
      entry: openDoc === page ? entry : undefined,
      element,
      rules: picked ? withPicked(rules, picked, id) : rules,
      picked,
      inside: inside === undefined ? undefined : insideAt(documents, built, id, inside),
      address: undefined,
      count: selection.nodes.length,
      all: selection.nodes,
    };
  }, [documents, selection, picks, built, openDoc, page, entry]);
}

/** What is looked at inside an instance, in the words of what is selected; nothing when it is not there any more. */
function insideAt(
  documents: Documents,
  built: Built | undefined,
  instance: string,
  address: string,
): Selected | undefined {
  const element = innerAt(built, instance, address);
  const doc = element && treeDocOf(documents, element.scope.within.doc);
  const node = doc && own(doc.nodes, element.from.id);
  if (!element || !doc || !node) return undefined;
  const { id } = element.from;
  return {
    doc,
    id,
    node,
    isRoot: rootOf(doc.nodes) === id,
    slot: undefined,
    component: undefined,
    resolved: element,
    entry: undefined,
    built,
    element,
    rules: rulesOf(element, documents, documents.tags),
    picked: undefined,
    inside: undefined,
    address,
    count: 1,
    all: [id],
  };
}
