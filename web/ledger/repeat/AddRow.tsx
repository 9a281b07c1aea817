import type { ReactNode } from 'react';
import { Plus } from 'lucide-react';

/** The place below some rows where one more is added. */
export function AddRow({ words, onAdd }: { words: string; onAdd: () => void }): ReactNode {
  return (
    <button type="button" className="as-link" onClick={onAdd}>
      <Plus size={12} aria-hidden /> {words}
    </button>
  );
}
