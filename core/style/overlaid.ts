import { own, type Block, type Declared, type SiteDoc, type State } from '../model';
import { declarationKey, isPart, keyParts, widthsOf, type Width } from './cascade';

/**
 * Two blocks, of which one stands on a stronger level, as one block that comes to the same at rest and in any one state: what the stronger says holds
 * at all narrower widths, and at rest in every state, where in one block the narrower width and the state would win.
 */
export function overlaid(weaker: Block, stronger: Block, site: SiteDoc): Block {
  const widths = new Map(widthsOf(site).map(({ id, max }) => [id, max]));
  // What is said at a width that is gone holds nowhere.
  const maxOf = (width: Width) => widths.get(width) ?? 0;
  const covers = (width: Width, other: Width) => maxOf(other) <= maxOf(width);
  const said = Object.keys(stronger).map(keyParts);
  const made: Record<string, Declared> = {};
  for (const key in weaker) {
    const { property, width, state } = keyParts(key);
    const isSaid = said.some(
      (each) =>
        each.property === property &&
        (each.state === state || holdsInStates(each.state, state)) &&
        covers(each.width, width),
    );
    if (!isSaid) made[key] = weaker[key]!;
  }
  // What was said at rest from some width on holds there in the states, too, of which the weaker speaks at wider ones.
  for (const key in made) {
    const { property, state } = keyParts(key);
    if (state === undefined || isPart(state)) continue;
    for (const each of said)
      if (
        each.property === property &&
        each.state === undefined &&
        !said.some(
          (also) =>
            also.property === property && also.state === state && covers(also.width, each.width),
        )
      ) {
        const inState = declarationKey(property, each.width, state);
        made[inState] = stronger[declarationKey(property, each.width)]!;
      }
  }
  for (const key in stronger) made[key] = own(stronger, key)!;
  return made;
}

/** Whether what is said at rest is said of a state: not of a part of the element, which has a look of its own. */
function holdsInStates(said: State | undefined, state: State | undefined): boolean {
  return said === undefined && state !== undefined && !isPart(state);
}
