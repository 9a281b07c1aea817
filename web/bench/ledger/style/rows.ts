import { longhandsOf } from '@sormet/core/style';

/** The rows of the style ledger that are there before anything is declared, by group. */
export const ROWS: readonly { group: string; properties: readonly string[] }[] = [
  {
    group: 'Flow',
    properties: [
      'display',
      'flex-direction',
      'grid-template-columns',
      'align-items',
      'justify-content',
      'gap',
      'order',
    ],
  },
  {
    group: 'Box',
    properties: [
      'padding',
      'margin',
      'width',
      'max-width',
      'min-height',
      'border',
      'border-radius',
    ],
  },
  {
    group: 'Text',
    properties: ['font-family', 'font-size', 'font-weight', 'line-height', 'text-align', 'color'],
  },
  { group: 'Paint', properties: ['background-color', 'opacity'] },
];

/** Every longhand that one of them shows. */
export const KNOWN = new Set(
  ROWS.flatMap(({ properties }) => properties.flatMap((p) => longhandsOf(p) ?? [p])),
);
