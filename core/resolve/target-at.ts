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

type Place = Pick<Scope, 'within' | 'depth'>;

/** Under what an element is found by acts, as it stands at a place: for each from outside of how many repeats it is meant. */
export function targetsAt(node: NodeId, scope: Scope): readonly TargetAt[] {
  return (own(scope.targets, node)?.levels ?? []).map((level) => {
    let place: Place = scope;
    for (let out = 0; out < level; out += 1) place = outOfRound(place);
    return named(node, place, level);
  });
}

/**
 * Which element acts mean that are written at a place: that of the same instance, in the same round of the repeats around both.
 * Where it stands in repeats that the acts do not stand in, it is one of several. Nothing where it is gone.
 */
export function targetMeant(node: NodeId, scope: Scope): TargetAt | undefined {
  const around = own(scope.targets, node)?.around;
  if (!around) return undefined;
  let place: Place = scope;
  const rounds = new Set<NodeId>();
  for (let at: Within | null = scope.within; at && at.entry !== undefined; at = at.parent)
    rounds.add(at.node);
  const level = around.filter((repeat) => !rounds.has(repeat)).length;
  while (place.within.entry !== undefined && !around.includes(place.within.node))
    place = outOfRound(place);
  return named(node, place, level);
}

function outOfRound({ within, depth }: Place): Place {
  return { within: within.parent!, depth: within.entry === '' ? depth - 1 : depth };
}

function named(node: NodeId, { within, depth }: Place, level: number): TargetAt {
  return { key: `${withinKey(within)}#${node}*${level}`, depth };
}
