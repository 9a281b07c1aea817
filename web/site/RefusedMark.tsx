import type { ReactNode } from 'react';
import { TriangleAlert } from 'lucide-react';
import { sentence } from '../words';
import { refusedAt } from '../store/pending';
import { siteActions } from '../store/site-slice';
import { useApp, useAppDispatch } from '../store/store';

/** Whether an edit made at a place was not taken in: its cell is marked. */
export function useRefused(doc: string, path: string): boolean {
  return useApp((state) => refusedAt(state.site.conflicts, doc, path) !== undefined);
}

/** The mark in the cell where an edit was made that was not taken in; it leads to where that is decided. */
export function RefusedMark({ doc, path }: { doc: string; path: string }): ReactNode {
  const dispatch = useAppDispatch();
  const conflict = useApp((state) => refusedAt(state.site.conflicts, doc, path));
  if (!conflict) return null;
  return (
    <button
      type="button"
      className="icon-button refused-mark"
      title={sentence(conflict.reason)}
      aria-label={`Not taken in: ${sentence(conflict.reason)} Decide`}
      onClick={() => dispatch(siteActions.deciding(true))}
    >
      <TriangleAlert size={13} aria-hidden />
    </button>
  );
}
