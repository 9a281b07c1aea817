import { useEffect, type RefObject } from 'react';
import { useLatest } from '../parts/use-latest';
import { readTold, type KeyTold, type Told } from './told';

/**
 * Listens to what a page in a frame tells of itself. Only that frame is heard, as long as it shows the origin that it was given.
 * @param onTold told what happens
 * @param onKey told the keys that nothing in the page took
 */
export function useTold(
  frame: RefObject<HTMLIFrameElement | null>,
  onTold: (told: Told) => void,
  onKey: (key: string) => void,
): void {
  const latest = useLatest({ onTold, onKey });
  useEffect(() => {
    const hear = (event: MessageEvent<unknown>) => {
      const { current } = frame;
      if (!current || event.source !== current.contentWindow) return;
      if (event.origin !== new URL(current.src).origin) return;
      const told: Told | KeyTold | undefined = readTold(event.data);
      if (!told) return;
      if ('key' in told) latest.current.onKey(told.key);
      else latest.current.onTold(told);
    };
    window.addEventListener('message', hear);
    return () => window.removeEventListener('message', hear);
  }, [frame, latest]);
}
