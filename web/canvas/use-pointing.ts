import { useRef, useState, type PointerEvent } from 'react';
import { useDerived, useSync } from '../site/SiteProvider';
import { benchActions } from '../store/bench-slice';
import { useApp, useAppDispatch } from '../store/store';
import { landingAt, type Landing } from './landing';
import { ownerAt, pointIn, type Stage } from './stage';

/** How far a pointer moves before it drags, in CSS px. */
const FAR_ENOUGH = 6;

/**
 * Pointing at a stage: what is under the pointer, selecting it, dragging it somewhere else.
 * @param landing where what is dragged would land, as `onLanding` was told last
 */
export function usePointing(
  stage: Stage,
  landing: Landing | null,
  onLanding: (landing: Landing | null) => void,
) {
  const { doc, built, registry } = stage;
  const { documents } = useDerived();
  const sync = useSync();
  const dispatch = useAppDispatch();
  const selection = useApp((state) => state.bench.selection);
  const [hover, setHover] = useState<string | null>(null);
  const held = useRef<{ node: string; x: number; y: number; moving: boolean } | null>(null);

  const onPointerDown = (event: PointerEvent<HTMLElement>) => {
    if (event.button !== 0) return;
    // What is being typed in a cell goes to what it was typed for, before something else is selected.
    (document.activeElement as HTMLElement | null)?.blur();
    const node = ownerAt(stage, event);
    if (!node) return;
    const others = event.ctrlKey && selection?.doc === doc ? selection.nodes : [];
    const nodes = others.includes(node) ? others.filter((id) => id !== node) : [...others, node];
    dispatch(benchActions.select({ doc, nodes }));
    held.current = { node, x: event.clientX, y: event.clientY, moving: false };
    event.currentTarget.setPointerCapture(event.pointerId);
  };

  const onPointerMove = (event: PointerEvent) => {
    const drag = held.current;
    if (!drag) {
      setHover(ownerAt(stage, event) ?? null);
      return;
    }
    const far = Math.hypot(event.clientX - drag.x, event.clientY - drag.y) >= FAR_ENOUGH;
    if (!drag.moving && !far) return;
    drag.moving = true;
    const { x, y } = pointIn(stage, event);
    onLanding((built && landingAt(documents, built, registry, x, y, drag.node)) ?? null);
  };

  const onPointerUp = () => {
    const drag = held.current;
    held.current = null;
    if (drag?.moving && landing)
      sync.edit({ name: 'move', args: { doc, node: drag.node, place: landing.place } });
    onLanding(null);
  };

  return { hover, onPointerDown, onPointerMove, onPointerUp, onPointerLeave: () => setHover(null) };
}
