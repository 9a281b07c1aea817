import { useEffect, useState, type RefObject } from 'react';

/** How near to the sight something is when it is drawn already, in CSS px. */
const NEAR = 200;

/**
 * Whether a place is in sight or near: what costs is drawn only there.
 * @param stays whether what was in sight once stays drawn
 */
export function useInSight(place: RefObject<HTMLElement | null>, stays = false): boolean {
  const [inSight, setInSight] = useState(false);
  useEffect(() => {
    const observer = new IntersectionObserver(
      ([entry]) => setInSight((was) => (stays && was) || entry!.isIntersecting),
      { rootMargin: `${NEAR}px` },
    );
    observer.observe(place.current!);
    return () => observer.disconnect();
  }, [place, stays]);
  return inSight;
}
