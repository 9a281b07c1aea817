import type { MouseEvent } from 'react';

/**
 * Leaves the focus in the field beside a button while the button is pressed: a field that loses it is laid
 * out anew, and the button would no longer be under the pointer when it is let go.
 */
export function keepFocus(event: MouseEvent): void {
  event.preventDefault();
}
