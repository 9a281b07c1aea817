import type { ReactNode } from 'react';
import { benchActions } from '../../store/bench-slice';
import { useAppDispatch } from '../../store/store';

/** The title of a pane: pressed, the document itself is selected, with what it says of itself. */
export function WholeButton({ doc, children }: { doc: string; children: ReactNode }): ReactNode {
  const dispatch = useAppDispatch();
  return (
    <button
      type="button"
      className="pane-title"
      title="Select the whole of it, and nothing in it"
      onClick={() => dispatch(benchActions.select({ doc, nodes: [] }))}
    >
      {children}
    </button>
  );
}
