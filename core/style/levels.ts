import { STATES, type State } from '../model';

/**
 * The levels of precedence, weakest first: the one list from which the written CSS has its cascade layers and the
 * computed cascade its order. Every level is a layer of its own, so a stronger one wins at every width, and only inside
 * one level does the narrower width win (CSS Cascading and Inheritance 5, 6.4).
 */
export type Level = (
  | {
      /** What holds for every element in some state, as the ring of focus; or the style of a tag. */
      readonly of: 'everything' | 'tags';
    }
  | {
      /** What a theme says of whatever begins it; of two that begin at one element, that of the greater height. */
      readonly of: 'themes';
      readonly at: number;
    }
  | {
      /** A shared style, what a node declares itself, or a rule of its definition. */
      readonly of: 'shared' | 'own' | 'rules';
      /** 0 for an element in its own definition; one more for each instance whose root it is. */
      readonly height: number;
      /** Its place among those of the same height and kind. */
      readonly at: number;
    }
) & {
  /** What it says of a state is stronger than what it says of rest, and weaker than the next level. */
  readonly state?: State;
};

const SITE_WIDE = ['everything', 'tags', 'themes'] as const;
const KINDS = ['shared', 'own', 'rules'] as const;

/** Compares two levels: negative when the first is the weaker. */
export function compareLevels(a: Level, b: Level): number {
  return (
    compareGroups(a, b) || placeOf(a) - placeOf(b) || strengthOf(a.state) - strengthOf(b.state)
  );
}

/** Whether two levels differ by no more than their place among their like and the state. */
export function sameGroup(a: Level, b: Level): boolean {
  return compareGroups(a, b) === 0;
}

function compareGroups(a: Level, b: Level): number {
  const [left, right] = [siteWide(a), siteWide(b)];
  if (left || right) {
    if (!left) return 1;
    if (!right) return -1;
    return SITE_WIDE.indexOf(left) - SITE_WIDE.indexOf(right);
  }
  const [one, other] = [a as Nearer, b as Nearer];
  return one.height - other.height || KINDS.indexOf(one.of) - KINDS.indexOf(other.of);
}

type Nearer = Extract<Level, { height: number }>;

function siteWide({ of }: Level): (typeof SITE_WIDE)[number] | undefined {
  return SITE_WIDE.find((each) => each === of);
}

function placeOf(level: Level): number {
  return 'at' in level ? level.at : 0;
}

/** How strong a state is among those that hold at once: rest is the weakest. */
export function strengthOf(state: State | undefined): number {
  return state === undefined ? -1 : STATES.indexOf(state);
}

/**
 * The name of a level's cascade layer. Layers inside one that is named stand in the order in which they are named.
 * @param at its place among those of its group that a stylesheet holds
 */
export function layerOf(level: Level, at: number): string {
  const group = 'height' in level ? `h${level.height}.${level.of}` : level.of;
  return `${group}.l${at}`;
}
