import { useState, type PointerEvent } from 'react';
import type { Resolved } from '@sormet/core/resolve';
import { benchActions } from '../store/bench-slice';
import { useAppDispatch } from '../store/store';
import { isOwn } from './address';
import { pointIn, type Stage } from './stage';

/** An area of the canvas, in its own CSS px. */
export interface Area {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

/** Shift and dragging: an area is drawn, and what it wholly encloses of the open document is selected. */
export function useEnclosing(stage: Stage) {
  const dispatch = useAppDispatch();
  const [from, setFrom] = useState<{ x: number; y: number } | null>(null);
  const [area, setArea] = useState<Area | null>(null);
  return {
    area,
    /** @returns whether an area is begun */
    begin(event: PointerEvent<HTMLElement>): boolean {
      if (!event.shiftKey) return false;
      setFrom(pointIn(stage, event));
      event.currentTarget.setPointerCapture(event.pointerId);
      return true;
    },
    /** @returns whether an area is being drawn */
    draw(event: PointerEvent): boolean {
      if (!from) return false;
      const to = pointIn(stage, event);
      setArea({
        left: Math.min(from.x, to.x),
        top: Math.min(from.y, to.y),
        right: Math.max(from.x, to.x),
        bottom: Math.max(from.y, to.y),
      });
      return true;
    },
    /** @returns whether an area was drawn */
    end(): boolean {
      if (!from) return false;
      if (area) {
        const nodes = enclosedIn(stage, area);
        dispatch(benchActions.select(nodes.length > 0 ? { doc: stage.doc, nodes } : null));
      }
      setFrom(null);
      setArea(null);
      return true;
    },
    giveUp(): boolean {
      const was = from !== null;
      setFrom(null);
      setArea(null);
      return was;
    },
  };
}

/** By how much something may stand out, in CSS px: at the edge of the canvas no pointer comes around it. */
const NEARLY = 3;

/** What of the open document an area wholly encloses: the outermost only, in the order of the document. */
function enclosedIn({ built, registry, doc }: Stage, area: Area): string[] {
  const found: string[] = [];
  const visit = (node: Resolved): void => {
    if (node.kind === 'text') return;
    const { kind } = node.from;
    if (isOwn(node, doc) && (kind === 'element' || kind === 'instance')) {
      const rect = registry.rectOf(node);
      const inside =
        rect &&
        rect.left >= area.left - NEARLY &&
        rect.top >= area.top - NEARLY &&
        rect.right <= area.right + NEARLY &&
        rect.bottom <= area.bottom + NEARLY;
      if (inside) {
        if (!found.includes(node.from.id)) found.push(node.from.id);
        return;
      }
    }
    node.children.forEach(visit);
  };
  if (built?.root) visit(built.root);
  return found;
}
