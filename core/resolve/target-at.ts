import { own, type NodeId } from '../model';
import { withinKey, type Scope, type Within } from './scope';

/**
 * Where an element stands to which acts do something: its node and the way down to it. On a page that is written from a
 * program, the rounds of repeats that are known only then make one of each of it.
 */
export interface TargetAt {
  readonly key: string;
  /** How many of the repeats around are known only when the page is written. */
  readonly depth: number;
}

/** Where an element is found by acts, as it stands at a place. */
export function targetAt(node: NodeId, { within, depth }: Scope): TargetAt {
  return { key: `${withinKey(within)}#${node}`, depth };
}

/**
 * Which element acts mean that are written at a place: that of the same instance, in the same round of the repeats around both.
 * Nothing where it is gone, or stands in a repeat that the acts do not stand in: then no one element is meant.
 */
export function targetMeant(node: NodeId, scope: Scope): TargetAt | undefined {
  const around = own(scope.targets, node);
  if (!around) return undefined;
  let { within, depth } = scope;
  const rounds = new Set<NodeId>();
  for (let at: Within | null = within; at && at.entry !== undefined; at = at.parent)
    rounds.add(at.node);
  if (around.some((repeat) => !rounds.has(repeat))) return undefined;
  while (within.entry !== undefined && !around.includes(within.node)) {
    if (within.entry === '') depth -= 1;
    within = within.parent!;
  }
  return { key: `${withinKey(within)}#${node}`, depth };
}
