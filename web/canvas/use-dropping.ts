import { useRef, useState } from 'react';
import { useDndMonitor } from '@dnd-kit/core';
import { placeAt, treeDocOf } from '@sormet/core/model';
import { useDerived } from '../site/SiteProvider';
import { benchActions } from '../store/bench-slice';
import { useAppDispatch } from '../store/store';
import { landingAt, type Landing } from './landing';
import { usePlacing, type Placeable } from './placing';
import { pickedAt, pointIn, type Stage } from './stage';
import { useFieldDrop, type DraggedField } from './field-drop';

/** Dropping things of the shelf onto a stage: what is placed lands somewhere, a field feeds what it is let go on. */
export function useDropping(stage: Stage): { readonly under: string | null } {
  const { doc, built, registry, pane } = stage;
  const { documents } = useDerived();
  const dispatch = useAppDispatch();
  const placing = usePlacing();
  const drop = useFieldDrop();
  /** What a field is dragged over. */
  const [under, setUnder] = useState<string | null>(null);
  const landing = useRef<Landing | undefined>(undefined);
  const show = (next: Landing | undefined) => {
    if (next === undefined && landing.current === undefined) return;
    landing.current = next;
    dispatch(benchActions.showLanding(next?.at ?? null));
  };
  useDndMonitor({
    onDragMove({ active, activatorEvent, delta }) {
      const start = activatorEvent as PointerEvent;
      const at = { clientX: start.clientX + delta.x, clientY: start.clientY + delta.y };
      const isOver = holds(pane.current!.getBoundingClientRect(), at);
      if (isField(active.data.current)) {
        const picked = isOver && built ? pickedAt(stage, at) : undefined;
        setUnder(picked?.node ?? null);
        return;
      }
      const { x, y } = pointIn(stage, at);
      show(isOver && built ? landingAt(documents, built, registry, x, y) : undefined);
    },
    onDragEnd({ active }) {
      const given = active.data.current;
      if (isField(given)) {
        if (under !== null) drop(doc, under, given.field);
        setUnder(null);
        return;
      }
      const at = landing.current?.at;
      show(undefined);
      const tree = treeDocOf(documents, doc)?.nodes;
      if (at && tree)
        placing.place(doc, given as Placeable, placeAt(tree, at.parent, at.index, at.slot));
    },
    onDragCancel: () => {
      setUnder(null);
      show(undefined);
    },
  });
  return { under };
}

function isField(data: unknown): data is DraggedField {
  return (data as DraggedField | undefined)?.is === 'field';
}

function holds(rect: DOMRect, { clientX, clientY }: { clientX: number; clientY: number }): boolean {
  return (
    clientX >= rect.left && clientX <= rect.right && clientY >= rect.top && clientY <= rect.bottom
  );
}
