import { useRef } from 'react';
import { useDndMonitor } from '@dnd-kit/core';
import { useDerived } from '../site/SiteProvider';
import { landingAt, type Landing } from './landing';
import { usePlacing, type Placeable } from './placing';
import { pointIn, type Stage } from './stage';

/**
 * Dropping things of the shelf onto a stage.
 * @param landing where what is dragged would land, as `onLanding` was told last
 */
export function useDropping(
  stage: Stage,
  landing: Landing | null,
  onLanding: (landing: Landing | null) => void,
): void {
  const { doc, built, registry, pane } = stage;
  const { documents } = useDerived();
  const placing = usePlacing();
  const isOver = useRef(false);
  useDndMonitor({
    onDragMove({ activatorEvent, delta }) {
      const start = activatorEvent as PointerEvent;
      const at = { clientX: start.clientX + delta.x, clientY: start.clientY + delta.y };
      isOver.current = holds(pane.current!.getBoundingClientRect(), at);
      const { x, y } = pointIn(stage, at);
      onLanding(
        isOver.current && built ? (landingAt(documents, built, registry, x, y) ?? null) : null,
      );
    },
    onDragEnd({ active }) {
      const place = landing?.place;
      onLanding(null);
      if (place && isOver.current) placing.place(doc, active.data.current as Placeable, place);
    },
    onDragCancel: () => onLanding(null),
  });
}

function holds(rect: DOMRect, { clientX, clientY }: { clientX: number; clientY: number }): boolean {
  return (
    clientX >= rect.left && clientX <= rect.right && clientY >= rect.top && clientY <= rect.bottom
  );
}
