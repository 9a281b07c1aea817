import type { NodeId, TreeDoc, Documents } from '../model';
import type { Said } from '../said';
import type { Choices } from './choices';
import type { Clip } from './clip';
import type { Counterparts } from './counterparts';

/** What is known while a clip is fitted to a place: both sites, what stands for what, and what is left behind. */
export interface Carrying {
  readonly documents: Documents;
  readonly clip: Clip;
  readonly choices: Choices;
  /** The document in which the place is. */
  readonly target: TreeDoc;
  /** The repeats around the place that go over content, nearest first. */
  readonly repeats: readonly { readonly repeat: NodeId; readonly type: string }[];
  /** What the site has in place of what the clip names. */
  readonly there: Counterparts;
  /** The new ids of the nodes that come along. */
  readonly ids: ReadonlyMap<NodeId, NodeId>;
  /** Says of something that it means nothing there, once. @returns nothing, to stand in its place */
  readonly lost: (what: Said) => undefined;
}
