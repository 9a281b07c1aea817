import { inOrder, type Documents } from '@sormet/core/model';
import { filled } from '@sormet/core/style';

/** A token of the site that is a colour. */
export interface TokenColour {
  readonly id: string;
  readonly name: string;
  /** What it is in the plain theme, with all that it is made of filled in. */
  readonly css: string;
}

/** The colours of a site, in its order. */
export function tokenColours({ tokens: { tokens } }: Documents): TokenColour[] {
  return inOrder(tokens).flatMap(([id, token]) =>
    token.type === 'colour'
      ? [{ id, name: token.name, css: filled(token.value, tokens) ?? 'transparent' }]
      : [],
  );
}
