import { useState, type ReactNode } from 'react';
import { useDraggable } from '@dnd-kit/core';
import { BASE_WIDTH } from '../../canvas/Canvas';
import { Picture } from '../../canvas/Picture';
import { idOf, type Placeable } from '../../canvas/placing';
import { useShown } from './use-shown';

/** How large the picture may be on the screen, in CSS px. */
const ROOM = { width: 460, height: 320 };

/** A picture of something of the shelf, beside it: what it looks like here, and how large it is at its full size. */
export function ShelfPicture({
  placeable,
  beside,
  onHold,
  onLeave,
}: {
  placeable: Placeable;
  /** The area of what is pointed at or walked to. */
  beside: DOMRect;
  /** Told that somebody points at the picture itself: it stays, and can be dragged to the page. */
  onHold: () => void;
  onLeave: () => void;
}): ReactNode {
  const { attributes, listeners, setNodeRef, isDragging } = useDraggable({
    id: `picture-${idOf(placeable)}`,
    data: placeable,
  });
  const shown = useShown(placeable);
  const [measured, setMeasured] = useState<{ of: Placeable; width: number; height: number }>();
  const size = measured?.of === placeable ? measured : null;
  if (!shown) return null;
  const top = Math.max(52, Math.min(beside.top - 24, window.innerHeight - ROOM.height - 60));
  return (
    <div
      ref={setNodeRef}
      className={isDragging ? 'shelf-picture dragging' : 'shelf-picture'}
      style={{ left: beside.right + 10, top }}
      {...listeners}
      {...attributes}
      tabIndex={-1}
      aria-hidden
      onPointerEnter={onHold}
      onPointerLeave={onLeave}
    >
      <Picture
        documents={shown.documents}
        built={shown.built}
        drawn={BASE_WIDTH}
        width={ROOM.width}
        height={ROOM.height}
        onMeasure={(now) => setMeasured({ of: placeable, ...now })}
      />
      <p>
        {size
          ? `${Math.round(size.width)} × ${Math.round(size.height)} px at its full size · drag it to the page`
          : 'drawing …'}
      </p>
    </div>
  );
}
