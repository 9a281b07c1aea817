import { useEffect, useRef } from 'react';
import { LARGEST, SMALLEST } from '../store/bench-slice';
import { useBench } from '../store/store';
import { resolvedOf } from './address';
import type { Stage } from './stage';

/** How much room is left around what is zoomed to, in CSS px of the screen. */
const ROOM = 24;

/**
 * Zooming to what is selected when it is asked for: as large as it fits the pane; asked again, back to the whole width.
 * @param zoom the share that was chosen; `null` for the one that fits
 */
export function useZooming(
  { doc, built, registry, pane, scale }: Stage,
  zoom: number | null,
  onZoom: (share: number | null) => void,
): void {
  const { zoomAsked, selection } = useBench('zoomAsked', 'selection');
  const seen = useRef(zoomAsked);
  const wanted = useRef<string | null>(null);
  const node = selection?.doc === doc ? selection.nodes[0] : undefined;
  useEffect(() => {
    if (seen.current === zoomAsked) return;
    seen.current = zoomAsked;
    if (zoom !== null) {
      onZoom(null);
      return;
    }
    const first = node === undefined ? undefined : resolvedOf(built, node)[0];
    const rect = first && registry.rectOf(first);
    if (!rect || node === undefined) return;
    const { clientWidth, clientHeight } = pane.current!;
    const fits = Math.min(
      (clientWidth - 2 * ROOM) / Math.max(1, rect.width),
      (clientHeight - 2 * ROOM) / Math.max(1, rect.height),
    );
    wanted.current = node;
    // What is as wide as the page is seen as large as it can be already.
    onZoom(Math.min(LARGEST, Math.max(SMALLEST, scale, fits)));
  }, [zoomAsked, zoom, node, built, registry, pane, scale, onZoom]);

  // Once it is drawn so large, it is brought to the middle.
  useEffect(() => {
    if (wanted.current === null) return;
    const first = resolvedOf(built, wanted.current)[0];
    const rect = first && registry.rectOf(first);
    wanted.current = null;
    const view = pane.current!;
    if (rect)
      view.scrollTo({
        left: (rect.left + rect.width / 2) * scale - view.clientWidth / 2,
        top: (rect.top + rect.height / 2) * scale - view.clientHeight / 2,
      });
  }, [scale, built, registry, pane]);
}
