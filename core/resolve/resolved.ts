import type { Item } from '../value';
import type { Content } from './fragments';
import type { LinkedElement, LinkedInstance, LinkedRepeat, LinkedSlot, LinkedText } from './linked';
import { withinKey, type Scope } from './scope';

/** What is said of a root from outside of its definition: classes, and custom properties as in a style attribute. */
export interface Outer {
  readonly classes: string;
  readonly style: string;
}

/**
 * What a document shows: elements and texts, and groups that leave nothing in HTML but say what an
 * instance, a slot, a repeat or one round of it stands for. `from` and `scope` say what it was resolved
 * from; they are brought up to date when a node is used again, everything else never changes.
 */
export interface ResolvedElement {
  /** Whether something it shows is not loaded yet: it is drawn as waiting, and anew when that comes. */
  readonly waiting: boolean;
  readonly kind: 'element';
  from: LinkedElement;
  scope: Scope;
  /** What the instances whose root it is say of its look. */
  readonly outer: Outer;
  readonly tag: string;
  readonly attributes: Readonly<Record<string, string>>;
  readonly children: readonly Resolved[];
}

/** Words as they show. */
export interface ResolvedText {
  readonly waiting: boolean;
  readonly kind: 'text';
  from: LinkedText;
  scope: Scope;
  readonly outer: Outer;
  /** The words, or what a rich text is written as. */
  readonly content: Content;
}

/** What an instance, a slot, a repeat or one round of it shows. It is no element: HTML has only what is in it. */
export interface ResolvedGroup {
  readonly waiting: boolean;
  readonly kind: 'group';
  from: LinkedInstance | LinkedSlot | LinkedRepeat;
  scope: Scope;
  readonly outer: Outer;
  /** The scope of what it holds, where that is another. */
  inner: Scope;
  /** The item, when the group is one round of a repeat. */
  readonly item: Item | undefined;
  readonly children: readonly Resolved[];
}

/** A node of what a document shows. */
export type Resolved = ResolvedElement | ResolvedText | ResolvedGroup;

/** The address of a resolved node: the way down and the node, the same after every edit that leaves it there. */
export function addressOf(node: Resolved): string {
  const own = withinKey(node.scope.within) + '/' + node.from.id;
  return node.kind === 'group' && node.item ? `${own}@${node.item.id}` : own;
}
