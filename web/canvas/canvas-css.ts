import type { Documents } from '@sormet/core/model';
import { cssOf } from '@sormet/core/compile';
import { reachableStyles, type Linked } from '@sormet/core/resolve';

/** What the canvas adds to the compiled CSS: nothing that changes what is shown, only the cursor while typing. */
const TYPING = '[contenteditable]{outline:none;cursor:text}';

/** The CSS of a canvas: what publishing compiles, for everything the document can reach. */
export function canvasCss(documents: Documents, linked: Linked): string {
  return cssOf(documents, reachableStyles(linked)) + TYPING;
}
