import { useLayoutEffect } from 'react';

/** How many dialogs and menus lie over the interface now. */
let over = 0;
/** Whether one did when the key was pressed that is being handled: the same key may have closed it on its way here. */
let overAtKey = false;

if (typeof window !== 'undefined')
  window.addEventListener('keydown', () => (overAtKey = over > 0), { capture: true });

/** Says that something lies over the interface, as long as it is open: keys and the clipboard are not for what is below. */
export function useCovering(open: boolean): void {
  useLayoutEffect(() => {
    if (!open) return;
    over += 1;
    return () => {
      over -= 1;
    };
  }, [open]);
}

/** Whether something lies over the interface, wherever the focus is. */
export function isCovered(): boolean {
  return over > 0;
}

/** Whether something lay over the interface when the key was pressed that is being handled. */
export function wasCovered(): boolean {
  return overAtKey;
}
