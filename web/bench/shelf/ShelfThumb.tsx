import { useRef, type ReactNode } from 'react';
import { BASE_WIDTH } from '../../canvas/Canvas';
import { Picture } from '../../canvas/Picture';
import type { Placeable } from '../../canvas/placing';
import { useInSight } from '../../parts/use-in-sight';
import { useShown } from './use-shown';

/** How large a picture is on the shelf, in CSS px. */
const ROOM = { width: 176, height: 74 };

/** How wide elements and what stands within a section are drawn, in CSS px: as wide as a page nobody could read them. */
const WITHIN = 360;

/** What something of the shelf looks like here, small, in the place of a word: drawn when it is scrolled to. */
export function ShelfThumb({
  placeable,
  isWhole,
}: {
  placeable: Placeable;
  /** Whether it takes the whole width of a page. */
  isWhole: boolean;
}): ReactNode {
  const place = useRef<HTMLDivElement>(null);
  const inSight = useInSight(place, true);
  return (
    <div ref={place} className="shelf-thumb" style={ROOM} aria-hidden>
      {inSight ? <Thumb placeable={placeable} isWhole={isWhole} /> : null}
    </div>
  );
}

function Thumb({ placeable, isWhole }: { placeable: Placeable; isWhole: boolean }): ReactNode {
  const shown = useShown(placeable);
  return shown ? (
    <Picture {...shown} drawn={isWhole ? BASE_WIDTH : WITHIN} {...ROOM} atMost={0.6} />
  ) : null;
}
