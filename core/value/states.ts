import { inOrder, type StateOf, type Typed, type TypeSpec } from '../model';

/** How many values a state can have at most: what reads it is worked out for each of them when a page is written. */
export const MOST_VALUES = 24;

/** The same of one that counts the items of a repeat: each of them asks for one of its values. */
export const MOST_AMONG = 100;

/**
 * All values that a state can have, in the order in which one goes on from one to the next: no before yes, options as they
 * stand, numbers by steps from the least to the most. Nothing for what has no end of them, or too many.
 * @param among how many items the repeat shows that it counts; of those beyond `MOST_AMONG` none is one of its values
 */
export function valuesOfState(
  type: TypeSpec,
  { step = 1, among: repeat }: StateOf,
  among?: number,
): readonly Typed[] | undefined {
  switch (type.kind) {
    case 'boolean':
      return [false, true].map((value) => ({ type: 'boolean', value }));
    case 'choice': {
      const options = inOrder(type.options).filter(([, { gone }]) => gone === undefined);
      if (options.length > MOST_VALUES) return undefined;
      return options.map(([value]) => ({ type: 'choice', value }));
    }
    case 'number': {
      if (repeat !== undefined) {
        if (among === undefined) return undefined;
        return Array.from({ length: Math.min(among, MOST_AMONG) }, (_, i) => numbered(i + 1));
      }
      const { least, most } = type;
      if (least === undefined || most === undefined || most < least) return undefined;
      const many = Math.floor((most - least) / step) + 1;
      if (many > MOST_VALUES) return undefined;
      return Array.from({ length: many }, (_, i) => numbered(least + i * step));
    }
    default:
      return undefined;
  }
}

function numbered(value: number): Typed {
  return { type: 'number', value };
}

/** Whether a visitor can change what a property of a type holds: one of some values, or words. */
export function mayBeState(type: TypeSpec, state: StateOf): boolean {
  return type.kind === 'text' || valuesOfState(type, state, 0) !== undefined;
}
