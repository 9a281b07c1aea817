import { useEffect, useState, type ReactNode } from 'react';
import { describe } from '../canvas/address';
import { innerWords } from '../canvas/inside';
import { useDerived } from '../site/SiteProvider';
import type { Selected } from '../ledger/use-selected';
import { count } from '../words';

/** How long a selection holds before it is said, in ms: who walks past several things hears the last. */
const HOLDS = 250;

/** What is selected, for whoever hears the bench: said when it changes, however it was selected. */
export function SelectionSaid({ selected }: { selected: Selected | undefined }): ReactNode {
  const { documents } = useDerived();
  const [said, setSaid] = useState('');
  const words = selected
    ? selected.count > 1
      ? `${count(selected.count, 'thing')} selected`
      : selected.inside?.element
        ? `Inside ${describe(documents, selected.doc.id, selected.id)}: ${innerWords(documents, selected.inside.element, selected.component?.id ?? '')}`
        : `${describe(documents, selected.doc.id, selected.id)} selected`
    : '';
  useEffect(() => {
    const timer = setTimeout(() => setSaid(words), HOLDS);
    return () => clearTimeout(timer);
  }, [words]);
  return (
    <div className="for-readers selection-said" aria-live="polite">
      {said}
    </div>
  );
}
