import { useState, type ReactNode } from 'react';
import { stepped, steppedToken } from '@sormet/core/style';
import { Scrub } from '../../../parts/Scrub';
import { steppedValue } from '../../../parts/stepped-value';
import { Wrong } from '../../../parts/Wrong';
import { useDerived } from '../../../site/SiteProvider';

/** A field for one part of a value: typed and done by Enter, stepped by the arrow keys, dragged by its label. */
export function PartField({
  label,
  shown = label,
  stored,
  first = false,
  give,
}: {
  label: string;
  /** What stands before it; nothing for a field whose place says what it is. */
  shown?: string | null;
  stored: string;
  /** Whether it has the focus when its editor opens. */
  first?: boolean;
  /** Declares the part; edits of one group are one step. @returns why it cannot be, or nothing */
  give: (typed: string, group?: string) => string;
}): ReactNode {
  const {
    documents: {
      tokens: { tokens },
    },
  } = useDerived();
  const [draft, setDraft] = useState<string | null>(null);
  const [wrong, setWrong] = useState('');
  const take = (typed: string, group?: string) => {
    const reason = give(typed.trim(), group);
    setWrong(reason);
    return reason === '';
  };
  const commit = () => {
    if (draft === null || draft === stored || take(draft)) setDraft(null);
  };
  return (
    <span className="part-field">
      {shown === null ? null : (
        <Scrub
          begin={() =>
            steppedValue(stored, 0, tokens) === undefined
              ? undefined
              : (by: number) => steppedValue(stored, by, tokens)
          }
          onStep={(value: string, hold) => take(value, `dragged ${label} ${Math.round(hold)}`)}
        >
          {shown}
        </Scrub>
      )}
      <input
        className="plain-field mono"
        aria-label={label}
        aria-invalid={wrong !== ''}
        data-first={first ? true : undefined}
        placeholder="–"
        value={draft ?? stored}
        onChange={({ target }) => setDraft(target.value)}
        onBlur={commit}
        onKeyDown={(event) => {
          if (event.key === 'Enter') commit();
          if (event.key === 'Escape' && draft !== null) {
            event.stopPropagation();
            setDraft(null);
            setWrong('');
          }
          if (event.key !== 'ArrowUp' && event.key !== 'ArrowDown') return;
          const sign = event.key === 'ArrowUp' ? 1 : -1;
          const by = sign * (event.shiftKey ? 10 : event.altKey ? 0.1 : 1);
          const text = draft ?? stored;
          const at = event.currentTarget.selectionStart ?? 0;
          const next = steppedToken(text, sign, tokens) ?? stepped(text, at, by)?.text;
          if (next === undefined) return;
          event.preventDefault();
          setDraft(next);
        }}
      />
      <Wrong words={wrong} />
    </span>
  );
}
