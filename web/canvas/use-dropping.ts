import { useRef } from 'react';
import { useDndMonitor } from '@dnd-kit/core';
import { placeAt, treeDocOf } from '@sormet/core/model';
import { useDerived } from '../site/SiteProvider';
import { benchActions } from '../store/bench-slice';
import { useAppDispatch } from '../store/store';
import { landingAt, type Landing } from './landing';
import { usePlacing, type Placeable } from './placing';
import { pointIn, type Stage } from './stage';

/** Dropping things of the shelf onto a stage. */
export function useDropping(stage: Stage): void {
  const { doc, built, registry, pane } = stage;
  const { documents } = useDerived();
  const dispatch = useAppDispatch();
  const placing = usePlacing();
  const landing = useRef<Landing | undefined>(undefined);
  const show = (next: Landing | undefined) => {
    if (next === undefined && landing.current === undefined) return;
    landing.current = next;
    dispatch(benchActions.showLanding(next?.at ?? null));
  };
  useDndMonitor({
    onDragMove({ activatorEvent, delta }) {
      const start = activatorEvent as PointerEvent;
      const at = { clientX: start.clientX + delta.x, clientY: start.clientY + delta.y };
      const isOver = holds(pane.current!.getBoundingClientRect(), at);
      const { x, y } = pointIn(stage, at);
      show(isOver && built ? landingAt(documents, built, registry, x, y) : undefined);
    },
    onDragEnd({ active }) {
      const at = landing.current?.at;
      show(undefined);
      const tree = treeDocOf(documents, doc)?.nodes;
      if (at && tree)
        placing.place(
          doc,
          active.data.current as Placeable,
          placeAt(tree, at.parent, at.index, at.slot),
        );
    },
    onDragCancel: () => show(undefined),
  });
}

function holds(rect: DOMRect, { clientX, clientY }: { clientX: number; clientY: number }): boolean {
  return (
    clientX >= rect.left && clientX <= rect.right && clientY >= rect.top && clientY <= rect.bottom
  );
}
