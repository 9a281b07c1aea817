import { useMemo } from 'react';
import {
  docOf,
  rootOf,
  treeDocOf,
  type ComponentDoc,
  type EntryDoc,
  type TreeDoc,
  type TreeNode,
  own,
} from '@sormet/core/model';
import { rulesOf, type Built, type Resolved, type ResolvedElement } from '@sormet/core/resolve';
import type { AppliedBlock } from '@sormet/core/style';

import { useApp } from '../store/store';
import { elementOf, resolvedOf } from '../canvas/address';
import { useBuilt } from '../canvas/use-built';
import { useDerived } from '../site/SiteProvider';

/** What is selected, with everything the ledger says about it. */
export interface Selected {
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
  /** How many are selected. */
  readonly count: number;
  readonly all: readonly string[];
}

/** The selection of the bench, looked up; `undefined` when nothing (that is still there) is selected. */
export function useSelected(page: string, entry: EntryDoc | undefined): Selected | undefined {
  const { documents } = useDerived();
  const selection = useApp((state) => state.bench.selection);
  const openDoc = selection?.doc ?? page;
  const built = useBuilt(openDoc, openDoc === page ? entry : undefined);
  return useMemo(() => {
    const id = selection?.nodes[0];
    const doc = selection && treeDocOf(documents, selection.doc);
    const node = doc && id !== undefined ? own(doc.nodes, id) : undefined;
    if (!doc || !node || id === undefined) return undefined;
    const resolved = resolvedOf(built, id)[0];
    const element = elementOf(resolved);
    return {
      doc,
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
      rules: element ? rulesOf(element, documents, documents.tags) : [],
      count: selection.nodes.length,
      all: selection.nodes,
    };
  }, [documents, selection, built, openDoc, page, entry]);
}
