import { useLayoutEffect, useRef, type RefObject } from 'react';

/** How far the list stands from the edges of the window, in px. */
const EDGE = 8;

/**
 * Keeps the list of a field where it belongs: over everything, so that no pane cuts it off, at the field, with the active
 * row in sight.
 * @param isOver whether it is open and lies over what is there
 * @param rows how many it has: with others it is placed anew
 * @returns where the list goes
 */
export function usePlacedList({
  field,
  isOver,
  active,
  rows,
}: {
  field: RefObject<HTMLInputElement | null>;
  isOver: boolean;
  active: number;
  rows: number;
}): RefObject<HTMLUListElement | null> {
  const list = useRef<HTMLUListElement>(null);
  useLayoutEffect(() => {
    const box = list.current;
    if (!isOver || !box || !field.current) return undefined;
    const put = () => {
      const { left, bottom, top } = field.current!.getBoundingClientRect();
      const { height, width } = box.getBoundingClientRect();
      const above = bottom + height + EDGE > window.innerHeight && top > height;
      box.style.left = `${Math.max(EDGE, Math.min(left, window.innerWidth - width - EDGE))}px`;
      box.style.top = `${above ? top - height : bottom}px`;
    };
    box.showPopover();
    put();
    document.addEventListener('scroll', put, true);
    return () => {
      document.removeEventListener('scroll', put, true);
      if (box.isConnected) box.hidePopover();
    };
  }, [field, isOver, rows]);
  useLayoutEffect(() => {
    list.current?.children[active]?.scrollIntoView({ block: 'nearest' });
  }, [active]);
  return list;
}
