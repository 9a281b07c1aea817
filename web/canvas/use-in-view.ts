import { useEffect, useRef } from 'react';
import { useApp } from '../store/store';
import { resolvedOf } from './address';
import type { Stage } from './stage';

/** How much of what was scrolled to is left free above it, for its label, and at the least below; in CSS px. */
const ROOM = { above: 28, atLeast: 24 };

/** What is selected elsewhere, in the outline or by a key, is brought into view. */
export function useInView({ doc, built, registry, pane, body, scale }: Stage): void {
  const selection = useApp((state) => state.bench.selection);
  const chosen = selection?.doc === doc ? selection.nodes[0] : undefined;
  const brought = useRef<string | undefined>(undefined);
  useEffect(() => {
    if (!body || !built || brought.current === chosen) return;
    brought.current = chosen;
    const node = chosen === undefined ? undefined : resolvedOf(built, chosen)[0];
    const rect = node && registry.rectOf(node);
    const view = pane.current!;
    if (!rect) return;
    const top = rect.top * scale;
    const bottom = rect.bottom * scale;
    if (
      bottom < view.scrollTop + ROOM.atLeast ||
      top > view.scrollTop + view.clientHeight - ROOM.atLeast
    )
      view.scrollTo({ top: Math.max(0, top - ROOM.above) });
  }, [chosen, body, built, registry, pane, scale]);
}
