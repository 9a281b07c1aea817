import { inOrder, type StateOf, type Typed, type TypeSpec } from '../model';

/** How many values a state can have at most: what reads it is worked out for each of them when a page is written. */
export const MOST_VALUES = 24;

/**
 * All values that a state can have, in the order in which one goes on from one to the next: no before yes, options as they
 * stand, numbers by steps from the least to the most. Nothing for what has no end of them, or too many.
 */
export function valuesOfState(type: TypeSpec, { step = 1 }: StateOf): readonly Typed[] | undefined {
  switch (type.kind) {
    case 'boolean':
      return [false, true].map((value) => ({ type: 'boolean', value }));
    case 'choice': {
      const options = inOrder(type.options).filter(([, { gone }]) => gone === undefined);
      if (options.length > MOST_VALUES) return undefined;
      return options.map(([value]) => ({ type: 'choice', value }));
    }
    case 'number': {
      const { least, most } = type;
      if (least === undefined || most === undefined || most < least) return undefined;
      const many = Math.floor((most - least) / step) + 1;
      if (many > MOST_VALUES) return undefined;
      return Array.from({ length: many }, (_, i) => ({ type: 'number', value: least + i * step }));
    }
    default:
      return undefined;
  }
}

/** Whether a visitor can change what a property of a type holds: one of some values, or words. */
export function mayBeState(type: TypeSpec, state: StateOf): boolean {
  return type.kind === 'text' || valuesOfState(type, state) !== undefined;
}
