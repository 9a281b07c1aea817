import type { TokenColour } from './token-colours';

/** What was picked: any colour as CSS, or one of the site. */
export type Picked = { readonly css: string } | { readonly token: TokenColour };

/** Picked as people type it: a token by its name, in braces so that it is nothing else. */
export function pickedWords(picked: Picked): string {
  return 'css' in picked ? picked.css : `{${picked.token.name}}`;
}
