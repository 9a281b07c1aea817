import { allOf, docOf, type DocId, type Documents, type StyleDoc } from '../model';

/** How far a style may be from the base of its base of its base. */
const DEEPEST = 20;

/**
 * The shared styles of a site, weakest first: by their order, each modifier after its base. In which order they were
 * put on something never matters.
 */
export function stylesInOrder(documents: Documents): DocId[] {
  const way = (style: StyleDoc): string[] => {
    const steps: string[] = [];
    let at: StyleDoc | undefined = style;
    for (let i = 0; at && i < DEEPEST; i += 1) {
      steps.unshift(`${at.order} ${at.id}`);
      at = at.base === null ? undefined : docOf(documents, 'style', at.base);
    }
    return steps;
  };
  const ways = new Map(allOf(documents, 'style').map((style) => [style.id, way(style)]));
  return [...ways.keys()].sort((a, b) => {
    const [left, right] = [ways.get(a)!, ways.get(b)!];
    for (let i = 0; i < Math.min(left.length, right.length); i += 1)
      if (left[i] !== right[i]) return left[i]! < right[i]! ? -1 : 1;
    return left.length - right.length;
  });
}
