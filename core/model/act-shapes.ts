/** Where a state is set to without a value: the next that it can have, the one before, of two the other. */
export const ACT_WAYS = ['next', 'before', 'other'] as const;
/** One of the ways to set a state without a value. */
export type ActWay = (typeof ACT_WAYS)[number];

/** What is done to an element of the document in which the act stands. */
export const ELEMENT_ACTS = ['scroll', 'focus', 'open', 'close', 'check', 'send'] as const;

/**
 * What acts are, whatever a source is: sources hold acts, and acts hold sources. `source` closes the circle, `acts` says the
 * schema.
 */
interface ActBase<S> {
  order: string;
  /** Only when this is yes, as it is when its turn comes. */
  if?: S;
  /** What is done when it fails, and then nothing more; without, the whole fails. */
  failing?: ActsOf<S>;
}

/** A state of the definition around, as the property that it is; or one of the nearest instance of a component around the place. */
type StateOf<S> = S | { component: string; property: string };

/** A state is set. */
export interface SetActOf<S> extends ActBase<S> {
  do: 'set';
  state: StateOf<S>;
  /** To a value, one of the ways, what stood under a name in what was answered last, or what a field of a form says. */
  to: { value: S } | { answer: string } | { field: string } | ActWay;
}

/** Something is done to an element of the same document. */
export interface ElementActOf<S> extends ActBase<S> {
  do: (typeof ELEMENT_ACTS)[number];
  node: string;
}

/** One thing that is done. */
export type ActOf<S> =
  | SetActOf<S>
  | ElementActOf<S>
  | (ActBase<S> & { do: 'action'; action: S })
  | (ActBase<S> & { do: 'go'; to: S })
  | (ActBase<S> & { do: 'copy'; words: S })
  | (ActBase<S> & { do: 'ask'; address: S; post?: true })
  | (ActBase<S> & { do: 'wait'; seconds: S });

/** Acts by ids; done in their order. */
export interface ActsOf<S> {
  [id: string]: ActOf<S>;
}
