import { longhandsOf } from '@sormet/core/style';

/** The rows of the style ledger that are there before anything is declared, by group. */
export const ROWS: readonly { group: string; properties: readonly string[] }[] = [
  {
    group: 'Flow',
    properties: [
      'display',
      'flex-direction',
      'flex-wrap',
      'grid-template-columns',
      'align-items',
      'justify-content',
      'gap',
      'flex',
      'grid-column',
      'grid-row',
      'order',
      'position',
      'inset',
    ],
  },
  {
    group: 'Box',
    properties: [
      'padding',
      'margin',
      'width',
      'max-width',
      'height',
      'min-height',
      'aspect-ratio',
      'border',
      'border-radius',
      'overflow',
    ],
  },
  {
    group: 'Text',
    properties: [
      'font-family',
      'font-size',
      'font-weight',
      'line-height',
      'letter-spacing',
      'text-align',
      'text-decoration',
      'color',
    ],
  },
  {
    group: 'Paint',
    properties: [
      'background-color',
      'background-image',
      'box-shadow',
      'opacity',
      'transform',
      'filter',
      'outline',
    ],
  },
  {
    group: 'Motion',
    properties: ['transition', 'animation'],
  },
];

/** The longhands that a row stands for. */
export function longhandsOfRow(property: string): readonly string[] {
  return longhandsOf(property) ?? [property];
}

/**
 * The rows that a row of a shorthand unfolds to, its shorthands first: a border its sides, a side its longhands; nothing
 * where it is a longhand.
 */
export function rowsBelow(property: string): readonly string[] {
  const longhands = longhandsOf(property);
  if (!longhands) return [];
  if (property === 'border') return ['border-top', 'border-right', 'border-bottom', 'border-left'];
  return longhands;
}

/** Every longhand that one of them shows. */
export const KNOWN = new Set(
  ROWS.flatMap(({ properties }) => properties.flatMap((property) => longhandsOfRow(property))),
);
