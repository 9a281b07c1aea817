import { useSyncExternalStore } from 'react';
import { useApp } from '../../store/store';

/** From which width of the window on there is room for outline and shelf beside each other, in CSS px. */
const WIDE = 1800;

function watchWindow(told: () => void): () => void {
  window.addEventListener('resize', told);
  return () => window.removeEventListener('resize', told);
}

/** How the bench is laid out: as somebody chose, else as the window has room. */
export function useLayout(): { readonly left: boolean; readonly ledger: boolean } {
  const { left, ledger } = useApp((state) => state.bench.layout);
  const isWide = useSyncExternalStore(watchWindow, () => window.innerWidth >= WIDE);
  return { left: left ?? isWide, ledger };
}
