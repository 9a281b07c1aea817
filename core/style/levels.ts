/**
 * The levels of precedence, weakest first: the one list from which the written CSS has its cascade layers and the
 * computed cascade its order. Every level is a layer of its own, so a stronger one wins at every width, and only inside
 * one level does the narrower width win (CSS Cascading and Inheritance 5, 6.4).
 */
export type Level =
  | { readonly of: 'tags' }
  | {
      /** A shared style, what a node declares itself, or a rule of its definition. */
      readonly of: 'shared' | 'own' | 'rules';
      /** 0 for an element in its own definition; one more for each instance whose root it is. */
      readonly height: number;
      /** Its place among those of the same height and kind. */
      readonly at: number;
    };

const KINDS = ['shared', 'own', 'rules'] as const;

/** Compares two levels: negative when the first is the weaker. */
export function compareLevels(a: Level, b: Level): number {
  if (a.of === 'tags' || b.of === 'tags') return Number(b.of === 'tags') - Number(a.of === 'tags');
  return a.height - b.height || KINDS.indexOf(a.of) - KINDS.indexOf(b.of) || a.at - b.at;
}

/** The name of a level's cascade layer. Layers inside one that is named stand in the order in which they are named. */
export function layerOf(level: Level): string {
  if (level.of === 'tags') return 'tags';
  const { of, height, at } = level;
  return of === 'own' ? `h${height}.own` : `h${height}.${of}.l${at}`;
}
