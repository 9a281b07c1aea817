import { useLayoutEffect, useRef, type RefObject } from 'react';

/** What it was given when it was last drawn, for what runs later than drawing: keys, timers, answers of the server. */
export function useLatest<T>(value: T): RefObject<T> {
  const latest = useRef(value);
  useLayoutEffect(() => {
    latest.current = value;
  });
  return latest;
}
