import { useState, type ReactNode } from 'react';
import type { EntryDoc } from '@sormet/core/model';
import { HistoryLines } from '../../../ledger/HistoryList';

/** What was done to an entry, by whom and when: asked for when somebody wants to see it. */
export function EntryHistory({ entry }: { entry: EntryDoc }): ReactNode {
  const [open, setOpen] = useState(false);
  return (
    <details
      className="entry-history"
      open={open}
      onToggle={({ currentTarget }) => setOpen(currentTarget.open)}
    >
      <summary>History</summary>
      {open ? <HistoryLines document={entry.id} /> : null}
    </details>
  );
}
