import { useHotkeys } from 'react-hotkeys-hook';
import type { Keymap } from '../../store/keymap';
import { doneBy, type SingleKey } from '../../store/keymap';

/** What a key does in a preview. */
export type PreviewKeys = Partial<Record<SingleKey, () => void>>;

/**
 * The keys of a preview: those of the bench that mean something here, and Escape, which leads back.
 * @returns what does the same for a key that was pressed in the page, which has keys of its own
 */
export function usePreviewKeys(
  keymap: Keymap,
  keys: PreviewKeys & { readonly preview: () => void },
): (key: string) => void {
  const press = (key: string): void => {
    if (key === 'Escape') return keys.preview();
    const does = doneBy(keymap, key);
    if (does) keys[does]?.();
  };
  useHotkeys(
    '*',
    (event) => {
      if (!event.ctrlKey && !event.metaKey && !event.altKey) press(event.key);
    },
    [keymap, keys],
  );
  return press;
}
