import type { ComponentDoc, Documents, InstanceNode, NodeId } from '../../../model';
import type { Item, Position } from '../../../value';

/** The instance that is made plain, and what it is an instance of. */
export interface InstanceHere {
  readonly documents: Documents;
  readonly doc: string;
  readonly node: NodeId;
  readonly instance: InstanceNode;
  readonly component: ComponentDoc;
}

/** One record after another of the lists around what is made: which it is, as ids are kept under, and what each holds. */
export interface Round {
  readonly way: string;
  readonly items: Readonly<Record<NodeId, Item>>;
  /** Where those stand among the others. */
  readonly positions: Readonly<Record<NodeId, Position>>;
}

/** Outside of any repeat that is written out: there is one of each. */
export const NO_ROUND: Round = { way: '', items: {}, positions: {} };
