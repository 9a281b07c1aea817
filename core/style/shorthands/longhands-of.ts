import { own } from '../../model';
import { SHORTHANDS, type Shorthand } from './catalogue';

const lists = new Map<Shorthand, readonly string[]>();

/** The longhands a shorthand stands for, in order; nothing when the property is none of those taken apart. */
export function longhandsOf(property: string): readonly string[] | undefined {
  const shorthand = own(SHORTHANDS, property);
  if (!shorthand) return undefined;
  let list = lists.get(shorthand);
  if (!list) lists.set(shorthand, (list = listed(shorthand)));
  return list;
}

function listed(shorthand: Shorthand): readonly string[] {
  if (shorthand.by === 'border')
    return shorthand.sides.flatMap((side) => [`${side}-width`, `${side}-style`, `${side}-color`]);
  return shorthand.by === 'parts' ? Object.keys(shorthand.longhands) : shorthand.longhands;
}
