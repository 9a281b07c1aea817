import type { Value } from 'css-tree';
import { BORDER_PARTS, own } from '../../model';
import { isBorder, partName, placeholderIn, type Refs } from '../placeholders';
import { splitByPart } from './by-part';
import { SHORTHANDS, type Shorthand } from './catalogue';
import { splitToGrid, splitToLines, splitToTemplate } from './grid';
import { longhandsOf } from './longhands-of';
import { splitToCorners, splitToSides } from './sides';
import { partsOf, type Longhands, type Part } from './value';

/** The keywords that every property takes (CSS Cascading and Inheritance Level 5, 7.3). */
export const WIDE = /^(inherit|initial|unset|revert|revert-layer)$/i;

/**
 * The longhands of a shorthand with their values, as CSS takes it apart; nothing where they cannot say what it says (a
 * system font). The value is one that fits.
 * @param refs what placeholders stand for
 */
export function takeApart(name: string, value: Value, refs: Refs): Longhands | undefined {
  const shorthand = own(SHORTHANDS, name)!;
  const parts = partsOf(name, value, refs);
  const [first] = parts;
  if (parts.length === 1 && WIDE.test(first!.text))
    return Object.fromEntries(longhandsOf(name)!.map((longhand) => [longhand, first!.text]));
  return split(shorthand, parts, refs);
}

function split(shorthand: Shorthand, parts: readonly Part[], refs: Refs): Longhands | undefined {
  switch (shorthand.by) {
    case 'sides':
      return splitToSides(shorthand.longhands, parts, shorthand.baseline);
    case 'corners':
      return splitToCorners(shorthand.longhands, parts);
    case 'lines':
      return splitToLines(shorthand.longhands, parts);
    case 'template':
      return splitToTemplate(parts);
    case 'grid':
      return splitToGrid(parts);
    case 'flex':
      return splitFlex(parts);
    case 'border':
      return splitBorder(shorthand, parts, refs);
    case 'parts': {
      const split = splitByPart(shorthand, parts);
      // What says nothing of what has no initial value (a system font) stands for other things than its longhands.
      return split && Object.values(split).every((css) => css !== '') ? split : undefined;
    }
  }
}

const FLEX: Readonly<Record<string, readonly [string, string, string]>> = {
  none: ['0', '0', 'auto'],
  auto: ['1', '1', 'auto'],
};

/** `flex` as in CSS Flexible Box Layout 1, 7.1.1: one number sets the basis to 0. */
function splitFlex(parts: readonly Part[]): Longhands {
  const factors = parts.filter(({ is }) => is.includes('flex-grow') || is.includes('flex-shrink'));
  const basis = parts.find((part) => !factors.includes(part));
  const [grow, shrink, width] = (parts.length === 1 && own(FLEX, parts[0]!.text.toLowerCase())) || [
    factors[0]?.text ?? '1',
    factors[1]?.text ?? '1',
    basis?.text ?? '0%',
  ];
  return { 'flex-grow': grow, 'flex-shrink': shrink, 'flex-basis': width };
}

/** A line for each side; where a token is a whole border, its parts. */
function splitBorder(
  shorthand: Extract<Shorthand, { by: 'border' }>,
  parts: readonly Part[],
  refs: Refs,
): Longhands | undefined {
  const token = parts
    .map(({ node }) => placeholderIn(node))
    .find((name) => name !== undefined && isBorder(own(refs, name)));
  const split =
    token === undefined
      ? splitByPart(shorthand, parts)
      : Object.fromEntries(
          Object.keys(shorthand.longhands).map((longhand, i) => [
            longhand,
            `var(--${partName(token, BORDER_PARTS[i]!)})`,
          ]),
        );
  if (!split) return undefined;
  const values = Object.values(split);
  return Object.fromEntries(
    shorthand.sides.flatMap((side) =>
      BORDER_PARTS.map((part, i) => [`${side}-${part}`, values[i]!] as const),
    ),
  );
}
