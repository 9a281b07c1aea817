import { useLayoutEffect, useState, type RefObject } from 'react';

/** The width of a pane in CSS px, followed; 0 before it was measured. */
export function usePaneWidth(pane: RefObject<HTMLElement | null>): number {
  const [width, setWidth] = useState(0);
  useLayoutEffect(() => {
    const observer = new ResizeObserver(([entry]) => setWidth(entry!.contentRect.width));
    observer.observe(pane.current!);
    return () => observer.disconnect();
  }, [pane]);
  return width;
}
