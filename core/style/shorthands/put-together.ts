import { parse, type Value } from 'css-tree';
import { own, type Declared, type Ref } from '../../model';
import { withParts } from '../placeholders';
import { joinByPart } from './by-part';
import { SHORTHANDS, type Shorthand } from './catalogue';
import { joinLines, joinTemplate } from './grid';
import { longhandsOf } from './longhands-of';
import { joinCorners, joinSides } from './sides';
import { takeApart, WIDE } from './take-apart';
import type { Longhands } from './value';

/**
 * One value of a shorthand for those of its longhands, as short as CSS allows; nothing when one of them is missing, or no
 * value of the shorthand says the same. The opposite of `expand`, for showing.
 */
export function together(
  property: string,
  declared: readonly (Declared | undefined)[],
): Declared | undefined {
  const shorthand = own(SHORTHANDS, property);
  const names = longhandsOf(property);
  if (!shorthand || !names || names.length !== declared.length) return undefined;
  const refs: Record<string, Ref> = {};
  const values: Longhands = {};
  for (const [i, each] of declared.entries()) {
    if (each === undefined) return undefined;
    values[names[i]!] = withRefs(each, refs);
  }
  const css = oneOf(shorthand, names, values);
  if (css === undefined || !saysTheSame(property, css, values, refs)) return undefined;
  return Object.keys(refs).length > 0 ? { css, refs } : { css };
}

/** A value whose placeholders have names that mean the same among several values. */
function withRefs({ css, refs = {} }: Declared, all: Record<string, Ref>): string {
  const renamed = new Map<string, string>();
  for (const [name, ref] of Object.entries(refs)) {
    const text = JSON.stringify(ref);
    let free = name;
    for (let i = 2; own(all, free) && JSON.stringify(all[free]) !== text; i += 1)
      free = `${name}-${i}`;
    all[free] = ref;
    renamed.set(name, free);
  }
  return css.replaceAll(/var\(--([a-z][a-z0-9-]*)\)/g, (whole, name: string) => {
    const now = renamed.get(name);
    return now === undefined ? whole : `var(--${now})`;
  });
}

function oneOf(
  shorthand: Shorthand,
  names: readonly string[],
  values: Readonly<Longhands>,
): string | undefined {
  const list = names.map((name) => values[name]!);
  const [first] = list;
  if (list.some((value) => WIDE.test(value)))
    return list.every((value) => value === first) ? first : undefined;
  switch (shorthand.by) {
    case 'sides':
      return joinSides(list);
    case 'corners':
      return joinCorners(list);
    case 'lines':
      return joinLines(list);
    case 'template':
    case 'grid':
      return joinTemplate(values);
    case 'flex':
      return joinFlex(list);
    case 'border':
      if (!list.every((value, i) => value === list[i % 3])) return undefined;
      // That there is none is what people write, not how wide it would be.
      return list[1] === 'none'
        ? joinByPart(shorthand, values).replace(/^medium$/, 'none')
        : joinByPart(shorthand, values);
    case 'parts':
      return joinByPart(shorthand, values);
  }
}

function joinFlex([grow, shrink, basis]: readonly string[]): string {
  if (grow === '0' && shrink === '0' && basis === 'auto') return 'none';
  if (grow === '1' && shrink === '1' && basis === 'auto') return 'auto';
  if (basis === '0%') return shrink === '1' ? grow! : `${grow} ${shrink}`;
  return `${grow} ${shrink} ${basis}`;
}

/** Whether a value, taken apart, is what it was put together from. */
function saysTheSame(
  property: string,
  css: string,
  values: Readonly<Longhands>,
  refs: Readonly<Record<string, Ref>>,
): boolean {
  const ast = parse(css, { context: 'value' }) as Value;
  const apart = takeApart(property, ast, withParts(refs));
  return apart !== undefined && Object.keys(values).every((name) => apart[name] === values[name]);
}
