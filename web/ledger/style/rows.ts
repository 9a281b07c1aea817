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
    properties: [
      'transition-property',
      'transition-duration',
      'transition-timing-function',
      'animation-name',
    ],
  },
];

/** The longhands that a row stands for. */
export function longhandsOfRow(property: string): readonly string[] {
  return longhandsOf(property) ?? [property];
}

/** Every longhand that one of them shows. */
export const KNOWN = new Set(
  ROWS.flatMap(({ properties }) => properties.flatMap((property) => longhandsOfRow(property))),
);
