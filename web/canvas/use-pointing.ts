import { useEffect, useRef, useState, type MouseEvent, type PointerEvent } from 'react';
import { treeDocOf } from '@sormet/core/model';
import { movesTo } from '@sormet/core/edit';
import { addressOf } from '@sormet/core/resolve';
import { useDerived, useSync } from '../site/SiteProvider';
import { benchActions, type LandingPlace, type Selection } from '../store/bench-slice';
import { useApp, useAppDispatch } from '../store/store';
import { landingAt } from './landing';
import { isOwn } from './address';
import { elementAt, pickedAt, pointIn, type Stage } from './stage';
import { useEnclosing } from './use-enclosing';

/** How far a pointer moves before it drags, in CSS px. */
const FAR_ENOUGH = 6;
/** How near to an edge of the pane what is dragged lets it scroll, and how far at a time; in CSS px. */
const EDGE = 28;
const SCROLLS = 14;

/** What is held: pressed, and after some way dragged. */
interface Held {
  readonly nodes: readonly string[];
  readonly x: number;
  readonly y: number;
  moving: boolean;
  landing: LandingPlace | undefined;
  /** What a press without dragging selects. */
  readonly select: Selection | undefined;
}

/** Pointing at a stage: what is under the pointer, selecting it, dragging it (or all that is selected) elsewhere. */
export function usePointing(stage: Stage) {
  const { doc, built, registry, pane } = stage;
  const { documents } = useDerived();
  const sync = useSync();
  const dispatch = useAppDispatch();
  const selection = useApp((state) => state.bench.selection);
  const [hover, setHover] = useState<string | null>(null);
  const held = useRef<Held | null>(null);
  const enclosing = useEnclosing(stage);
  const letGo = () => {
    held.current = null;
    dispatch(benchActions.showLanding(null));
  };

  // Escape gives up what is being dragged, before anything else hears of it.
  useEffect(() => {
    const giveUp = (event: KeyboardEvent) => {
      if (event.key !== 'Escape') return;
      const gaveUp = enclosing.giveUp();
      if (!gaveUp && !held.current?.moving) return;
      event.stopImmediatePropagation();
      event.preventDefault();
      letGo();
    };
    window.addEventListener('keydown', giveUp, true);
    return () => window.removeEventListener('keydown', giveUp, true);
  });

  const onPointerDown = (event: PointerEvent<HTMLElement>) => {
    if (event.button !== 0) return;
    // What is being typed in a cell goes to what it was typed for, before something else is selected.
    (document.activeElement as HTMLElement | null)?.blur();
    if (enclosing.begin(event)) return;
    const picked = pickedAt(stage, event);
    if (!picked) {
      // Beside all that is drawn: nothing of it is meant.
      dispatch(benchActions.select({ doc, nodes: [] }));
      return;
    }
    const { node, slot } = picked;
    const drawn = event.altKey ? elementAt(stage, event) : undefined;
    if (drawn && !isOwn(drawn, doc)) {
      dispatch(benchActions.select({ doc, nodes: [node], inside: addressOf(drawn) }));
      return;
    }
    const mine = selection?.doc === doc ? selection.nodes : [];
    const alone: Selection = { doc, nodes: [node], ...(slot === undefined ? {} : { slot }) };
    let nodes = [node];
    let select: Selection | undefined;
    if (event.ctrlKey) {
      nodes = mine.includes(node) ? mine.filter((id) => id !== node) : [...mine, node];
      dispatch(benchActions.select({ doc, nodes }));
    } else if (mine.length > 1 && mine.includes(node)) {
      // All that is selected may be dragged; a mere press selects this one.
      nodes = [...mine];
      select = alone;
    } else dispatch(benchActions.select(alone));
    held.current = {
      nodes,
      x: event.clientX,
      y: event.clientY,
      moving: false,
      landing: undefined,
      select,
    };
    event.currentTarget.setPointerCapture(event.pointerId);
  };

  const onPointerMove = (event: PointerEvent) => {
    if (enclosing.draw(event)) return;
    const drag = held.current;
    if (!drag) {
      setHover(pickedAt(stage, event)?.node ?? null);
      return;
    }
    const far = Math.hypot(event.clientX - drag.x, event.clientY - drag.y) >= FAR_ENOUGH;
    if (!drag.moving && !far) return;
    drag.moving = true;
    scrollAtEdge(pane.current!, event.clientY);
    const { x, y } = pointIn(stage, event);
    drag.landing = built && landingAt(documents, built, registry, x, y, drag.nodes)?.at;
    dispatch(benchActions.showLanding(drag.landing ?? null));
  };

  const onPointerUp = () => {
    if (enclosing.end()) return;
    const drag = held.current;
    if (!drag) return;
    const tree = treeDocOf(documents, doc)?.nodes;
    const { landing, moving, nodes, select } = drag;
    letGo();
    if (moving && landing && tree) {
      const moves = movesTo(tree, nodes, landing.parent, landing.index, landing.slot);
      if (moves.length > 0) sync.edit({ name: 'move', args: { doc, moves } });
    } else if (!moving && select) dispatch(benchActions.select(select));
  };

  /** The right button selects what it points at, unless that is selected with others. */
  const onContextMenu = (event: MouseEvent) => {
    const picked = event.button === 2 ? pickedAt(stage, event) : undefined;
    if (!picked || (selection?.doc === doc && selection.nodes.includes(picked.node))) return;
    const { node, slot } = picked;
    dispatch(benchActions.select({ doc, nodes: [node], ...(slot === undefined ? {} : { slot }) }));
  };

  return {
    hover,
    area: enclosing.area,
    onContextMenu,
    onPointerDown,
    onPointerMove,
    onPointerUp,
    onPointerCancel: letGo,
    onPointerLeave: () => setHover(null),
  };
}

function scrollAtEdge(pane: HTMLElement, y: number): void {
  const { top, bottom } = pane.getBoundingClientRect();
  if (y < top + EDGE) pane.scrollBy({ top: -SCROLLS });
  else if (y > bottom - EDGE) pane.scrollBy({ top: SCROLLS });
}
