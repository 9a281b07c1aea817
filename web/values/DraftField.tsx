import type { ReactNode } from 'react';
import type { NamedEdit } from '@sormet/core/edit';
import { useDerived, useSync } from '../site/SiteProvider';
import { useDraft } from '../parts/use-draft';
import { refusalWords } from '../words';
import { Wrong } from '../parts/Wrong';
import { useSayLost } from './use-say-lost';
import { boundsWords } from './read-number';

/**
 * A field whose text becomes an edit when it is done: by Enter or by leaving it. What is refused stays as it was typed,
 * with the reason below; Escape drops it.
 */
export function DraftField({
  label,
  stored,
  edit,
  mono = false,
  number,
  placeholder,
}: {
  label: string;
  stored: string;
  edit: (text: string) => NamedEdit;
  mono?: boolean;
  /** Where it is a whole number: between which. */
  number?: { readonly least: number; readonly most: number };
  placeholder?: string;
}): ReactNode {
  const sync = useSync();
  const { documents } = useDerived();
  const sayLost = useSayLost();
  const { draft, wrong, type, commit, drop } = useDraft(
    label,
    stored,
    (text) => {
      const wrong =
        number && text !== ''
          ? boundsWords(text, { ...number, whole: true }, documents.site.language)
          : '';
      return wrong || refusalWords(sync.attempt(edit(text)));
    },
    sayLost,
  );
  return (
    <span className="draft-field">
      <input
        className={mono ? 'plain-field mono' : 'plain-field'}
        inputMode={number ? 'numeric' : undefined}
        aria-label={label}
        aria-invalid={wrong !== ''}
        value={draft ?? stored}
        placeholder={placeholder}
        onChange={({ target }) => type(target.value)}
        onBlur={commit}
        onKeyDown={(event) => {
          if (event.key === 'Enter') commit();
          if (event.key !== 'Escape' || draft === null) return;
          // What it stands in stays open: the key was for what was typed.
          event.stopPropagation();
          drop();
        }}
      />
      <Wrong words={wrong} />
    </span>
  );
}
